import { z } from "zod";
import { languageCode } from "../language/t.ts";
import { type Credits, creditsSchema, NO_CREDITS } from "../words/credits.ts";
import { foldWords } from "../words/foldWords.ts";
import type { Range } from "./report.ts";

/** Words of a song were on screens from one time to another. Times are server time, ms. */
export const songShownSchema = z.strictObject({
  cueId: z.string(),
  /** The library's song; null: typed into the evening. */
  songId: z.string().nullable(),
  title: z.string(),
  /** Left out: what was written down then did not say. */
  credits: creditsSchema.optional(),
  fromMs: z.number(),
  untilMs: z.number(),
  screens: z.array(z.string()).readonly(),
});
export type SongShown = z.infer<typeof songShownSchema>;

/** As much of it as lies in a stretch of time; undefined: nothing does. */
export function within(shown: SongShown, { fromMs, untilMs }: Range): SongShown | undefined {
  const inside = {
    ...shown,
    fromMs: Math.max(shown.fromMs, fromMs),
    untilMs: Math.min(shown.untilMs, untilMs),
  };
  return inside.fromMs < inside.untilMs ? inside : undefined;
}

/** What a licence report asks of one song. */
export interface SongUse {
  readonly key: string;
  /** As it was called last. */
  readonly title: string;
  /** Other titles under which it was shown. */
  readonly otherTitles: readonly string[];
  readonly credits: Credits;
  /** How often it was sung; one singing is all of its slides, one after another. */
  readonly times: number;
  readonly firstMs: number;
  readonly lastMs: number;
  /** Words of it were on a screen for so long. */
  readonly shownMs: number;
  readonly screens: readonly string[];
  /** What the report needs and nobody has said; empty where all is said. */
  readonly missing: readonly ("writers" | "number")[];
}

/** Words that come back after so long are another singing of the song. */
const ANOTHER_SINGING_MS = 10 * 60 * 1_000;

/** Songs by their titles. A song that was renamed is one song; one that is in no library is known by its title and writers. */
export function songUse(shown: readonly SongShown[]): SongUse[] {
  const songs = new Map<string, SongShown[]>();
  for (const each of shown.toSorted((a, b) => a.fromMs - b.fromMs)) {
    const { songId, title, credits } = each;
    const key = songId ?? `${foldWords(title)} / ${foldWords(credits?.writers ?? "")}`;
    const own = songs.get(key);
    if (own) own.push(each);
    else songs.set(key, [each]);
  }
  return [...songs]
    .map(([key, own]) => useOf(key, own))
    .sort((a, b) => a.title.localeCompare(b.title, languageCode()) || a.firstMs - b.firstMs);
}

function useOf(key: string, shown: readonly SongShown[]): SongUse {
  const last = shown.at(-1) as SongShown;
  const { title } = last;
  const credits = shown.findLast((each) => each.credits)?.credits ?? NO_CREDITS;
  let times = 0;
  let shownMs = 0;
  let untilMs = Number.NEGATIVE_INFINITY;
  for (const each of shown) {
    if (each.fromMs - untilMs > ANOTHER_SINGING_MS) times++;
    // What is on several screens at once is shown once.
    shownMs += Math.max(0, each.untilMs - Math.max(each.fromMs, untilMs));
    untilMs = Math.max(untilMs, each.untilMs);
  }
  return {
    ...{ key, title, credits, times, shownMs },
    otherTitles: [...new Set(shown.map((each) => each.title))].filter((other) => other !== title),
    firstMs: (shown[0] as SongShown).fromMs,
    lastMs: last.fromMs,
    screens: [...new Set(shown.flatMap(({ screens }) => screens))],
    missing: [
      ...(credits.writers === "" ? (["writers"] as const) : []),
      ...(credits.number === "" && !credits.publicDomain ? (["number"] as const) : []),
    ],
  };
}
