import Papa from "papaparse";
import { fieldKind } from "../scene/fieldKinds.ts";
import type { FieldSet } from "../scene/fieldSet.ts";
import { isChordLine } from "../words/chords.ts";
import { foldWords } from "../words/foldWords.ts";
import { findLoneLabel } from "../words/reader/label.ts";
import { type PageDoc, pageCue } from "./cueDoc.ts";
import { joinAfterName, looksLikeName, readNameAndRole, withoutHead } from "./nameAndRole.ts";

/** Pasted lines or cells, parted into rows and columns. */
export interface PastedRows {
  readonly rows: readonly (readonly string[])[];
  readonly columns: number;
  /** The first row names the columns, and is no page. */
  readonly heading: readonly string[] | null;
}

export const MOST_BULK_PAGES = 2_000;
/** Lines that part columns of a table drawn in text: "|---|:--:|". */
const RULED = /^[\s|:+=-]+$/;
/** What people call the columns of a list, beside the names of the fields. */
const USUAL_HEADS = new Set(
  "name names role roles title function position job speaker who what nombre cargo función nom fonction rolle funktion nome funzione ruolo função".split(
    " ",
  ),
);

/**
 * Parts pasted text: cells by tabs as spreadsheets copy them, by bars, semicolons or columns of spaces, by commas with
 * quotes as RFC 4180 has them, so that a cell may hold line breaks and separators; else each line by its dash, brackets
 * or colon. Bullets and numbers go; letters after a name (MD, PhD) stay with it.
 * @param names what fields are called: a first row that names them is a heading
 */
export function readRows(text: string, names: readonly string[]): PastedRows {
  const tidy = text.replace(/^\ufeff/, "").replace(/\r\n?/g, "\n");
  const delimiter = findDelimiter(tidy);
  const rows = partInto(tidy, delimiter)
    .map((row) => row.map((cell) => cell.trim()))
    .filter(
      (row) => row.some((cell) => cell !== "") && !row.every((cell) => RULED.test(cell) || cell === ""),
    );
  const known = new Set(names.map(foldWords));
  const [first = []] = rows;
  const isHeading =
    rows.length > 1 &&
    (first.some((cell) => known.has(foldWords(cell))) ||
      (first.length > 1 && first.every((cell) => USUAL_HEADS.has(foldWords(cell)))));
  const body = isHeading ? rows.slice(1) : rows;
  return {
    rows: body,
    columns: Math.max(0, ...body.map((row) => row.length)),
    heading: isHeading ? first : null,
  };
}

function partInto(text: string, delimiter: Delimiter | undefined): string[][] {
  if (delimiter === "\t" || delimiter === ";" || delimiter === ",") {
    const { data } = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: "greedy" });
    const areListed = isListed(data.map((row) => row[0] ?? ""));
    const bare = data.map(([first = "", ...rest]) => [areListed ? withoutHead(first) : first, ...rest]);
    return delimiter === "," ? bare.map(joinAfterName) : bare;
  }
  const lines = text.split("\n").filter((line) => line.trim() !== "");
  const areListed = isListed(lines);
  return lines.map((line) => {
    const bare = areListed ? withoutHead(line) : line.trim();
    if (delimiter === "|")
      return bare
        .trim()
        .replace(/^\||\|$/g, "")
        .split("|");
    if (delimiter === "  ") return bare.trim().split(/ {2,}/);
    const { name, role } = readNameAndRole(bare);
    return role === "" ? [name] : [name, role];
  });
}

/** Bullets and numbers are no cells where most lines have one. */
const isListed = (lines: readonly string[]): boolean =>
  lines.filter((line) => withoutHead(line) !== line).length >= Math.max(2, lines.length * 0.6);

type Delimiter = "\t" | "|" | ";" | "  " | ",";

