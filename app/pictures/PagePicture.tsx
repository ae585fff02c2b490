import { useEffect, useRef } from "react";
import { composeSlot } from "../../core/compose/compose.ts";
import { placementsAt } from "../../core/compose/placements.ts";
import type { LaidOutPage } from "../../core/scene/part.ts";
import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import type { Drawing } from "../live/drawing.ts";
import { arrival } from "./arrival.ts";
import { makeProgramPicture } from "./programPicture.ts";
import { useDeviceWidth } from "./useDeviceWidth.ts";

/** Laid-out pages one over the other, at one instant of their life, by the very code that draws the outputs. */
export function PagePicture({
  pages,
  drawing,
  atMs,
  label,
  ground,
}: {
  pages: readonly LaidOutPage[];
  drawing: Drawing;
  atMs: number;
  label: string;
  /** CSS background beneath the pages. */
  ground: string;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const widthPx = useDeviceWidth(frame);
  const [first] = pages;

  useEffect(() => {
    if (!frame.current || widthPx === 0 || !first) return;
    const scale = widthPx / first.widthPx;
    const element = document.createElement("div");
    element.style.position = "absolute";
    element.style.inset = "0";
    frame.current.append(element);
    const plates = new PlateCache(drawing.kit, scale);
    const stage = new ElementStage(element, {
      plates,
      scale,
      pixelRatio: window.devicePixelRatio,
      makeProgram: makeProgramPicture,
    });
    const endRepaint = drawing.shelf.onLoaded((file) => plates.repaint(file));
    const pieces = pages.flatMap((laidOut, i) =>
      composeSlot(arrival, `page${i}`, () => ({ templateHash: "one", laidOut })),
    );
    stage.draw(placementsAt({ pieces }, atMs, first));
    return () => {
      endRepaint();
      stage.discard();
      element.remove();
    };
  }, [pages, drawing, widthPx, atMs, first]);

  return (
    <div
      ref={frame}
      role="img"
      aria-label={label}
      className="relative w-full overflow-hidden rounded"
      style={{ aspectRatio: first ? `${first.widthPx} / ${first.heightPx}` : "16 / 9", background: ground }}
    />
  );
}
