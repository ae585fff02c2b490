import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import type { FieldSets } from "../../../core/scene/fieldSet.ts";

/** A field as its form calls it. */
export function fieldLabel(doc: CueDoc, field: string, fieldSets: FieldSets): string {
  const set = doc.kind === "page" ? fieldSets.get(doc.fieldSet) : undefined;
  return set?.fields.find(({ name }) => name === field)?.label ?? field;
}
