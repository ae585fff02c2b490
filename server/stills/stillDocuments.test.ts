import { expect, test } from "vitest";
import { createDresser } from "../../core/compose/dress.ts";
import type { Documents } from "../../core/rundown/pinnedDocument.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { FALLBACK_FONTS } from "../../core/text/fontList.ts";
import { outputSchema } from "../../core/venue/plan.ts";
import { ALL_OUTFITS } from "../../designs/starter.ts";
import { compile, OUTPUTS, prepareBench, song } from "../../test-support/contents.ts";
import { hashOf } from "../store/contentStore.ts";
import { stillDocuments } from "./stillDocuments.ts";

const bench = prepareBench(ALL_OUTFITS);

test.each([
  [1920, 1080],
  [1080, 1920],
  [1920, 360],
])("a still of %i × %i wears what the screen wears", (widthPx, heightPx) => {
  const content = compile(bench, song("a\nb\nc\nd"));
  const step = stepsOf(content)[0]?.anchor;
  if (!step) throw new Error("The song has no step");
  const page = { cueId: "cue-1", content: hashOf(content), step };
  const screen = outputSchema.parse({ ...OUTPUTS[0], widthPx, heightPx });
  const wornWith = (documents: Documents) =>
    createDresser(documents, bench.shaper, FALLBACK_FONTS, "UTC")(page, "full", screen);
  const onScreen = wornWith(bench.documents);
  expect(onScreen).toBeDefined();
  const sent = new Map(stillDocuments(page, "full", (hash) => bench.documents.get(hash)));
  expect(wornWith(sent)?.templateHash).toBe(onScreen?.templateHash);
});
