import { figuresAt } from "../figures/figures.ts";
import { readPaused } from "../figures/paused.ts";
import { REST } from "../motion/pose.ts";
import { contentKey } from "../picture/contentKey.ts";
import { isShaded, movePaint } from "../picture/movePaint.ts";
import type { Point } from "../picture/picture.ts";
import { inCase } from "../scene/letterCase.ts";
import type { Plate } from "../scene/part.ts";
import { type Effects, placeMixed, SQUARE } from "./mixedPlate.ts";
import type { PieceContent } from "./piece.ts";
import type { Placement } from "./placement.ts";

/** The characters of a text that the time decides, side by side. */
export function placeFigures(
  id: string,
  content: Extract<PieceContent, { kind: "figures" }>,
  x: number,
  y: number,
  pivot: Point,
  effects: Effects,
  atMs: number,
): Placement[] {
  const { value, paused, sinceMs, letterCase } = content;
  const text = inCase(
    readPaused(value, paused, atMs, (ms) => figuresAt(value, sinceMs, ms)).text,
    letterCase,
  );
  const figures = [...text].flatMap((character) => content.figures[character] ?? []);
  const widthPx = figures.reduce((sum, { advancePx }) => sum + advancePx, 0);
  const room = content.widthPx - widthPx;
  let pen = content.align === "center" ? room / 2 : content.align === "end" ? room : 0;
  return figures.map(({ plate, advancePx }, i) => {
    // Whole pixels: digits must not shiver.
    const along = Math.round(pen);
    pen += advancePx;
    return placeMixed(
      {
        // From the right, so that the seconds stay the same things when the text grows.
        id: `${id}/${figures.length - i}`,
        plate: shadedAt(plate, along),
        x: x + along,
        y,
        pose: REST,
        pivot,
        radiiPx: SQUARE,
      },
      effects,
    );
  });
}

const shaded = new WeakMap<Plate, Map<number, Plate>>();

/** A gradient goes on from one character to the next: each has the part of it that lies where the character does. */
function shadedAt(plate: Plate, along: number): Plate {
  const { items } = plate.picture;
  if (along === 0 || !items.some(({ fill }) => isShaded(fill))) return plate;
  const known = shaded.get(plate) ?? new Map<number, Plate>();
  shaded.set(plate, known);
  let moved = known.get(along);
  if (!moved) {
    const picture = {
      ...plate.picture,
      items: items.map((item) => ({ ...item, fill: movePaint(item.fill, along, 0) })),
    };
    moved = { key: contentKey([plate.key, along]), picture };
    known.set(along, moved);
  }
  return moved;
}
