import { type Finding, objectSubject } from "../findings/finding.ts";
import { unknownField } from "../findings/kinds/unknownField.ts";
import { unknownObject } from "../findings/kinds/unknownObject.ts";
import { unusedTrack } from "../findings/kinds/unusedTrack.ts";
import { oncePer } from "../memo/oncePer.ts";
import { movesOf } from "./movesOf.ts";
import { kindOf, type ReadableObject } from "./objectKinds.ts";
import { walk } from "./resolveObject.ts";
import { referencesOf } from "./showWhen.ts";
import { allObjects, type Template } from "./template.ts";
import { tiedTo } from "./ties.ts";
import { fieldsIn } from "./writtenWords.ts";

/** Objects that a template's rules and ties name and that it does not have, and tracks that do nothing to their object. */
export const findReferenceFaults = oncePer((template: Template): readonly Finding[] => {
  const all = allObjects(template).map(({ object }) => object);
  const ids = new Set(all.map(({ id }) => id));
  return all.flatMap((object) => [...unknownIn(object, ids), ...unusedIn(object)]);
});

const unknownIn = ({ id, showWhen, ties }: ReadableObject, ids: ReadonlySet<string>): Finding[] =>
  [...new Set([...referencesOf(showWhen), ...tiedTo(ties)])]
    .filter((object) => !ids.has(object))
    .map((object) => unknownObject(objectSubject(id), { object }));

function unusedIn(object: ReadableObject): Finding[] {
  const { enter, exit, change, stay } = object.motion;
  const all = movesOf(object);
  const used = new Set(
    [...enter, ...(exit === "mirror" ? [] : exit), ...change.in, ...change.out, ...(stay?.tracks ?? [])].map(
      ({ property }) => property,
    ),
  );
  const kind = object.kind === "group" ? "group" : kindOf(object).name;
  return [...used]
    .filter((property) => !all.includes(property))
    .map((property) => unusedTrack(objectSubject(object.id), { property, kind }));
}

/** The fields that a template shows, asks for or colours by, and that pages of its kind do not have. */
export function findUnknownFields(template: Template, fields: readonly string[]): Finding[] {
  return allObjects(template).flatMap(({ object }) =>
    fieldsNamedBy(object)
      .filter((field) => !fields.includes(field))
      .map((field) => unknownField(objectSubject(object.id), { field })),
  );
}

/** Every field that an object names, each once. */
export const fieldsNamedBy = oncePer((object: ReadableObject) => namedIn(object));

/** The fields that an object shows or is coloured by, each once: not those that only say when it is shown. */
export const fieldsShownBy = oncePer((object: ReadableObject) => namedIn({ ...object, showWhen: ALWAYS }));

const ALWAYS = { kind: "always" } as const;

function namedIn(object: ReadableObject): string[] {
  const named = new Set<string>();
  walk(object, (part) => {
    if ("field" in part && typeof part.field === "string") named.add(part.field);
    if ("shownField" in part && typeof part.shownField === "string") named.add(part.shownField);
    if ("kind" in part && part.kind === "written" && "text" in part && typeof part.text === "string")
      for (const field of fieldsIn(part.text)) named.add(field);
  });
  return [...named];
}
