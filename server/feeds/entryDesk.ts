import { columnsOfLink, type EntryTable, rowsOfLink, whyNotAllowed } from "../../core/feeds/entryLink.ts";
import type { TableEditOutcome } from "../../core/feeds/tableChange.ts";
import type { RowEdit } from "../../core/feeds/tableEdit.ts";
import type { TableLink } from "../store/linkStore.ts";
import type { FeedHost } from "./feedHost.ts";
import type { VenueTables } from "./venueTables.ts";

/** What a link shows of its table as it is now; undefined when the table is gone. */
export function tableOfLink(feeds: FeedHost, { doc: link }: TableLink): EntryTable | undefined {
  const feed = feeds.views().find(({ id }) => id === link.feedId);
  const table = feeds.findTable(link.feedId)?.table;
  if (!feed || !table || feed.doc.source.kind !== "table") return undefined;
  const columns = columnsOfLink(link, table);
  const byColumn = <T>(of: (column: string) => T) =>
    Object.fromEntries(columns.map((column) => [column, of(column)]));
  return {
    name: link.name,
    tableName: feed.doc.name,
    version: feed.version,
    columns,
    kinds: byColumn((column) => feed.kinds[column] ?? "words"),
    choices: byColumn((column) => feed.doc.rules[column]?.oneOf ?? []),
    rows: rowsOfLink(link, table, feed.doc.keyColumn),
    mayMove: link.mayMove,
  };
}

/** An edit that came by a link: what the link does not allow is not done. */
export async function editByLink(
  tables: VenueTables,
  { id, doc }: TableLink,
  edit: RowEdit,
  editId: string,
): Promise<TableEditOutcome> {
  const sentence = whyNotAllowed(doc, edit);
  if (sentence !== undefined) return { kind: "refused", sentence };
  return tables.edit(doc.feedId, edit, { id: `link:${id}`, name: doc.name }, `${id}:${editId}`);
}
