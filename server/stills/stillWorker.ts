import { readFile } from "node:fs/promises";
import { createDresser } from "../../core/compose/dress.ts";
import { type Placement, placementsAt } from "../../core/compose/placements.ts";
import { showsTime } from "../../core/compose/showsTime.ts";
import { ARRIVED_MS, pageTimeline } from "../../core/compose/still.ts";
import { FALLBACK_FONTS } from "../../core/text/fontList.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { canvasOf } from "../../core/venue/plan.ts";
import { fillAndKey } from "../../painters/canvasStage.ts";
import { loadShaper } from "../fonts/shippedFonts.ts";
import { programFrame } from "./programFrame.ts";
import { contextOf, decodeImages, drawPlacements, serverPaintKit } from "./serverCanvas.ts";
import type { Still, StillJob, StillResult } from "./stillJob.ts";

let shaper: Promise<Shaper> | undefined;

/** Draws pages, one over another, to a PNG. Runs in a process of its own: a take never waits for a picture, and no picture ends a show. */
async function draw(job: StillJob): Promise<Still> {
  shaper ??= loadShaper();
  const ready = await shaper;
  const files = await Promise.all(
    job.files.map(async ([file, path]) => [file, await readFile(path)] as const),
  );
  const images = await decodeImages(new Map(files));
  for (const [id, path] of job.fonts) if (!ready.hasFont(id)) ready.addFont(id, await readFile(path));
  const fallback = [...FALLBACK_FONTS, ...job.fonts.map(([id]) => id)];
  const dress = createDresser(new Map(job.documents), ready, fallback, job.timeZone);
  const whole = canvasOf(job.output);
  const sinceMs = job.atMs ?? ARRIVED_MS;
  const comesAtMs = job.cameAtMs ?? job.nowMs - sinceMs;
  const nowMs = comesAtMs + sinceMs;
  const timelines = job.pages.map(({ page, layerId }) =>
    pageTimeline(page, layerId, job.outfitId, whole, dress, job.atMs !== null, comesAtMs, job.leavesAfterMs),
  );
  const placements = timelines.flatMap((timeline) => placementsAt(timeline, nowMs, whole));
  const shown = job.isWholeWall ? whole : job.output;
  const scale = job.widthPx / shown.widthPx;
  const from = (!job.isWholeWall && job.output.region) || undefined;
  const kit = serverPaintKit(ready, images);
  const hasProgram = placements.some(showsProgram);
  const program = hasProgram ? programFrame(job.program, images, nowMs) : undefined;
  const canvas = drawPlacements(placements, shown, scale, kit, null, from, program);
  if (job.signal !== "picture") {
    const context = contextOf(canvas);
    const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
    pixels.data.set(fillAndKey(pixels.data)[job.signal]);
    context.putImageData(pixels, 0, 0);
  }
  return {
    png: await canvas.encode("png"),
    showsTime: hasProgram || timelines.some(({ pieces }) => showsTime(pieces)),
  };
}

const showsProgram = (placement: Placement): boolean =>
  placement.kind === "program" || (placement.kind === "group" && placement.children.some(showsProgram));

process.on("message", (job: StillJob) => {
  const answer = (result: Still | { readonly failed: string }) => {
    const said: StillResult = { id: job.id, memoryBytes: process.memoryUsage().rss, ...result };
    // A server that goes in this moment misses nothing; that it went is heard below.
    process.send?.(said, undefined, undefined, () => {});
  };
  draw(job).then(answer, (error: unknown) => answer({ failed: String(error) }));
});
// The server is gone: nobody asks any more.
process.on("disconnect", () => process.exit(0));
