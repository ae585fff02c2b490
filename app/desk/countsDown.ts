import { isCountable } from "../../core/figures/figures.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";

/** Whether a page has a countdown that runs: what is in its field of time can be read. */
export function countsDown({ fieldSet, values }: Pick<PageContent, "fieldSet" | "values">): boolean {
  const fields = FIELD_SETS.find(({ id }) => id === fieldSet)?.fields ?? [];
  return fields.some(({ kind, name }) => kind === "time" && isCountable(values[name] ?? ""));
}
