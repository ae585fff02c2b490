import { columnNames, type Table } from "../../../core/feeds/table.ts";
import { t } from "../../../core/language/t.ts";
import { decodeText } from "../decodeText.ts";
import { TableProblem } from "./tableProblem.ts";

/** How deep values of a row may lie in objects: "home" in {score: {home: 3}} is the column "score home". */
const DEEPEST = 3;

/**
 * Rows of a JSON document: a list of objects (its names are columns), of lists, or of single values.
 * @param path a JSON Pointer (RFC 6901) to the list; empty: the whole, or the only list in it
 * @throws TableProblem
 */
export function readJsonRows(bytes: Uint8Array, path: string): Table {
  let document: unknown;
  try {
    document = JSON.parse(decodeText(bytes).text);
  } catch (error) {
    const where = /position (\d+)/.exec(String(error))?.[1];
    throw new TableProblem(
      t`it is not whole JSON${where ? t`: it breaks off or goes wrong at letter ${where}` : ""}.`,
    );
  }
  return rowsTable(listAt(document, path));
}

/** @see RFC 6901, section 4: "~1" is a stroke, "~0" a tilde. */
function listAt(document: unknown, path: string): readonly unknown[] {
  if (path === "") return findList(document);
  let at: unknown = document;
  for (const part of path.replace(/^\//, "").split("/")) {
    const name = part.replace(/~1/g, "/").replace(/~0/g, "~");
    const has = typeof at === "object" && at !== null && Object.hasOwn(at, name);
    at = has ? (at as Record<string, unknown>)[name] : undefined;
    if (at === undefined) throw new TableProblem(t`there is nothing at “${path}” in it.`);
  }
  if (Array.isArray(at)) return at;
  if (typeof at === "object" && at !== null) return [at];
  throw new TableProblem(t`what stands at “${path}” in it is no list.`);
}

function findList(document: unknown): readonly unknown[] {
  if (Array.isArray(document)) return document;
  if (typeof document !== "object" || document === null)
    throw new TableProblem(t`it is a single value, not a list of rows.`);
  const lists = Object.values(document).filter((value) => Array.isArray(value));
  return lists.length === 1 ? (lists[0] as readonly unknown[]) : [document];
}

function rowsTable(list: readonly unknown[]): Table {
  const columns = new Map<string, number>();
  const rows = list.map((item) => {
    const cells: string[] = [];
    const put = (name: string, value: unknown) => {
      let at = columns.get(name);
      if (at === undefined) {
        at = columns.size;
        columns.set(name, at);
      }
      cells[at] = textOf(value);
    };
    visit("", item, put, 0);
    return cells;
  });
  const width = columns.size;
  return {
    columns: columnNames([...columns.keys()]),
    rows: rows.map((cells) => Array.from({ length: width }, (_, i) => cells[i] ?? "")),
  };
}

function visit(
  name: string,
  value: unknown,
  put: (name: string, value: unknown) => void,
  depth: number,
): void {
  if (typeof value !== "object" || value === null || depth >= DEEPEST) {
    put(name || "value", value);
    return;
  }
  for (const [key, inner] of Object.entries(value)) {
    const own = Array.isArray(value) ? t`Column ${Number(key) + 1}` : key;
    visit(name === "" ? own : `${name} ${own}`, inner, put, depth + 1);
  }
}

function textOf(value: unknown): string {
  if (value === null || value === undefined) return "";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "object") return "";
  return String(value).trim();
}
