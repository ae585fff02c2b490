import type { AsRunRow } from "./asRunRow.ts";

/** Words that were on a screen, from when to when; ms since the recording began. */
export interface Caption {
  readonly fromMs: number;
  readonly untilMs: number;
  readonly words: string;
}

/** Shorter ones nobody reads: they were passed over on the way to another. */
const SHORTEST_MS = 200;

/**
 * The words that were shown, as subtitles of a recording. What two screens showed at the same time is one.
 * @param beganAtMs server time at which the recording began
 * @param nowMs until when that is shown which is still there
 */
export function captionsOf(
  rows: readonly Pick<AsRunRow, "fromMs" | "untilMs" | "words">[],
  beganAtMs: number,
  nowMs: number,
): Caption[] {
  const spoken = rows
    .filter(({ words }) => words !== "")
    .map(({ fromMs, untilMs, words }) => ({ fromMs, untilMs: untilMs ?? nowMs, words }))
    .sort((a, b) => a.fromMs - b.fromMs || a.untilMs - b.untilMs);
  const joined: { fromMs: number; untilMs: number; words: string }[] = [];
  for (const each of spoken) {
    const same = joined.find(({ words, untilMs }) => words === each.words && untilMs >= each.fromMs);
    if (same) same.untilMs = Math.max(same.untilMs, each.untilMs);
    else joined.push({ ...each });
  }
  return joined.flatMap(({ fromMs, untilMs, words }) => {
    const [from, until] = [Math.max(0, fromMs - beganAtMs), untilMs - beganAtMs];
    // Lines of words are told with strokes between them in the report.
    return until - from < SHORTEST_MS
      ? []
      : [{ fromMs: from, untilMs: until, words: words.replaceAll(" / ", "\n") }];
  });
}

/** Subtitles for players on the web. Source: W3C WebVTT, "File structure" and "Cue text". */
export const webVtt = (captions: readonly Caption[]): string =>
  `WEBVTT\n\n${captions
    .map(({ fromMs, untilMs, words }, index) => {
      const text = plainLines(words).replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;");
      return `${index + 1}\n${timeOf(fromMs, ".")} --> ${timeOf(untilMs, ".")}\n${text}\n`;
    })
    .join("\n")}`;

/** SubRip, as most players and editors read it (common practice). */
export const subRip = (captions: readonly Caption[]): string =>
  captions
    .map(
      ({ fromMs, untilMs, words }, index) =>
        `${index + 1}\n${timeOf(fromMs, ",")} --> ${timeOf(untilMs, ",")}\n${plainLines(words)}\n`,
    )
    .join("\n");

/** An empty line would end the words. */
const plainLines = (words: string): string =>
  words
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== "")
    .join("\n");

/** HH:MM:SS.mmm; hours have two figures or more. */
function timeOf(ms: number, point: "." | ","): string {
  const whole = Math.round(ms);
  const two = (n: number) => String(n).padStart(2, "0");
  const seconds = Math.floor(whole / 1_000);
  return `${two(Math.floor(seconds / 3_600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}${point}${String(whole % 1_000).padStart(3, "0")}`;
}
