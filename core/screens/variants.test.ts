import { describe, expect, test } from "vitest";
import { ALL_OUTFITS, STARTER_OUTPUTS, STARTER_PLAN } from "../../designs/starter.ts";
import { hashOf } from "../../server/store/contentStore.ts";
import { compileCue } from "../rundown/compile.ts";
import type { CompileContext, OfferedTemplate } from "../rundown/compileContext.ts";
import { PAGE_ANCHOR, stepsOf } from "../rundown/steps.ts";
import { prepareBench, song, strap } from "../test-support/contents.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import { createDresser, type PinnedDocument } from "./dress.ts";
import { type Output, outputSchema } from "./plan.ts";

const bench = prepareBench();

const screen = (widthPx: number, heightPx: number): Output =>
  outputSchema.parse({
    id: "any",
    name: "Any",
    widthPx,
    heightPx,
    backdrop: "opaque",
    frameRate: "60",
    signal: "picture",
    sound: false,
    program: false,
  });

function everyOutfit(): { context: CompileContext; documents: Map<string, PinnedDocument> } {
  const documents = new Map(bench.documents);
  const wardrobes = ALL_OUTFITS.map(({ id, linesPerSlide, variants, templates }) => {
    const offered = new Map<string, OfferedTemplate[]>();
    for (const template of templates) {
      const hash = hashOf(template);
      documents.set(hash, template);
      offered.set(template.fieldSet, [...(offered.get(template.fieldSet) ?? []), { hash, template }]);
    }
    return { outfitId: id, linesPerSlide, variants: variants ?? [], templates: offered };
  });
  return { context: { ...bench.context, wardrobes }, documents };
}

describe("shapes", () => {
  test.each([
    { size: [1920, 1080], wears: "full", isFitted: false },
    { size: [1280, 720], wears: "full", isFitted: false },
    { size: [1080, 1920], wears: "porch", isFitted: false },
    { size: [1920, 360], wears: "ribbon", isFitted: false },
    { size: [1024, 768], wears: "full", isFitted: true },
    { size: [3840, 1080], wears: "full", isFitted: true },
  ] as const)("the full outfit on $size wears $wears", ({ size, wears, isFitted }) => {
    const { context, documents } = everyOutfit();
    const compiled = compileCue(song("a\nb\nc\nd"), context);
    if (!("content" in compiled)) throw new Error(JSON.stringify(compiled));
    const { content } = compiled;
    documents.set(hashOf(content), content);
    const dress = createDresser(documents, bench.shaper, FALLBACK_FONTS, "UTC");
    const step = stepsOf(content)[0]?.anchor ?? PAGE_ANCHOR;
    const dressed = dress(
      { cueId: "cue-1", content: hashOf(content), step },
      "full",
      screen(size[0], size[1]),
    );
    expect(dressed?.templateHash).toBe(content.wardrobe[wears]?.template);
    expect(dressed?.laidOut.findings.some(({ kind }) => kind === "fitted")).toBe(isFitted);
  });

  test("steps are those of the outfits that plans give to the cue's screens", () => {
    const { context } = everyOutfit();
    const plans = [STARTER_PLAN];
    const outputs = STARTER_OUTPUTS;
    const stepsFor = (only: string[] | null) => {
      const compiled = compileCue(
        { ...song("a\nb\nc\nd", { full: 4, band: 2 }), only },
        { ...context, plans, outputs },
      );
      if (!("content" in compiled)) throw new Error(JSON.stringify(compiled));
      return stepsOf(compiled.content).filter(({ kind }) => kind === "words").length;
    };
    expect(stepsFor(null)).toBe(2);
    expect(stepsFor(["stream"])).toBe(2);
    expect(stepsFor(["wall"])).toBe(1);
    const strapOnWall = compileCue({ ...strap("Ilse"), only: ["wall"] }, { ...context, plans, outputs });
    expect("content" in strapOnWall && strapOnWall.content.only).toEqual(["wall"]);
  });
});
