/** A named piece of a song, once, however often it is sung. */
export interface SongSection {
  /** Stable within the song: the kind's letter and a number, such as "V1" or "C". */
  readonly key: string;
  readonly label: string;
  /** Stanzas of lines; a new stanza always begins a new slide. */
  readonly stanzas: readonly (readonly string[])[];
  /** For each line, stanzas joined: which line of the typed text it is, from 0. */
  readonly sourceLines: readonly number[];
}

export interface Song {
  readonly title: string;
  readonly credit: string;
  readonly sections: readonly SongSection[];
  /** Section keys as sung; a chorus may stand in it many times. */
  readonly order: readonly string[];
}

export const SONG_MAX_LINES = 1_000;
export const SONG_MAX_LINE_LENGTH = 400;

export type SongProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "tooManyLines"; readonly lines: number }
  | { readonly kind: "lineTooLong"; readonly line: number; readonly length: number };

interface SectionKind {
  readonly letter: string;
  readonly name: string;
  readonly words: readonly string[];
}

const SECTION_KINDS: readonly SectionKind[] = [
  { letter: "V", name: "Verse", words: ["verse", "v", "stanza", "strophe"] },
  { letter: "C", name: "Chorus", words: ["chorus", "c", "ch"] },
  { letter: "R", name: "Refrain", words: ["refrain", "ref"] },
  { letter: "P", name: "Pre-chorus", words: ["pre-chorus", "prechorus", "pre chorus"] },
  { letter: "B", name: "Bridge", words: ["bridge", "br", "middle eight"] },
  { letter: "I", name: "Intro", words: ["intro", "introduction"] },
  { letter: "N", name: "Interlude", words: ["interlude"] },
  { letter: "T", name: "Tag", words: ["tag", "coda"] },
  { letter: "E", name: "Ending", words: ["ending", "end", "outro"] },
];
const KIND_BY_WORD = new Map(
  SECTION_KINDS.flatMap((kind) => kind.words.map((word) => [word, kind] as const)),
);

const LABEL = /^([\p{L}][\p{L}\- ]*?)\s*(\d{1,2})?\s*(?:[x×]\s*(\d)|\((?:[x×]\s*)?(\d)\s*[x×]?\))?\s*:?$/u;
const CREDIT =
  /^(©|\(c\)|copyright\b|words\b.*[:&]|words (and|by)|music\b.*:|music by|text:|tune:|written by|lyrics\b.*[:&])/i;

interface Label {
  readonly kind: SectionKind;
  readonly number: string;
  readonly times: number;
}

/** Reads "Verse 1", "[Bridge]", "Chorus (x2):" and the like; undefined when the line is words to sing. */
export function findLabel(line: string): Label | undefined {
  const trimmed = line.trim();
  const bracketed = /^\[(.+)\]$|^\((.+)\)$|^\{(.+)\}$/.exec(trimmed);
  const inner = (bracketed?.[1] ?? bracketed?.[2] ?? bracketed?.[3] ?? trimmed).trim();
  const match = LABEL.exec(inner);
  const kind = match && KIND_BY_WORD.get((match[1] ?? "").toLowerCase());
  if (!match || !kind) return undefined;
  // One bare letter is a label only with a number, a colon or brackets: a line may well be "C".
  if ((match[1] ?? "").length === 1 && !match[2] && !bracketed && !trimmed.endsWith(":")) return undefined;
  return { kind, number: match[2] ?? "", times: Number(match[3] ?? match[4] ?? 1) };
}

/**
 * Takes the text apart as a person would read it: blank lines part stanzas, labels name sections, a label with
 * nothing under it sings that section again, a stanza repeated word for word is the same section again, lines
 * such as "Words and music: …" at the end are the credit.
 * Control characters are dropped, white space is folded.
 */
export function parseSong(text: string, title = ""): { song: Song } | { problem: SongProblem } {
  const lines = cleanLines(text);
  if (lines.length > SONG_MAX_LINES) return { problem: { kind: "tooManyLines", lines: lines.length } };
  const long = lines.findIndex((line) => line.length > SONG_MAX_LINE_LENGTH);
  if (long >= 0)
    return { problem: { kind: "lineTooLong", line: long + 1, length: (lines[long] as string).length } };

  const stanzas = intoStanzas(lines);
  const credit = takeCredit(stanzas);
  if (!stanzas.some((stanza) => stanza.lines.length > 0)) return { problem: { kind: "empty" } };
  const heading = title === "" ? takeHeading(stanzas) : undefined;
  const { sections, order } = intoSections(stanzas);
  const first = sections[0]?.stanzas[0]?.[0] ?? "";
  return { song: { title: title || (heading ?? first.replace(/[,;:.!?]+$/, "")), credit, sections, order } };
}

/** Normalised lines: every kind of line end, no control or invisible characters, single spaces. */
export function cleanLines(text: string): string[] {
  return text
    .normalize("NFC")
    .split(/\r\n|\r|\n|\u0085|\u2028|\u2029|\v|\f/)
    .map((line) =>
      line
        .replace(/[\t\u00a0]/g, " ")
        .replace(/[\p{Cc}\u200b\u2060\ufeff\u00ad\ufffe\uffff]/gu, "")
        .replace(/ {2,}/g, " ")
        .trim(),
    );
}

