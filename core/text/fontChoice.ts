import type { WordStyle } from "./marks.ts";
import type { Shaper } from "./shaper.ts";

/** Fonts to try for each character, best first, in each style. */
export interface FontChoice {
  readonly regular: readonly string[];
  readonly bold: readonly string[];
  readonly italic: readonly string[];
  readonly boldItalic: readonly string[];
}

/** One stack for every style. */
export const sameForAll = (stack: readonly string[]): FontChoice => ({
  regular: stack,
  bold: stack,
  italic: stack,
  boldItalic: stack,
});

export const asChoice = (fonts: FontChoice | readonly string[]): FontChoice =>
  "regular" in fonts ? fonts : sameForAll(fonts);

export function stackFor(fonts: FontChoice, { bold, italic }: WordStyle): readonly string[] {
  if (bold && italic) return fonts.boldItalic;
  return bold ? fonts.bold : italic ? fonts.italic : fonts.regular;
}

/**
 * The stacks of a typeface, fonts that are not loaded left out, the fallbacks behind each.
 * @param typeface undefined where the style lacks the role: the fallbacks alone
 * @returns also the ids that were asked for and are not there
 */
export function chooseFonts(
  typeface: FontChoice | null,
  base: { readonly weight: "regular" | "bold"; readonly italic: boolean },
  fallback: readonly string[],
  shaper: Pick<Shaper, "hasFont">,
): { readonly fonts: FontChoice; readonly missing: readonly string[] } {
  const missing = new Set<string>();
  const known = (ids: readonly string[]) =>
    ids.filter((id) => {
      if (!shaper.hasFont(id)) missing.add(id);
      return shaper.hasFont(id);
    });
  const stack = (bold: boolean, italic: boolean): string[] => {
    const cuts = typeface ?? sameForAll([]);
    const own =
      bold && italic
        ? [...cuts.boldItalic, ...cuts.bold, ...cuts.italic]
        : bold
          ? cuts.bold
          : italic
            ? cuts.italic
            : [];
    const found = known([...own, ...cuts.regular, ...fallback]);
    return [...new Set(found)];
  };
  const bold = base.weight === "bold";
  return {
    fonts: {
      regular: stack(bold, base.italic),
      bold: stack(true, base.italic),
      italic: stack(bold, !base.italic),
      boldItalic: stack(true, !base.italic),
    },
    missing: [...missing],
  };
}
