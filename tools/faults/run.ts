import { seeded } from "../attack/attack.ts";
import { Evening } from "./evening.ts";
import type { Fault } from "./fault.ts";
import { CLOCK_FAULTS } from "./kinds/clock.ts";
import { DATABASE_FAULTS } from "./kinds/database.ts";
import { DISK_FAULTS } from "./kinds/disk.ts";
import { FEED_FAULTS } from "./kinds/feeds.ts";
import { NETWORK_FAULTS } from "./kinds/network.ts";
import { PROCESS_FAULTS } from "./kinds/process.ts";
import { compareWindows, findLost, WrittenTakes } from "./whatHolds.ts";

const FAULTS: readonly Fault[] = [
  ...PROCESS_FAULTS,
  ...DISK_FAULTS,
  ...CLOCK_FAULTS,
  ...NETWORK_FAULTS,
  ...FEED_FAULTS,
  ...DATABASE_FAULTS,
];

/** Later than this it is said what was waited for. */
const SLOW_MS = 700;

export interface Tally {
  count: number;
  /** From the end of each fault until all windows had the same, ms. */
  readonly afterMs: number[];
}

export interface FaultsRun {
  readonly byFault: ReadonlyMap<string, Tally>;
  readonly broken: readonly string[];
  readonly pressed: number;
  readonly takes: number;
}

/**
 * Lets an evening go on while one fault after another happens to it, and looks after each at what must hold.
 * @param onFault told of each, for whoever watches
 * @returns undefined where there is no compiler
 */
export async function runFaults(
  { faults, seed }: { readonly faults: number; readonly seed: number },
  onFault: (line: string) => void = () => {},
): Promise<FaultsRun | undefined> {
  const random = seeded(seed);
  const evening = await Evening.open(seeded(seed + 1));
  if (!evening) return undefined;
  const byFault = new Map<string, Tally>(FAULTS.map(({ name }) => [name, { count: 0, afterMs: [] }]));
  const broken: string[] = [];
  const written = new WrittenTakes();
  let takes = 0;
  try {
    for (let i = 0; i < faults; i++) {
      const fault = draw(random);
      evening.desk("takes").sentences.length = 0;
      const found = [...(await fault.happen(evening))];
      const { afterMs, waitedFor, broken: differ } = await evening.calm(() => compareWindows(evening));
      found.push(...differ);
      takes += evening.acknowledged.takes.length;
      found.push(...findLost(evening, written));
      if (/A fault of ours/.test(evening.show.said))
        found.push(`a fault of ours: ${evening.show.said.split("A fault of ours")[1]?.slice(0, 600)}`);
      const tally = byFault.get(fault.name);
      if (tally) {
        tally.count++;
        tally.afterMs.push(afterMs);
      }
      broken.push(...found.map((sentence) => `fault ${i + 1} of seed ${seed}, ${fault.name}: ${sentence}`));
      onFault(
        `${i + 1} ${fault.name}: ${Math.round(afterMs)} ms${afterMs > SLOW_MS ? ` (${waitedFor})` : ""}${found.map((one) => `\n   ${one}`).join("")}`,
      );
    }
    return { byFault, broken, pressed: evening.pressed, takes };
  } finally {
    await evening.close();
  }
}

function draw(random: () => number): Fault {
  let left = random() * FAULTS.reduce((sum, { weight }) => sum + weight, 0);
  for (const fault of FAULTS) {
    left -= fault.weight;
    if (left < 0) return fault;
  }
  return FAULTS[0] as Fault;
}
