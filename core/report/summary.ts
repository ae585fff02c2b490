import type { Beside, BesideKind } from "./beside.ts";
import type { Range, Report } from "./report.ts";

/** An evening on one page. Times are server time, ms. */
export interface Summary {
  /** When the first page came, and when the last was taken off or came; null where nothing was on. */
  readonly beganMs: number | null;
  readonly endedMs: number | null;
  /** Something is on still. */
  readonly isOn: boolean;
  /** How much later than planned the first planned cue began, earlier where negative; null where nothing was planned to begin. */
  readonly beganLateMs: number | null;
  /** By how much all planned cues together took longer than planned, shorter where negative; null where none had a length. */
  readonly overMs: number | null;
  readonly cues: number;
  /** Pages that came; one on several screens is one. */
  readonly pages: number;
  readonly pagesByItself: number;
  /** Who brought how many pages, the busiest first. */
  readonly hands: readonly (readonly [name: string, pages: number])[];
  /** Whether what went wrong was written down by then. */
  readonly hasTroubles: boolean;
  /** Of each kind, the most telling first: what it was about, how often, and the worst of it. */
  readonly troubles: Readonly<Record<Exclude<BesideKind, "value" | "began">, readonly Trouble[]>>;
}

export interface Trouble {
  readonly words: string;
  readonly times: number;
  /** The worst amount; null where it has none. */
  readonly worst: number | null;
  readonly lastMs: number;
}

export function summaryOf({ shown, cues, beside, hasBeside }: Report, { fromMs, untilMs }: Range): Summary {
  const began = shown.filter((row) => row.fromMs >= fromMs);
  const pages = new Map(began.flatMap((row) => (row.isBrought ? [[row.seq, row]] : [])));
  const hands = new Map<string, number>();
  for (const { by, isByItself } of pages.values()) if (!isByItself) hands.set(by, (hands.get(by) ?? 0) + 1);
  const planned = cues.filter(({ overMs }) => overMs !== null);
  const first = cues.find(({ plannedAtMs }) => plannedAtMs !== null);
  const ends = shown.map((row) => Math.min(row.untilMs ?? untilMs, untilMs));
  const troubles = (kind: BesideKind) => gather(beside.filter((each) => each.kind === kind));
  return {
    beganMs: began[0]?.fromMs ?? null,
    endedMs: ends.length > 0 ? ends.reduce((a, b) => Math.max(a, b)) : null,
    isOn: shown.some((row) => row.untilMs === null),
    beganLateMs: first?.plannedAtMs == null ? null : first.fromMs - first.plannedAtMs,
    overMs: planned.length > 0 ? planned.reduce((sum, { overMs }) => sum + (overMs ?? 0), 0) : null,
    cues: new Set(cues.map(({ cueId }) => cueId)).size,
    pages: pages.size,
    pagesByItself: [...pages.values()].filter(({ isByItself }) => isByItself).length,
    hands: [...hands].sort((a, b) => b[1] - a[1]),
    hasTroubles: hasBeside,
    troubles: {
      refused: troubles("refused"),
      late: troubles("late"),
      missed: troubles("missed"),
      feed: troubles("feed"),
      stall: troubles("stall"),
    },
  };
}

/** What is about the same thing, or says the same, is one line: the worst of it. */
function gather(rows: readonly Beside[]): Trouble[] {
  const found = new Map<string, Trouble>();
  for (const { atMs, about, amount, words } of rows) {
    const key = amount === null ? words : about;
    const before = found.get(key);
    const isWorse = before === undefined || (amount ?? 0) > (before.worst ?? 0);
    found.set(key, {
      words: isWorse ? words : before.words,
      times: (before?.times ?? 0) + 1,
      worst: amount === null ? null : Math.max(amount, before?.worst ?? 0),
      lastMs: atMs,
    });
  }
  return [...found.values()].sort((a, b) => (b.worst ?? b.times) - (a.worst ?? a.times));
}
