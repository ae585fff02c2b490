import { z } from "zod";
import { measureSchema } from "../names/measure.ts";
import type { TextSpec } from "./kinds/text.ts";
import { type ReadableObject, type SceneObject, sceneObjectSchema } from "./objectKinds.ts";
import { boxSchema, objectIdSchema } from "./properties.ts";

/**
 * The open template format, version 2: what a page looks like and how it moves, made on a canvas of the output's
 * size. What is not said is as usual. `readTemplate` reads one from outside; every stored template is parsed by this schema on
 * its way in and out, after those of version 1 were read forward. The guide is docs/formats/template.md.
 */
const sideSchema = z.number().int().min(16).max(16_000);
const canvasSchema = z.strictObject({ widthPx: sideSchema, heightPx: sideSchema });

/** What of an object is otherwise on a screen of another shape. */
const placedSchema = z.strictObject({
  box: boxSchema.optional(),
  minSizePx: measureSchema(4, 2_000).optional(),
  maxSizePx: measureSchema(4, 2_000).optional(),
  readableSizePx: measureSchema(4, 2_000).optional(),
  isLeftOut: z.boolean().optional(),
});
export type Placed = z.infer<typeof placedSchema>;

/** The same template on a canvas of another shape: fields, looks, ties and motion are shared, boxes are its own. */
const shapeVariantSchema = z.strictObject({
  name: z.string().min(1).max(80),
  canvas: canvasSchema,
  /** Object id → what is otherwise; what is not named is where the whole canvas fitted into this one has it. */
  objects: z.record(objectIdSchema, placedSchema).default({}),
});

/** For whoever makes it: painters pay no heed to it. */
const editingSchema = z.strictObject({
  guides: z
    .array(z.strictObject({ along: z.enum(["x", "y"]), atPx: z.number().min(-20_000).max(20_000) }))
    .max(60)
    .default([]),
  note: z.string().max(2_000).default(""),
});

export const templateSchema = z.strictObject({
  kind: z.literal("template"),
  format: z.literal(2),
  /** The same through every change of its name; a file without one gets one when it is brought in. */
  id: z.string().max(80).default(""),
  name: z.string().min(1).max(80),
  /** The field set whose pages can wear this template. */
  fieldSet: z.string().min(1).max(40),
  canvas: canvasSchema,
  /** From the back to the front. How many there may be is one of `TEMPLATE_LIMITS`. */
  objects: z.array(sceneObjectSchema),
  shapes: z.array(shapeVariantSchema).max(8).default([]),
  editing: editingSchema.default({ guides: [], note: "" }),
});
export type Template = z.infer<typeof templateSchema>;

/** What a page chooses a template by: the same through every change of its name. */
export const templateKey = ({ id, name }: Pick<Template, "id" | "name">): string => id || name;

/** Every object, members of groups included, with the group it lies in. */
export function allObjects(
  template: Pick<Template, "objects">,
): { readonly object: ReadableObject; readonly parentId: string | null }[] {
  const found: { object: ReadableObject; parentId: string | null }[] = [];
  const walk = (objects: readonly SceneObject[], parentId: string | null) => {
    for (const object of objects) {
      if (object.kind === "unreadable") continue;
      found.push({ object, parentId });
      if (object.kind === "group") walk(object.objects, object.id);
    }
  };
  walk(template.objects, null);
  return found;
}

/** The text object that shows a field, for what must know its box; the first when there are several. */
export function findTextOf(template: Pick<Template, "objects">, field: string): TextSpec | undefined {
  for (const { object } of allObjects(template))
    if (object.kind === "text" && object.words.kind === "field" && object.words.field === field)
      return object;
  return undefined;
}
