import type { Paint } from "./picture.ts";

/** The same paint with its origin moved by (x, y): what a part of a picture is painted with where it has an origin of its own. */
export function movePaint<P extends Paint>(paint: P, x: number, y: number): Paint {
  switch (paint.kind) {
    case "none":
    case "solid":
      return paint;
    case "linear":
      return { ...paint, x0: paint.x0 - x, x1: paint.x1 - x, y0: paint.y0 - y, y1: paint.y1 - y };
    case "radial":
      return { ...paint, x: paint.x - x, y: paint.y - y };
    case "image":
      return { ...paint, dest: { ...paint.dest, x: paint.dest.x - x, y: paint.dest.y - y } };
  }
}

/** Whether paint looks different from place to place. */
export const isShaded = ({ kind }: Paint): boolean => kind !== "none" && kind !== "solid";
