import { mkdirSync, writeFileSync } from "node:fs";
import type { Attack, AttackResult } from "./attack.ts";
import { crowd } from "./crowd.ts";
import { damage } from "./damage.ts";
import { diskFull } from "./diskFull.ts";
import { doors } from "./doors.ts";
import { faults } from "./faults.ts";
import { fuzz } from "./fuzz.ts";
import { fuzzReaders } from "./fuzzReaders.ts";
import { kills } from "./kills.ts";
import { resets } from "./resets.ts";
import { supervisor } from "./supervisor.ts";
import { twoServers } from "./twoServers.ts";

/**
 * Attacks instances of our own, on this machine alone: `node --import tsx tools/attack/main.ts [--long] [NAME…]`.
 * A part of all of it runs with the tests.
 */
const ALL: Readonly<Record<string, Attack>> = {
  doors,
  resets,
  fuzz,
  fuzzReaders,
  crowd,
  kills,
  supervisor,
  twoServers,
  damage,
  diskFull,
  faults,
};

const args = process.argv.slice(2);
const isLong = args.includes("--long");
const wanted = args.filter((arg) => !arg.startsWith("--"));
/** What did not hold, in sentences: the last lines of a test run repeat them. */
const REPORT = "test-results/attacks.json";
const allBroken: string[] = [];
let passed = 0;
let failed = 0;

/** An attack that could not be carried through has not held. */
async function attempt(attack: Attack): Promise<AttackResult | { readonly skipped: string }> {
  try {
    return await attack.run(isLong);
  } catch (error) {
    const said = error instanceof Error ? (error.stack ?? error.message) : String(error);
    return { tries: 0, broken: [`it was not carried through: ${said.slice(0, 1_000)}`], figures: [] };
  }
}

for (const [name, attack] of Object.entries(ALL)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const from = performance.now();
  const result = await attempt(attack);
  const took = `${((performance.now() - from) / 1_000).toFixed(1)} s`;
  if ("skipped" in result) {
    console.log(`- ${attack.name}: not tried here (${result.skipped})`);
    continue;
  }
  const { tries, broken, figures } = result;
  console.log(`${broken.length === 0 ? "held " : "BROKE"} ${attack.name}: ${tries} tries, ${took}`);
  for (const figure of figures) console.log(`      ${figure}`);
  for (const sentence of broken) console.log(`      ${sentence}`);
  allBroken.push(...broken.map((sentence) => `${attack.name}: ${sentence}`));
  if (broken.length === 0) passed++;
  else failed++;
}
mkdirSync("test-results", { recursive: true });
writeFileSync(REPORT, JSON.stringify({ passed, broken: allBroken }));
console.log(`${passed} held, ${failed} broke`);
process.exit(failed > 0 ? 1 : 0);
