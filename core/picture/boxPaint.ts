import { mixColor } from "./mixColor.ts";
import type { GradientStop, Paint, Rect } from "./picture.ts";

/** Paint as it lies in a box, whatever that box is: what a shape that changes its size is painted with. */
export type BoxPaint =
  | Extract<Paint, { kind: "none" | "solid" }>
  | { readonly kind: "linear"; readonly angleDeg: number; readonly stops: readonly GradientStop[] }
  | {
      readonly kind: "radial";
      /** As fractions of the box. */
      readonly center: { readonly x: number; readonly y: number };
      /** As a fraction of its longer side. */
      readonly radius: number;
      readonly stops: readonly GradientStop[];
    }
  /** A picture keeps its place: a box that grows shows more of it. */
  | Extract<Paint, { kind: "image" }>;

/** @param turnDeg turns a linear gradient on */
export function paintFor(paint: BoxPaint, box: Rect, turnDeg = 0): Paint {
  switch (paint.kind) {
    case "none":
    case "solid":
    case "image":
      return paint;
    case "linear": {
      // The gradient line of CSS: through the box's centre, as long as needed for the corners to get the end colours.
      const angle = ((paint.angleDeg + turnDeg) * Math.PI) / 180;
      const dx = Math.sin(angle);
      const dy = -Math.cos(angle);
      const half = (Math.abs(box.width * dx) + Math.abs(box.height * dy)) / 2;
      const centerX = box.x + box.width / 2;
      const centerY = box.y + box.height / 2;
      return {
        kind: "linear",
        x0: centerX - dx * half,
        y0: centerY - dy * half,
        x1: centerX + dx * half,
        y1: centerY + dy * half,
        stops: paint.stops,
      };
    }
    case "radial":
      return {
        kind: "radial",
        x: box.x + box.width * paint.center.x,
        y: box.y + box.height * paint.center.y,
        radius: Math.max(box.width, box.height) * paint.radius,
        stops: paint.stops,
      };
  }
}

/** The same with every colour moved towards another; pictures stay. @param t 0 to 1 */
export function recolored(paint: BoxPaint, color: string, t: number): BoxPaint {
  switch (paint.kind) {
    case "none":
    case "image":
      return paint;
    case "solid":
      return { kind: "solid", color: mixColor(paint.color, color, t) };
    case "linear":
    case "radial":
      return {
        ...paint,
        stops: paint.stops.map((stop) => ({ ...stop, color: mixColor(stop.color, color, t) })),
      };
  }
}
