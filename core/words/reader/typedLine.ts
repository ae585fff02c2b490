import { isChord } from "../chords.ts";
import { dropInvisible, splitLines } from "../cleanLines.ts";
import { findLabel } from "./label.ts";

/** One line of a pasted text, with what stood about its words taken off and remembered. */
export interface TypedLine {
  /** Which line of the typed text it is, from 0; the parts of a line that was parted at "/" share it. */
  readonly at: number;
  /** As it was typed, for showing and for chords. */
  readonly typed: string;
  /** Its words: no bullets, bold, quote marks of mails or code of web pages; single spaces. */
  readonly text: string;
  readonly isBold: boolean;
  /** It was marked as a heading. */
  readonly isHeading: boolean;
  readonly isBullet: boolean;
  /** Spaces before it, a tab counting four. */
  readonly indent: number;
}

/** No layout needs wider gaps, and patterns over them would take their time. */
const LONG_GAP = /[ \t\u00a0]{60,}/g;
const GAP = " ".repeat(60);

const ENTITIES: Readonly<Record<string, string>> = {
  amp: "&",
  lt: "<",
  gt: ">",
  quot: '"',
  apos: "'",
  nbsp: " ",
  rsquo: "’",
  lsquo: "‘",
  ldquo: "“",
  rdquo: "”",
  hellip: "…",
  mdash: "—",
  ndash: "–",
  copy: "©",
};

const TAG = /<\/?(?:p|br|b|i|u|em|strong|span|div|font|h[1-6]|li|ul|ol|a|pre|blockquote)\b[^<>\n]{0,200}>/gi;

