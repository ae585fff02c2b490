import { SHIPPED_FONTS } from "../../core/text/fontList.ts";
import { createHarfBuzzShaper } from "../../core/text/harfbuzz.ts";
import type { Shaper } from "../../core/text/shaper.ts";

let loading: Promise<Shaper> | undefined;

/** The shaper of this window, loaded once; tried again after a failure. */
export function loadShaper(): Promise<Shaper> {
  loading ??= load().catch((error: unknown) => {
    loading = undefined;
    throw error;
  });
  return loading;
}

async function load(): Promise<Shaper> {
  const [hb, ...files] = await Promise.all([
    import("harfbuzzjs"),
    ...SHIPPED_FONTS.map(async ({ id }) => {
      const response = await fetch(`/fonts/${id}`);
      if (!response.ok) throw new Error(`Font ${id} could not be fetched: ${response.status}`);
      return [id, new Uint8Array(await response.arrayBuffer())] as const;
    }),
  ]);
  return createHarfBuzzShaper(hb, new Map(files));
}
