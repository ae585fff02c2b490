import type { FeedView } from "../../../../core/feeds/feedView.ts";
import { type Tie, tieSchema } from "../../../../core/feeds/tie.ts";
import type { FieldKindName } from "../../../../core/scene/fieldKinds.ts";

/** Whether a field of a kind takes many rows of a feed in place of one cell. */
export const takesRows = (kind: FieldKindName): boolean => kind === "rows" || kind === "lines";

/** Columns that a table begins with. */
const FIRST_COLUMNS = 4;

/**
 * The tie that one press on a column makes, the likeliest one: rows of a table for fields that take many; else the cell of the row
 * that other fields of the page take from the same feed, the first row where there is none.
 * @param column null: the whole table
 */
export function makeTie(
  kind: FieldKindName,
  feed: Pick<FeedView, "id" | "columns">,
  column: string | null,
  others: Readonly<Record<string, Tie>>,
): Tie {
  if (takesRows(kind) || column === null)
    return tieSchema.parse({
      kind: "rows",
      feedId: feed.id,
      columns: column === null ? feed.columns.slice(0, FIRST_COLUMNS) : [column],
    });
  const alike = Object.values(others).find((tie) => tie.kind === "cell" && tie.feedId === feed.id);
  const row = alike?.kind === "cell" ? alike.row : { by: "number", number: 1 };
  return tieSchema.parse({ kind: "cell", feedId: feed.id, row, text: `{${column}}` });
}
