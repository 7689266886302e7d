/** Dependencies point one way: app → ui → contract → core, app → server → contract → core, ui → workers → core, cli → server. */
module.exports = {
  forbidden: [
    {
      name: "core-is-pure",
      comment: "core knows no React, Next, database, file, network or other layer",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: {
        path: "^src/(contract|server|app|ui|cli|workers)|^node_modules/(react|next|drizzle-orm|@libsql|sharp|nodemailer|smtp-server|prosemirror-(state|view|tables|history))",
      },
    },
    {
      name: "core-uses-no-node",
      comment: "core runs in the browser as well",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "core-folders-have-a-public-surface",
      comment: "a core folder is used through its index only",
      severity: "error",
      from: { path: "^src/(?:core/([^/]+)|server|app|ui|workers|cli)/" },
      to: { path: "^src/core/[^/]+/(?!index\\.ts$)", pathNot: "^src/core/$1/" },
    },
    {
      name: "ui-does-not-reach-the-server",
      severity: "error",
      from: { path: "^src/ui" },
      comment: "what both sides know stands in the contract; types are no exception",
      to: { path: "^src/(server|app|cli)" },
    },
    {
      name: "the-contract-knows-core-only",
      severity: "error",
      from: { path: "^src/contract", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/(server|app|ui|cli|workers)|^node_modules/(react|next|drizzle-orm)/" },
    },
    {
      name: "what-every-page-loads-is-light",
      severity: "error",
      comment:
        "the contract is part of every page: what reads HTML, writes kits or draws codes is loaded where it is used",
      from: { path: "^src/contract", pathNot: "\\.test\\.ts$" },
      to: {
        path: "^src/core/(install|importing|graft|source|qr|mail|plist|compile|clients)/",
        dependencyTypesNot: ["type-only"],
      },
    },
    {
      name: "server-knows-no-interface",
      severity: "error",
      from: { path: "^src/server" },
      to: { path: "^src/(app|ui|cli)|^node_modules/(react|react-dom)/" },
    },
    {
      name: "cli-knows-no-interface",
      severity: "error",
      from: { path: "^src/cli" },
      to: { path: "^src/(app|ui)" },
    },
    {
      name: "workers-know-core-only",
      severity: "error",
      from: { path: "^src/workers" },
      to: { path: "^src/(server|app|ui|cli)|^node_modules/(react|next)/" },
    },
    {
      name: "no-circles",
      severity: "error",
      from: { path: "^src" },
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
