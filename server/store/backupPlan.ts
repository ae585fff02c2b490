/** A copy of the database that is kept. */
export interface Backup {
  readonly name: string;
  readonly atMs: number;
  readonly bytes: number;
  /** Made before the database was changed by a newer version. */
  readonly isBeforeMigration: boolean;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const WEEK_MS = 7 * DAY_MS;

/** The latest stay whatever their age: what was just done is what is most often wanted back. */
const LATEST = 3;
/** Spans, and for how long one copy of each is kept. */
const RUNGS = [
  { spanMs: HOUR_MS, forMs: DAY_MS },
  { spanMs: DAY_MS, forMs: 14 * DAY_MS },
  { spanMs: WEEK_MS, forMs: 26 * WEEK_MS },
] as const;

/**
 * Which copies go: of each hour of the last day, each day of the last fortnight and each week of the last half year the newest
 * stays, and the latest three; beyond the size the oldest go first. The newest always stays.
 * @param mostBytes of all copies together
 * @returns the names of those that go
 */
export function backupsToDrop(backups: readonly Backup[], nowMs: number, mostBytes: number): string[] {
  const newestFirst = [...backups].sort((a, b) => b.atMs - a.atMs);
  const kept = new Set(newestFirst.slice(0, LATEST));
  for (const { spanMs, forMs } of RUNGS) {
    const seen = new Set<number>();
    for (const backup of newestFirst) {
      const span = Math.floor(backup.atMs / spanMs);
      if (nowMs - backup.atMs > forMs || seen.has(span)) continue;
      seen.add(span);
      kept.add(backup);
    }
  }
  for (const backup of newestFirst)
    if (backup.isBeforeMigration && nowMs - backup.atMs < 26 * WEEK_MS) kept.add(backup);
  let bytes = 0;
  const staying = new Set<string>();
  for (const backup of newestFirst) {
    if (!kept.has(backup)) continue;
    bytes += backup.bytes;
    if (staying.size === 0 || bytes <= mostBytes) staying.add(backup.name);
  }
  return backups.filter(({ name }) => !staying.has(name)).map(({ name }) => name);
}
