import { describe, expect, test } from "vitest";
import { prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import { STARTER_OUTFITS, STARTER_OUTPUTS } from "../../test-support/designs.ts";
import { stepsOf } from "../rundown/steps.ts";
import { addMoment, EMPTY_SLOT } from "../show/slot.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import type { Output } from "../venue/plan.ts";
import { composeSlot } from "./compose.ts";
import { createDresser } from "./dress.ts";
import { arrivalMs } from "./pace.ts";
import { DISSOLVE_MS } from "./partLife.ts";
import { placementsAt } from "./placements.ts";

const bench = prepareBench();
const [WALL] = STARTER_OUTPUTS as [Output];
const CAME_MS = 10_000;
const LATER_MS = 60_000;

/** The strap on the wall, with the length that its cue gives its effect, and the poses of all of it at a time. */
function strapWith(effectMs: number | null, how: "animated" | "dissolve" = "animated") {
  const [cue] = readyCues(bench, [strap("Ilse")]);
  const step = cue && stepsOf(cue.content)[0]?.anchor;
  const outfitId = STARTER_OUTFITS[0]?.id;
  if (!cue || !step || !outfitId) throw new Error("no strap");
  const dress = createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
  const page = { cueId: cue.cueId, content: cue.hash, step };
  const moment = { startAtMs: CAME_MS, page, how, endsAtMs: null, lastsMs: 10_000, effectMs };
  const pieces = composeSlot(addMoment(EMPTY_SLOT, moment), "titles", (at) => dress(at, outfitId, WALL));
  return {
    naturalMs: arrivalMs(dress(page, outfitId, WALL)?.laidOut.parts ?? []),
    at: (ms: number) => rounded(placementsAt({ pieces }, CAME_MS + ms, WALL)),
    opacities: (ms: number) => placementsAt({ pieces }, CAME_MS + ms, WALL).map(({ pose }) => pose.opacity),
  };
}

/** To a millionth: times of keyframes are multiplied, and are not whole any more. */
const rounded = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, each: unknown) =>
      typeof each === "number" ? Math.round(each * 1e6) / 1e6 : each,
    ),
  );

describe("how long a page takes to arrive", () => {
  test("is what its cue says, with every part of it in proportion", () => {
    const usual = strapWith(null);
    const { naturalMs } = usual;
    expect(naturalMs).toBeGreaterThan(200);
    for (const effectMs of [naturalMs * 3, naturalMs / 2]) {
      const paced = strapWith(effectMs);
      expect(paced.naturalMs).toBe(naturalMs);
      expect(paced.at(effectMs * 0.9)).not.toEqual(paced.at(LATER_MS));
      for (const part of [0, 0.25, 0.5, 0.9, 1])
        expect(paced.at(effectMs * part)).toEqual(usual.at(naturalMs * part));
      expect(paced.at(effectMs)).toEqual(paced.at(LATER_MS));
    }
  });

  test("is the length of a dissolve too, which otherwise has its own", () => {
    for (const opacity of strapWith(null, "dissolve").opacities(DISSOLVE_MS / 2))
      expect(opacity).toBeCloseTo(0.5);
    for (const opacity of strapWith(4_000, "dissolve").opacities(1_000)) expect(opacity).toBeCloseTo(0.25);
  });
});
