import { wcagContrast } from "culori";
import { beforeAll, describe, expect, test } from "vitest";
import type { CheckedCue } from "../core/check/checkedCue.ts";
import { factsOf, type PageOnScreen, type WordsOnPage } from "../core/check/pageFacts.ts";
import type { Dress } from "../core/compose/compose.ts";
import { placementsAt } from "../core/compose/placements.ts";
import { ARRIVED_MS, pageTimeline } from "../core/compose/still.ts";
import { lettersOf } from "../core/design/edit/lettersOf.ts";
import type { CueDoc } from "../core/rundown/cueDoc.ts";
import { NO_ADJUSTMENT } from "../core/scene/adjustment.ts";
import type { MediaCatalog, MediaInfo } from "../core/scene/media.ts";
import type { LaidOutPage } from "../core/scene/part.ts";
import type { Template } from "../core/scene/template.ts";
import { canvasOf, type Output } from "../core/venue/plan.ts";
import { SAFE_AREAS, safeRect } from "../core/venue/testPicture.ts";
import { rectangle, text, video } from "../designs/parts.ts";
import { FIVE_OUTPUTS } from "../designs/starterScreens.ts";
import { drawPlacements, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { eveningOf, lookThrough, prepareChecks } from "../test-support/checked.ts";
import { page, strap } from "../test-support/contents.ts";
import { lay, templateOf } from "../test-support/pages.ts";
import { mulberry } from "../test-support/random.ts";
import { CLIP } from "../test-support/takes.ts";
import { checkMeasures } from "./checkMeasures.ts";

const { bench } = prepareChecks();
const STREAM = FIVE_OUTPUTS.find(({ id }) => id === "stream");
if (!STREAM) throw new Error("The show has no stream");

const hex = (random: () => number) =>
  `#${Math.floor(random() * 0x1000000)
    .toString(16)
    .padStart(6, "0")}`;

const WALL = FIVE_OUTPUTS.find(({ id }) => id === "wall");
if (!WALL) throw new Error("The show has no wall");

/** Pages of these templates, one over another, as the check sees them. */
function lying(templates: readonly Template[], media: MediaCatalog = () => undefined) {
  const laidOut = templates.map((template) =>
    lay(template, { title: "Lantern Evening", clip: "film" }, bench.shaper, { media }),
  );
  const cue = eveningOf(bench, [strap("Ilse Tarrow")]).cues[0] as CheckedCue;
  const pages = templates.map(
    (template, at): PageOnScreen => ({
      ...{
        cue,
        hash: `page ${at}`,
        anchor: { occurrence: "page", unit: at },
        layerId: "titles",
        outfitId: "full",
      },
      ...{
        output: canvasOf(WALL as Output),
        template,
        templateHash: JSON.stringify(template),
        styleHash: "",
      },
      ...{ values: {}, findings: [], wordCount: 2, ...factsOf(laidOut[at] as LaidOutPage, template) },
    }),
  );
  const dress: Dress = ({ step }) => ({ templateHash: "", laidOut: laidOut[step.unit] as LaidOutPage });
  return { pages, dress, words: pages.at(-1)?.words[0] as WordsOnPage };
}
const solid = (color: string) => ({ kind: "solid", color }) as const;
const WHOLE = { x: 0, y: 0, width: 1_920, height: 1_080 };
const wordsIn = (color: string) =>
  text(
    "title",
    "title",
    { x: 200, y: 400, width: 1_500, height: 200 },
    { min: 60, max: 120 },
    { fill: solid(color) },
  );

describe("500 seeded pages, held against another's measure", () => {
  test("contrast, seed 1802: as culori has the two colours", () => {
    const random = mulberry(1802);
    const kit = serverPaintKit(bench.shaper);
    for (let run = 0; run < 250; run++) {
      const [letters, ground] = [hex(random), hex(random)];
      const { pages, dress, words } = lying([
        templateOf(rectangle("ground", WHOLE, solid(ground)), wordsIn(letters)),
      ]);
      const told = checkMeasures({ dress, kit, framesOf: () => undefined }).contrast(pages, 0, words);
      const wanted = wcagContrast(letters, ground);
      // Edges of letters are mixed, so a little less may be read, never more; either side of a limit both say the same.
      expect([run, Number(told) <= wanted * 1.02, Number(told) >= wanted * 0.75]).toEqual([run, true, true]);
      const limit = 4.5;
      if (wanted < limit * 0.98) expect([run, Number(told) < limit]).toEqual([run, true]);
      if (wanted > limit * 1.2) expect([run, Number(told) >= limit]).toEqual([run, true]);
    }
  });

  test("the safe area, seed 1803: as the painted letters have it, pixel by pixel", () => {
    const random = mulberry(1803);
    const safe = safeRect(STREAM.widthPx, STREAM.heightPx, SAFE_AREAS[STREAM.safeArea].title);
    const kit = serverPaintKit(bench.shaper);
    const SCALE = 0.5;
    let outside = 0;
    for (let run = 0; run < 250; run++) {
      const adjust = {
        name: {
          ...NO_ADJUSTMENT,
          xPx: Math.round((random() - 0.5) * 500),
          yPx: Math.round((random() - 0.5) * 400),
          scale: 0.6 + random() * 0.8,
        },
      };
      const doc: CueDoc = { ...strap("Wim Hal", ""), adjust, only: ["stream"] };
      const evening = eveningOf(bench, [doc]);
      const { findings } = lookThrough(evening);
      const isFound = findings.some(({ code, place }) => code === "outsideSafe" && place === "name");
      const [cue] = evening.cues;
      if (!cue?.made) throw new Error("no page");
      const canvas = canvasOf(STREAM);
      const shown = { cueId: "c", content: cue.made.hash, step: { occurrence: "page", unit: 0 } };
      const bare: typeof evening.dress = (...asked) => {
        const dressed = evening.dress(...asked);
        return dressed && { ...dressed, laidOut: lettersOf(dressed.laidOut, "name") };
      };
      const timeline = pageTimeline(shown, "titles", "band", canvas, bare, false);
      const drawn = drawPlacements(placementsAt(timeline, ARRIVED_MS, canvas), canvas, SCALE, kit);
      const box = inkOf(
        drawn.getContext("2d").getImageData(0, 0, drawn.width, drawn.height).data,
        drawn.width,
      );
      if (!box) continue;
      const over = Math.max(
        safe.x - box.left / SCALE,
        safe.y - box.top / SCALE,
        box.right / SCALE - (safe.x + safe.width),
        box.bottom / SCALE - (safe.y + safe.height),
      );
      // Letters are taken to be as high as capitals and as low as the lowest: a fifth of their size may be nothing.
      if (over > 12) {
        outside++;
        expect([run, "outside", isFound]).toEqual([run, "outside", true]);
      }
      if (over < -30) expect([run, "inside", isFound]).toEqual([run, "inside", false]);
    }
    expect(outside).toBeGreaterThan(40);
  });
});

function inkOf(data: ArrayLike<number>, width: number) {
  let box: { left: number; top: number; right: number; bottom: number } | undefined;
  for (let pixel = 0; pixel * 4 < data.length; pixel++) {
    if ((data[pixel * 4 + 3] as number) < 128) continue;
    const [x, y] = [pixel % width, Math.floor(pixel / width)];
    box ??= { left: x, top: y, right: x + 1, bottom: y + 1 };
    box.left = Math.min(box.left, x);
    box.top = Math.min(box.top, y);
    box.right = Math.max(box.right, x + 1);
    box.bottom = Math.max(box.bottom, y + 1);
  }
  return box;
}

describe("what lies behind", () => {
  let kit: ReturnType<typeof serverPaintKit>;
  beforeAll(() => {
    kit = serverPaintKit(bench.shaper);
  });
  /** A frame of one light all over. */
  const frame = (light: string) => {
    const { image, context } = kit.makeCanvas(64, 36);
    context.fillStyle = light;
    context.fillRect(0, 0, 64, 36);
    return image;
  };

  test("a moving ground is looked at over its length: one bright moment behind bright words is found", () => {
    const film: MediaInfo = { ...CLIP, hasAlpha: false };
    const { pages, dress, words } = lying(
      [templateOf(video("clip", "clip", WHOLE, {})), templateOf(wordsIn("#ffffff"))].map((template, at) =>
        at === 0 ? { ...template, fieldSet: "loop" } : template,
      ),
      () => film,
    );
    const over = (...lights: string[]) =>
      Number(checkMeasures({ dress, kit, framesOf: () => lights.map(frame) }).contrast(pages, 1, words));
    expect(over("#000000", "#101010")).toBeGreaterThan(15);
    expect(over("#000000", "#e0e0e0")).toBeLessThan(1.6);
  });

  test("while frames are on their way, not all is looked at", () => {
    const evening = eveningOf(bench, [
      { ...page("title", { title: "Lantern Evening" }), only: ["wall"] } as CueDoc,
    ]);
    const waiting = { ...kit, findImage: () => "loading" as const };
    const measures = checkMeasures({ dress: evening.dress, kit: waiting, framesOf: () => "waits" });
    expect(lookThrough({ ...evening, measures: { ...measures, contrast: () => "waits" } }).isWaiting).toBe(
      true,
    );
    expect(lookThrough({ ...evening, measures }).isWaiting).toBe(false);
  });
});
