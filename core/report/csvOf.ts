import type { AsRunRow, CueRow } from "./asRunRow.ts";
import { csvText } from "./csvText.ts";
import type { ReportNote } from "./report.ts";
import type { SongUse } from "./songUse.ts";

const seconds = (ms: number): number => Math.round(ms / 100) / 10;

/** @param timeOf an instant as people of the venue write it, with its day */
export function shownCsv(
  rows: readonly AsRunRow[],
  notes: readonly ReportNote[],
  timeOf: (atMs: number) => string,
): string {
  const said = new Map<number, string>();
  for (const { seq, words, by } of notes)
    said.set(seq, [said.get(seq), `${words} (${by})`].filter(Boolean).join("; "));
  return csvText(
    [
      ...["From", "Until", "Seconds", "Screens", "Layer", "Kind", "Title", "Part", "Words"],
      ...["Began with", "By", "Ended by", "Whose", "Note"],
    ],
    rows.map((row) => [
      timeOf(row.fromMs),
      row.untilMs === null ? "" : timeOf(row.untilMs),
      row.untilMs === null ? "" : seconds(row.untilMs - row.fromMs),
      ...[row.screens.join(", "), row.layer, row.kind, row.title, row.part, row.words],
      ...[row.began, row.by, row.ended, row.endedBy, said.get(row.seq) ?? ""],
    ]),
  );
}

export const cuesCsv = (rows: readonly CueRow[], timeOf: (atMs: number) => string): string =>
  csvText(
    ["Cue", "Planned at", "Began at", "Planned seconds", "Took seconds", "Over seconds"],
    rows.map(({ title, plannedAtMs, fromMs, plannedMs, tookMs, overMs }) => [
      title,
      plannedAtMs === null ? "" : timeOf(plannedAtMs),
      timeOf(fromMs),
      plannedMs === null ? "" : seconds(plannedMs),
      seconds(tookMs),
      overMs === null ? "" : seconds(overMs),
    ]),
  );

export const songsCsv = (songs: readonly SongUse[], timeOf: (atMs: number) => string): string =>
  csvText(
    [
      ...["Title", "Also as", "Writers", "Publisher", "Year", "Song number", "Public domain"],
      ...["Times", "First", "Last", "Seconds", "Screens", "Missing"],
    ],
    songs.map(({ title, otherTitles, credits, times, firstMs, lastMs, shownMs, screens, missing }) => [
      ...[title, otherTitles.join("; "), credits.writers, credits.publisher, credits.year, credits.number],
      ...[credits.publicDomain ? "yes" : "", times, timeOf(firstMs), timeOf(lastMs), seconds(shownMs)],
      ...[screens.join(", "), missing.map((what) => MISSING[what]).join(", ")],
    ]),
  );

export const MISSING = { writers: "who wrote it", number: "song number" } as const;
