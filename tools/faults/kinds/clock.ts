import { setTimeout as wait } from "node:timers/promises";
import type { Evening } from "../evening.ts";
import { between, type Fault, mustBeTold } from "../fault.ts";

/** The clock looks twice a second. */
const SEEN_AFTER_MS = 1_200;
const SURELY_TOLD_MS = 5_000;

/** How far it was ahead at most: the show's own time does not go back with it. */
const furthest = new WeakMap<Evening, number>();

async function set(evening: Evening, byMs: number): Promise<readonly string[]> {
  const aheadMs = evening.machine.clockAheadMs + byMs;
  const furthestMs = furthest.get(evening) ?? 0;
  evening.machine.misbehave({ clockAheadMs: aheadMs });
  furthest.set(evening, Math.max(furthestMs, aheadMs));
  await wait(SEEN_AFTER_MS);
  // That it was set back is told once in half an hour.
  return aheadMs - furthestMs > SURELY_TOLD_MS ? mustBeTold(evening, /server’s clock went on by/) : [];
}

/** The clock of the server's machine. */
export const CLOCK_FAULTS: readonly Fault[] = [
  {
    name: "clock set forward",
    weight: 3,
    happen: (evening) => set(evening, between(evening, 5_000, 3_600_000)),
  },
  { name: "clock set back", weight: 3, happen: (evening) => set(evening, -between(evening, 5_000, 600_000)) },
];
