/** A corner of an outline, and how it is reached from the one before: straight, or along a circle. */
interface Corner {
  readonly x: number;
  readonly y: number;
  readonly along?: { readonly r: number; readonly isLarge: boolean; readonly isClockwise: boolean };
}

/** A closed outline, clockwise; cut out of what lies beneath when it is turned round. */
export type Outline = readonly Corner[];

const round = (value: number): number => Math.round(value * 100) / 100;

/** A full circle. */
export const disc = (cx: number, cy: number, r: number): Outline => {
  const along = { r, isLarge: false, isClockwise: true };
  return [
    { x: cx - r, y: cy, along },
    { x: cx + r, y: cy, along },
  ];
};

/** A stroke with round ends. */
export function bar(x1: number, y1: number, x2: number, y2: number, width = 10): Outline {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const r = width / 2;
  const [nx, ny] = [((y2 - y1) / length) * r, (-(x2 - x1) / length) * r];
  const along = { r, isLarge: false, isClockwise: true };
  return [
    { x: x1 + nx, y: y1 + ny, along },
    { x: x2 + nx, y: y2 + ny },
    { x: x2 - nx, y: y2 - ny, along },
    { x: x1 - nx, y: y1 - ny },
  ];
}

/** Straight edges between points that are given clockwise. */
export const edges = (...points: readonly (readonly [x: number, y: number])[]): Outline =>
  points.map(([x, y]) => ({ x, y }));

/** A rectangle with round corners. */
export function block(x: number, y: number, width: number, height: number, r = 4): Outline {
  const along = { r, isLarge: false, isClockwise: true };
  return [
    { x: x + r, y, along },
    { x: x + width - r, y },
    { x: x + width, y: y + r, along },
    { x: x + width, y: y + height - r },
    { x: x + width - r, y: y + height, along },
    { x: x + r, y: y + height },
    { x, y: y + height - r, along },
    { x, y: y + r },
  ];
}

/** Part of a ring with round ends, from one angle clockwise to another, degrees from three o'clock. */
export function bow(cx: number, cy: number, r: number, from: number, to: number, width = 10): Outline {
  const at = (radius: number, degrees: number) => ({
    x: cx + radius * Math.cos((degrees * Math.PI) / 180),
    y: cy + radius * Math.sin((degrees * Math.PI) / 180),
  });
  const [outer, inner] = [r + width / 2, r - width / 2];
  const isLarge = to - from > 180;
  const end = { r: width / 2, isLarge: false, isClockwise: true };
  return [
    { ...at(outer, from), along: end },
    { ...at(outer, to), along: { r: outer, isLarge, isClockwise: true } },
    { ...at(inner, to), along: end },
    { ...at(inner, from), along: { r: inner, isLarge, isClockwise: false } },
  ];
}

/** What is taken out of the outlines beneath. */
export const cut = (outline: Outline): Outline =>
  outline
    .map(({ x, y }, i) => {
      const next = outline[(i + 1) % outline.length]?.along;
      return { x, y, ...(next && { along: { ...next, isClockwise: !next.isClockwise } }) };
    })
    .reverse();

/** A ring. */
export const ring = (cx: number, cy: number, r: number, width = 10): readonly Outline[] => [
  disc(cx, cy, r + width / 2),
  cut(disc(cx, cy, r - width / 2)),
];

/** Outlines turned around the middle of the drawing, degrees clockwise. */
export function turned(degrees: number, ...outlines: readonly Outline[]): readonly Outline[] {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return outlines.map((outline) =>
    outline.map(({ x, y, ...how }) => ({
      ...how,
      x: 50 + (x - 50) * cos - (y - 50) * sin,
      y: 50 + (x - 50) * sin + (y - 50) * cos,
    })),
  );
}

/** Outlines as seen in a mirror. */
export const mirrored = (...outlines: readonly Outline[]): readonly Outline[] =>
  outlines.map((outline) =>
    cut(
      outline.map(({ x, ...how }) => ({
        ...how,
        x: 100 - x,
        ...(how.along && { along: { ...how.along, isClockwise: !how.along.isClockwise } }),
      })),
    ),
  );

/** Outlines as SVG path data. */
export const pathOf = (outlines: readonly Outline[]): string =>
  outlines
    .map((outline) => {
      const [first] = outline;
      if (!first) throw new Error("An outline has no corners");
      const to = ({ x, y, along }: Corner) =>
        along
          ? `A${round(along.r)} ${round(along.r)} 0 ${Number(along.isLarge)} ${Number(along.isClockwise)} ${round(x)} ${round(y)}`
          : `L${round(x)} ${round(y)}`;
      return `M${round(first.x)} ${round(first.y)}${[...outline.slice(1), first].map(to).join("")}Z`;
    })
    .join("");