function findDelimiter(text: string): Delimiter | undefined {
  const lines = text.split("\n").filter((line) => line.trim() !== "");
  const share = (has: (line: string) => boolean) => lines.filter(has).length / Math.max(1, lines.length);
  if (share((line) => line.includes("\t")) >= 0.5) return "\t";
  if (share((line) => line.includes("|")) >= 0.7) return "|";
  if (share((line) => line.includes(";")) >= 0.7) return ";";
  if (share((line) => /\S {2,}\S/.test(line.trim()) && !/ [–—-]/.test(line)) >= 0.7) return "  ";
  const marked = lines.map((line) => readNameAndRole(line).mark);
  const byComma = marked.filter((mark) => mark === "comma").length;
  if (byComma >= lines.length * 0.6 || (/^"/.test(text.trim()) && share((line) => line.includes(",")) >= 0.6))
    return ",";
  return undefined;
}

/** Whether pasted lines are rather a list of things than the words of one song. */
export function looksLikeRows(text: string): boolean {
  const lines = text.split(/\r\n?|\n/).filter((line) => line.trim() !== "");
  if (lines.length < 2 || lines.some((line) => findLoneLabel(line))) return false;
  const tabbed = lines.filter((line) => line.trim().includes("\t")).length;
  if (tabbed >= lines.length * 0.8) return true;
  const barred = lines.filter((line) => line.includes("|")).length;
  if (barred >= lines.length * 0.8 && !lines.some((line) => isChordLine(line))) return true;
  const body = lines.filter((line, i) => i > 0 || !USUAL_HEADS.has(foldWords(line.split(/[,;:|]/)[0] ?? "")));
  const parsed = body.map(readNameAndRole);
  const named = parsed.filter(({ name, role }) => looksLikeName(name) && !/[,;:]$/.test(role)).length;
  const parted = parsed.filter(({ mark, role }) => mark !== "" && role.length < 90).length;
  // Words that are sung run over stanzas; a list has one, or a blank line after every row.
  const stanzas = text.trim().split(/\n\s*\n/).length;
  if (stanzas > 1 && stanzas < lines.length) return false;
  if (parted >= body.length * 0.8) return named >= body.length * 0.7;
  return (
    body.length > 2 &&
    parsed.every(
      ({ name, mark }) => mark === "" && looksLikeName(name) && name.includes(" ") && name.length < 40,
    )
  );
}

/** Which column goes to which field: by the heading where there is one, else in order. */
export function guessMapping(pasted: PastedRows, fieldSet: FieldSet): (string | null)[] {
  const fields = fieldSet.fields.filter(({ kind }) => fieldKind(kind).takesColumns);
  if (!pasted.heading)
    return Array.from({ length: pasted.columns }, (_, column) => fields[column]?.name ?? null);
  const byName = new Map(
    fields.flatMap(({ name, label }) => [
      [foldWords(name), name] as const,
      [foldWords(label), name] as const,
    ]),
  );
  const found = Array.from(
    { length: pasted.columns },
    (_, column) => byName.get(foldWords(pasted.heading?.[column] ?? "")) ?? null,
  );
  // "Name, Function": what is not called as a field is goes to those that are left, in order.
  const left = fields.filter(({ name }) => !found.includes(name));
  const mapped = found.map((field, column) =>
    field === null && USUAL_HEADS.has(foldWords(pasted.heading?.[column] ?? ""))
      ? (left.shift()?.name ?? null)
      : field,
  );
  // Where no heading says anything, the first column is at least something.
  return mapped.some((field) => field !== null) ? mapped : mapped.map((_, i) => fields[i]?.name ?? null);
}

/** A text that is longer than its field takes. */
export interface TooLong {
  /** From 0, among the rows. */
  readonly row: number;
  readonly field: string;
  readonly letters: number;
  readonly most: number;
}

/**
 * One page for each row; columns without a field are left out, columns of the same field are joined.
 * @returns also what is longer than its field takes and so is cut at the end of a word: it is said, never silent
 */
export function bulkPages(
  pasted: PastedRows,
  fieldSet: FieldSet,
  mapping: readonly (string | null)[],
): { readonly docs: PageDoc[]; readonly tooLong: readonly TooLong[] } {
  const limits = new Map(fieldSet.fields.map(({ name, maxLength }) => [name, maxLength]));
  const tooLong: TooLong[] = [];
  const docs = pasted.rows.slice(0, MOST_BULK_PAGES).map((row, at) => {
    const values: Record<string, string> = {};
    for (const [column, field] of mapping.entries()) {
      const cell = row[column];
      if (field && cell) values[field] = values[field] ? `${values[field]}, ${cell}` : cell;
    }
    for (const [field, value] of Object.entries(values)) {
      const most = limits.get(field) ?? 2_000;
      if (value.length <= most) continue;
      tooLong.push({ row: at, field, letters: value.length, most });
      const end = value.lastIndexOf(" ", most);
      values[field] = value.slice(0, end > most / 2 ? end : most);
    }
    return pageCue({ fieldSet: fieldSet.id, values });
  });
  return { docs, tooLong };
}
