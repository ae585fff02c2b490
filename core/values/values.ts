import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { actorSchema } from "../show/actor.ts";

/** All rows of a table that a page shows are one value. */
const LONGEST_VALUE = 40_000;
/** Of a page: the beginning of its content's hash, and its cue. */
const LONGEST_TABLE_ID = 80;

/** Cells of one table by their names; null takes one away. */
export const cellsSchema = byNameSchema(z.string().max(LONGEST_VALUE).nullable(), 120);
export type Cells = z.infer<typeof cellsSchema>;

/**
 * A change of values that come often: scores, standings, what a feed says. A class of events beside the air's, with a sequence
 * of its own that grows and may have gaps, so that changes of the same table can be joined.
 */
export const valueChangeSchema = z.strictObject({
  seq: z.number().int().min(1),
  /** Server time, ms. */
  atMs: z.number(),
  actor: actorSchema,
  tableId: nameSchema(LONGEST_TABLE_ID),
  cells: cellsSchema,
});
export type ValueChange = z.infer<typeof valueChangeSchema>;

/** All values as they stand. */
export const liveValuesSchema = z.strictObject({
  seq: z.number().int().min(0),
  /** Table → cell → its text. */
  tables: byNameSchema(byNameSchema(z.string().max(LONGEST_VALUE), 120), LONGEST_TABLE_ID),
});
export type LiveValues = z.infer<typeof liveValuesSchema>;

export const NO_VALUES: LiveValues = { seq: 0, tables: {} };

/** The values after a change; the same object when it was known already, and tables that it says nothing of stay the same objects. */
export function evolveValues(values: LiveValues, { seq, tableId, cells }: ValueChange): LiveValues {
  if (seq <= values.seq) return values;
  const before = values.tables[tableId] ?? {};
  const table: Record<string, string> = { ...before };
  for (const [name, text] of Object.entries(cells)) {
    if (text === null) delete table[name];
    else table[name] = text;
  }
  const { [tableId]: _, ...others } = values.tables;
  return { seq, tables: Object.keys(table).length === 0 ? others : { ...others, [tableId]: table } };
}

/** The same changes in fewer: those of one table by one hand that come one after another are one, as the last of them left it. */
export function joinChanges(changes: readonly ValueChange[]): ValueChange[] {
  const joined: ValueChange[] = [];
  for (const change of changes) {
    const last = joined.at(-1);
    if (
      last &&
      last.tableId === change.tableId &&
      JSON.stringify(last.actor) === JSON.stringify(change.actor)
    )
      joined[joined.length - 1] = { ...change, cells: { ...last.cells, ...change.cells } };
    else joined.push(change);
  }
  return joined;
}
