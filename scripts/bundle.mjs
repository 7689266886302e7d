/**
 * Bundles what runs beside the pages: the servers, the imaging worker, the command line and what fills the demo. Packages stay
 * outside where they must (native ones) or may; the command line takes its own in, so that it starts at once.
 */
import path from "node:path";
import { build } from "esbuild";
import { root } from "./prepare.mjs";

const shared = {
  absWorkingDir: root,
  bundle: true,
  platform: "node",
  target: "node20",
  format: "esm",
  outdir: path.join(root, "dist"),
  outExtension: { ".js": ".mjs" },
  logLevel: "warning",
};

/** The command line starts without the database, which only two of its commands need. */
const backupApart = {
  name: "backup-apart",
  setup: (build) =>
    build.onResolve({ filter: /^@\/server\/backup$/ }, () => ({ path: "./backup.mjs", external: true })),
};

export async function bundle() {
  await build({
    ...shared,
    entryPoints: {
      "serve-application": "src/server/hosting/serve-application.ts",
      "serve-public": "src/server/hosting/serve-public.ts",
      "imaging-worker": "src/server/imaging/imaging-worker.ts",
      "fill-demo": "demo/seed.ts",
      backup: "src/server/backup/index.ts",
    },
    packages: "external",
  });
  await build({
    ...shared,
    entryPoints: { "still-line": "src/cli/index.ts" },
    minify: true,
    plugins: [backupApart],
    // Packages that were written for require find it.
    banner: { js: 'import{createRequire}from"node:module";const require=createRequire(import.meta.url);' },
  });
}

if (process.argv[1] === import.meta.filename) await bundle();
