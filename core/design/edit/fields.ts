import { t } from "../../language/t.ts";
import type { FieldKindName } from "../../scene/fieldKinds.ts";
import type { FieldDef, FieldSet } from "../../scene/fieldSet.ts";
import { fieldsNamedBy } from "../../scene/findReferenceFaults.ts";
import { allObjects, type Template } from "../../scene/template.ts";

/** How many letters a new field of words may hold. */
const USUAL_LENGTH = 160;
const LONGEST_NAME = 40;

/** A name in the format for a field that people call so; one that the set has not yet. */
export function fieldNameFor(set: FieldSet, label: string): string {
  const words = label
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== "");
  const [first = "field", ...others] = words;
  const base = [
    first.toLowerCase(),
    ...others.map((word) => word[0]?.toUpperCase() + word.slice(1).toLowerCase()),
  ]
    .join("")
    .slice(0, LONGEST_NAME - 3);
  const taken = new Set([...set.fields.map(({ name }) => name), ...(set.made ?? []), "shown", "next"]);
  const isFree = (name: string) => !taken.has(name) && !(name in Object.prototype);
  if (isFree(base)) return base;
  for (let n = 2; ; n++) if (isFree(`${base}${n}`)) return `${base}${n}`;
}

/** The set with one more field at its end, and what the field is called in the format. */
export function addField(
  set: FieldSet,
  label: string,
  kind: FieldKindName,
): { readonly set: FieldSet; readonly name: string } {
  const name = fieldNameFor(set, label);
  const field: FieldDef = {
    name,
    label,
    hint: "",
    maxLength: kind === "lines" || kind === "rows" ? 2_000 : USUAL_LENGTH,
    kind,
    ...(kind === "choice" && { choices: [{ value: "one", label: t`One` }] }),
  };
  return { set: { ...set, fields: [...set.fields, field] }, name };
}

export const changeField = (
  set: FieldSet,
  name: string,
  change: Partial<Omit<FieldDef, "name">>,
): FieldSet => ({
  ...set,
  fields: set.fields.map((field) => (field.name === name ? { ...field, ...change } : field)),
});

/** A field earlier or later in its form. */
export function moveField(set: FieldSet, name: string, by: -1 | 1): FieldSet {
  const at = set.fields.findIndex((field) => field.name === name);
  const to = at + by;
  const field = set.fields[at];
  if (!field || to < 0 || to >= set.fields.length) return set;
  return { ...set, fields: set.fields.toSpliced(at, 1).toSpliced(to, 0, field) };
}

/** The set without a field. What pages have typed into it stays with them, and is there again when the field is. */
export const removeField = (set: FieldSet, name: string): FieldSet => ({
  ...set,
  fields: set.fields.filter((field) => field.name !== name),
  titledBy: set.titledBy === name ? null : set.titledBy,
  stepsBy: set.stepsBy === name ? null : set.stepsBy,
});

/** Field → what people call the objects of a template that show it, ask for it or are coloured by it. */
export function shownBy(template: Template): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  for (const { object } of allObjects(template))
    for (const field of fieldsNamedBy(object))
      found.set(field, [...(found.get(field) ?? []), object.editing.name || object.id]);
  return found;
}

/** Fields that pages have and a template shows nowhere. */
export const notShown = (template: Template, set: FieldSet | undefined): readonly FieldDef[] => {
  const shown = shownBy(template);
  return (set?.fields ?? []).filter(({ name }) => !shown.has(name));
};

/** Those of them that some other template does show, or that no list names its pages by: what only names a page need not be seen. */
export function missingIn(
  template: Template,
  set: FieldSet | undefined,
  others: readonly Template[],
): readonly FieldDef[] {
  const isSeen = (field: string) =>
    others.some((other) => other.fieldSet === template.fieldSet && shownBy(other).has(field));
  const titledBy = set?.titledBy ?? set?.fields.find(({ kind }) => kind === "line" || kind === "lines")?.name;
  return notShown(template, set).filter(({ name }) => name !== titledBy || isSeen(name));
}
