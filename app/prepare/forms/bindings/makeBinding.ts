import { type Binding, bindingSchema } from "../../../../core/feeds/binding.ts";
import type { FeedView } from "../../../../core/feeds/feedView.ts";
import type { FieldKindName } from "../../../../core/scene/fieldKinds.ts";

/** Whether a field of a kind takes many rows of a feed in place of one cell. */
export const takesRows = (kind: FieldKindName): boolean => kind === "rows" || kind === "lines";

/** Columns that a table begins with. */
const FIRST_COLUMNS = 4;

/**
 * The binding that one press on a column makes, the likeliest one: rows of a table for fields that take many; else the cell of the row
 * that other fields of the page take from the same feed, the first row where there is none.
 * @param column null: the whole table
 */
export function makeBinding(
  kind: FieldKindName,
  feed: Pick<FeedView, "id" | "columns">,
  column: string | null,
  others: Readonly<Record<string, Binding>>,
): Binding {
  if (takesRows(kind) || column === null)
    return bindingSchema.parse({
      kind: "rows",
      feedId: feed.id,
      columns: column === null ? feed.columns.slice(0, FIRST_COLUMNS) : [column],
    });
  const alike = Object.values(others).find(
    (binding) => binding.kind === "cell" && binding.feedId === feed.id,
  );
  const row = alike?.kind === "cell" ? alike.row : { by: "number", number: 1 };
  return bindingSchema.parse({ kind: "cell", feedId: feed.id, row, text: `{${column}}` });
}
