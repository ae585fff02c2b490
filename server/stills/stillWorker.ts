import { parentPort } from "node:worker_threads";
import { createDresser, type PinnedDocument } from "../../core/screens/dress.ts";
import { placementsAt } from "../../core/screens/placements.ts";
import { canvasOf, type Output } from "../../core/screens/plan.ts";
import { ARRIVED_MS, pageTimeline } from "../../core/screens/still.ts";
import type { SlotPage } from "../../core/show/slot.ts";
import { FALLBACK_FONTS } from "../../core/text/fontList.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { fillAndKey } from "../../painters/canvasStage.ts";
import { loadShaper } from "../fonts.ts";
import { contextOf, decodeImages, drawPlacements, serverPaintKit } from "./serverCanvas.ts";

export interface StillJob {
  readonly id: number;
  readonly documents: readonly (readonly [hash: string, document: PinnedDocument])[];
  readonly files: readonly (readonly [file: string, bytes: Uint8Array])[];
  readonly fonts: readonly (readonly [id: string, bytes: Uint8Array])[];
  readonly page: SlotPage;
  readonly layerId: string;
  readonly outfitId: string;
  readonly output: Output;
  /** Of a part of a wall, the wall. */
  readonly isWholeWall: boolean;
  readonly timeZone: string;
  /** Since the page came; null: at rest. */
  readonly atMs: number | null;
  readonly widthPx: number;
  readonly signal: "picture" | "fill" | "key";
}

export type StillResult =
  | { readonly id: number; readonly png: Uint8Array }
  | { readonly id: number; readonly failed: string };

let shaper: Promise<Shaper> | undefined;

/** Draws one page to a PNG. Runs beside the server's own thread: a take never waits for a picture. */
async function draw(job: StillJob): Promise<Uint8Array> {
  shaper ??= loadShaper();
  const ready = await shaper;
  const images = await decodeImages(new Map(job.files));
  for (const [id, bytes] of job.fonts) ready.addFont(id, bytes);
  const fallback = [...FALLBACK_FONTS, ...job.fonts.map(([id]) => id)];
  const dress = createDresser(new Map(job.documents), ready, fallback, job.timeZone);
  const whole = canvasOf(job.output);
  const timeline = pageTimeline(job.page, job.layerId, job.outfitId, whole, dress, job.atMs !== null);
  const placements = placementsAt(timeline, job.atMs ?? ARRIVED_MS, whole);
  const shown = job.isWholeWall ? whole : job.output;
  const scale = job.widthPx / shown.widthPx;
  const from = (!job.isWholeWall && job.output.region) || undefined;
  const kit = serverPaintKit(ready, images);
  const canvas = drawPlacements(placements, shown, scale, kit, null, from);
  if (job.signal !== "picture") {
    const context = contextOf(canvas);
    const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
    pixels.data.set(fillAndKey(pixels.data)[job.signal]);
    context.putImageData(pixels, 0, 0);
  }
  return canvas.encode("png");
}

parentPort?.on("message", (job: StillJob) => {
  draw(job).then(
    (png) => parentPort?.postMessage({ id: job.id, png } satisfies StillResult),
    (error: unknown) => parentPort?.postMessage({ id: job.id, failed: String(error) } satisfies StillResult),
  );
});
