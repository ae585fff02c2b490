import { useMemo } from "react";
import type { Boxes, Rect } from "../../../core/design/edit/objects.ts";
import { allObjects, type Template } from "../../../core/scene/template.ts";

/** Where objects stand: as they were laid out; what is not drawn stands where it is written. */
export function useBoxes(template: Template, places: ReadonlyMap<string, Rect>): Boxes {
  return useMemo(() => {
    const found = new Map<string, Rect>();
    for (const { object } of allObjects(template)) {
      const { x, y, width, height } = places.get(object.id) ?? object.box;
      found.set(object.id, {
        x: Number(x) || 0,
        y: Number(y) || 0,
        width: Number(width) || 0,
        height: Number(height) || 0,
      });
    }
    return found;
  }, [template, places]);
}
