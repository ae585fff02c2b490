import type { Typeface } from "../core/scene/houseStyle.ts";

const face = (family: string, regular: string, bold: string, italic?: string): Typeface => ({
  regular: [`${family}-${regular}`],
  bold: [`${family}-${bold}`],
  italic: italic ? [`${family}-${italic}`] : [],
  boldItalic: [],
});

export const LITERATA = face("literata", "500", "700", "500-italic");
export const ATKINSON = face("atkinson", "500", "700", "500-italic");
export const BRICOLAGE = face("bricolage", "600", "800");
export const FRAUNCES = face("fraunces", "500", "700", "500-italic");
export const FIGTREE = face("figtree", "500", "800", "500-italic");
export const ALEGREYA = face("alegreya", "500", "700", "500-italic");

/** The typefaces that ship, by name. */
export const TYPEFACES: Readonly<Record<string, Typeface>> = {
  Literata: LITERATA,
  Bricolage: BRICOLAGE,
  Atkinson: ATKINSON,
  Fraunces: FRAUNCES,
  Figtree: FIGTREE,
  Alegreya: ALEGREYA,
};

/** The typeface that a name means: one that ships, or a font of the venue by its id, which has one cut only. */
export function findTypeface(
  wanted: string,
  added: readonly { readonly id: string }[],
): Typeface | undefined {
  if (Object.hasOwn(TYPEFACES, wanted)) return TYPEFACES[wanted];
  return added.some(({ id }) => id === wanted)
    ? { regular: [wanted], bold: [], italic: [], boldItalic: [] }
    : undefined;
}

/** The name or id under which a typeface is chosen; undefined when it is neither. */
export const nameOfTypeface = (
  { regular }: Typeface,
  added: readonly { readonly id: string }[],
): string | undefined =>
  Object.entries(TYPEFACES).find(([, face]) => face.regular[0] === regular[0])?.[0] ??
  added.find(({ id }) => id === regular[0])?.id;
