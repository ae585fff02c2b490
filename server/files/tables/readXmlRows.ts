import { columnNames, type Table } from "../../../core/feeds/table.ts";
import { t } from "../../../core/language/t.ts";
import { readXml, type XmlElement } from "../readXml.ts";
import { TableProblem } from "./tableProblem.ts";

/**
 * Rows of an XML document: elements of one name; what they hold and their attributes are columns.
 * @param path names of elements from the root to the rows, parted by "/"; empty: the elements that come most side by side
 * @throws TableProblem for what is not whole, and for a document type, which is refused for what can be done with it
 */
export function readXmlRows(bytes: Uint8Array, path: string): Table {
  const root = readXml(bytes);
  if ("problem" in root) throw new TableProblem(root.problem);
  const rows = path === "" ? likeliestRows(root) : rowsAt(root, path);
  return rowsTable(rows);
}

function rowsAt(root: XmlElement, path: string): readonly XmlElement[] {
  const [first, ...others] = path.replace(/^\//, "").split("/");
  if (first !== root.name)
    throw new TableProblem(t`its root is called “${root.name}”, and “${path}” begins with “${first ?? ""}”.`);
  let at: readonly XmlElement[] = [root];
  for (const name of others)
    at = at.flatMap(({ children }) => children.filter((child) => child.name === name));
  if (at.length === 0) throw new TableProblem(t`there is nothing at “${path}” in it.`);
  return at;
}

/** The elements that come most often side by side under one element. */
function likeliestRows(root: XmlElement): readonly XmlElement[] {
  let best: readonly XmlElement[] = [root];
  const look = (element: XmlElement) => {
    const byName = new Map<string, XmlElement[]>();
    for (const child of element.children) byName.set(child.name, [...(byName.get(child.name) ?? []), child]);
    for (const group of byName.values()) if (group.length > best.length && group.some(hasCells)) best = group;
    for (const child of element.children) look(child);
  };
  look(root);
  return best;
}

const hasCells = ({ children, attributes, text }: XmlElement): boolean =>
  children.length > 0 || Object.keys(attributes).length > 0 || text !== "";

function rowsTable(elements: readonly XmlElement[]): Table {
  const columns = new Map<string, number>();
  const rows = elements.map(({ attributes, children, text }) => {
    const cells: string[] = [];
    const put = (name: string, value: string) => {
      const at = columns.get(name) ?? columns.size;
      columns.set(name, at);
      cells[at] = cells[at] ? `${cells[at]}, ${value}` : value;
    };
    for (const [name, value] of Object.entries(attributes)) put(name, String(value).trim());
    for (const child of children) {
      put(child.name, child.text);
      for (const [name, value] of Object.entries(child.attributes))
        put(`${child.name} ${name}`, String(value).trim());
    }
    if (children.length === 0 && text !== "") put("text", text);
    return cells;
  });
  const width = columns.size;
  return {
    columns: columnNames([...columns.keys()]),
    rows: rows.map((cells) => Array.from({ length: width }, (_, i) => cells[i] ?? "")),
  };
}
