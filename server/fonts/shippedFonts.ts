import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { SHIPPED_FONTS } from "../../core/text/fontList.ts";
import { createHarfBuzzShaper } from "../../core/text/harfbuzz.ts";
import type { Shaper } from "../../core/text/shaper.ts";

const require = createRequire(import.meta.url);

/** Font id → path of its file, for the fonts that ship and no others. */
export const FONT_FILES: ReadonlyMap<string, string> = new Map(
  SHIPPED_FONTS.map(({ id, file }) => {
    const [scope, name, ...rest] = file.split("/");
    const folder = dirname(require.resolve(`${scope}/${name}/package.json`));
    return [id, join(folder, ...rest)];
  }),
);

/** The shaper with every font that ships; those of scripts that few sing in are read when one of their letters comes. */
export async function loadShaper(): Promise<Shaper> {
  const hb = await import("harfbuzzjs");
  const read = (id: string) => new Uint8Array(readFileSync(FONT_FILES.get(id) as string));
  return createHarfBuzzShaper(
    hb,
    new Map(SHIPPED_FONTS.flatMap(({ id, late }) => (late ? [] : [[id, read(id)] as const]))),
    new Map(
      SHIPPED_FONTS.flatMap(({ id, late }) =>
        late ? [[id, { covers: late.covers, read: () => read(id) }] as const] : [],
      ),
    ),
  );
}
