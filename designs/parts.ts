import type { Fill, SceneObject, Template, TextObject } from "../core/scene/template.ts";

/** Shorthands for writing templates: what is not said is none, always shown, still. */
type Box = { x: number; y: number; width: number; height: number };
const STILL: SceneObject["motion"] = { enter: [], exit: [], change: { in: [], out: [] } };

export const box = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height });
export const solid = (token: string, alpha?: number): Fill => ({
  kind: "solid",
  color: alpha === undefined ? { token } : { token, alpha },
});

type RectangleObject = Extract<SceneObject, { kind: "rectangle" }>;

export function rectangle(
  id: string,
  at: Box,
  fill: Fill,
  more: Partial<Omit<RectangleObject, "kind" | "id" | "box" | "fill">> = {},
): SceneObject {
  return {
    id,
    kind: "rectangle",
    box: at,
    fill,
    radiusPx: 0,
    stroke: null,
    shadow: null,
    showWhen: { kind: "always" },
    motion: STILL,
    ...more,
  };
}

export function text(
  id: string,
  field: string,
  at: Box,
  sizes: { min: number; max: number; readable: number },
  more: Partial<Omit<TextObject, "kind" | "id" | "field" | "box">> = {},
): SceneObject {
  return {
    id,
    kind: "text",
    field,
    box: at,
    fill: solid("paper"),
    font: "words",
    minSizePx: sizes.min,
    maxSizePx: sizes.max,
    readableSizePx: sizes.readable,
    leading: 1.28,
    align: "center",
    verticalAlign: "middle",
    letterCase: "asTyped",
    keepLines: false,
    balance: true,
    stroke: null,
    shadow: null,
    showWhen: { kind: "notEmpty", field },
    motion: STILL,
    ...more,
  };
}

/** White words stay readable on anything bright behind them. */
export const SOFT_SHADOW: SceneObject["shadow"] = {
  color: { token: "shade", alpha: 0.75 },
  blurPx: 22,
  offsetXPx: 0,
  offsetYPx: 4,
};

/** A template drawn on a 1920×1080 canvas. */
export function template(name: string, fieldSet: string, objects: SceneObject[]): Template {
  return { kind: "template", format: 1, name, fieldSet, canvas: { widthPx: 1920, heightPx: 1080 }, objects };
}
