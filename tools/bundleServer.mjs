// Bundles the server beside the route build that it imports.
import { build } from "esbuild";

/** With machine code or files of their own, or shared with the route build, which has its own copy of nothing. */
const EXTERNAL = [
  "better-sqlite3",
  "@napi-rs/canvas",
  "harfbuzzjs",
  "pdfjs-dist",
  "wawoff2",
  // Named by a package that would read archives there; nothing of ours asks it to.
  "@aws-sdk/client-s3",
  "vite",
  "react",
  "react-dom",
  "react-router",
  "@react-router/express",
  "@react-router/node",
];

await build({
  entryPoints: [
    "server/main.ts",
    "server/commands.ts",
    "server/stills/stillWorker.ts",
    "server/files/textWorker.ts",
    "server/aside/asideWorker.ts",
    "server/store/keeperWorker.ts",
    "server/store/lookThroughWorker.ts",
    "server/carry/carryWorker.ts",
  ],
  entryNames: "[name]",
  outdir: "build/server",
  bundle: true,
  // What is asked for later is read later; what several of them need is there once.
  splitting: true,
  chunkNames: "part-[hash]",
  platform: "node",
  format: "esm",
  target: "node20",
  // All else is bundled: hundreds of small modules would be found, opened and compiled one by one at every start.
  external: EXTERNAL,
  // Packages of the older kind ask for those of Node by name.
  banner: {
    js: 'import { createRequire as createRequireHere } from "node:module"; const require = createRequireHere(import.meta.url);',
  },
  // Less to read at every start; names stay, for what is said of faults.
  minifyWhitespace: true,
  minifySyntax: true,
  sourcemap: true,
  logLevel: "warning",
});
