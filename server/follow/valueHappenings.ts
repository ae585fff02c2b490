import { type FeedTable, rowKey } from "../../core/feeds/resolveBinding.ts";
import type { Happening } from "../../core/triggers/happening.ts";
import type { Trigger } from "../../core/triggers/trigger.ts";

/** Feed → row and column → its value, of what triggers look at. */
type Seen = Map<string, Map<string, string>>;

/** Tells what has become other in the cells that triggers look at. What is seen for the first time is no change. */
export class ValueHappenings {
  readonly #seen: Seen = new Map();

  look(feedId: string, table: FeedTable | undefined, triggers: readonly Trigger[]): Happening[] {
    const columns = new Set(
      triggers.flatMap(({ when, isOn }) =>
        isOn && when.kind === "value" && when.feedId === feedId ? [when.column] : [],
      ),
    );
    if (columns.size === 0 || !table) {
      // Looked at again one day, it begins anew.
      if (columns.size === 0) this.#seen.delete(feedId);
      return [];
    }
    const before = this.#seen.get(feedId);
    const now = new Map<string, string>();
    const found: Happening[] = [];
    for (const column of columns) {
      const at = table.table.columns.indexOf(column);
      if (at < 0) continue;
      for (const [index, cells] of table.table.rows.entries()) {
        const row = rowKey(table, cells, index);
        const name = JSON.stringify([row, column]);
        const value = cells[at] ?? "";
        now.set(name, value);
        const was = before?.get(name);
        if (before && was !== undefined && was !== value)
          found.push({ kind: "value", feedId, row, column, before: was, now: value });
      }
    }
    this.#seen.set(feedId, now);
    return found;
  }
}
