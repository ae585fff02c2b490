import { expect, test } from "vitest";
import type { Seed } from "../designs/seed.ts";
import { lookThrough } from "../test-support/checked.ts";
import { eveningOfShow } from "../test-support/checkOfShow.ts";
import { openShow } from "../test-support/openShow.ts";
import { lanternEvening } from "./lanternEvening.ts";
import { faultyEvening, PLANTED_FAULTS } from "./plantedFaults.ts";

/** Everything that is found in a show as it is seeded, as "code at cue". */
async function foundIn(seed: Seed) {
  const show = await openShow(":memory:", { seed });
  const evening = await eveningOfShow(show.services, seed);
  const { findings, isWaiting } = lookThrough(evening);
  const numberOf = new Map(evening.cues.map(({ cueId, index }) => [cueId, index + 1]));
  await show.close();
  expect(isWaiting).toBe(false);
  return findings.map((finding) => ({
    ...finding,
    at: `${finding.code} at ${numberOf.get(finding.cueId ?? "")}`,
  }));
}

test("twenty faults are planted, twenty are found; the clean evening has nothing to mend", async () => {
  const clean = await foundIn(lanternEvening());
  const open = clean.filter(({ waived, severity }) => waived === null && severity !== "note");
  expect(open.map(({ at, sentence }) => `${at}: ${sentence}`)).toEqual([]);
  // What a hand leaves lying is said, and is for the operator to judge.
  expect([...new Set(clean.filter(({ waived }) => waived === null).map(({ code }) => code))]).toEqual([
    "leftLying",
  ]);

  const faulty = await foundIn(faultyEvening());
  const isNew = ({ at, code }: { at: string; code: string }) =>
    !clean.some((before) => before.at === at) && code !== "leftLying";
  const planted = PLANTED_FAULTS.map(({ code, cue }) => `${code} at ${cue}`);
  expect(planted).toHaveLength(20);
  expect([...new Set(faulty.filter(isNew).map(({ at }) => at))].sort()).toEqual([...planted].sort());
}, 120_000);
