import type { Boxes, Rect } from "../../../core/design/edit/objects.ts";
import type { ReadableObject, SceneObject } from "../../../core/scene/objectKinds.ts";
import type { Template } from "../../../core/scene/template.ts";

/** An object that can be taken hold of on the canvas. */
export interface Held {
  readonly object: ReadableObject;
  readonly box: Rect;
}

/**
 * Objects as they are taken hold of, from the back to the front: groups as one, but for those that were entered, whose members are
 * each by itself.
 */
export function heldObjects(template: Template, boxes: Boxes, entered: ReadonlySet<string>): readonly Held[] {
  const walk = (objects: readonly SceneObject[]): readonly Held[] =>
    objects.flatMap((object): readonly Held[] => {
      if (object.kind === "unreadable") return [];
      if (object.kind === "group" && entered.has(object.id)) return walk(object.objects);
      const box = boxes.get(object.id);
      return box ? [{ object, box }] : [];
    });
  return walk(template.objects);
}
