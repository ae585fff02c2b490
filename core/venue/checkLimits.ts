import { z } from "zod";
import { t } from "../language/t.ts";

/** A limit that a venue can set. */
interface Limit {
  readonly name: string;
  readonly unit: string;
  readonly usual: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** Where the usual figure is from. */
  readonly source: string;
}

/** Every limit, in the order in which they are listed. */
export const LIMITS = {
  narrowest: {
    name: t`Letters narrowed to no less than`,
    unit: "%",
    ...{ usual: 80, least: 40, most: 100, step: 1 },
    source: t`common practice`,
  },
  readableFactor: {
    name: t`A capital letter is at least this part of the farthest seat’s distance: 1 in`,
    unit: "",
    ...{ usual: 200, least: 50, most: 400, step: 5 },
    source: t`ANSI/AVIXA V202.01, basic decision making (from memory)`,
  },
  asidePercent: {
    name: t`Credits, labels and what else is small on a page, at least this much of that`,
    unit: "%",
    ...{ usual: 50, least: 10, most: 100, step: 5 },
    source: t`common practice`,
  },
  contrast: {
    name: t`Contrast of words, at least`,
    unit: t`to 1`,
    ...{ usual: 4.5, least: 1, most: 21, step: 0.1 },
    source: t`WCAG 2.2, 1.4.3`,
  },
  contrastOfLarge: {
    name: t`Contrast of large words, at least`,
    unit: t`to 1`,
    ...{ usual: 3, least: 1, most: 21, step: 0.1 },
    source: t`WCAG 2.2, 1.4.3`,
  },
  largeFromPx: {
    name: t`Words are large from, on a picture of 1080 lines`,
    unit: "px",
    ...{ usual: 36, least: 10, most: 200, step: 1 },
    source: t`WCAG 2.2: 24 px as they are seen at a desk; on a wall, by eye`,
  },
  wordsPerMinute: {
    name: t`Words read in a minute`,
    unit: t`words`,
    ...{ usual: 180, least: 60, most: 400, step: 5 },
    source: t`BBC subtitle guidelines, 160 to 180 (from memory)`,
  },
  crawlWordsPerMinute: {
    name: t`Words of a crawl in a minute`,
    unit: t`words`,
    ...{ usual: 180, least: 60, most: 400, step: 5 },
    source: t`BBC subtitle guidelines, 160 to 180 (from memory)`,
  },
  mostAtOnce: {
    name: t`Pages with words at once on a screen, besides layers that stay`,
    unit: "",
    ...{ usual: 2, least: 1, most: 9, step: 1 },
    source: t`common practice`,
  },
  overMinutes: {
    name: t`The evening may run over by`,
    unit: t`min`,
    ...{ usual: 0, least: 0, most: 120, step: 1 },
    source: "",
  },
  flashesPerSecond: {
    name: t`Flashes in one second`,
    unit: "",
    ...{ usual: 3, least: 1, most: 10, step: 1 },
    source: t`WCAG 2.2, 2.3.1; ITU-R BT.1702`,
  },
  lateMs: {
    name: t`A screen’s window is late when not heard for`,
    unit: "ms",
    ...{ usual: 1_800, least: 500, most: 30_000, step: 100 },
    source: "",
  },
} as const satisfies Readonly<Record<string, Limit>>;
export type LimitName = keyof typeof LIMITS;
export const LIMIT_NAMES = Object.keys(LIMITS) as readonly LimitName[];

const limitSchema = ({ least, most }: Limit) => z.number().min(least).max(most);

/** What the venue has set of them; what is not said is as usual. */
export const setLimitsSchema = z
  .strictObject(
    Object.fromEntries(LIMIT_NAMES.map((name) => [name, limitSchema(LIMITS[name])])) as Record<
      LimitName,
      z.ZodNumber
    >,
  )
  .partial();
export type SetLimits = z.infer<typeof setLimitsSchema>;

export type CheckLimits = Readonly<Record<LimitName, number>>;

export const limitsOf = (set: SetLimits): CheckLimits =>
  Object.fromEntries(LIMIT_NAMES.map((name) => [name, set[name] ?? LIMITS[name].usual])) as CheckLimits;
