import type { EveningToCheck } from "./evening.ts";
import type { PageOnScreen } from "./pageFacts.ts";

/** What people call some words of a page: the label of their field, else the name of their object, in plain letters. */
export function saidAs(
  { template }: Pick<PageOnScreen, "template">,
  { objectId, field }: { readonly objectId: string; readonly field: string | null },
  { fieldSets }: Pick<EveningToCheck, "fieldSets">,
): string {
  const label =
    field === null
      ? undefined
      : fieldSets.get(template.fieldSet)?.fields.find(({ name }) => name === field)?.label;
  return (
    label ??
    (field ?? objectId)
      .replace(/(?<=\p{Ll})(?=\p{Lu})/gu, " ")
      .replace(/[-_]+/g, " ")
      .toLowerCase()
  );
}
