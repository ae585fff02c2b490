import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { SHIPPED_FONTS } from "../core/text/fontList.ts";
import { createHarfBuzzShaper } from "../core/text/harfbuzz.ts";
import type { Shaper } from "../core/text/shaper.ts";

const require = createRequire(import.meta.url);

/** Font id → path of its file, for the fonts that ship and no others. */
export const FONT_FILES: ReadonlyMap<string, string> = new Map(
  SHIPPED_FONTS.map(({ id, file }) => {
    const [scope, name, ...rest] = file.split("/");
    const folder = dirname(require.resolve(`${scope}/${name}/package.json`));
    return [id, join(folder, ...rest)];
  }),
);

/** The shaper with every font that ships. */
export async function loadShaper(): Promise<Shaper> {
  const hb = await import("harfbuzzjs");
  const files = new Map([...FONT_FILES].map(([id, path]) => [id, new Uint8Array(readFileSync(path))]));
  return createHarfBuzzShaper(hb, files);
}
