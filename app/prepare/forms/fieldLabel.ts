import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { FIELD_SETS } from "../../../designs/fieldSets.ts";

/** A field as its form calls it. */
export function fieldLabel(doc: CueDoc, field: string): string {
  const set = doc.kind === "page" ? FIELD_SETS.find(({ id }) => id === doc.fieldSet) : undefined;
  return set?.fields.find(({ name }) => name === field)?.label ?? field;
}
