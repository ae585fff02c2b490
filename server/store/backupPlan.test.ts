import { describe, expect, test } from "vitest";
import { type Backup, backupsToDrop } from "./backupPlan.ts";

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const NOW = 2_000 * DAY;

const every = (stepMs: number, count: number, bytes = 10): Backup[] =>
  Array.from({ length: count }, (_, i) => ({
    name: `b${i}`,
    atMs: NOW - i * stepMs,
    bytes,
    isBeforeMigration: false,
  }));
const staying = (backups: readonly Backup[], mostBytes = 1e9): Backup[] => {
  const gone = new Set(backupsToDrop(backups, NOW, mostBytes));
  return backups.filter(({ name }) => !gone.has(name));
};

describe("which copies are kept", () => {
  test("a year of copies, one each ten minutes, comes down to hours, days and weeks", () => {
    const left = staying(every(10 * 60_000, 6 * 24 * 365));
    const ages = left.map(({ atMs }) => NOW - atMs);
    expect(ages.filter((age) => age <= DAY).length).toBeGreaterThanOrEqual(24);
    expect(ages.filter((age) => age > DAY && age <= 14 * DAY).length).toBeGreaterThanOrEqual(12);
    expect(left.length).toBeLessThan(24 + 14 + 27 + 6);
    expect(Math.max(...ages)).toBeGreaterThan(170 * DAY);
    expect(Math.max(...ages)).toBeLessThanOrEqual(182 * DAY);
  });

  test("the newest of each span is the one that stays, run again nothing more goes", () => {
    const left = staying(every(10 * 60_000, 5_000));
    expect(staying(left)).toEqual(left);
    expect(left[0]?.atMs).toBe(NOW);
  });

  test("within a size: the oldest go first, and the newest stays even when it is larger than all of it", () => {
    const left = staying(every(HOUR, 24, 100), 550);
    expect(left.map(({ atMs }) => (NOW - atMs) / HOUR)).toEqual([0, 1, 2, 3, 4]);
    expect(staying(every(HOUR, 3, 100), 50)).toHaveLength(1);
  });

  test("what was copied before a migration stays with its neighbours", () => {
    const copies = every(60_000, 30);
    const marked = copies.map((copy, i) => (i === 17 ? { ...copy, isBeforeMigration: true } : copy));
    expect(staying(marked).some(({ name }) => name === "b17")).toBe(true);
    expect(staying(copies).some(({ name }) => name === "b17")).toBe(false);
  });
});
