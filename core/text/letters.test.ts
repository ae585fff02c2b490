import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { beforeAll, describe, expect, test } from "vitest";
import { loadShaper } from "../../test-support/onDisk.ts";
import { FALLBACK_FONTS, mayWantLateFont, orderFor, SHIPPED_FONTS } from "./fontList.ts";
import { prepareText } from "./prepare.ts";
import type { Shaper } from "./shaper.ts";

/**
 * Source: the exemplar characters of Unicode CLDR 48.2, carried by the npm package "cldr-misc-full": the letters that the
 * usual texts of a language are written with.
 */
const require = createRequire(import.meta.url);
function exemplars(language: string): string[] {
  const file = require.resolve(`cldr-misc-full/main/${language}/characters.json`);
  const set = JSON.parse(readFileSync(file, "utf8")).main[language].characters.exemplarCharacters as string;
  return readSet(set);
}

/** A UnicodeSet of characters, ranges and clusters in braces, as characters. */
function readSet(set: string): string[] {
  const found = new Set<string>();
  const tokens = set.slice(1, -1).match(/\\u[0-9a-fA-F]{4}|\\.|\{[^}]*\}|./gu) ?? [];
  const plain = (token: string) =>
    token.startsWith("\\u")
      ? String.fromCharCode(Number.parseInt(token.slice(2), 16))
      : token.replace(/^\\/, "");
  let last = "";
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i] as string;
    if (token === " ") continue;
    if (token.startsWith("{"))
      for (const character of token.slice(1, -1).replace(/\\/g, "")) found.add(character);
    else if (token === "-" && last !== "") {
      const end = plain(tokens[++i] as string).codePointAt(0) as number;
      for (let code = (last.codePointAt(0) as number) + 1; code <= end; code++)
        found.add(String.fromCodePoint(code));
    } else {
      last = plain(token);
      found.add(last);
    }
  }
  return [...found];
}

/** Every language that a song or a reading is likely in, by script. */
const LANGUAGES =
  "en es pt fr de it nl sv da nn pl cs sk hu ro fi tr vi id sw is et lv lt hr sl sq el ru uk bg sr ar fa ur he hi mr ne bn ta te gu pa kn ml si th lo km my bo hy ka am ti ko zh zh-Hant ja".split(
    " ",
  );

describe("every letter of the languages' usual texts has a glyph", () => {
  let shaper: Shaper;
  beforeAll(async () => {
    shaper = await loadShaper();
  });

  test.each(LANGUAGES)("%s", (language) => {
    const letters = exemplars(language);
    expect(letters.length).toBeGreaterThan(20);
    const missing = letters.filter(
      (letter) => !FALLBACK_FONTS.some((id) => shaper.hasGlyph(id, letter.codePointAt(0) as number)),
    );
    expect(missing.join(" ")).toBe("");
  });

  test("words of each script are shaped without an empty box", () => {
    const words = [
      "밝은 등불",
      "明亮的灯",
      "明るい灯火",
      "উজ্জ্বল প্রদীপ",
      "பிரகாசமான விளக்கு",
      "ప్రకాశవంతమైన దీపం",
      "તેજસ્વી દીવો",
      "ਚਮਕਦਾ ਦੀਵਾ",
      "ಹೊಳೆಯುವ ದೀಪ",
      "തിളങ്ങുന്ന വിളക്ക്",
      "දිලිසෙන පහන",
      "ໂຄມໄຟ",
      "ចង្កៀងភ្លឺ",
      "တောက်ပသောမီးအိမ်",
      "འོད་ཟེར།",
      "լուսավոր ճրագ",
      "ნათელი ლამპარი",
      "ብሩህ መብራት",
      "🕯️⛵",
    ];
    for (const text of words)
      for (const { items } of prepareText(text, FALLBACK_FONTS, shaper))
        for (const item of items)
          for (const glyph of shaper.shape(item.fontId, text, item.start, item.end, "ltr", item.script))
            expect(glyph.id, `${text} in ${item.fontId}`).not.toBe(0);
  });

  test("what is said at once to want no late font is wanted by none", () => {
    const late = SHIPPED_FONTS.filter((font) => font.late);
    for (let code = 0; code < 0x3000; code++) {
      const letter = String.fromCodePoint(code);
      if (!mayWantLateFont(letter)) expect(late.filter((font) => font.late?.wanted(letter))).toEqual([]);
    }
    expect(mayWantLateFont("“Señor”, it’s 7 o’clock…")).toBe(false);
    expect(mayWantLateFont("low tide 🌊")).toBe(true);
  });

  test("a font of a script that few sing in is wanted by its own words only", () => {
    const late = SHIPPED_FONTS.filter((font) => font.late !== null);
    const wanted = (line: string) => late.filter((font) => font.late?.wanted(line)).map(({ id }) => id);
    expect(wanted("When the lamps are low — «так» שלום سلام नमस्ते ไทย")).toEqual([]);
    expect(wanted("把它带到水边")).toEqual(["noto-sc-500"]);
    expect(wanted("水辺まで運んでゆこう")).toEqual(["sawarabi-400"]);
    expect(wanted("물가로")).toEqual(["noto-kr-500"]);
    expect(orderFor("水辺まで", FALLBACK_FONTS).indexOf("sawarabi-400")).toBeLessThan(
      orderFor("水辺まで", FALLBACK_FONTS).indexOf("noto-sc-500"),
    );
  });
});
