/** Which texts a font is there for; it is fetched when one of them is shown. */
export interface LateFont {
  /** A character that it may have. */
  readonly covers: RegExp;
  /** Whether a line of words wants it. */
  readonly wanted: (line: string) => boolean;
}

/** A font file that ships: its id, and where the packages keep it. */
export interface ShippedFont {
  readonly id: string;
  /** Below the packages folder. */
  readonly file: string;
  /** Null: it is there from the start. */
  readonly late: LateFont | null;
}

/** Every letter of these scripts. */
function ofScripts(...scripts: readonly string[]): LateFont {
  const covers = new RegExp(scripts.map((script) => `\\p{Script_Extensions=${script}}`).join("|"), "u");
  const wanted = new RegExp(scripts.map((script) => `\\p{Script=${script}}`).join("|"), "u");
  return { covers, wanted: (line) => wanted.test(line) };
}

const KANA = /[\p{Script=Hira}\p{Script=Kana}]/u;
const HAN = /\p{Script=Han}/u;
/** Marks that stand among Han letters, full-width forms among them. */
const EAST_ASIAN_MARKS = "\\u3000-\\u303f\\uff00-\\uffef";
/** Han letters look otherwise in Japanese and in Chinese: a line with kana is Japanese. */
const JAPANESE: LateFont = {
  covers: new RegExp(`[\\p{Script=Han}\\p{Script=Hira}\\p{Script=Kana}${EAST_ASIAN_MARKS}\\u30fc]`, "u"),
  wanted: (line) => KANA.test(line),
};
const CHINESE: LateFont = {
  covers: new RegExp(`[\\p{Script=Han}\\p{Script=Bopomofo}${EAST_ASIAN_MARKS}]`, "u"),
  wanted: (line) => HAN.test(line) && !KANA.test(line),
};
const EMOJI: LateFont = {
  covers: /\p{Extended_Pictographic}|\p{Regional_Indicator}|\u200d|\ufe0f|\u20e3/u,
  wanted: (line) => /\p{Extended_Pictographic}|\p{Regional_Indicator}/u.test(line),
};
const JAPANESE_FONT = "sawarabi-400";
const CHINESE_FONT = "noto-sc-500";

/** The fonts to try for a line: in one with kana the Japanese forms of letters go before the Chinese. */
export function orderFor(line: string, stack: readonly string[]): readonly string[] {
  const chinese = stack.indexOf(CHINESE_FONT);
  const japanese = stack.indexOf(JAPANESE_FONT);
  if (chinese < 0 || japanese < chinese || !KANA.test(line)) return stack;
  return [
    ...stack.slice(0, chinese),
    JAPANESE_FONT,
    ...stack.slice(chinese).filter((id) => id !== JAPANESE_FONT),
  ];
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
  late: LateFont | null = null,
): ShippedFont[] {
  return cuts.map((cut) => {
    const folder = CUTS[cut];
    if (!folder) throw new Error(`No such cut: ${cut}`);
    return {
      id: `${id}-${cut}`,
      file: `@expo-google-fonts/${pack}/${folder}/${fileName}_${folder}.ttf`,
      late,
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
  ...family("noto-bengali", "noto-sans-bengali", "NotoSansBengali", ["500"], ofScripts("Beng")),
  ...family("noto-tamil", "noto-sans-tamil", "NotoSansTamil", ["500"], ofScripts("Taml")),
  ...family("noto-telugu", "noto-sans-telugu", "NotoSansTelugu", ["500"], ofScripts("Telu")),
  ...family("noto-gujarati", "noto-sans-gujarati", "NotoSansGujarati", ["500"], ofScripts("Gujr")),
  ...family("noto-gurmukhi", "noto-sans-gurmukhi", "NotoSansGurmukhi", ["500"], ofScripts("Guru")),
  ...family("noto-kannada", "noto-sans-kannada", "NotoSansKannada", ["500"], ofScripts("Knda")),
  ...family("noto-malayalam", "noto-sans-malayalam", "NotoSansMalayalam", ["500"], ofScripts("Mlym")),
  ...family("noto-sinhala", "noto-sans-sinhala", "NotoSansSinhala", ["500"], ofScripts("Sinh")),
  ...family("noto-lao", "noto-sans-lao", "NotoSansLao", ["500"], ofScripts("Laoo")),
  ...family("noto-khmer", "noto-sans-khmer", "NotoSansKhmer", ["500"], ofScripts("Khmr")),
  ...family("noto-myanmar", "noto-sans-myanmar", "NotoSansMyanmar", ["500"], ofScripts("Mymr")),
  ...family("noto-tibetan", "noto-serif-tibetan", "NotoSerifTibetan", ["500"], ofScripts("Tibt")),
  ...family("noto-armenian", "noto-sans-armenian", "NotoSansArmenian", ["500"], ofScripts("Armn")),
  ...family("noto-georgian", "noto-sans-georgian", "NotoSansGeorgian", ["500"], ofScripts("Geor")),
  ...family("noto-ethiopic", "noto-sans-ethiopic", "NotoSansEthiopic", ["500"], ofScripts("Ethi")),
  ...family("noto-kr", "noto-sans-kr", "NotoSansKR", ["500"], ofScripts("Hang")),
  ...family("noto-sc", "noto-sans-sc", "NotoSansSC", ["500"], CHINESE),
  ...family("sawarabi", "sawarabi-gothic", "SawarabiGothic", ["400"], JAPANESE),
  ...family("noto-emoji", "noto-emoji", "NotoEmoji", ["500"], EMOJI),
];

/** Tried after a style's own fonts, for letters those do not have. */
export const FALLBACK_FONTS: readonly string[] = [
  "literata-500",
  "noto-arabic-500",
  "noto-hebrew-500",
  "noto-devanagari-500",
  "noto-thai-500",
  ...SHIPPED_FONTS.filter(({ late }) => late !== null).map(({ id }) => id),
];

/** Letters, signs and quotation marks of Latin script, without those that are pictures too: no late font wants them. */
const NEVER_LATE = /^[\0-\u00a8\u00aa-\u00ad\u00af-\u02ff\u2010-\u2027]*$/;

/** False where no late font can be wanted: that is said of most words at once. */
export const mayWantLateFont = (words: string): boolean => !NEVER_LATE.test(words);
