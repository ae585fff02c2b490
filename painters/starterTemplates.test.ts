import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { createCanvas } from "@napi-rs/canvas";
import { beforeAll, expect, test } from "vitest";
import { composeSlot } from "../core/compose/compose.ts";
import { placementsAt } from "../core/compose/placements.ts";
import { platesOf } from "../core/compose/platesOf.ts";
import type { Picture } from "../core/picture/picture.ts";
import { readTemplate } from "../core/scene/readTemplate.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { sampleValues } from "../designs/samples.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { contextOf, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { arrivingAt0 } from "../test-support/moments.ts";
import { lay } from "../test-support/pages.ts";
import { drawOnCanvas } from "./canvasStage.ts";

/** Every template that shipped in version 1 of the format, with what the painter of that day made of it, in the midst of its arrival and after. */
const KEPT = JSON.parse(readFileSync(join(import.meta.dirname, "starterTemplates.v1.json"), "utf8")) as {
  readonly outfit: string;
  readonly template: { readonly name: string; readonly fieldSet: string };
  readonly hashes: Readonly<Record<string, string>>;
}[];

const castsWithOutline = ({ items }: Picture): boolean =>
  items.some(({ stroke, fill, shadows }) => stroke && fill.kind !== "none" && shadows.length > 0);

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

test.each(KEPT)(
  "$outfit: $template.name of version 1 is the same today, to the pixel",
  ({ template, hashes }) => {
    const read = readTemplate(JSON.stringify(template));
    if ("problem" in read) throw new Error(read.problem);
    expect(read.problems).toEqual([]);
    const { canvas } = read.template;
    const laidOut = lay(read.template, sampleValues(template.fieldSet), shaper, { output: canvas });
    const pieces = composeSlot([arrivingAt0], "x", () => ({ templateHash: "t", laidOut }));
    const seen = Object.fromEntries(
      Object.keys(hashes).map((at) => {
        const { width, height } = { width: canvas.widthPx, height: canvas.heightPx };
        const drawn = createCanvas(width, height);
        const kit = serverPaintKit(shaper);
        drawOnCanvas(contextOf(drawn), placementsAt({ pieces }, Number(at), canvas), {
          kit,
          scale: 1,
          ...canvas,
        });
        const { data } = drawn.getContext("2d").getImageData(0, 0, width, height);
        return [at, createHash("sha256").update(data).digest("hex").slice(0, 32)];
      }),
    );
    // Letters with an outline cast the shadow of that outline alone; today they cast that of the whole letter.
    if (platesOf(pieces).some(({ picture }) => castsWithOutline(picture))) expect(seen).not.toEqual(hashes);
    else expect(seen).toEqual(hashes);
  },
);