/** What a web page's code would show; line breaks of it become "\n". */
function fromWeb(line: string): string {
  let text = line;
  if (text.includes("<"))
    text = text
      .replace(/<br\s*\/?>/gi, "\n")
      .replace(/<\/(?:p|div|li|h[1-6])>\s*(?=<)/gi, "\n")
      .replace(TAG, "");
  if (text.includes("&"))
    text = text.replace(
      /&(?:#(\d{1,6})|#x([0-9a-f]{1,5})|(\w{2,6}));/gi,
      (whole, decimal?: string, hex?: string, name?: string) => {
        if (name !== undefined) return ENTITIES[name.toLowerCase()] ?? whole;
        const code = decimal === undefined ? Number.parseInt(hex as string, 16) : Number(decimal);
        return code > 31 && code <= 0x10ffff && !(code >= 0xd800 && code <= 0xdfff)
          ? String.fromCodePoint(code)
          : " ";
      },
    );
  return text;
}

const QUOTED = /^(?:>\s?)+/;
/** Notes and stars that stand about a line. */
const ADORNMENTS = new Set([..."♩♪♫♬🎵🎶★☆✦✧❤♥✝~ ", "\ufe0f"]);

/** Without the notes and stars about it; a line of nothing else stays. */
function withoutAdornments(text: string): string {
  const letters = [...text];
  let from = 0;
  let to = letters.length;
  while (from < to && ADORNMENTS.has(letters[from] as string)) from++;
  while (to > from && ADORNMENTS.has(letters[to - 1] as string)) to--;
  return from < to ? letters.slice(from, to).join("") : text;
}

const BULLET = /^(?:[•·▪◦‣●○∙❖➤►▸*+→➔➜⇒»]|[-=]>|[–—-](?=\s))\s+/u;
/** Which way a line runs; a label must be known without it. */
const DIRECTION = /^[\u200e\u200f\u202a-\u202e\u2066-\u2069]+|[\u200e\u200f\u202a-\u202e\u2066-\u2069]+$/g;
/** "== Verse 1 ==", "** Lamp **": the same marks on both sides. */
const FRAMED = /^([=~*_#<>•·+]{1,6})\s+(\S.*?)\s+([=~*_#<>•·+]{1,6})$/;
/** "- Chorus -", "<Chorus>", "Chorus 🎤": only where a label stands between them. */
const FRAMED_LABEL = /^(?:[–—-]+\s+(.+?)\s+[–—-]+|[–—-]{2,}(.+?)[–—-]{2,})$/;
const PICTURES = /(?:\s*(?:\p{Extended_Pictographic}|\p{Emoji_Modifier}|\u200d|\ufe0f))+$/u;
/** When it is sung, as files that follow a recording say: "[00:12.30]", "<00:12.90>". */
const TIMES = /^(?:\[\d{1,2}:\d{2}(?:[.:]\d{1,3})?\]\s*)+|<\d{1,2}:\d{2}(?:[.:]\d{1,3})?>\s*/g;
/** Who wrote a message when, as a chat writes it out: "[20/11/2026, 19:02] Ilse: ". */
const MESSAGE =
  /^\[?\d{1,4}[/.-]\d{1,2}[/.-]\d{2,4},?\s+\d{1,2}:\d{2}(?::\d{2})?(?:\s?[ap]m)?\]?\s*(?:-\s*)?[^:]{1,30}:\s+/i;
const WRAPPED = /^(\*\*\*|\*\*|__|\*|_)(?=\S)(.+?)(?<=\S)\1$/;

/** When it comes in a recording: "0:45 Chorus". */
const CLOCK = /^[([]?\d{1,2}:\d{2}(?::\d{2})?[)\]]?\s+(?:[–—-]\s+)?/;

/** A label without the dashes, pictures or time about it; other lines as they are. */
function labelWithin(text: string): string {
  if (text.length > 60) return text;
  const between = FRAMED_LABEL.exec(text);
  const inner = (between?.[1] ?? between?.[2] ?? text)
    .replace(CLOCK, "")
    .replace(PICTURES, "")
    .replace(/^[*_]{1,3}(.*?)[*_]{1,3}$/, "$1")
    .trim();
  return inner !== text && findLabel(inner)?.behind === "" ? inner : text;
}

function undress(at: number, raw: string): TypedLine {
  const typed = dropInvisible(raw.replace(/\t/g, "    ")).trimEnd();
  let text = raw.replace(QUOTED, "");
  const indent = /^[\s\u00a0\u3000]*/.exec(text)?.[0].replace(/\t/g, "    ").length ?? 0;
  text = dropInvisible(text.replace(/[\t\u00a0\u2000-\u200a\u202f\u3000]/g, " "))
    .replace(/ {2,}/g, " ")
    .trim()
    .replace(DIRECTION, "")
    .replace(MESSAGE, "")
    .trim();
  text = withoutAdornments(text.replace(TIMES, "").replace(/(?<!\\)\\$/, ""));
  let isBold = false;
  const framed = FRAMED.exec(text);
  if (framed && framed[1]?.length === framed[3]?.length) {
    isBold = true;
    text = framed[2] as string;
  }
  text = labelWithin(text);
  const heading = /^#{1,6}\s+(?=\D)/.exec(text);
  if (heading) text = text.slice(heading[0].length).replace(/\s+#+$/, "");
  const bullet = BULLET.exec(text);
  if (bullet && text.length > bullet[0].length) text = text.slice(bullet[0].length);
  for (let wrapped = WRAPPED.exec(text); wrapped; wrapped = WRAPPED.exec(text)) {
    isBold = true;
    text = (wrapped[2] as string).trim();
  }
  // Marks of italics about several lines.
  text = text.replace(/^[_*]{1,3}(?=\p{L}[^_*]*$)|(?<=^[^_*]*[^\s_*])[_*]{1,3}$/gu, "");
  // "**Chorus:** words", "**Verse 1**:"
  const begins = /^(\*\*|__)(?=\S)([^*_]+?)\1(\s*:?.*)$/.exec(text);
  if (begins) {
    isBold = true;
    text = `${begins[2]}${begins[3]}`.trim();
  }
  return { at, typed, text, isBold, isHeading: heading !== null, isBullet: bullet !== null, indent };
}

/**
 * A pasted text as lines: web code read, lines that only "/" parts parted, blank lines between every two lines taken
 * out where the whole text has them. Blank lines have an empty text.
 */
export function typedLines(text: string): TypedLine[] {
  const raw = splitLines(withinCell(text).replace(LONG_GAP, GAP)).flatMap((line, at) =>
    fromWeb(line)
      .split("\n")
      .map((part) => ({ at, part })),
  );
  const parted = partAtSlashes(takeColumnsApart(squareChords(raw)));
  return dropDoubleSpacing(parted.map(({ at, part }) => undress(at, part)));
}

/** What a cell of a table held that was copied with its quotes. */
const withinCell = (text: string) => /^\s*"([^"]*\n[^"]*)"\s*$/.exec(text)?.[1] ?? text;

interface RawLine {
  readonly at: number;
  readonly part: string;
}

const ROUND_CHORD = /\(([A-H][^()\s]{0,8})\)/g;

/** Chords in round brackets within words are written in square ones, where a text has many: "(G)When the (C)lamps". */
function squareChords(raw: readonly RawLine[]): readonly RawLine[] {
  const within = (part: string) =>
    [...part.matchAll(ROUND_CHORD)].filter(
      ([whole, chord], _, all) =>
        isChord(chord as string) &&
        (all.length > 1 || /\p{L}/u.test(part.charAt(part.indexOf(whole) + whole.length))),
    ).length;
  if (raw.filter(({ part }) => within(part) > 0).length < 3) return raw;
  return raw.map(({ at, part }) => ({
    at,
    part: part.replace(ROUND_CHORD, (whole, chord: string) => (isChord(chord) ? `[${chord}]` : whole)),
  }));
}

/** Two sections set side by side: a line of two labels, and under it lines of two halves. */
function takeColumnsApart(raw: readonly RawLine[]): readonly RawLine[] {
  const halves = (part: string) => {
    const match = /^\s*(\S.*?)(?:\t+| {3,})(\S.*)$/.exec(part);
    return match && ([match[1] as string, match[2] as string] as const);
  };
  const isLabel = (text: string) => {
    const label = findLabel(text.trim());
    return label !== undefined && label.behind === "" && (label.number !== "" || label.short === null);
  };
  const numberOf = (text: string) => Number(/^\s*(\d{1,2})[.)]\s/.exec(text)?.[1] ?? Number.NaN);
  const at = raw.findIndex(({ part }) => {
    const both = halves(part);
    return both && (both.every(isLabel) || numberOf(both[1]) > numberOf(both[0]));
  });
  if (at < 0) return raw;
  const end = raw.findIndex(({ part }, i) => i > at && part.trim() === "");
  const block = raw.slice(at, end < 0 ? raw.length : end);
  const column = (side: 0 | 1) =>
    block.flatMap(({ at: line, part }) => {
      const both = halves(part);
      const own = both ? both[side] : side === 0 ? part : "";
      return own.trim() === "" ? [] : [{ at: line, part: own }];
    });
  const rest = end < 0 ? [] : takeColumnsApart(raw.slice(end));
  const blank = { at: block[0]?.at ?? 0, part: "" };
  return [...raw.slice(0, at), ...column(0), blank, ...column(1), ...rest];
}

const FEW_LINES = 6;

/** One-line pastes part their lines with " / " and their stanzas with " // ". */
function partAtSlashes(raw: readonly RawLine[]): readonly RawLine[] {
  const full = raw.filter(({ part }) => part.trim() !== "");
  const slashed = full.filter(({ part }) => isSlashed(part));
  if (slashed.length === 0 || (full.length > FEW_LINES && slashed.length < full.length * 0.4)) return raw;
  return raw.flatMap(({ at, part }) => {
    if (!isSlashed(part)) return [{ at, part }];
    return part
      .replace(/\s*\/\/+\s*/g, " / / ")
      .split(/\s+\/(?=\s|$)|\s\/\s?(?=\S)/)
      .map((piece) => ({ at, part: piece.trim() }));
  });
}

/** At least two strokes that stand free, or one in a long line; no chord bars. */
function isSlashed(line: string): boolean {
  if (/^\s*\|?:?\s*[A-H][#b]?\S{0,6}\s+\//.test(line)) return false;
  const strokes = line.match(/\s\/{1,2}\s/g)?.length ?? 0;
  const words = line.match(/\p{L}{2,}/gu)?.length ?? 0;
  return strokes > 0 && words >= 3 * strokes;
}

/** Where a blank line stands after nearly every line, it parts nothing; two of them then part stanzas. */
function dropDoubleSpacing(lines: readonly TypedLine[]): TypedLine[] {
  const gaps: number[] = [];
  let blanks = -1;
  for (const { text } of lines) {
    if (text === "") {
      if (blanks >= 0) blanks++;
    } else {
      if (blanks >= 0) gaps.push(blanks);
      blanks = 0;
    }
  }
  const spaced = gaps.filter((gap) => gap === 1).length;
  const wide = gaps.filter((gap) => gap > 1).length;
  const touching = gaps.filter((gap) => gap === 0).length;
  if (gaps.length < 6 || touching > gaps.length * 0.1 || wide === 0 || spaced < gaps.length * 0.5)
    return [...lines];
  const kept: TypedLine[] = [];
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i] as TypedLine;
    const isLone = line.text === "" && lines[i - 1]?.text !== "" && lines[i + 1]?.text !== "";
    if (!isLone) kept.push(line);
  }
  return kept;
}
