import { type Accepted, acceptTable, type TableShape } from "../../../core/feeds/acceptTable.ts";
import type { FeedDoc, FeedFormat } from "../../../core/feeds/feed.ts";
import { wholeFault } from "../../../core/feeds/feedFault.ts";
import { LONGEST_CELL, MOST_COLUMNS, type Table } from "../../../core/feeds/table.ts";
import { t } from "../../../core/language/t.ts";
import { readCsv } from "./readCsv.ts";
import { readJsonRows } from "./readJsonRows.ts";
import { readTextRows } from "./readTextRows.ts";
import { readXlsxRows } from "./readXlsxRows.ts";
import { readXmlRows } from "./readXmlRows.ts";
import { TableProblem } from "./tableProblem.ts";

/** The largest file or answer that is read, bytes. */
export const LARGEST_FEED_BYTES = 20 * 1024 * 1024;

export interface TableRequest {
  readonly bytes: Uint8Array;
  readonly settings: Pick<FeedDoc, "format" | "rules" | "keyColumn" | "mostRows">;
  /** What the last good table was like; null: what comes is taken as it is. */
  readonly before: TableShape | null;
}

/** Reads a feed's bytes and holds what was read to what is allowed there. */
export async function readTable({ bytes, settings, before }: TableRequest): Promise<Accepted> {
  let read: Table;
  try {
    read = await readFormat(bytes, settings.format);
  } catch (error) {
    if (!(error instanceof TableProblem)) throw error;
    return { fault: wholeFault("unreadable", error.message) };
  }
  const { columns, rows } = read;
  if (columns.length > MOST_COLUMNS)
    return {
      fault: wholeFault("tooMany", t`it has ${columns.length} columns, and may have ${MOST_COLUMNS}.`),
    };
  for (const [at, row] of rows.entries()) {
    const index = row.findIndex((cell) => cell.length > LONGEST_CELL);
    if (index >= 0)
      return {
        fault: {
          ...wholeFault("tooMany", t`a cell in row ${at + 1} has more than ${LONGEST_CELL} letters.`),
          row: at + 1,
          column: columns[index] ?? null,
        },
      };
  }
  return acceptTable(before, read, settings);
}

function readFormat(bytes: Uint8Array, format: FeedFormat): Table | Promise<Table> {
  switch (format.kind) {
    case "csv":
      return readCsv(bytes, format);
    case "xlsx":
      return readXlsxRows(bytes, format);
    case "json":
      return readJsonRows(bytes, format.path);
    case "xml":
      return readXmlRows(bytes, format.path);
    case "text":
      return readTextRows(bytes, format.rows);
    case "picture":
      throw new TableProblem(t`it is a picture, and no table.`);
  }
}
