import { setTimeout as wait } from "node:timers/promises";
import type { Evening } from "../evening.ts";
import { between, type Fault, mustBeTold } from "../fault.ts";
import type { Misbehaving } from "../machine.ts";

const WRITTEN_WITHIN_MS = 20_000;
/** What is acknowledged later than this was decided when the disk could not be written already. */
const SINCE_MS = 200;
const UNWRITTEN = /disk is full or cannot be written/;

/** The disk does something for a while; what was decided meanwhile is written once it is well. */
async function happen(evening: Evening, how: Misbehaving): Promise<readonly string[]> {
  const { acknowledged, machine } = evening;
  machine.misbehave(how);
  await wait(SINCE_MS);
  const before = acknowledged.takes.length;
  await wait(between(evening, 600, 2_000));
  const isTold = how.syncDelayMs === undefined && acknowledged.takes.length > before;
  machine.mend();
  const untilMs = performance.now() + WRITTEN_WITHIN_MS;
  while (performance.now() < untilMs) {
    const answer = await fetch(`${evening.show.base}/healthz`).catch(() => undefined);
    if (answer?.ok) return isTold ? mustBeTold(evening, UNWRITTEN) : [];
    if (!evening.show.isRunning) return [`the server ended: ${evening.show.said.slice(-400)}`];
    await wait(20);
  }
  return ["what was decided was not written when the disk was well again"];
}

/** The disk of the show. */
export const DISK_FAULTS: readonly Fault[] = [
  {
    name: "disk full",
    weight: 4,
    happen: (evening) => happen(evening, { writeError: "ENOSPC" }),
  },
  {
    name: "disk may only be read",
    weight: 3,
    happen: (evening) => happen(evening, { writeError: "EROFS" }),
  },
  {
    name: "disk keeps nothing",
    weight: 3,
    happen: (evening) => happen(evening, { syncError: "EIO" }),
  },
  {
    name: "disk slow",
    weight: 4,
    happen: (evening) => happen(evening, { syncDelayMs: between(evening, 30, 500) }),
  },
];
