import type { GroupSpec, ReadableObject, SceneObject } from "../../scene/objectKinds.ts";
import { allObjects, type Template } from "../../scene/template.ts";

/** Where an object stands on its canvas, in pixels of it. */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where the objects of a template stand, as they were laid out: what they follow and measures of the style are in it. */
export type Boxes = ReadonlyMap<string, Rect>;

/** A template with some of its objects made otherwise; the same object where nothing was. */
export function withObjects(
  template: Template,
  change: (object: ReadableObject) => ReadableObject,
): Template {
  const walk = <T extends SceneObject>(objects: readonly T[]): T[] => {
    const changed = objects.map((object): T => {
      if (object.kind === "unreadable") return object;
      const inner = object.kind === "group" ? walk(object.objects) : undefined;
      const whole =
        inner && inner !== (object as GroupSpec).objects
          ? ({ ...object, objects: inner } as ReadableObject)
          : (object as ReadableObject);
      return change(whole) as T;
    });
    return changed.every((object, i) => object === objects[i]) ? (objects as T[]) : changed;
  };
  const objects = walk(template.objects);
  return objects === template.objects ? template : { ...template, objects };
}

export const findObject = (template: Template, id: string): ReadableObject | undefined =>
  allObjects(template).find(({ object }) => object.id === id)?.object;

/** An object and all that lies in it. */
export function idsWithin(object: SceneObject): readonly string[] {
  return object.kind === "group" ? [object.id, ...object.objects.flatMap(idsWithin)] : [object.id];
}

/** Chosen objects without those that lie in another chosen one: what is done to a group is done to its members. */
export function outermost(template: Template, ids: readonly string[]): readonly string[] {
  const chosen = new Set(ids);
  const parents = new Map(allObjects(template).map(({ object, parentId }) => [object.id, parentId]));
  return ids.filter((id) => {
    for (let at = parents.get(id); at != null; at = parents.get(at)) if (chosen.has(at)) return false;
    return parents.has(id);
  });
}

/** An id that no object of the template has yet, as near to a wanted one as can be. */
export function freeId(template: Template, wanted: string, taken: ReadonlySet<string> = new Set()): string {
  const used = new Set([...allObjects(template).map(({ object }) => object.id), ...taken]);
  const base = wanted.replace(/ \d+$/, "").slice(0, 54) || "object";
  if (!used.has(base) && !(base in Object.prototype)) return base;
  for (let n = 2; ; n++) if (!used.has(`${base} ${n}`)) return `${base} ${n}`;
}
