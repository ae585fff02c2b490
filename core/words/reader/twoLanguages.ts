import { splitLines } from "../cleanLines.ts";
import { guessLanguage } from "../guessLanguage.ts";
import type { ReadLine, SongReading } from "./readSong.ts";

/** A text that says everything twice, taken apart into two with the same labels. */
export interface TwoLanguages {
  readonly how: "lines" | "stanzas" | "columns";
  /** BCP 47 tags; empty where nothing tells. */
  readonly languages: readonly [string, string];
  readonly first: string;
  readonly second: string;
}

type Side = 0 | 1;
const BOTH: readonly Side[] = [0, 1];

/**
 * Finds a second language that alternates with the first line by line or stanza by stanza, or stands beside it after
 * a tab. It is offered, never done.
 */
export function findTwoLanguages(text: string, { lines }: SongReading): TwoLanguages | undefined {
  return findColumns(text, lines) ?? findAlternating(lines, "lines") ?? findAlternating(lines, "stanzas");
}

/** Which stanza a line stands in, and which line of it, words only. */
function placesOf(lines: readonly ReadLine[]) {
  let stanza = -1;
  let line = 0;
  let inSection = -1;
  let section: string | undefined;
  return lines.map((each) => {
    if (each.kind === "label") {
      inSection = -1;
      section = each.section;
    }
    if (each.kind === "words" && (each.blankBefore || inSection < 0 || each.section !== section)) {
      stanza++;
      inSection++;
      line = 0;
      section = each.section;
    }
    return each.kind === "words" ? { stanza, line: line++ } : undefined;
  });
}

function findAlternating(lines: readonly ReadLine[], how: "lines" | "stanzas"): TwoLanguages | undefined {
  const places = placesOf(lines);
  const isLabelled = lines.some(({ kind }) => kind === "label");
  let stanzaInSection = -1;
  const sides = lines.map((line, i): Side | undefined => {
    if (line.kind === "label") stanzaInSection = -1;
    const place = places[i];
    if (!place) return undefined;
    if (place.line === 0) stanzaInSection++;
    return (how === "lines" ? place.line % 2 : (isLabelled ? stanzaInSection : place.stanza) % 2) as Side;
  });
  const of = (side: Side) => lines.flatMap(({ typed }, i) => (sides[i] === side ? [typed.trim()] : []));
  const [one, other] = [of(0), of(1)];
  if (one.length < 2 || one.length !== other.length) return undefined;
  const first = guessLanguage(one);
  const second = guessLanguage(other);
  if (!first || !second || first.language === second.language) return undefined;
  const least = Math.max(1, Math.min(3, one.length / 4));
  if (first.margin < least || second.margin < least) return undefined;
  // Each line on its own must mostly be on the right side, where it tells at all.
  const astray = lines.filter(({ typed }, i) => {
    const side = sides[i];
    const own = side === undefined ? undefined : guessLanguage([typed]);
    return own !== undefined && own.language === (side === 0 ? second : first).language;
  }).length;
  if (astray > lines.length * 0.15) return undefined;
  return {
    how,
    languages: [first.language, second.language],
    ...apart(lines, (i) => (sides[i] === undefined ? BOTH : [sides[i] as Side])),
  };
}

function apart(
  lines: readonly ReadLine[],
  sidesOf: (i: number) => readonly Side[],
  textOf = (i: number, _side: Side) => lines[i]?.typed.trim() ?? "",
) {
  const out: [string[], string[]] = [[], []];
  for (const [i, line] of lines.entries())
    for (const side of sidesOf(i)) {
      if (line.blankBefore || line.kind === "label")
        if (out[side].length > 0 && out[side].at(-1) !== "") out[side].push("");
      out[side].push(textOf(i, side));
    }
  const [first, second] = out.map((each) => `${each.join("\n").trim()}\n`) as [string, string];
  return { first, second };
}

/** Two languages beside each other, a tab between them. */
function findColumns(text: string, lines: readonly ReadLine[]): TwoLanguages | undefined {
  const typed = splitLines(text);
  const halves = lines.map(({ at }) => {
    const parts = (typed[at] ?? "").split(/\t+/).map((part) => part.trim());
    return parts.length === 2 && parts.every((part) => part !== "") ? (parts as [string, string]) : undefined;
  });
  const words = lines.filter(({ kind }) => kind === "words").length;
  const split = lines.filter(({ kind }, i) => kind === "words" && halves[i]).length;
  if (split < 2 || split < words * 0.7) return undefined;
  const first = guessLanguage(halves.flatMap((half) => (half ? [half[0]] : [])));
  const second = guessLanguage(halves.flatMap((half) => (half ? [half[1]] : [])));
  if (first && second && first.language === second.language) return undefined;
  return {
    how: "columns",
    languages: [first?.language ?? "", second?.language ?? ""],
    ...apart(
      lines,
      () => BOTH,
      (i, side) => halves[i]?.[side] ?? lines[i]?.typed.trim() ?? "",
    ),
  };
}
