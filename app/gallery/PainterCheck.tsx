import { useEffect, useState } from "react";
import { composeSlot } from "../../core/compose/compose.ts";
import { platesOf } from "../../core/compose/platesOf.ts";
import type { LaidOutPage, Plate } from "../../core/scene/part.ts";
import { type Canvas2D, paintPicture } from "../../painters/paint.ts";
import type { Drawing } from "../live/drawing.ts";
import { arrival } from "../pictures/arrival.ts";
import type { PaintedPixels, PaintJob } from "./paintWorker.ts";

/** Paints every plate of the gallery in the window and in a worker, and says how far they are apart. */
export function PainterCheck({ pages, drawing }: { pages: readonly LaidOutPage[]; drawing: Drawing }) {
  const [result, setResult] = useState<{ plates: number; largest: number } | "failed">();
  useEffect(() => {
    const plates = pages.flatMap((laidOut) =>
      platesOf(composeSlot(arrival, "check", () => ({ templateHash: "one", laidOut }))),
    );
    const worker = new Worker(new URL("./paintWorker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<PaintedPixels>) =>
      setResult({ plates: plates.length, largest: largestDifference(plates, data, drawing) });
    worker.onerror = () => setResult("failed");
    const job: PaintJob = { pictures: plates.map(({ picture }) => picture), scale: 1 };
    worker.postMessage(job);
    return () => worker.terminate();
  }, [pages, drawing]);
  return (
    <p className="mb-3 text-[15px]" aria-live="polite">
      {result === undefined && "Painting in a worker…"}
      {result === "failed" && "The worker could not paint."}
      {typeof result === "object" &&
        `Window and worker: ${result.plates} plates, largest difference ${result.largest} of 255.`}
    </p>
  );
}

function largestDifference(plates: readonly Plate[], theirs: PaintedPixels, { kit }: Drawing): number {
  let largest = 0;
  for (const [i, { picture }] of plates.entries()) {
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, picture.bounds.width);
    canvas.height = Math.max(1, picture.bounds.height);
    const context = canvas.getContext("2d");
    if (!context) throw new Error("No 2D context in the painter check");
    paintPicture(context as Canvas2D, picture, 1, kit);
    const ours = context.getImageData(0, 0, canvas.width, canvas.height).data;
    const other = theirs[i];
    if (other?.length !== ours.length) return 255;
    for (let at = 0; at < ours.length; at++)
      largest = Math.max(largest, Math.abs((ours[at] as number) - (other[at] as number)));
  }
  return largest;
}
