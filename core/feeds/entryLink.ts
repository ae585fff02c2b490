import { z } from "zod";
import { t } from "../language/t.ts";
import { byNameSchema } from "../names/name.ts";
import { linkEndSchema } from "../time/linkEnd.ts";
import { COLUMN_KIND_NAMES } from "./columnKinds.ts";
import { feedIdSchema } from "./feed.ts";
import { columnNameSchema, MOST_COLUMNS, type Table } from "./table.ts";
import type { RowEdit } from "./tableEdit.ts";

/** What a link to a table lets somebody do who has nothing else: on a phone, in the hall. */
export const entryLinkSchema = z.strictObject({
  /** Who has it, or what it is for: so the log calls what comes from there. */
  name: z.string().trim().min(1).max(60),
  feedId: feedIdSchema,
  /** Columns that may be changed; the others are not told. */
  columns: z.array(columnNameSchema).min(1).max(MOST_COLUMNS),
  /** The names of the rows that it shows; null: all of them. */
  rows: z.array(z.string().min(1).max(200)).min(1).max(200).nullable().default(null),
  mayMove: z.boolean().default(false),
  untilMs: linkEndSchema,
});
export type EntryLink = z.infer<typeof entryLinkSchema>;

/** What a window of an entry link is told: its columns and rows, each row by its name. */
export const entryTableSchema = z.strictObject({
  /** Of the link. */
  name: z.string(),
  tableName: z.string(),
  version: z.number(),
  columns: z.array(columnNameSchema),
  kinds: byNameSchema(z.enum(COLUMN_KIND_NAMES)),
  /** By columns: the only texts that are allowed; columns that allow any are left out. */
  choices: byNameSchema(z.array(z.string())),
  rows: z.array(z.strictObject({ name: z.string(), cells: z.array(z.string()) })),
  mayMove: z.boolean(),
});
export type EntryTable = z.infer<typeof entryTableSchema>;

/** Columns and rows of a table that a link shows: rows without a name cannot be meant, and are left out. */
export function rowsOfLink(link: EntryLink, table: Table, keyColumn: string): EntryTable["rows"] {
  const key = table.columns.indexOf(keyColumn);
  if (key < 0) return [];
  const places = columnsOfLink(link, table).map((name) => table.columns.indexOf(name));
  return table.rows.flatMap((cells) => {
    const name = cells[key] ?? "";
    if (name === "" || (link.rows && !link.rows.includes(name))) return [];
    return [{ name, cells: places.map((i) => cells[i] ?? "") }];
  });
}

export const columnsOfLink = (link: EntryLink, table: Table): string[] =>
  link.columns.filter((name) => table.columns.includes(name));

/** A table and the column that names its rows. */
export interface NamedTable {
  readonly table: Table;
  readonly keyColumn: string;
}

/** A link after its table became another: columns and rows that were renamed where they stand are its own still. */
export function linkAfter(link: EntryLink, before: NamedTable, after: NamedTable): EntryLink {
  const ofColumn = renamed(before.table.columns, after.table.columns);
  const ofRow = renamed(namesOf(before), namesOf(after));
  const isSame = (names: readonly string[] | null, of: ReadonlyMap<string, string>) =>
    names === null || !names.some((name) => of.has(name));
  if (isSame(link.columns, ofColumn) && isSame(link.rows, ofRow)) return link;
  return {
    ...link,
    columns: link.columns.map((name) => ofColumn.get(name) ?? name),
    rows: link.rows?.map((name) => ofRow.get(name) ?? name) ?? null,
  };
}

const namesOf = ({ table, keyColumn }: NamedTable): string[] => {
  const key = table.columns.indexOf(keyColumn);
  return table.rows.map((cells) => cells[key] ?? "");
};

/** Old name → new one, of what stands where it stood and is called otherwise: what only changed places has its name still. */
function renamed(before: readonly string[], after: readonly string[]): ReadonlyMap<string, string> {
  const to = new Map<string, string>();
  if (before.length !== after.length) return to;
  const [known, now] = [new Set(before), new Set(after)];
  for (const [at, name] of before.entries()) {
    const other = after[at] ?? "";
    if (name !== "" && other !== "" && !now.has(name) && !known.has(other)) to.set(name, other);
  }
  return to;
}

/** Why a link does not allow an edit; undefined where it does. */
export function whyNotAllowed(link: EntryLink, edit: RowEdit): string | undefined {
  const has = (row: string | null) => row === null || link.rows === null || link.rows.includes(row);
  if (!has(edit.row)) return t`This link does not show “${edit.row}”. Nothing was changed.`;
  if (edit.kind === "moveNamed")
    return link.mayMove && has(edit.after) ? undefined : t`This link may not move rows. Nothing was moved.`;
  return link.columns.includes(edit.column)
    ? undefined
    : t`This link may not change “${edit.column}”. Nothing was changed.`;
}
