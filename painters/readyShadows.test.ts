import { createCanvas } from "@napi-rs/canvas";
import { wcagContrast } from "culori";
import { beforeAll, describe, expect, test } from "vitest";
import { placementsAt } from "../core/compose/placements.ts";
import { shadowsSchema } from "../core/scene/houseStyle.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { box } from "../designs/parts.ts";
import { READY_SHADOWS } from "../designs/readyShadows.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { contextOf, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { make } from "../test-support/designs.ts";
import { timelineOf } from "../test-support/takes.ts";
import { drawOnCanvas } from "./canvasStage.ts";

const SIZE = { widthPx: 480, heightPx: 270 };
/** A stroke of a letter of some 70 px, and what is looked at: right beside its edges. */
const STROKE = { x: 200, y: 100, width: 10, height: 70 };
const BESIDE_PX = 2;

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

describe("shadows that are made already", () => {
  // WCAG 2.2, 1.4.3: large text has 3 to 1 against what it lies on.
  test.each(READY_SHADOWS)(
    "“$name” keep words readable where the picture is as bright, or dark, as they are",
    ({ name, shadows }) => {
      expect(shadowsSchema.parse(shadows)).toEqual(shadows);
      const words = name.startsWith("light") ? "#ffffff" : "#000000";
      const stroke = make("rectangle", {
        id: "stroke",
        box: box(STROKE.x, STROKE.y, STROKE.width, STROKE.height),
        fill: { kind: "solid", color: words },
        shadows: shadowsSchema.parse(shadows),
      });
      const canvas = createCanvas(SIZE.widthPx, SIZE.heightPx);
      const context = canvas.getContext("2d");
      context.fillStyle = words;
      context.fillRect(0, 0, SIZE.widthPx, SIZE.heightPx);
      const placements = placementsAt(timelineOf(shaper, [stroke], [{ atMs: 0, values: {} }]), 5_000, SIZE);
      drawOnCanvas(contextOf(canvas), placements, { kit: serverPaintKit(shaper), scale: 1, ...SIZE });
      const ratioAt = (x: number, y: number) => {
        const [r = 0, g = 0, b = 0] = context.getImageData(x, y, 1, 1).data;
        return wcagContrast(words, { mode: "rgb", r: r / 255, g: g / 255, b: b / 255 });
      };
      const middle = STROKE.y + STROKE.height / 2;
      for (const x of [STROKE.x - BESIDE_PX, STROKE.x + STROKE.width + BESIDE_PX - 1])
        expect(ratioAt(x, middle)).toBeGreaterThan(3);
      expect(ratioAt(20, 20)).toBeLessThan(1.1);
    },
  );
});
