import { editSteps } from "../editSteps.ts";
import { SECTION_WORDS, type SectionLetter, type SectionWord } from "./labelWords.ts";
import { readNumber } from "./numerals.ts";

/** A line that names a section, taken apart. */
export interface Label {
  readonly letter: SectionLetter;
  /** As digits; empty when it has none. */
  readonly number: string;
  /** What a section is called that has a name of its own; empty otherwise. */
  readonly ownName: string;
  /** How often it is sung. */
  readonly times: number;
  /** Who sings, and how: "all", "softly"; empty when not said. */
  readonly manner: string;
  /** Words to sing that stand on the same line. */
  readonly behind: string;
  /** Brackets of any kind stood round the name. */
  readonly bracketed: "square" | "round" | "other" | null;
  /** The name, number and all, ended in a colon. */
  readonly colon: boolean;
  /** A dash parts it from what stands behind. */
  readonly dash: boolean;
  /** The name is one letter, or a number alone. */
  readonly short: "letter" | "number" | null;
  /** It is spelt almost so. */
  readonly isMisspelt?: true;
}

const BRACKETS =
  /^(?:\[([^\]]+)\]|\(([^)]+)\)|[{<]([^}>]+)[}>]|【([^】]+)】|《([^》]+)》|「([^」]+)」)\s*[:：.–-]?\s*(.*)$/u;
const NUMBER =
  "(?:\\d{1,3}|[\\u0660-\\u0669\\u06f0-\\u06f9\\u0966-\\u096f]{1,2}|[一二三四五六七八九十]{1,3}|[ivx]{1,5}|[\u05d0-\u05d8]['’׳]|[\\p{L}]{2,12})";
const AFTER_NAME = new RegExp(
  `^\\s*(?:[#№]|no\\.?|nr\\.?|nº|n°)?\\s*(${NUMBER})([a-d])?(?![\\p{L}\\p{N}])(?:[ºª°]|\\.(?=\\s|$|:))?`,
  "iu",
);
const BEFORE_NAME = new RegExp(
  `^(?:第\\s*)?(${NUMBER})\\s*(?:\\.|\\)|[ºª°]|st|nd|rd|th|er|ère|ere|ème|eme|e|ste|de|-?й|-?я|-?та)?\\s*(?=\\p{L})`,
  "iu",
);
const COUNT =
  /^[\s,;:–-]*[([/]*\s*(?:(?:[x×✕*]\s*(\d))|(?:(\d)\s*(?:[x×✕]|times|mal|fois|veces|vezes|volte|v\.?(?=[)\]])|keer|gånger|gange|ganger|razy|раза?|回|次|번|遍))|(bis|twice|two times|zweimal|dos veces|deux fois|due volte|2\s*veces)|(ter|thrice|three times|dreimal|tres veces|trois fois))\s*[)\]/]*/iu;
/** Words that say who sings or how, in the languages that labels are read in. */
const MANNER_WORD =
  /^(?:all|everyone|everybody|together|men|women|ladies|gents|girls|boys|children|kids|choir|band|leader|solo|soloist|duet|group\s*\d?|unison|tutti|congregation|people|soprano|alto|tenor|bass|soft(?:ly)?|quiet(?:ly)?|loud(?:ly)?|slow(?:ly|er)?|fast(?:er)?|gentl[ey]|build|a\s*cappella|acapella|no\s+(?:band|drums|music)|drums?(?:\s+only)?|key\s*(?:change|up)|half[\s-]?time|repeat|spoken|spoken\s+word|whisper(?:ed)?|optional|last(?:\s+time)?|first\s+time|second\s+time|once|again|hum(?:med)?|harmony|echo|down|up|full|big|alle|männer|frauen|kinder|chor|gemeinde|leise|laut|langsam|todos|todas|hombres|mujeres|niños|suave|lento|tous|hommes|femmes|enfants|doux|doucement|tutti|uomini|donne|piano|forte|todos|homens|mulheres|allen|mannen|vrouwen|alla|män|kvinnor|wszyscy|все|усі|всі|כולם|الكل|الجميع|全体|全員|齐|众|다같이|모두)(?:\b|(?![\p{L}]))/iu;
