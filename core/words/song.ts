import { hasChords, isChordLine, stripChords } from "./chords.ts";
import { cleanLines, dropInvisible, splitLines } from "./cleanLines.ts";
import { type Credits, isCreditLine, NO_CREDITS, readCredits } from "./credits.ts";
import { foldWords } from "./foldWords.ts";
import { findLabel, type Label } from "./sectionLabels.ts";

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
  /** As read from lines such as "Words: …" at its end. */
  readonly credits: Credits;
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

/**
 * Takes the text apart as a person would read it: blank lines part stanzas, labels name sections, a label with
 * nothing under it sings that section again, a stanza repeated in the same words is the same section again, lines
 * such as "Words and music: …" at the end are the credit.
 * Control characters and chords are dropped, white space is folded.
 */
export function parseSong(text: string, title = ""): { song: Song } | { problem: SongProblem } {
  const typed = splitLines(text);
  if (typed.length > SONG_MAX_LINES) return { problem: { kind: "tooManyLines", lines: typed.length } };
  const lines = typed.flatMap((raw, at): SungLine[] => {
    const shown = dropInvisible(raw);
    if (isChordLine(shown)) return [];
    const [line = ""] = cleanLines(stripChords(raw));
    // A line that held nothing but chords is no stanza's end.
    return line === "" && hasChords(shown) ? [] : [{ text: line, at }];
  });
  const long = lines.find((line) => line.text.length > SONG_MAX_LINE_LENGTH);
  if (long) return { problem: { kind: "lineTooLong", line: long.at + 1, length: long.text.length } };

  const stanzas = intoStanzas(lines);
  const credits = takeCredits(stanzas);
  if (!stanzas.some((stanza) => stanza.lines.length > 0)) return { problem: { kind: "empty" } };
  const heading = title === "" ? takeHeading(stanzas) : undefined;
  const { sections, order } = intoSections(stanzas);
  const first = sections[0]?.stanzas[0]?.[0] ?? "";
  return {
    song: { title: title || (heading ?? first.replace(/[,;:.!?]+$/, "")), credits, sections, order },
  };
}

interface SungLine {
  readonly text: string;
  /** Line of the typed text, from 0. */
  readonly at: number;
}

interface Stanza {
  readonly label: Label | undefined;
  readonly lines: SungLine[];
}

const textsOf = (stanza: Stanza) => stanza.lines.map(({ text }) => text);

function intoStanzas(lines: readonly SungLine[]): Stanza[] {
  const stanzas: Stanza[] = [];
  let open: Stanza | undefined;
  for (const line of lines) {
    if (line.text === "") {
      // A label may be parted from its words by a blank line.
      if (open && (open.lines.length > 0 || !open.label)) open = undefined;
      continue;
    }
    const label = findLabel(line.text);
    if (label) {
      open = { label, lines: [] };
      stanzas.push(open);
    } else {
      if (!open) {
        open = { label: undefined, lines: [] };
        stanzas.push(open);
      }
      open.lines.push(line);
    }
  }
  return stanzas;
}

function takeCredits(stanzas: Stanza[]): Credits {
  const last = stanzas.at(-1);
  if (!last || last.lines.length === 0) return NO_CREDITS;
  const begins = last.lines.findIndex((line) => isCreditLine(line.text));
  if (begins < 0) return NO_CREDITS;
  const credits = readCredits(last.lines.splice(begins).map(({ text }) => text));
  if (last.lines.length === 0 && !last.label) stanzas.pop();
  return credits;
}

/** A lone unlabelled line before everything else is the title, when labels or more stanzas follow. */
function takeHeading(stanzas: Stanza[]): string | undefined {
  const [first, second] = stanzas;
  if (!first || !second || first.label || first.lines.length !== 1) return undefined;
  const labelled = stanzas.some((stanza) => stanza.label);
  if (!labelled && stanzas.length < 3) return undefined;
  stanzas.shift();
  return first.lines[0]?.text;
}

interface OpenSection {
  readonly label: string;
  readonly stanzas: string[][];
  /** Compared, to find what is sung again. */
  folded: string;
  readonly sourceLines: number[];
}

const foldStanza = (stanza: Stanza) => textsOf(stanza).map(foldWords).join("\n");

function intoSections(stanzas: readonly Stanza[]): { sections: SongSection[]; order: string[] } {
  const labelled = stanzas.some((stanza) => stanza.label);
  const repeated = labelled ? new Set<string>() : repeatedStanzas(stanzas);
  const sections = new Map<string, OpenSection>();
  const keyOfWords = new Map<string, string>();
  const order: string[] = [];
  const timesSung = new Map<string, number>();
  let current: string | undefined;
  let versesSeen = 0;

  const sing = (key: string, times: number) => {
    for (let i = 0; i < times; i++) order.push(key);
    timesSung.set(key, (timesSung.get(key) ?? 0) + times);
    current = key;
  };
  const keep = (key: string, label: string, stanza: Stanza) => {
    const folded = foldStanza(stanza);
    sections.set(key, {
      label,
      stanzas: [textsOf(stanza)],
      folded,
      sourceLines: stanza.lines.map(({ at }) => at),
    });
    if (!keyOfWords.has(folded)) keyOfWords.set(folded, key);
  };

  for (const stanza of stanzas) {
    const folded = foldStanza(stanza);
    if (!stanza.label) {
      const same = keyOfWords.get(folded);
      if (labelled && current && same === undefined) {
        // Within a labelled text, an unlabelled stanza goes on with the section above it.
        const section = sections.get(current);
        if (section && timesSung.get(current) === 1) {
          section.stanzas.push(textsOf(stanza));
          keyOfWords.delete(section.folded);
          section.folded += `\n\n${folded}`;
          keyOfWords.set(section.folded, current);
          section.sourceLines.push(...stanza.lines.map(({ at }) => at));
          continue;
        }
      }
      if (same !== undefined) sing(same, 1);
      else if (repeated.has(folded)) {
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
    const name = `${kind.name}${number ? ` ${number}` : ""}`;
    if (stanza.lines.length === 0) {
      if (known) sing(key, times);
      // A name with no words yet is kept: the words may be typed next.
      else keep(key, name, stanza);
      continue;
    }
    if (!known || known.folded === "") {
      keep(key, name, stanza);
      sing(key, times);
    } else if (known.folded === folded || known.folded.startsWith(`${folded}\n\n`)) sing(key, times);
    else {
      const other = freeKey(kind.letter, sections, 2);
      keep(other, `${kind.name} ${other.slice(kind.letter.length)}`, stanza);
      sing(other, times);
    }
  }
  return {
    sections: [...sections]
      .filter(([, section]) => section.folded !== "")
      .map(([key, { label, stanzas: parts, sourceLines }]) => ({ key, label, stanzas: parts, sourceLines })),
    order: order.filter((key) => sections.get(key)?.folded !== ""),
  };
}

function repeatedStanzas(stanzas: readonly Stanza[]): Set<string> {
  const seen = new Set<string>();
  const repeated = new Set<string>();
  for (const stanza of stanzas) {
    const folded = foldStanza(stanza);
    if (seen.has(folded)) repeated.add(folded);
    seen.add(folded);
  }
  return repeated;
}

function freeKey(letter: string, taken: ReadonlyMap<string, unknown>, from = 0): string {
  if (from === 0 && !taken.has(letter)) return letter;
  for (let n = Math.max(from, 1); ; n++) if (!taken.has(letter + n)) return letter + n;
}
