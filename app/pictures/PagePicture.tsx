import { useEffect, useRef } from "react";
import { composeSlot } from "../../core/compose/compose.ts";
import { placementsAt } from "../../core/compose/placements.ts";
import type { LaidOutPage } from "../../core/scene/part.ts";
import type { Drawing } from "../live/drawing.ts";
import { arrival } from "./arrival.ts";
import { type OpenPicture, openFlatPicture } from "./flatPicture.ts";
import { useDeviceWidth } from "./useDeviceWidth.ts";

/** Laid-out pages one over the other, at one instant of their life, composed by the code that composes the outputs. */
export function PagePicture({
  pages,
  drawing,
  atMs,
  label,
  ground,
  open = openFlatPicture,
}: {
  pages: readonly LaidOutPage[];
  drawing: Drawing;
  atMs: number;
  label: string;
  /** CSS background beneath the pages. */
  ground: string;
  open?: OpenPicture;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const widthPx = useDeviceWidth(frame);
  const [first] = pages;

  useEffect(() => {
    if (!frame.current || widthPx === 0 || !first) return;
    const scale = widthPx / first.widthPx;
    const pieces = pages.flatMap((laidOut, i) =>
      composeSlot(arrival, `page${i}`, () => ({ templateHash: "one", laidOut })),
    );
    const picture = open(frame.current, drawing, scale, first, () => placementsAt({ pieces }, atMs, first));
    picture.draw();
    return picture.discard;
  }, [pages, drawing, widthPx, atMs, first, open]);

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
