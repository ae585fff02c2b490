import { describe, expect, test } from "vitest";
import { compile, prepareBench, song, strap } from "../../test-support/contents.ts";
import { ALL_OUTFITS, STARTER_OUTPUTS, STARTER_PLAN } from "../../test-support/designs.ts";
import { hashOf } from "../../test-support/onDisk.ts";
import { compileCue } from "../rundown/compile.ts";
import { PAGE_ANCHOR, stepsOf } from "../rundown/steps.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import { type Output, outputSchema } from "../venue/plan.ts";
import { createDresser } from "./dress.ts";

const bench = prepareBench(ALL_OUTFITS);

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

describe("shapes", () => {
  test.each([
    { size: [1920, 1080], wears: "full", isFitted: false },
    { size: [1280, 720], wears: "full", isFitted: false },
    { size: [1080, 1920], wears: "porch", isFitted: false },
    { size: [1920, 360], wears: "ribbon", isFitted: false },
    { size: [1024, 768], wears: "full", isFitted: true },
    { size: [3840, 1080], wears: "full", isFitted: true },
  ] as const)("the full outfit on $size wears $wears", ({ size, wears, isFitted }) => {
    const content = compile(bench, song("a\nb\nc\nd"));
    const dress = createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
    const step = stepsOf(content)[0]?.anchor ?? PAGE_ANCHOR;
    const dressed = dress(
      { cueId: "cue-1", content: hashOf(content), step },
      "full",
      screen(size[0], size[1]),
    );
    expect(dressed?.templateHash).toBe(content.wardrobe[wears]?.template);
    expect(dressed?.laidOut.findings.some(({ code }) => code === "fitted")).toBe(isFitted);
  });

  test("steps are those of the outfits that plans give to the cue's screens", () => {
    const { context } = bench;
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