/** Numbers that a short label may not swallow: "Refrain ten thousand lamps". */
const ROMAN_ONLY = /^[ivx]+$/i;

/** Full-width digits, letters and marks as narrow ones; the text keeps its length. */
const narrow = (text: string) =>
  text
    .replace(/[\uff01-\uff5e]/g, (wide) => String.fromCharCode(wide.charCodeAt(0) - 0xfee0))
    .replace(/[\u3000\u00a0]/g, " ");

const closes = (rest: string, word: SectionWord) => word.touches || !/^[\p{L}\p{M}'’]/u.test(rest);

/**
 * Reads a label such as "Verse 1", "[Puente]", "2. Strophe", "Chorus (softly) x2" or "V1: Carry the lamp".
 * Whether the line really is one depends on the song about it: this only says what it would be.
 * @param line dressing such as bullets and bold already gone
 */
export function findLabel(line: string): Label | undefined {
  const whole = readLabel(line);
  if (!whole || whole.behind === "") return whole;
  const short = withoutEnd(line.trim());
  const label = short === line.trim() ? undefined : readLabel(short);
  return label?.behind === "" ? label : whole;
}

/** "… x2 then end": what comes after the last time is nothing. */
export const withoutEnd = (text: string): string =>
  text.replace(/\s*[,;]?\s+(?:(?:and|then|to|&)\s+)+(?:the\s+)?(?:end|fade|finish|close|out|stop)$/i, "");

function readLabel(line: string): Label | undefined {
  const text = narrow(line.trim());
  if (text === "" || text.length > 400) return undefined;
  const match = BRACKETS.exec(text);
  if (match) {
    const [, square, round, curly, ...others] = match;
    const inner = square ?? round ?? curly ?? others.slice(0, 3).find((part) => part !== undefined) ?? "";
    const after = (match[7] ?? "").trim();
    const named = findNamed(inner, true);
    if (!named) return undefined;
    // "[Verse 2: Ilse]": in brackets, what stands behind a colon says who.
    const isSaid = named.behind !== "" && named.colon && named.behind.split(/\s+/).length <= 5;
    if (named.behind !== "" && !isSaid) return undefined;
    const label = isSaid ? { ...named, manner: named.behind, behind: "" } : named;
    const counted = COUNT.exec(after);
    const tail = counted ? after.slice(counted[0].length).replace(/^[:\s]+/, "") : after;
    const manner = MANNER_WORD.exec(tail.replace(/^[(\s]+/, "")) && tail.split(/\s+/).length <= 4;
    return {
      ...label,
      times: counted ? timesOf(counted) : label.times,
      manner: manner ? tail.replace(/[()]/g, "") : label.manner,
      behind: manner ? "" : tail,
      bracketed: square !== undefined ? "square" : round !== undefined ? "round" : "other",
    };
  }
  return findNamed(text, false);
}

/** "Last chorus", "Final refrain": which time it is. */
const WHICH_TIME =
  /^(?:(?:the )?(?:last|final|closing|opening|double|next)|letzter?|letzte[sr]?|último|última|dernier|dernière|ultimo|ultima|laatste|sista|siste|sidste|последний|останній)\s+(?=\p{L}{4})/iu;
/** The answer of the people, as liturgies mark it. */
const RESPONSE = /^(?:R\s?\/\.?|℟\.?|R\.)(?:\s+|$)/;

function findNamed(typed: string, isBracketed: boolean): Label | undefined {
  const which = WHICH_TIME.exec(typed);
  const text = which ? typed.slice(which[0].length) : typed;
  if (which) {
    const label = findNamed(text, isBracketed);
    return label && label.behind === ""
      ? { ...label, manner: [which[0].trim(), label.manner].filter(Boolean).join(", ") }
      : undefined;
  }
  const response = RESPONSE.exec(text);
  if (response)
    return {
      letter: "R",
      number: "",
      ownName: "",
      times: 1,
      manner: "",
      behind: text.slice(response[0].length).trim(),
      bracketed: null,
      colon: true,
      dash: false,
      short: null,
    };
  const lower = text.toLowerCase();
  const direct = nameAt(lower, 0);
  if (direct) return finish(text, direct.word, direct.word.word.length, undefined, isBracketed);
  const before = BEFORE_NAME.exec(lower);
  // "to chorus" is no number two of a Norwegian's.
  const number = before && before[1] !== "to" ? readNumber(before[1] as string) : undefined;
  if (before && number !== undefined) {
    const named = nameAt(lower, before[0].length);
    if (named)
      return finish(text, named.word, before[0].length + named.word.word.length, String(number), isBracketed);
  }
  return undefined;
}

const WORDS_BY_LETTER: ReadonlyMap<string, readonly SectionWord[]> = SECTION_WORDS.reduce(
  (byLetter, word) => {
    const letter = word.word.charAt(0);
    return byLetter.set(letter, [...(byLetter.get(letter) ?? []), word]);
  },
  new Map<string, SectionWord[]>(),
);

function nameAt(lower: string, at: number): { word: SectionWord } | undefined {
  const rest = lower.slice(at);
  // Every line of every song is asked: only words that begin as it does are tried.
  const word = WORDS_BY_LETTER.get(rest.charAt(0))?.find(
    (each) => rest.startsWith(each.word) && closes(rest.slice(each.word.length), each),
  );
  return word && { word };
}

function finish(
  text: string,
  word: SectionWord,
  nameEnd: number,
  numberBefore: string | undefined,
  isBracketed: boolean,
): Label | undefined {
  let rest = text.slice(nameEnd);
  let number = numberBefore ?? "";
  // "Str. 2", "Ref. x2"
  rest = rest.replace(/^\.(?=\s|\d|$|:)/, "");
  const counted = COUNT.exec(rest);
  if (number === "" && !(counted && counted[0].trim() !== "")) {
    const found = AFTER_NAME.exec(rest);
    const value = found && readNumber(found[1] as string);
    if (found && value !== undefined) {
      number = `${value}${found[2]?.toLowerCase() ?? ""}`;
      rest = rest.slice(found[0].length);
      // "第一節": the counter goes with the number.
      if (word.touches) rest = rest.replace(/^[节節番絕절]/u, "");
    }
  }
  let times = 1;
  let manner = "";
  let colon = false;
  let dash = false;
  for (;;) {
    const inBrackets = /^\s*[([]([^)\]]{1,40})[)\]]/.exec(rest);
    if (inBrackets) {
      const inner = (inBrackets[1] as string).trim().replace(/^(?:sing|repeat|play)\s+(?=\S)/i, "");
      const count = COUNT.exec(inner);
      const digit = /^[2-9]$/.test(inner);
      if (count && count[0] !== "") times = timesOf(count);
      // "Chorus: (2)", but "Verse (2)".
      else if (digit && word.letter !== "V") times = Number(inner);
      else if (digit && number === "") number = inner;
      const said = digit ? "" : inner.slice(count?.[0].length ?? 0).replace(/^[\s,;]+/, "");
      manner = [manner, said].filter(Boolean).join(", ");
      rest = rest.slice(inBrackets[0].length);
      continue;
    }
    const again = COUNT.exec(rest);
    if (again && again[0].trim() !== "") {
      times = timesOf(again);
      rest = rest.slice(again[0].length);
      continue;
    }
    const mark = /^\s*(?:[:\uff1a]|\|(?=\s)|[–—-](?=\s)|\/$|[.)](?=\s|$))|^[–—-]+$/.exec(rest);
    if (mark && rest.trim() !== "") {
      colon ||= /[:\uff1a|]/.test(mark[0]);
      dash ||= /[–—-]/.test(mark[0]);
      rest = rest.slice(mark[0].length);
      const said = MANNER_WORD.exec(rest.trim());
      if (said && rest.trim().split(/\s+/).length <= 3) {
        manner = [manner, rest.trim().replace(/[.:]$/, "")].filter(Boolean).join(", ");
        rest = "";
      }
      continue;
    }
    break;
  }
  const short = word.word.length === 1 && !word.touches ? "letter" : null;
  // A roman number that is a word of its own: "Chorus I will sing".
  const behind = rest.trim();
  if (behind !== "" && ROMAN_ONLY.test(number)) return undefined;
  return {
    letter: word.letter,
    number,
    ownName: "",
    times: Math.min(9, Math.max(1, times)),
    manner,
    behind,
    bracketed: isBracketed ? "square" : null,
    colon,
    dash,
    short,
  };
}

