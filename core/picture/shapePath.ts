import type { CornerRadii, Rect, Shape } from "./picture.ts";

/** Numbers in paths to a thousandth of a pixel: the same text on every platform. */
export const toThousandths = (value: number) => Math.round(value * 1000) / 1000;
const n = toThousandths;

/** A shape as SVG path data. */
export function shapePath(shape: Shape): string {
  switch (shape.kind) {
    case "rectangle":
      return roundedRectPath(shape.rect, shape.radiiPx);
    case "ellipse": {
      const { x, y, width, height } = shape.rect;
      const arc = (toX: number) => `A${n(width / 2)} ${n(height / 2)} 0 1 1 ${n(toX)} ${n(y + height / 2)}`;
      return `M${n(x)} ${n(y + height / 2)}${arc(x + width)}${arc(x)}Z`;
    }
    case "line":
      return `M${n(shape.from.x)} ${n(shape.from.y)}L${n(shape.to.x)} ${n(shape.to.y)}`;
    case "polygon":
      return `${shape.points.map(({ x, y }, i) => `${i === 0 ? "M" : "L"}${n(x)} ${n(y)}`).join("")}Z`;
    case "path":
      return shape.data;
  }
}

function roundedRectPath({ x, y, width, height }: Rect, radii: CornerRadii): string {
  const right = x + width;
  const bottom = y + height;
  const most = Math.min(width, height) / 2;
  const [tl, tr, br, bl] = radii.map((radius) => Math.min(radius, most)) as [number, number, number, number];
  const arc = (r: number, toX: number, toY: number) =>
    r > 0 ? `A${n(r)} ${n(r)} 0 0 1 ${n(toX)} ${n(toY)}` : "";
  return (
    `M${n(x + tl)} ${n(y)}H${n(right - tr)}${arc(tr, right, y + tr)}V${n(bottom - br)}${arc(br, right - br, bottom)}` +
    `H${n(x + bl)}${arc(bl, x, bottom - bl)}V${n(y + tl)}${arc(tl, x + tl, y)}Z`
  );
}
