import { runFaults } from "../faults/run.ts";
import type { Attack } from "./attack.ts";

const SEED = 20261201;

/** One fault after another, drawn by a seed, beside an evening that goes on. */
export const faults: Attack = {
  name: "faults beside an evening",
  run: async (isLong) => {
    const run = await runFaults({ faults: isLong ? 1_000 : 20, seed: SEED });
    if (!run) return { skipped: "there is no C compiler for the shim" };
    const kinds = [...run.byFault].filter(([, { count }]) => count > 0);
    return {
      tries: kinds.reduce((sum, [, { count }]) => sum + count, 0),
      broken: run.broken.slice(0, 20),
      figures: [
        `${kinds.length} kinds of faults, seed ${SEED}, ${run.pressed} presses, ${run.takes} takes acknowledged`,
      ],
    };
  },
};
