import type { Template } from "../../scene/template.ts";
import { type Boxes, outermost, type Rect } from "./objects.ts";
import { boxAround, moveObjects, placeObject } from "./place.ts";

export const ALIGNMENTS = ["left", "center", "right", "top", "middle", "bottom"] as const;
export type Alignment = (typeof ALIGNMENTS)[number];

type Axis = "x" | "y";
const SIZE = { x: "width", y: "height" } as const;
const AXIS: Readonly<Record<Alignment, Axis>> = {
  left: "x",
  center: "x",
  right: "x",
  top: "y",
  middle: "y",
  bottom: "y",
};
const SHARE: Readonly<Record<Alignment, number>> = {
  left: 0,
  center: 0.5,
  right: 1,
  top: 0,
  middle: 0.5,
  bottom: 1,
};

const by = (axis: Axis, px: number) => (axis === "x" ? { xPx: px, yPx: 0 } : { xPx: 0, yPx: px });

/** One object alone is aligned with the canvas, several with one another. */
export function alignObjects(
  template: Template,
  ids: readonly string[],
  alignment: Alignment,
  boxes: Boxes,
): Template {
  const chosen = chosenBoxes(template, ids, boxes);
  const axis = AXIS[alignment];
  const share = SHARE[alignment];
  const { widthPx: width, heightPx: height } = template.canvas;
  const around = chosen.length > 1 ? boxAround(chosen.map(({ box }) => box)) : { x: 0, y: 0, width, height };
  if (!around) return template;
  const line = around[axis] + around[SIZE[axis]] * share;
  return chosen.reduce(
    (now, { id, box }) =>
      moveObjects(now, [id], by(axis, line - (box[axis] + box[SIZE[axis]] * share)), boxes),
    template,
  );
}

/** As much room between each two as between the others; the first and the last stay. Fewer than three are as they are. */
export function distributeObjects(
  template: Template,
  ids: readonly string[],
  axis: Axis,
  boxes: Boxes,
): Template {
  const chosen = chosenBoxes(template, ids, boxes).sort((a, b) => a.box[axis] - b.box[axis]);
  const [first] = chosen;
  const last = chosen.at(-1);
  if (!first || !last || chosen.length < 3) return template;
  const room = last.box[axis] + last.box[SIZE[axis]] - first.box[axis];
  const used = chosen.reduce((sum, { box }) => sum + box[SIZE[axis]], 0);
  const gap = (room - used) / (chosen.length - 1);
  let at = first.box[axis];
  let now = template;
  for (const { id, box } of chosen) {
    now = moveObjects(now, [id], by(axis, at - box[axis]), boxes);
    at += box[SIZE[axis]] + gap;
  }
  return now;
}

/** All as wide, or as high, as the one chosen first. */
export function equalSizes(
  template: Template,
  ids: readonly string[],
  side: "width" | "height",
  boxes: Boxes,
): Template {
  const [first, ...others] = chosenBoxes(template, ids, boxes);
  if (!first) return template;
  return others.reduce(
    (now, { id, box }) => placeObject(now, id, { ...box, [side]: first.box[side] }, boxes),
    template,
  );
}

function chosenBoxes(template: Template, ids: readonly string[], boxes: Boxes): { id: string; box: Rect }[] {
  return outermost(template, ids).flatMap((id) => {
    const box = boxes.get(id);
    return box ? [{ id, box }] : [];
  });
}
