import { distributionOf } from "../../bench/distribution.ts";
import { runFaults } from "./run.ts";

/** `node --import tsx tools/faults/main.ts [FAULTS] [SEED]`: a thousand of them, when nothing is said. */
const [faults = 1_000, seed = 1] = process.argv.slice(2).map(Number);
const from = performance.now();
const run = await runFaults({ faults, seed }, (line) => console.log(line));
if (!run) throw new Error("There is no C compiler for the shim");
console.log(
  `\n${faults} faults of seed ${seed} in ${Math.round((performance.now() - from) / 60_000)} min, ${run.pressed} presses, ${run.takes} takes acknowledged\n`,
);
console.log("| fault | n | windows the same after, ms: median | p95 | longest |\n|---|---|---|---|---|");
for (const [name, { count, afterMs }] of run.byFault) {
  if (count === 0) continue;
  const { median, p95, max } = distributionOf(afterMs);
  console.log(`| ${name} | ${count} | ${Math.round(median)} | ${Math.round(p95)} | ${Math.round(max)} |`);
}
console.log(
  run.broken.length === 0 ? "\nAll held" : `\n${run.broken.length} did not hold:\n${run.broken.join("\n")}`,
);
process.exit(run.broken.length > 0 ? 1 : 0);
