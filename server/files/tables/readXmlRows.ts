import { XMLParser } from "fast-xml-parser";
import { columnNames, type Table } from "../../../core/feeds/table.ts";
import { decodeText } from "../decodeText.ts";
import { TableProblem } from "./tableProblem.ts";

const DEEPEST_NESTING = 60;
const TEXT = "#text";
const ATTRIBUTES = ":@";

/** An element as the parser gives it in order: its name with what is in it, and its attributes. */
type Node = Readonly<Record<string, unknown>>;

interface Element {
  readonly name: string;
  readonly children: readonly Element[];
  readonly attributes: Readonly<Record<string, string>>;
  readonly text: string;
}

/**
 * Rows of an XML document: elements of one name; what they hold and their attributes are columns.
 * @param path names of elements from the root to the rows, parted by "/"; empty: the elements that come most side by side
 * @throws TableProblem for what is not whole, and for a document type, which is refused for what can be done with it
 */
export function readXmlRows(bytes: Uint8Array, path: string): Table {
  const { text } = decodeText(bytes);
  if (/<!DOCTYPE/i.test(text))
    throw new TableProblem(
      "it has a document type (<!DOCTYPE …>), which is not read, because it can be made to do harm.",
    );
  const root = parse(text);
  const rows = path === "" ? likeliestRows(root) : rowsAt(root, path);
  return rowsTable(rows);
}

function parse(text: string): Element {
  let nodes: unknown;
  try {
    const parser = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: "",
      parseTagValue: false,
      parseAttributeValue: false,
      ignoreDeclaration: true,
      ignorePiTags: true,
      trimValues: true,
    });
    // The second asks for a well-formed document.
    nodes = parser.parse(text, true);
  } catch (error) {
    throw new TableProblem(`it is not whole XML (${(error as Error).message.split("\n")[0]}).`);
  }
  const roots = elementsOf(nodes, 0);
  const [root] = roots;
  if (!root || roots.length !== 1) throw new TableProblem("it is not whole XML: it has no root.");
  return root;
}

function elementsOf(nodes: unknown, depth: number): Element[] {
  if (!Array.isArray(nodes)) return [];
  if (depth > DEEPEST_NESTING) throw new TableProblem(`its elements lie more than ${DEEPEST_NESTING} deep.`);
  return nodes.flatMap((node: Node): Element[] => {
    const name = Object.keys(node).find((key) => key !== ATTRIBUTES && key !== TEXT);
    if (name === undefined) return [];
    const inner = node[name];
    return [
      {
        name,
        children: elementsOf(inner, depth + 1),
        attributes: (node[ATTRIBUTES] ?? {}) as Record<string, string>,
        text: Array.isArray(inner)
          ? inner
              .map((child: Node) => child[TEXT] ?? "")
              .join(" ")
              .trim()
          : "",
      },
    ];
  });
}

function rowsAt(root: Element, path: string): readonly Element[] {
  const [first, ...others] = path.replace(/^\//, "").split("/");
  if (first !== root.name)
    throw new TableProblem(`its root is called “${root.name}”, and “${path}” begins with “${first ?? ""}”.`);
  let at: readonly Element[] = [root];
  for (const name of others)
    at = at.flatMap(({ children }) => children.filter((child) => child.name === name));
  if (at.length === 0) throw new TableProblem(`there is nothing at “${path}” in it.`);
  return at;
}

/** The elements that come most often side by side under one element. */
function likeliestRows(root: Element): readonly Element[] {
  let best: readonly Element[] = [root];
  const look = (element: Element) => {
    const byName = new Map<string, Element[]>();
    for (const child of element.children) byName.set(child.name, [...(byName.get(child.name) ?? []), child]);
    for (const group of byName.values()) if (group.length > best.length && group.some(hasCells)) best = group;
    for (const child of element.children) look(child);
  };
  look(root);
  return best;
}

const hasCells = ({ children, attributes, text }: Element): boolean =>
  children.length > 0 || Object.keys(attributes).length > 0 || text !== "";

function rowsTable(elements: readonly Element[]): Table {
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
