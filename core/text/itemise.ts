import { resolveBidi } from "./bidi.ts";
import type { FontChoice } from "./fontChoice.ts";
import { stackFor } from "./fontChoice.ts";
import { orderFor } from "./fontList.ts";
import { type MarkedText, PLAIN, sameStyle, type WordStyle } from "./marks.ts";
import type { Shaper } from "./shaper.ts";

/** A stretch of one direction level, one script, one font and one style: what can be shaped in one go. */
export interface TextItem {
  readonly start: number;
  readonly end: number;
  readonly level: number;
  /** ISO 15924 code. */
  readonly script: string;
  readonly fontId: string;
  readonly style: WordStyle;
}

const SCRIPTS: readonly (readonly [code: string, pattern: RegExp])[] = [
  ["Latn", /\p{Script=Latin}/u],
  ["Grek", /\p{Script=Greek}/u],
  ["Cyrl", /\p{Script=Cyrillic}/u],
  ["Arab", /\p{Script=Arabic}/u],
  ["Hebr", /\p{Script=Hebrew}/u],
  ["Deva", /\p{Script=Devanagari}/u],
  ["Beng", /\p{Script=Bengali}/u],
  ["Taml", /\p{Script=Tamil}/u],
  ["Telu", /\p{Script=Telugu}/u],
  ["Gujr", /\p{Script=Gujarati}/u],
  ["Guru", /\p{Script=Gurmukhi}/u],
  ["Knda", /\p{Script=Kannada}/u],
  ["Mlym", /\p{Script=Malayalam}/u],
  ["Sinh", /\p{Script=Sinhala}/u],
  ["Thai", /\p{Script=Thai}/u],
  ["Laoo", /\p{Script=Lao}/u],
  ["Khmr", /\p{Script=Khmer}/u],
  ["Mymr", /\p{Script=Myanmar}/u],
  ["Tibt", /\p{Script=Tibetan}/u],
  ["Armn", /\p{Script=Armenian}/u],
  ["Geor", /\p{Script=Georgian}/u],
  ["Ethi", /\p{Script=Ethiopic}/u],
  ["Hani", /\p{Script=Han}/u],
  ["Hira", /\p{Script=Hiragana}/u],
  ["Kana", /\p{Script=Katakana}/u],
  ["Hang", /\p{Script=Hangul}/u],
];
const UNSETTLED = /[\p{Script=Common}\p{Script=Inherited}]/u;

const scriptsByCharacter = new Map<string, string | undefined>();

/** ISO 15924 code of a character, or undefined when it takes the script of its neighbours. */
export function findScript(character: string): string | undefined {
  if (scriptsByCharacter.has(character)) return scriptsByCharacter.get(character);
  const script = lookUpScript(character);
  scriptsByCharacter.set(character, script);
  return script;
}

function lookUpScript(character: string): string | undefined {
  if (UNSETTLED.test(character)) return undefined;
  for (const [script, pattern] of SCRIPTS) if (pattern.test(character)) return script;
  return "Zyyy";
}

/**
 * Cuts one paragraph into items, in logical order. Each character gets the first font of its style's stack that has
 * it; where none has, the first one's box shows.
 */
export function itemise(
  { words: text, stretches }: MarkedText,
  fonts: FontChoice,
  shaper: Pick<Shaper, "hasGlyph">,
): { items: TextItem[]; levels: Uint8Array; baseLevel: number } {
  const { levels, base } = resolveBidi(text);
  const items: TextItem[] = [];
  let script = firstScript(text);
  let at = 0;
  let style = stretches[0]?.style ?? PLAIN;
  let stack = orderFor(text, stackFor(fonts, style));
  let fontId = stack[0] as string;
  for (let i = 0; i < text.length; ) {
    let restyled = false;
    while (i >= (stretches[at]?.end ?? Number.POSITIVE_INFINITY) && at + 1 < stretches.length) {
      at++;
      restyled = true;
    }
    if (restyled) {
      style = stretches[at]?.style ?? PLAIN;
      stack = orderFor(text, stackFor(fonts, style));
    }
    const codePoint = text.codePointAt(i) as number;
    const length = codePoint > 0xffff ? 2 : 1;
    const character = text.slice(i, i + length);
    const own = findScript(character);
    if (own !== undefined) script = own;
    // Spaces, marks and punctuation stay with the font of the words before them, if it has them.
    const settled = !restyled && own === undefined && items.length > 0 && shaper.hasGlyph(fontId, codePoint);
    if (!settled) fontId = stack.find((id) => shaper.hasGlyph(id, codePoint)) ?? (stack[0] as string);
    const level = levels[i] ?? base;
    const last = items[items.length - 1];
    if (
      last &&
      last.level === level &&
      last.script === script &&
      last.fontId === fontId &&
      sameStyle(last.style, style)
    )
      items[items.length - 1] = { ...last, end: i + length };
    else items.push({ start: i, end: i + length, level, script, fontId, style });
    i += length;
  }
  return { items, levels, baseLevel: base };
}

function firstScript(text: string): string {
  for (const character of text) {
    const script = findScript(character);
    if (script) return script;
  }
  return "Latn";
}
