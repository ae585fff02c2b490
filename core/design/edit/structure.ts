import type { GroupSpec, ReadableObject, SceneObject } from "../../scene/objectKinds.ts";
import { groupSchema } from "../../scene/objectKinds.ts";
import { allObjects, type Template } from "../../scene/template.ts";
import { type Boxes, findObject, freeId, idsWithin, outermost } from "./objects.ts";
import { boxAround } from "./place.ts";

export type Restacking = "front" | "forward" | "backward" | "back";

/** The list an object lies in: of a group, or of the template itself. */
const parentOf = (template: Template, id: string): string | null =>
  allObjects(template).find(({ object }) => object.id === id)?.parentId ?? null;

/** A template with one of its lists made otherwise. */
function withList(
  template: Template,
  parentId: string | null,
  change: (objects: readonly SceneObject[]) => readonly SceneObject[],
): Template {
  if (parentId === null) return { ...template, objects: [...change(template.objects)] };
  const walk = (objects: readonly SceneObject[]): SceneObject[] =>
    objects.map((object) => {
      if (object.kind !== "group") return object;
      const inside = object.id === parentId ? change(object.objects) : walk(object.objects);
      return { ...object, objects: [...inside] } as GroupSpec;
    });
  return { ...template, objects: walk(template.objects) };
}

/** Objects in front of others, or behind them, within what they lie in. */
export function restack(template: Template, ids: readonly string[], how: Restacking): Template {
  const chosen = new Set(outermost(template, ids));
  const parents = new Set([...chosen].map((id) => parentOf(template, id)));
  return [...parents].reduce(
    (now, parentId) => withList(now, parentId, (objects) => restacked(objects, chosen, how)),
    template,
  );
}

function restacked(
  objects: readonly SceneObject[],
  chosen: ReadonlySet<string>,
  how: Restacking,
): readonly SceneObject[] {
  const isChosen = ({ id }: SceneObject) => chosen.has(id);
  const others = objects.filter((object) => !isChosen(object));
  if (how === "front") return [...others, ...objects.filter(isChosen)];
  if (how === "back") return [...objects.filter(isChosen), ...others];
  const order = [...objects];
  const places = order.map((_, i) => i);
  // The one that is nearest to where they go moves first, so that they keep their own order.
  for (const i of how === "forward" ? places.reverse() : places) {
    const to = i + (how === "forward" ? 1 : -1);
    const [object, other] = [order[i], order[to]];
    if (!object || !other || !isChosen(object) || isChosen(other)) continue;
    order[i] = other;
    order[to] = object;
  }
  return order;
}

/** An object taken out of where it lies and put at a place in another list, or in the same. Nothing is put into itself. */
export function moveInto(template: Template, id: string, parentId: string | null, index: number): Template {
  const object = anyObject(template, id);
  if (!object || (parentId !== null && idsWithin(object).includes(parentId))) return template;
  const without = withList(template, parentOf(template, id), (objects) =>
    objects.filter((each) => each.id !== id),
  );
  return withList(without, parentId, (objects) => objects.toSpliced(index, 0, object));
}

function anyObject(template: Template, id: string): SceneObject | undefined {
  const within = (objects: readonly SceneObject[]): SceneObject | undefined => {
    for (const object of objects) {
      if (object.id === id) return object;
      const inner = object.kind === "group" ? within(object.objects) : undefined;
      if (inner) return inner;
    }
    return undefined;
  };
  return within(template.objects);
}

/** The chosen objects taken away; what others follow of them is let go by whoever looks at the findings. */
export function removeObjects(template: Template, ids: readonly string[]): Template {
  const gone = new Set(ids);
  const walk = (objects: readonly SceneObject[]): SceneObject[] =>
    objects.flatMap((object): SceneObject[] => {
      if (gone.has(object.id)) return [];
      return object.kind === "group" ? [{ ...object, objects: walk(object.objects) } as GroupSpec] : [object];
    });
  return { ...template, objects: walk(template.objects) };
}

