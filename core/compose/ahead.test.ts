import { expect, test } from "vitest";
import { prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { ALL_OUTFITS, STARTER_OUTPUTS } from "../../test-support/designs.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { type Step, stepsOf } from "../rundown/steps.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import type { Output } from "../venue/plan.ts";
import { createDresser } from "./dress.ts";

const bench = prepareBench(ALL_OUTFITS);
const [WALL] = STARTER_OUTPUTS as [Output];

test("words ahead on a page for the stage are those of what is armed, if that has any", () => {
  const [cue, name] = readyCues(bench, [
    song("[Verse 1]\nNine bells\n\n[Chorus]\nCarry it low\n\n[Bridge]\nDown"),
    strap("Ilse"),
  ]) as [ReadyCue, ReadyCue];
  const dress = createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
  const targetOf = ({ cueId, hash, content }: ReadyCue, step: number) => ({
    cueId,
    content: hash,
    step: (stepsOf(content)[step] as Step).anchor,
  });
  const outfitId = Object.keys(cue.content.wardrobe).find((id) => id === "stage");
  if (outfitId === undefined) throw new Error("the bench has no outfit for the stage");
  const seen = (armed?: ReturnType<typeof targetOf>) =>
    dress(targetOf(cue, 0), outfitId, WALL, armed)?.laidOut.parts.map(({ key }) => key);
  const unarmed = seen();
  expect(unarmed?.length).toBeGreaterThan(0);
  // What follows anyway is what stands there.
  expect(seen(targetOf(cue, 1))).toEqual(unarmed);
  expect(seen(targetOf(cue, 2))).not.toEqual(unarmed);
  // A strap has no words to sing: the song's own stay.
  expect(seen(targetOf(name, 0))).toEqual(unarmed);
});
