import { z } from "zod";
import { parseNumber } from "../figures/number.ts";
import { t } from "../language/t.ts";
import type { ColumnKindName } from "./columnKinds.ts";
import { quoted } from "./feedFault.ts";
import { sortedRows } from "./resolveBinding.ts";
import { columnNameSchema, LONGEST_CELL, MOST_COLUMNS, MOST_ROWS, type Table } from "./table.ts";

const MOST_AT_ONCE = 5_000;
const place = z.number().int().min(0).max(MOST_ROWS);
const cell = z.string().max(LONGEST_CELL);
const row = z.array(cell).max(MOST_COLUMNS);
const rows = z.array(row).min(1).max(MOST_AT_ONCE);

/** Edits by the names of rows, as they stand in the column that names them: they mean the same row wherever it has gone. */
export const rowEditSchema = z.discriminatedUnion("kind", [
  /** @property was what stood there when it was typed */
  z.strictObject({
    kind: z.literal("setNamed"),
    row: cell.min(1),
    column: columnNameSchema,
    was: cell,
    to: cell,
  }),
  /** A number that grows or shrinks, whatever it is now. */
  z.strictObject({
    kind: z.literal("addNamed"),
    row: cell.min(1),
    column: columnNameSchema,
    by: z.number().min(-1e9).max(1e9),
  }),
  /** @property after the row above it; null: it is the first */
  z.strictObject({ kind: z.literal("moveNamed"), row: cell.min(1), after: cell.min(1).nullable() }),
]);
export type RowEdit = z.infer<typeof rowEditSchema>;

/**
 * What a hand may do to a table that is edited here. What takes the place of something says what it was: somebody else may have
 * changed it meanwhile.
 */
export const tableEditSchema = z.discriminatedUnion("kind", [
  /** A block of cells, as it is pasted: rows that it goes over the end of are added, columns beyond the last are left out. */
  z.strictObject({
    kind: z.literal("setCells"),
    row: place,
    column: z.number().int().min(0).max(MOST_COLUMNS),
    was: z.array(row).max(MOST_AT_ONCE),
    cells: rows,
  }),
  z.strictObject({ kind: z.literal("addRows"), at: place, rows }),
  z.strictObject({ kind: z.literal("removeRows"), at: place, was: rows }),
  z.strictObject({ kind: z.literal("moveRow"), from: place, to: place, was: row }),
  z.strictObject({ kind: z.literal("sortRows"), column: columnNameSchema, down: z.boolean() }),
  z.strictObject({ kind: z.literal("addColumn"), name: columnNameSchema }),
  z.strictObject({ kind: z.literal("renameColumn"), from: columnNameSchema, to: columnNameSchema }),
  z.strictObject({ kind: z.literal("removeColumn"), name: columnNameSchema }),
  ...rowEditSchema.options,
]);
export type TableEdit = z.infer<typeof tableEditSchema>;

export type Edited =
  | { readonly table: Table }
  | { readonly problem: string }
  /** Somebody else has changed what it takes the place of. @property now what stands there */
  | { readonly clash: string; readonly now: string };

/** What a table is edited by: its rows' names, and how its columns are sorted. */
export interface EditedBy {
  /** The column whose cells name rows; empty: none does. */
  readonly keyColumn: string;
  readonly kinds: Readonly<Record<string, ColumnKindName>>;
}

