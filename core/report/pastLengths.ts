import type { PageContent } from "../rundown/content.ts";
import { foldWords } from "../words/foldWords.ts";

/** A cue was gone through from one time to another, ms. */
export interface PastVisit {
  readonly content: PageContent;
  readonly fromMs: number;
  readonly untilMs: number;
}

/** How long something took before. */
export interface PastLength {
  /** How often it was gone through. */
  readonly times: number;
  /** The middle one of all, ms: one evening on which somebody talked does not count for more. */
  readonly medianMs: number;
  readonly shortestMs: number;
  readonly longestMs: number;
  readonly lastMs: number;
}

/** Less than this is looking through, not going through. */
const LEAST_MS = 5_000;
/** Longer than this, somebody forgot to go on. */
const MOST_MS = 3 * 60 * 60 * 1_000;

/** What is the same on another evening: a song of the library whatever it is called, anything else by its kind and title. */
export const sameAs = ({ cueKind, fieldSet, title, song }: PageContent): string =>
  song?.songId ?? [cueKind, cueKind === "page" ? fieldSet : "", foldWords(title)].join("/");

/** How long each thing took, by `sameAs`. */
export function pastLengths(visits: readonly PastVisit[]): Map<string, PastLength> {
  const took = new Map<string, { ms: number; atMs: number }[]>();
  for (const { content, fromMs, untilMs } of visits) {
    const ms = untilMs - fromMs;
    if (ms < LEAST_MS || ms > MOST_MS) continue;
    const key = sameAs(content);
    took.set(key, [...(took.get(key) ?? []), { ms, atMs: fromMs }]);
  }
  return new Map(
    [...took].map(([key, own]) => {
      const sorted = own.map(({ ms }) => ms).toSorted((a, b) => a - b);
      return [
        key,
        {
          times: sorted.length,
          medianMs: medianOf(sorted),
          shortestMs: sorted[0] as number,
          longestMs: sorted.at(-1) as number,
          lastMs: own.reduce((latest, { atMs }) => Math.max(latest, atMs), 0),
        },
      ];
    }),
  );
}

/** @param sorted at least one */
function medianOf(sorted: readonly number[]): number {
  const half = Math.floor(sorted.length / 2);
  const upper = sorted[half] as number;
  return sorted.length % 2 === 1 ? upper : Math.round((upper + (sorted[half - 1] as number)) / 2);
}
