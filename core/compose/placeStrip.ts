import { copiesAt } from "../crawl/strip.ts";
import { REST } from "../motion/pose.ts";
import type { Point } from "../picture/picture.ts";
import { type Effects, placeMixed, SQUARE } from "./mixedPlate.ts";
import type { PieceContent } from "./piece.ts";
import type { Placement } from "./placement.ts";

/** The tiles of a strip that can be seen in its box. */
export function placeStrip(
  id: string,
  content: Extract<PieceContent, { kind: "strip" }>,
  x: number,
  y: number,
  pivot: Point,
  effects: Effects,
  atMs: number,
): Placement[] {
  const { box, towards, run, tiles, lengthPx } = content;
  const isCrawl = towards === "left" || towards === "right";
  const [boxFrom, boxTo] = isCrawl ? [box.x, box.x + box.width] : [box.y, box.y + box.height];
  const placed: Placement[] = [];
  for (const { copy, headPx } of copiesAt(run, atMs)) {
    // Where the strip's left (top) end stands, from the box's place.
    const end = {
      left: box.x + box.width - headPx,
      right: box.x + headPx - lengthPx,
      up: box.y + box.height - headPx,
      down: box.y + headPx - lengthPx,
    }[towards];
    const moved = evenly(end, run.pxPerMs);
    for (const [i, { plate, x: tileX, y: tileY }] of tiles.entries()) {
      const { bounds } = plate.picture;
      const along = moved + (isCrawl ? tileX : tileY);
      const from = along + (isCrawl ? bounds.x : bounds.y);
      const to = from + (isCrawl ? bounds.width : bounds.height);
      if (to <= boxFrom || from >= boxTo) continue;
      const whole = Math.floor(along);
      const part = along - whole;
      placed.push(
        placeMixed(
          {
            id: `${id}/${copy}.${i}`,
            plate,
            x: x + (isCrawl ? whole : tileX),
            y: y + (isCrawl ? tileY : whole),
            pose: part === 0 ? REST : { ...REST, [isCrawl ? "offsetXPx" : "offsetYPx"]: part },
            pivot,
            radiiPx: SQUARE,
          },
          effects,
        ),
      );
    }
  }
  return placed;
}

/** From one pixel a frame on, steps are whole pixels: letters stay sharp. Slower ones move by fractions. */
const evenly = (px: number, pxPerMs: number) => (pxPerMs * (1_000 / 60) >= 0.999 ? Math.round(px) : px);
