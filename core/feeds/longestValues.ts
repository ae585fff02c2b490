import { oncePer } from "../memo/oncePer.ts";
import type { Table } from "./table.ts";

/** Longer values are cut: no page shows them whole anyway. */
const LONGEST_TOLD = 200;

/** The longest value of each column, by its letters. */
export const longestValues = oncePer(({ columns, rows }: Table): Readonly<Record<string, string>> => {
  const longest = columns.map(() => "");
  for (const row of rows)
    for (let at = 0; at < columns.length; at++) {
      const value = row[at] ?? "";
      if (value.length > (longest[at] as string).length) longest[at] = value;
    }
  return Object.fromEntries(
    columns.map((name, at) => [name, (longest[at] as string).slice(0, LONGEST_TOLD)]),
  );
});
