/**
 * dist/NOTICES.md, made with each build: what of third parties ships to browsers, with the licences, as their packages
 * say.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { build } from "esbuild";
import { root } from "./prepare.mjs";

/** Those that the framework puts into every page. */
const always = ["next", "react", "react-dom", "scheduler"];
const fonts = Object.keys(
  JSON.parse(readFileSync(path.join(root, "package.json"), "utf8")).dependencies,
).filter((name) => name.startsWith("@fontsource"));

function* sources(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(file);
    else if (/(?<!\.test)\.tsx?$/.test(entry.name)) yield file;
  }
}

/** The packages that the interface and its workers take in. */
async function shipped() {
  const { metafile } = await build({
    absWorkingDir: root,
    entryPoints: ["src/ui", "src/workers"].flatMap((folder) => [...sources(path.join(root, folder))]),
    bundle: true,
    write: false,
    metafile: true,
    outdir: "unused",
    format: "esm",
    platform: "browser",
    jsx: "automatic",
    external: ["next", "next/*", "react", "react/*", "react-dom", "react-dom/*"],
    loader: { ".woff2": "empty", ".woff": "empty" },
    logLevel: "error",
  });
  const names = Object.keys(metafile.inputs).flatMap(
    (input) => /.*node_modules\/((?:@[^/]+\/)?[^/]+)/.exec(input)?.[1] ?? [],
  );
  return [...new Set([...names, ...always, ...fonts])].sort();
}

function notice(name) {
  const folder = path.join(root, "node_modules", name);
  const { version, license } = JSON.parse(readFileSync(path.join(folder, "package.json"), "utf8"));
  const file = readdirSync(folder).find((each) => /^licen[cs]e/i.test(each));
  const text = file ? readFileSync(path.join(folder, file), "utf8").trim() : "";
  return `## ${name} ${version}\n\n${license ?? "Licence as below"}\n${text ? `\n\`\`\`text\n${text}\n\`\`\`\n` : ""}`;
}

const names = (await shipped()).filter((name) => existsSync(path.join(root, "node_modules", name)));
const own = readFileSync(path.join(root, "src/core/icons/LICENCE.md"), "utf8").replace(/^# .*\n+/, "");
const facts =
  "Read from a public, MIT-licensed support data set for e-mail HTML (state of September 2025), the clients reduced to kinds.";
writeFileSync(
  path.join(root, "dist", "NOTICES.md"),
  `# Notices of third parties\n\nMade with the build: what ships to browsers, and the fonts and drawings that signatures are made with.\n\n## Glyphs\n\n${own.trim()}\n\n## Support data\n\n${facts}\n\n${names.map(notice).join("\n")}`,
);
process.stdout.write(`dist/NOTICES.md: ${names.length} packages\n`);
