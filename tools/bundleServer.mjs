// Bundles the server beside the route build that it imports.
import { build } from "esbuild";

await build({
  entryPoints: ["server/main.ts"],
  outfile: "build/server/main.js",
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  sourcemap: true,
  logLevel: "warning",
});
