import { oncePer } from "../memo/oncePer.ts";
import { kindOf, type LeafSpec } from "../scene/objectKinds.ts";
import { allObjects, type Template } from "../scene/template.ts";

interface KnownObject {
  readonly kind: string;
  /** The field it shows; null: none. */
  readonly field: string | null;
}

const objectsOf = oncePer((template: Template): ReadonlyMap<string, KnownObject> => {
  const known = new Map<string, KnownObject>();
  for (const { object } of allObjects(template)) {
    const field = object.kind === "group" ? null : kindOf(object as LeafSpec).fieldOf(object as never);
    known.set(object.id, { kind: object.kind, field });
  }
  return known;
});

/** What an object of a template is, and which field it shows. */
export const objectKindOf = (template: Template, objectId: string): KnownObject | undefined =>
  objectsOf(template).get(objectId);
