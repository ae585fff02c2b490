// Bundles the server beside the route build that it imports.
import { build } from "esbuild";

await build({
  entryPoints: [
    "server/main.ts",
    "server/stills/stillWorker.ts",
    "server/files/textWorker.ts",
    "server/aside/asideWorker.ts",
    "server/store/keeperWorker.ts",
  ],
  entryNames: "[name]",
  outdir: "build/server",
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  sourcemap: true,
  logLevel: "warning",
});
