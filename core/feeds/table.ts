import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";

/** What a feed may hold; beyond it a feed says so and keeps what it had. */
export const MOST_COLUMNS = 60;
export const MOST_ROWS = 20_000;
export const LONGEST_CELL = 2_000;
export const LONGEST_COLUMN_NAME = 40;

/** Braces and upright strokes have a meaning in the text of a binding. */
export const columnNameSchema = nameSchema(LONGEST_COLUMN_NAME).regex(
  /^(?=.*\S)[^{}|\t\n]+$/,
  "a column’s name has letters or figures, and no braces, strokes or tabs",
);

/** A table as it was read: columns by their names, rows of texts, as many in each row as there are columns. */
export const tableSchema = z.strictObject({
  columns: z.array(columnNameSchema).max(MOST_COLUMNS),
  rows: z.array(z.array(z.string().max(LONGEST_CELL)).max(MOST_COLUMNS)).max(MOST_ROWS),
});
export type Table = z.infer<typeof tableSchema>;

/** Names that can be columns: what a binding's text uses is taken out, doubles are numbered, empty ones get their place. */
export function columnNames(given: readonly string[]): string[] {
  const seen = new Set<string>();
  return given.map((text, index) => {
    const plain = text
      .replace(/[{}|\s]+/g, " ")
      .trim()
      .slice(0, LONGEST_COLUMN_NAME - 4)
      .trim();
    const base = plain === "" || plain in Object.prototype ? t`Column ${index + 1}` : plain;
    let name = base;
    for (let n = 2; seen.has(name); n++) name = `${base} ${n}`;
    seen.add(name);
    return name;
  });
}

/**
 * A table of what was read: with its first row as names or with names of their places, every row as long as the others, rows in
 * which nothing stands left out.
 */
export function tableOf(cells: readonly (readonly string[])[], firstRowNames: boolean): Table {
  const filled = cells.filter((row) => row.some((cell) => cell.trim() !== ""));
  const [first = [], ...others] = filled;
  const body = firstRowNames ? others : filled;
  // A column stands for as long as anything stands in it or over it.
  let width = firstRowNames ? first.length : 0;
  for (const row of body) width = Math.max(width, row.length);
  while (width > 0 && !filled.some((row) => (row[width - 1] ?? "").trim() !== "")) width--;
  const places = Array.from({ length: width }, (_, i) => i);
  return {
    columns: columnNames(places.map((i) => (firstRowNames ? (first[i] ?? "") : t`Column ${i + 1}`))),
    rows: body.map((row) => places.map((i) => (row[i] ?? "").trim())),
  };
}
