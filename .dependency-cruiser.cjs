/** Who may know whom: the rooms of docs/architecture.md, as rules. */
module.exports = {
  forbidden: [
    {
      name: "core-stands-alone",
      comment: "core is pure: itself and small pure packages only",
      severity: "error",
      from: { path: "^core/", pathNot: "\\.test\\.ts$|/test-support/" },
      to: {
        pathNot:
          "^core/|^node_modules/(zod|papaparse|node-diff3|bidi-js|linebreak|harfbuzzjs|base64-js|tiny-inflate|unicode-trie)/",
      },
    },
    {
      name: "painters-know-pictures-only",
      comment:
        "painters paint display lists; they know core's picture, motion and screens types and the shaper",
      severity: "error",
      from: { path: "^painters/", pathNot: "\\.test\\.ts$" },
      to: { path: "^(server|app|designs|demo)/" },
    },
    {
      name: "designs-are-data",
      severity: "error",
      from: { path: "^designs/", pathNot: "\\.test\\.ts$" },
      to: { path: "^(server|app|painters|demo)/" },
    },
    {
      name: "app-reaches-the-server-through-server-files",
      comment: "only *.server.ts may import server/",
      severity: "error",
      from: { path: "^app/", pathNot: "\\.server\\.tsx?$" },
      to: { path: "^server/" },
    },
    {
      name: "server-does-not-know-the-app",
      severity: "error",
      from: { path: "^server/" },
      to: { path: "^app/" },
    },
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    {
      name: "nothing-unresolved",
      severity: "error",
      from: {},
      to: { couldNotResolve: true, pathNot: "^\\./\\+types/|\\+types|virtual:|^\\./index\\.js$" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "\\+types|virtual:" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
      extensions: [".ts", ".tsx", ".js", ".mjs", ".cjs", ".json", ".css"],
    },
  },
};