/** A table after an edit, or why it cannot be done. */
export function editTable(table: Table, edit: TableEdit, { keyColumn, kinds }: EditedBy): Edited {
  const { columns } = table;
  const width = columns.length;
  const asLong = (cells: readonly string[]) =>
    Array.from({ length: width }, (_, i) => (cells[i] ?? "").trim());
  switch (edit.kind) {
    case "setCells": {
      const changed = table.rows.map((cells) => [...cells]);
      for (const [down, line] of edit.cells.entries()) {
        const at = edit.row + down;
        const was = edit.was[down];
        if ((was !== undefined) !== at < table.rows.length) return isOther;
        while (changed.length <= at) changed.push(asLong([]));
        const cells = changed[at] as string[];
        for (const [right, text] of line.entries()) {
          const column = edit.column + right;
          if (column >= width) continue;
          if (was && (was[right] ?? "") !== cells[column]) return isOther;
          cells[column] = text.trim();
        }
      }
      return withRows(table, changed);
    }
    case "addRows":
      return withRows(table, [
        ...table.rows.slice(0, edit.at),
        ...edit.rows.map(asLong),
        ...table.rows.slice(edit.at),
      ]);
    case "removeRows": {
      const end = edit.at + edit.was.length;
      if (!edit.was.every((was, i) => isSame(asLong(was), table.rows[edit.at + i]))) return isOther;
      return withRows(table, [...table.rows.slice(0, edit.at), ...table.rows.slice(end)]);
    }
    case "moveRow": {
      if (!isSame(asLong(edit.was), table.rows[edit.from])) return isOther;
      return withRows(table, moved(table.rows, edit.from, edit.to));
    }
    case "sortRows":
      if (!columns.includes(edit.column)) return noColumn(edit.column);
      return withRows(table, sortedRows({ table, kinds }, edit.column, edit.down));
    case "addColumn":
      if (columns.includes(edit.name)) return { problem: t`There is a column ${quoted(edit.name)} already.` };
      if (width >= MOST_COLUMNS) return { problem: t`A table has at most ${MOST_COLUMNS} columns.` };
      return { table: { columns: [...columns, edit.name], rows: table.rows.map((cells) => [...cells, ""]) } };
    case "renameColumn": {
      const at = columns.indexOf(edit.from);
      if (at < 0) return noColumn(edit.from);
      if (edit.to !== edit.from && columns.includes(edit.to))
        return { problem: t`There is a column ${quoted(edit.to)} already.` };
      return { table: { ...table, columns: columns.map((name, i) => (i === at ? edit.to : name)) } };
    }
    case "removeColumn": {
      const at = columns.indexOf(edit.name);
      if (at < 0) return noColumn(edit.name);
      const without = <T>(all: readonly T[]) => all.filter((_, i) => i !== at);
      return { table: { columns: without(columns), rows: table.rows.map(without) } };
    }
    case "setNamed":
    case "addNamed":
    case "moveNamed":
      return editNamed(table, edit, keyColumn);
  }
}

function editNamed(table: Table, edit: RowEdit, keyColumn: string): Edited {
  const key = table.columns.indexOf(keyColumn);
  const find = (name: string) => table.rows.findIndex((cells) => key >= 0 && cells[key] === name);
  const at = find(edit.row);
  if (at < 0) return { problem: t`${quoted(edit.row)} is not in the table any more. Nothing was changed.` };
  if (edit.kind === "moveNamed") {
    const above = edit.after === null ? -1 : find(edit.after);
    if (edit.after !== null && above < 0)
      return { problem: t`${quoted(edit.after)} is not in the table any more. Nothing was moved.` };
    return withRows(table, moved(table.rows, at, above < at ? above + 1 : above));
  }
  const column = table.columns.indexOf(edit.column);
  if (column < 0) return noColumn(edit.column);
  const now = table.rows[at]?.[column] ?? "";
  const to = edit.kind === "setNamed" ? edit.to.trim() : added(now, edit.by);
  if (to === undefined)
    return { problem: t`${quoted(now)} in ${quoted(edit.column)} is no number to count on from.` };
  if (edit.kind === "setNamed" && now !== edit.was && now !== to)
    return { clash: t`${edit.row}, ${edit.column}: it is ${quoted(now)} now, changed elsewhere.`, now };
  return withRows(
    table,
    table.rows.map((cells, i) => (i === at ? cells.map((text, j) => (j === column ? to : text)) : cells)),
  );
}

/** A number in a cell and so much more; an empty cell is 0. Undefined where no number stands. */
export function added(cell: string, by: number): string | undefined {
  const number = cell.trim() === "" ? { value: 0, before: "", after: "" } : parseNumber(cell);
  // Sums of decimals are not to show what binary fractions leave over.
  return number && `${number.before}${Number((number.value + by).toFixed(6))}${number.after}`;
}

/** Rows with one of them at another place. @param to its place among all of them, after */
function moved<T>(all: readonly T[], from: number, to: number): T[] {
  const others = all.filter((_, i) => i !== from);
  return [...others.slice(0, to), ...all.slice(from, from + 1), ...others.slice(to)];
}

const isSame = (a: readonly string[], b: readonly string[] | undefined): boolean =>
  b !== undefined && a.every((text, i) => text === (b[i] ?? ""));

const isOther: Edited = {
  clash: t`Somebody else changed these cells meanwhile. They are as they left them; type it again if it is still right.`,
  now: "",
};

const noColumn = (name: string): Edited => ({
  problem: t`There is no column ${quoted(name)} any more. Nothing was changed.`,
});

function withRows(table: Table, rows: readonly (readonly string[])[]): Edited {
  return rows.length > MOST_ROWS
    ? { problem: t`A table has at most ${MOST_ROWS} rows. Nothing was changed.` }
    : { table: { ...table, rows: rows.map((cells) => [...cells]) } };
}
