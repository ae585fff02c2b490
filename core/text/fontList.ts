/** A font file that ships: its id, and where the packages keep it. */
export interface ShippedFont {
  readonly id: string;
  /** Below the packages folder. */
  readonly file: string;
}

const expo = (id: string, pack: string, folder: string, file: string): ShippedFont => ({
  id,
  file: `@expo-google-fonts/${pack}/${folder}/${file}_${folder}.ttf`,
});

/** Fonts for the air. The same files are shaped, measured and painted everywhere. */
export const SHIPPED_FONTS: readonly ShippedFont[] = [
  expo("literata-500", "literata", "500Medium", "Literata"),
  expo("literata-500-italic", "literata", "500Medium_Italic", "Literata"),
  expo("bricolage-600", "bricolage-grotesque", "600SemiBold", "BricolageGrotesque"),
  expo("atkinson-500", "atkinson-hyperlegible-next", "500Medium", "AtkinsonHyperlegibleNext"),
  expo("noto-arabic-500", "noto-sans-arabic", "500Medium", "NotoSansArabic"),
  expo("noto-hebrew-500", "noto-sans-hebrew", "500Medium", "NotoSansHebrew"),
  expo("noto-devanagari-500", "noto-sans-devanagari", "500Medium", "NotoSansDevanagari"),
];

/** Tried after a style's own fonts, for letters those do not have. */
export const FALLBACK_FONTS: readonly string[] = [
  "literata-500",
  "noto-arabic-500",
  "noto-hebrew-500",
  "noto-devanagari-500",
];
