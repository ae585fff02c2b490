import Papa from "papaparse";
import type { FieldSet } from "../scene/fieldSet.ts";
import { foldWords } from "../words/foldWords.ts";
import { type PageDoc, pageCue } from "./cueDoc.ts";

/** Pasted lines or cells, parted into rows and columns. */
export interface PastedRows {
  readonly rows: readonly (readonly string[])[];
  readonly columns: number;
  /** The first row names the columns, and is no page. */
  readonly heading: readonly string[] | null;
}

export const MOST_BULK_PAGES = 500;
const DASH = /\s+[–—-]\s+/;

/**
 * Parts pasted text: cells by tabs as spreadsheets copy them, else by semicolons or commas, else at a dash; quotes as
 * RFC 4180 has them, so that a cell may hold line breaks and separators.
 * @param names what fields are called: a first row that names them is a heading
 */
export function readRows(text: string, names: readonly string[]): PastedRows {
  const tidy = text.replace(/^\ufeff/, "").replace(/\r\n?/g, "\n");
  const delimiter = findDelimiter(tidy);
  const parsed = delimiter
    ? Papa.parse<string[]>(tidy, { delimiter, skipEmptyLines: "greedy" }).data
    : tidy
        .split("\n")
        .filter((line) => line.trim() !== "")
        .map((line) => {
          const [first = "", ...rest] = line.split(DASH);
          return rest.length > 0 ? [first, rest.join(" – ")] : [line];
        });
  const rows = parsed
    .map((row) => row.map((cell) => cell.trim()))
    .filter((row) => row.some((cell) => cell !== ""))
    .slice(0, MOST_BULK_PAGES + 1);
  const known = new Set(names.map(foldWords));
  const [first = []] = rows;
  const isHeading = rows.length > 1 && first.some((cell) => known.has(foldWords(cell)));
  const body = (isHeading ? rows.slice(1) : rows).slice(0, MOST_BULK_PAGES);
  return {
    rows: body,
    columns: Math.max(0, ...body.map((row) => row.length)),
    heading: isHeading ? first : null,
  };
}

function findDelimiter(text: string): string | undefined {
  const lines = text.split("\n").filter((line) => line.trim() !== "");
  const share = (mark: string) =>
    lines.filter((line) => line.includes(mark)).length / Math.max(1, lines.length);
  if (share("\t") >= 0.5) return "\t";
  if (share(";") >= 0.8) return ";";
  if (share(",") >= 0.6) return ",";
  return undefined;
}

/** Whether pasted lines are rather a list of things than the words of one song. */
export function looksLikeRows(text: string): boolean {
  const lines = text.split(/\r\n?|\n/).filter((line) => line.trim() !== "");
  if (lines.length < 2) return false;
  const tabbed = lines.filter((line) => line.trim().includes("\t")).length;
  if (tabbed >= lines.length * 0.8) return true;
  if (/\n\s*\n/.test(text.trim())) return false;
  const parted = lines.filter(
    (line) => line.length < 90 && (/^[^,;]{2,40}[,;]\s*\S.*[^,;:.!?]$/.test(line.trim()) || DASH.test(line)),
  );
  return parted.length === lines.length;
}

/** Which column goes to which field: by the heading where there is one, else in order. */
export function guessMapping(pasted: PastedRows, fieldSet: FieldSet): (string | null)[] {
  const fields = fieldSet.fields.filter(({ kind }) => kind === "line" || kind === "lines");
  if (!pasted.heading)
    return Array.from({ length: pasted.columns }, (_, column) => fields[column]?.name ?? null);
  const byName = new Map(
    fields.flatMap(({ name, label }) => [
      [foldWords(name), name] as const,
      [foldWords(label), name] as const,
    ]),
  );
  return Array.from(
    { length: pasted.columns },
    (_, column) => byName.get(foldWords(pasted.heading?.[column] ?? "")) ?? null,
  );
}

/** One page for each row; columns without a field are left out, columns of the same field are joined. */
export function bulkPages(
  pasted: PastedRows,
  fieldSet: FieldSet,
  mapping: readonly (string | null)[],
): PageDoc[] {
  const limits = new Map(fieldSet.fields.map(({ name, maxLength }) => [name, maxLength]));
  return pasted.rows.map((row) => {
    const values: Record<string, string> = {};
    for (const [column, field] of mapping.entries()) {
      const cell = row[column];
      if (!field || !cell) continue;
      const joined = values[field] ? `${values[field]}, ${cell}` : cell;
      values[field] = joined.slice(0, limits.get(field) ?? 2_000);
    }
    return pageCue({ fieldSet: fieldSet.id, values });
  });
}