function timesOf(match: RegExpExecArray): number {
  if (match[3]) return 2;
  if (match[4]) return 3;
  return Math.max(1, Number(match[1] ?? match[2] ?? 1));
}

/** Words of their own that a letter parts from the name of a section. */
const OTHER_WORDS = new Set(["chords", "bride", "ridge", "couple", "monte", "verses", "strife"]);

/** The label that a line is with one letter changed: "Chours", "Brigde 2". Only for lines of one word and a number. */
export function findMisspelt(line: string): Label | undefined {
  const match = /^[\p{P}]?([\p{L}-]{5,12})(?![\p{L}-])(.{0,12})$/iu.exec(line.trim());
  const typed = match?.[1]?.toLowerCase();
  if (!match || typed === undefined || OTHER_WORDS.has(typed) || /\p{L}{3}/u.test(match[2] as string))
    return undefined;
  const meant = SECTION_WORDS.find(
    ({ word, touches }) =>
      !touches &&
      word.length >= 5 &&
      Math.abs(word.length - typed.length) < 2 &&
      editSteps(word, typed) === 1,
  );
  const label = meant && findLabel(`${meant.word}${match[2]}`);
  return label?.behind === "" ? { ...label, isMisspelt: true } : undefined;
}

/**
 * The label that a line is whatever stands about it: nothing behind it, and no word that may as well be sung, such as
 * a bare "C" or "fin".
 */
