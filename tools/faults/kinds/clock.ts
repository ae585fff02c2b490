import { setTimeout as wait } from "node:timers/promises";
import type { Evening } from "../evening.ts";
import { between, type Fault } from "../fault.ts";

/** The clock looks twice a second. */
const SEEN_AFTER_MS = 1_200;

async function set(evening: Evening, byMs: number): Promise<readonly string[]> {
  evening.machine.misbehave({ clockAheadMs: evening.machine.clockAheadMs + byMs });
  await wait(SEEN_AFTER_MS);
  return [];
}

/** The clock of the server's machine. */
export const CLOCK_FAULTS: readonly Fault[] = [
  {
    name: "clock set forward",
    weight: 3,
    happen: (evening) => set(evening, between(evening, 5_000, 3_600_000)),
    told: /server’s clock went on by/,
  },
  // It is told once in half an hour: the log has the first.
  { name: "clock set back", weight: 3, happen: (evening) => set(evening, -between(evening, 5_000, 600_000)) },
];
