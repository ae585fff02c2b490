import type { Bindings, RowChoice } from "../feeds/binding.ts";
import { bindingSchema } from "../feeds/binding.ts";
import type { PageDoc } from "./cueDoc.ts";

/** Rows of a feed, of which each became a page. */
export interface BoundRows {
  readonly feedId: string;
  readonly columns: readonly string[];
  /** The column that names its rows; empty: none does, and a row is meant by its place. */
  readonly keyColumn: string;
  readonly rows: readonly (readonly string[])[];
}

/**
 * Pages that were made of a feed's rows, each bound to its row: they change with it.
 * @param docs one for each of the first rows
 * @param mapping by column: the field that it fills; null: none
 */
export function boundPages(
  docs: readonly PageDoc[],
  { feedId, columns, keyColumn, rows }: BoundRows,
  mapping: readonly (string | null)[],
): PageDoc[] {
  const key = columns.indexOf(keyColumn);
  return docs.map((doc, at) => {
    const name = rows[at]?.[key] ?? "";
    const row: RowChoice = name === "" ? { by: "number", number: at + 1 } : { by: "key", key: name };
    const bindings: Record<string, Bindings[string]> = {};
    for (const field of new Set(mapping)) {
      if (field === null) continue;
      const text = columns
        .filter((_, i) => mapping[i] === field)
        .map((column) => `{${column}}`)
        .join(", ");
      bindings[field] = bindingSchema.parse({ kind: "cell", feedId, text, row });
    }
    return { ...doc, bindings };
  });
}
