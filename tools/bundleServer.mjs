// Bundles the server beside the route build that it imports.
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const module = (name) => fileURLToPath(import.meta.resolve(name));

await build({
  entryPoints: [
    "server/main.ts",
    "server/commands.ts",
    "server/stills/stillWorker.ts",
    "server/files/textWorker.ts",
    "server/aside/asideWorker.ts",
    "server/store/keeperWorker.ts",
    "server/carry/carryWorker.ts",
  ],
  entryNames: "[name]",
  outdir: "build/server",
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  // Made of hundreds of small modules, which would be opened one by one at every start.
  alias: { kysely: module("kysely"), zod: module("zod") },
  sourcemap: true,
  logLevel: "warning",
});
