import type { GroupSpec, ReadableObject, SceneObject } from "../../scene/objectKinds.ts";
import { arrangeIn, type Fitting, shapesOf } from "../../scene/shapes.ts";
import { allObjects, type Placed, type Template } from "../../scene/template.ts";

/** What of an object each shape may have of its own. */
const OWN = ["box", "minSizePx", "maxSizePx", "readableSizePx"] as const;
/** How many shapes beside its own a template may have. */
export const MOST_SHAPES = 8;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A template changed as it is seen in one of its shapes: places and sizes become the shape's own, what is taken away is left out
 * there alone; all else is the same in every shape.
 * @param shape 0: the template's own canvas; from 1 on, its other shapes
 */
export function editInShape(
  template: Template,
  shape: number,
  change: (shown: Template) => Template,
): Template {
  const before = shapesOf(template)[shape];
  const variant = template.shapes[shape - 1];
  if (!before || !variant) return change(template);
  const after = change(before);
  if (after === before) return template;
  const were = byId(before);
  const are = byId(after);
  const placed: Record<string, Placed> = { ...variant.objects };
  const patches = new Map<string, Readonly<Record<string, unknown>>>();
  for (const [id, object] of are) {
    const was = were.get(id);
    if (!was) continue;
    const { own, shared } = difference(was, object);
    if (Object.keys(own).length > 0) placed[id] = { ...placed[id], ...own };
    patches.set(id, shared);
  }
  // A group whose members are still there was taken apart; what is gone with all that is in it is left out here.
  const isApart = (object: ReadableObject): boolean =>
    object.kind === "group" && object.objects.some((member) => are.has(member.id));
  const apart = new Set([...were].flatMap(([id, object]) => (!are.has(id) && isApart(object) ? [id] : [])));
  for (const [id] of were)
    if (!are.has(id) && !apart.has(id)) placed[id] = { ...placed[id], isLeftOut: true };
  const fitting = arrangeIn(template, variant.canvas);
  const objects = restored(
    after.objects,
    { known: byId(template), patches, fitting },
    { base: template.objects, are, apart },
  );
  const { name, editing, fieldSet } = after;
  const made = (own: Readonly<Record<string, Placed>>): Template => ({
    ...template,
    ...{ name, editing, fieldSet, objects },
    shapes: template.shapes.map((each, i) => (i === shape - 1 ? { ...each, objects: own } : each)),
  });
  // What came to it or went from it arranges the rest anew: all stands as it was seen.
  const shown = byId(shapesOf(made(placed))[shape] as Template);
  for (const [id, object] of are) {
    const { own } = difference(shown.get(id) ?? object, object);
    if (Object.keys(own).length > 0) placed[id] = { ...placed[id], ...own };
  }
  return made(placed);
}

const byId = (template: Pick<Template, "objects">): ReadonlyMap<string, ReadableObject> =>
  new Map(allObjects(template).map(({ object }) => [object.id, object]));

/** What became otherwise in an object: of its place and size, and of all else. */
function difference(
  was: ReadableObject,
  is: ReadableObject,
): { readonly own: Placed; readonly shared: Readonly<Record<string, unknown>> } {
  const [before, after] = [was, is] as unknown as readonly Readonly<Record<string, unknown>>[] as [
    Readonly<Record<string, unknown>>,
    Readonly<Record<string, unknown>>,
  ];
  const own: Record<string, unknown> = {};
  const shared: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    if (key === "objects" || same(before[key], after[key])) continue;
    ((OWN as readonly string[]).includes(key) ? own : shared)[key] = after[key];
  }
  return { own: own as Placed, shared };
}

interface Sources {
  readonly known: ReadonlyMap<string, ReadableObject>;
  readonly patches: ReadonlyMap<string, Readonly<Record<string, unknown>>>;
  readonly fitting: Fitting;
}

/** Objects in the order that they were given, as they are on the template's own canvas; with those that this shape leaves out. */
function restored(
  shown: readonly SceneObject[],
  sources: Sources,
  rest: {
    readonly base: readonly SceneObject[];
    readonly are: ReadonlyMap<string, ReadableObject>;
    readonly apart: ReadonlySet<string>;
  },
): SceneObject[] {
  const { known, patches, fitting } = sources;
  const list = shown.map((object): SceneObject => {
    if (object.kind === "unreadable") return object;
    const base = known.get(object.id);
    const own = base ? { ...base, ...patches.get(object.id) } : unfitted(object, fitting);
    if (object.kind !== "group") return own as SceneObject;
    const inner = base?.kind === "group" ? base.objects : [];
    return { ...own, objects: restored(object.objects, sources, { ...rest, base: inner }) } as GroupSpec;
  });
  // What is left out here keeps its place behind what it followed.
  const missing = rest.base.filter(
    (object) => object.kind !== "unreadable" && !rest.are.has(object.id) && !rest.apart.has(object.id),
  );
  for (const object of missing) {
    const before = rest.base.slice(0, rest.base.indexOf(object)).map(({ id }) => id);
    const at = list.findLastIndex(({ id }) => before.includes(id));
    list.splice(at + 1, 0, object);
  }
  return list;
}

/** What was made in a shape, as it stands on the template's own canvas. */
function unfitted(object: ReadableObject, fitting: Fitting): ReadableObject {
  const { x, y, width, height } = object.box;
  const { scale, dx, dy } = fitting;
  const plain = [x, y, width, height].every((side) => typeof side === "number");
  const box = plain
    ? {
        x: (Number(x) - dx) / scale,
        y: (Number(y) - dy) / scale,
        width: Number(width) / scale,
        height: Number(height) / scale,
      }
    : object.box;
  const size = (name: (typeof OWN)[number]) => {
    const px = (object as unknown as Record<string, unknown>)[name];
    return typeof px === "number" ? { [name]: px / scale } : {};
  };
  return {
    ...object,
    ...{ ...size("minSizePx"), ...size("maxSizePx"), ...size("readableSizePx") },
    box,
  } as ReadableObject;
}

/** Whether a shape has anything of an object of its own. */
export const isOwnIn = (template: Template, shape: number, id: string): boolean =>
  Object.keys(template.shapes[shape - 1]?.objects[id] ?? {}).length > 0;

/** What a shape has of its own given back: all of it, or of one object. */
export const giveBack = (template: Template, shape: number, id?: string): Template => ({
  ...template,
  shapes: template.shapes.map((each, i) => {
    if (i !== shape - 1) return each;
    const objects = { ...each.objects };
    if (id !== undefined) delete objects[id];
    return { ...each, objects: id === undefined ? {} : objects };
  }),
});

export const addShape = (template: Template, name: string, canvas: Template["canvas"]): Template => ({
  ...template,
  shapes: [...template.shapes, { name, canvas, objects: {} }],
});

export const removeShape = (template: Template, shape: number): Template => ({
  ...template,
  shapes: template.shapes.filter((_, i) => i !== shape - 1),
});
