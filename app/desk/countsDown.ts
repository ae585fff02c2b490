import { isCountable } from "../../core/figures/figures.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import type { FieldSets } from "../../core/scene/fieldSet.ts";

/** Whether a page has a countdown that runs: what is in its field of time can be read. */
export function countsDown(
  { fieldSet, values }: Pick<PageContent, "fieldSet" | "values">,
  fieldSets: FieldSets,
): boolean {
  const fields = fieldSets.get(fieldSet)?.fields ?? [];
  return fields.some(({ kind, name }) => kind === "time" && isCountable(values[name] ?? ""));
}