export function findLoneLabel(line: string): Label | undefined {
  const text = line.trim();
  const label = findLabel(text);
  if (label?.behind !== "") return undefined;
  const isMarked = label.number !== "" || label.bracketed !== null || label.colon;
  if (label.short === "letter" && !isMarked) return undefined;
  return text.length <= 4 && text === text.toLowerCase() && text !== text.toUpperCase() && !isMarked
    ? undefined
    : label;
}

/** A count behind words or alone, such as "(x2)", "2x", "bis": how often, and what stands before it. */
export function countBehind(line: string): { readonly times: number; readonly before: string } | undefined {
  // Most lines have none, and need no closer look.
  if (!/\d|bis|ter|twice|repeat/i.test(line)) return undefined;
  const match =
    /^(.*?)\s*[([/]\s*(?:[x×✕]\s*(\d)|(\d)\s*[x×✕]|(\d)\s*(?:times|mal|fois|veces|vezes|volte|v\.?(?=\s*[)\]])|raz[ay]?|раза?)|(bis|twice|repeat)|(ter))\s*[)\]/]\.?$/iu.exec(
      line,
    ) ??
    /^(.*?)(?:^|\s+)(?:[x×✕]\s?(\d)|(\d)\s?[x×✕]|(\d)\s+(?:times|mal|fois|veces|vezes|volte))\.?$/iu.exec(
      line,
    ) ??
    /^(.*[.,;!?])\s+()()()(bis)\.?$/iu.exec(line);
  if (!match) return undefined;
  const times = match[5] ? 2 : match[6] ? 3 : Number(match[2] ?? match[3] ?? match[4] ?? 1);
  return times >= 1 && times <= 9 ? { times, before: (match[1] ?? "").trim() } : undefined;
}

export const isManner = (text: string): boolean => {
  const match = MANNER_WORD.exec(text.trim());
  return match !== null && text.trim().split(/\s+/).length <= 4;
};
