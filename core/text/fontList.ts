/** A font file that ships: its id, and where the packages keep it. */
export interface ShippedFont {
  readonly id: string;
  /** Below the packages folder. */
  readonly file: string;
  /** Large ones are fetched when a text first needs their script. */
  readonly scripts: readonly string[] | null;
}

const CUTS: Readonly<Record<string, string>> = {
  "400": "400Regular",
  "500": "500Medium",
  "500-italic": "500Medium_Italic",
  "600": "600SemiBold",
  "700": "700Bold",
  "800": "800ExtraBold",
};

/** The cuts of one family, as `family-cut`. */
function family(
  id: string,
  pack: string,
  fileName: string,
  cuts: readonly string[],
  scripts: readonly string[] | null = null,
): ShippedFont[] {
  return cuts.map((cut) => {
    const folder = CUTS[cut];
    if (!folder) throw new Error(`No such cut: ${cut}`);
    return {
      id: `${id}-${cut}`,
      file: `@expo-google-fonts/${pack}/${folder}/${fileName}_${folder}.ttf`,
      scripts,
    };
  });
}

/** Fonts for the air. The same files are shaped, measured and painted everywhere. */
export const SHIPPED_FONTS: readonly ShippedFont[] = [
  ...family("literata", "literata", "Literata", ["500", "500-italic", "700"]),
  ...family("bricolage", "bricolage-grotesque", "BricolageGrotesque", ["600", "800"]),
  ...family("atkinson", "atkinson-hyperlegible-next", "AtkinsonHyperlegibleNext", [
    "500",
    "500-italic",
    "700",
  ]),
  ...family("fraunces", "fraunces", "Fraunces", ["500", "500-italic", "700"]),
  ...family("figtree", "figtree", "Figtree", ["500", "500-italic", "800"]),
  ...family("alegreya", "alegreya", "Alegreya", ["500", "500-italic", "700"]),
  ...family("noto-arabic", "noto-sans-arabic", "NotoSansArabic", ["500"]),
  ...family("noto-hebrew", "noto-sans-hebrew", "NotoSansHebrew", ["500"]),
  ...family("noto-devanagari", "noto-sans-devanagari", "NotoSansDevanagari", ["500"]),
  ...family("noto-thai", "noto-sans-thai", "NotoSansThai", ["500"]),
  ...family("sawarabi", "sawarabi-gothic", "SawarabiGothic", ["400"], ["Hani", "Hira", "Kana"]),
];

/** Tried after a style's own fonts, for letters those do not have. */
export const FALLBACK_FONTS: readonly string[] = [
  "literata-500",
  "noto-arabic-500",
  "noto-hebrew-500",
  "noto-devanagari-500",
  "noto-thai-500",
  "sawarabi-400",
];