interface Stanza {
  readonly label: Label | undefined;
  readonly lines: string[];
  /** Line of the typed text that the first of them is; the others follow it. */
  from: number;
}

function intoStanzas(lines: readonly string[]): Stanza[] {
  const stanzas: Stanza[] = [];
  let open: Stanza | undefined;
  for (const [at, line] of lines.entries()) {
    if (line === "") {
      // A label may be parted from its words by a blank line.
      if (open && (open.lines.length > 0 || !open.label)) open = undefined;
      continue;
    }
    const label = findLabel(line);
    if (label) {
      open = { label, lines: [], from: at + 1 };
      stanzas.push(open);
    } else {
      if (!open) {
        open = { label: undefined, lines: [], from: at };
        stanzas.push(open);
      }
      if (open.lines.length === 0) open.from = at;
      open.lines.push(line);
    }
  }
  return stanzas;
}

function takeCredit(stanzas: Stanza[]): string {
  const last = stanzas.at(-1);
  if (!last || last.lines.length === 0) return "";
  const begins = last.lines.findIndex((line) => CREDIT.test(line));
  if (begins < 0) return "";
  const credit = last.lines.splice(begins).join(" · ");
  if (last.lines.length === 0 && !last.label) stanzas.pop();
  return credit;
}

/** A lone unlabelled line before everything else is the title, when labels or more stanzas follow. */
function takeHeading(stanzas: Stanza[]): string | undefined {
  const [first, second] = stanzas;
  if (!first || !second || first.label || first.lines.length !== 1) return undefined;
  const labelled = stanzas.some((stanza) => stanza.label);
  if (!labelled && stanzas.length < 3) return undefined;
  stanzas.shift();
  return first.lines[0];
}

interface OpenSection {
  readonly label: string;
  readonly stanzas: string[][];
  words: string;
  readonly sourceLines: number[];
}

function intoSections(stanzas: readonly Stanza[]): { sections: SongSection[]; order: string[] } {
  const labelled = stanzas.some((stanza) => stanza.label);
  const repeated = labelled ? new Set<string>() : repeatedWords(stanzas);
  const sections = new Map<string, OpenSection>();
  const order: string[] = [];
  let current: string | undefined;
  let versesSeen = 0;

  const sing = (key: string, times: number) => {
    for (let i = 0; i < Math.max(1, times); i++) order.push(key);
    current = key;
  };
  const keep = (key: string, label: string, { lines, from }: Stanza) =>
    sections.set(key, {
      label,
      stanzas: [lines],
      words: lines.join("\n"),
      sourceLines: lines.map((_, i) => from + i),
    });

  for (const stanza of stanzas) {
    const words = stanza.lines.join("\n");
    if (!stanza.label) {
      const same = [...sections].find(([, section]) => section.words === words);
      if (labelled && current && !same) {
        // Within a labelled text, an unlabelled stanza goes on with the section above it.
        const section = sections.get(current);
        if (section && order.filter((key) => key === current).length === 1) {
          section.stanzas.push(stanza.lines);
          section.words += `\n\n${words}`;
          section.sourceLines.push(...stanza.lines.map((_, i) => stanza.from + i));
          continue;
        }
      }
      if (same) sing(same[0], 1);
      else if (repeated.has(words)) {
        const key = freeKey("C", sections);
        keep(key, key === "C" ? "Chorus" : `Chorus ${key.slice(1)}`, stanza);
        sing(key, 1);
      } else {
        versesSeen++;
        const key = freeKey("V", sections, versesSeen);
        keep(key, `Verse ${key.slice(1)}`, stanza);
        sing(key, 1);
      }
      continue;
    }
    const { kind, number, times } = stanza.label;
    const key = kind.letter + number;
    const known = sections.get(key);
    if (stanza.lines.length === 0) {
      if (known) sing(key, times);
      // A name with no words yet is kept: the words may be typed next.
      else keep(key, `${kind.name}${number ? ` ${number}` : ""}`, stanza);
      continue;
    }
    if (!known || known.words === "") {
      keep(key, `${kind.name}${number ? ` ${number}` : ""}`, stanza);
      sing(key, times);
    } else if (known.words === words) sing(key, times);
    else {
      const other = freeKey(kind.letter, sections, 2);
      keep(other, `${kind.name} ${other.slice(kind.letter.length)}`, stanza);
      sing(other, times);
    }
  }
  return {
    sections: [...sections]
      .filter(([, section]) => section.words !== "")
      .map(([key, { label, stanzas: parts, sourceLines }]) => ({ key, label, stanzas: parts, sourceLines })),
    order: order.filter((key) => sections.get(key)?.words !== ""),
  };
}

function repeatedWords(stanzas: readonly Stanza[]): Set<string> {
  const seen = new Set<string>();
  const repeated = new Set<string>();
  for (const { lines } of stanzas) {
    const words = lines.join("\n");
    if (seen.has(words)) repeated.add(words);
    seen.add(words);
  }
  return repeated;
}

function freeKey(letter: string, taken: ReadonlyMap<string, unknown>, from = 0): string {
  if (from === 0 && !taken.has(letter)) return letter;
  for (let n = Math.max(from, 1); ; n++) if (!taken.has(letter + n)) return letter + n;
}