/** Chosen objects of one list as a group in the place of the frontmost. @returns undefined where they cannot be one */
export function groupObjects(
  template: Template,
  ids: readonly string[],
  boxes: Boxes,
): { readonly template: Template; readonly groupId: string } | undefined {
  const chosen = new Set(outermost(template, ids));
  const parents = new Set([...chosen].map((id) => parentOf(template, id)));
  const [parentId] = parents;
  const around = boxAround([...chosen].flatMap((id) => boxes.get(id) ?? []));
  if (parents.size !== 1 || parentId === undefined || !around) return undefined;
  // Groups hold groups, and no deeper.
  const isDeep = [...chosen].some((id) => {
    const object = findObject(template, id);
    return object?.kind === "group" && object.objects.some(({ kind }) => kind === "group");
  });
  if (isDeep || (parentId !== null && [...chosen].some((id) => findObject(template, id)?.kind === "group")))
    return undefined;
  if (parentId !== null && parentOf(template, parentId) !== null) return undefined;
  const groupId = freeId(template, "group");
  const made = withList(template, parentId, (objects) => {
    const members = objects.filter(({ id }) => chosen.has(id));
    const group = { kind: "group" as const, id: groupId, box: around, objects: members };
    const last = objects.findLastIndex(({ id }) => chosen.has(id));
    return objects.flatMap((object, i): SceneObject[] => {
      if (i === last) return [groupSchema.parse(group)];
      return chosen.has(object.id) ? [] : [object];
    });
  });
  return { template: made, groupId };
}

/** What lies in a group in its place. */
export function ungroup(template: Template, id: string): Template {
  return withList(template, parentOf(template, id), (objects) =>
    objects.flatMap((object): readonly SceneObject[] =>
      object.id === id && object.kind === "group" ? object.objects : [object],
    ),
  );
}

/**
 * Objects put into a template, in front, with ids that it has free; what refers to one another among them still does.
 * @returns the template and the ids that they have there
 */
export function insertObjects(
  template: Template,
  objects: readonly ReadableObject[],
  by: { readonly xPx: number; readonly yPx: number } = { xPx: 0, yPx: 0 },
): { readonly template: Template; readonly ids: readonly string[] } {
  const names = new Map<string, string>();
  const taken = new Set<string>();
  for (const id of objects.flatMap(idsWithin)) {
    const free = freeId(template, id, taken);
    taken.add(free);
    names.set(id, free);
  }
  const made = objects.map((object) => shifted(renamedIn(object, names), by));
  return {
    template: { ...template, objects: [...template.objects, ...made] },
    ids: made.map(({ id }) => id),
  };
}

/** Every reference to an object by its id, wherever it stands, to its new one. */
function renamedIn<T>(value: T, names: ReadonlyMap<string, string>): T {
  const REFERS = new Set(["id", "object"]);
  const walk = (inner: unknown, key: string): unknown => {
    if (typeof inner === "string") return REFERS.has(key) ? (names.get(inner) ?? inner) : inner;
    if (Array.isArray(inner)) return inner.map((each) => walk(each, key === "objects" ? "" : key));
    if (typeof inner !== "object" || inner === null) return inner;
    return Object.fromEntries(Object.entries(inner).map(([name, each]) => [name, walk(each, name)]));
  };
  return walk(value, "") as T;
}

function shifted<T extends SceneObject>(object: T, by: { readonly xPx: number; readonly yPx: number }): T {
  if (object.kind === "unreadable") return object;
  const { x, y } = object.box;
  const box = {
    ...object.box,
    ...(typeof x === "number" && { x: x + by.xPx }),
    ...(typeof y === "number" && { y: y + by.yPx }),
  };
  const inside =
    object.kind === "group"
      ? { objects: object.objects.map((member) => shifted(member as SceneObject, by)) }
      : {};
  return { ...object, box, ...inside };
}
