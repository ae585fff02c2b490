import { z } from "zod";
import type { EntryTable } from "./entryLink.ts";
import type { Table } from "./table.ts";
import type { TableEditOutcome } from "./tableChange.ts";
import { added, editTable, type RowEdit, rowEditSchema } from "./tableEdit.ts";

const queuedEditSchema = z.strictObject({ id: z.string(), edit: rowEditSchema });

/** What was typed and is not in the table, because it is otherwise there, or is not allowed. */
export const unsettledSchema = z.strictObject({
  ...queuedEditSchema.shape,
  sentence: z.string(),
  /** What stands there in its place; null: it was not allowed. */
  now: z.string().nullable(),
});
export type Unsettled = z.infer<typeof unsettledSchema>;

/** What a phone keeps of its own while it fills in a table: over a lost network and a page that is loaded again. */
export const entryStateSchema = z.strictObject({
  /** Not in the table yet, the oldest first: that one may be on its way. */
  queue: z.array(queuedEditSchema),
  unsettled: z.array(unsettledSchema),
});
export type EntryState = z.infer<typeof entryStateSchema>;

export const NOTHING_TYPED: EntryState = { queue: [], unsettled: [] };

/** What was just done, put behind what waits. What is done to a cell that waits already waits with it, but for the oldest. */
export function withEdit(state: EntryState, edit: RowEdit, id: string): EntryState {
  const last = state.queue.length > 1 ? state.queue.at(-1) : undefined;
  const joined = last && join(last.edit, edit);
  if (!last || !joined) return { ...state, queue: [...state.queue, { id, edit }] };
  return { ...state, queue: [...state.queue.slice(0, -1), { id: last.id, edit: joined }] };
}

function join(first: RowEdit, then: RowEdit): RowEdit | undefined {
  if (first.kind === "moveNamed" || then.kind === "moveNamed") return undefined;
  if (first.row !== then.row || first.column !== then.column) return undefined;
  if (then.kind === "addNamed") {
    if (first.kind === "addNamed") return { ...first, by: first.by + then.by };
    const to = added(first.to, then.by);
    return to === undefined ? undefined : { ...first, to };
  }
  return first.kind === "setNamed" ? { ...first, to: then.to } : undefined;
}

/** After the oldest edit was answered. */
export function afterAnswer(state: EntryState, id: string, outcome: TableEditOutcome): EntryState {
  const answered = state.queue.find((each) => each.id === id);
  if (!answered) return state;
  const queue = state.queue.filter((each) => each !== answered);
  if (outcome.kind === "done") return { ...state, queue };
  const now = outcome.kind === "clash" ? outcome.now : null;
  return { queue, unsettled: [...state.unsettled, { ...answered, sentence: outcome.sentence, now }] };
}

/** What was typed is to stand after all: over what stands there now. */
export function insist(state: EntryState, id: string, newId: string): EntryState {
  const one = state.unsettled.find((each) => each.id === id);
  const without = letGo(state, id);
  if (one?.edit.kind !== "setNamed" || one.now === null) return without;
  return withEdit(without, { ...one.edit, was: one.now }, newId);
}

/** What stands in the table is right. */
export const letGo = (state: EntryState, id: string): EntryState => ({
  ...state,
  unsettled: state.unsettled.filter((each) => each.id !== id),
});

/** The rows as they will be once all that waits is in the table. */
export function shownRows(told: EntryTable, { queue }: EntryState): EntryTable["rows"] {
  const NAME = "\u0000";
  let table: Table = {
    columns: [NAME, ...told.columns],
    rows: told.rows.map(({ name, cells }) => [name, ...cells]),
  };
  for (const { edit } of queue) {
    const edited = editTable(table, lenient(edit, table), { keyColumn: NAME, kinds: told.kinds });
    if ("table" in edited) table = edited.table;
  }
  return table.rows.map(([name = "", ...cells]) => ({ name, cells }));
}

/** What one has typed is shown, whatever has come since: whether it clashes is the server's to say. */
function lenient(edit: RowEdit, { columns, rows }: Table): RowEdit {
  if (edit.kind !== "setNamed") return edit;
  const now = rows.find(([name]) => name === edit.row)?.[columns.indexOf(edit.column)];
  return { ...edit, was: now ?? edit.was };
}
