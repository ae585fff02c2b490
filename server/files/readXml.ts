import { XMLParser } from "fast-xml-parser";
import { t } from "../../core/language/t.ts";
import { decodeText } from "./decodeText.ts";

const DEEPEST_NESTING = 60;
const TEXT = "#text";
const ATTRIBUTES = ":@";

/** An element as the parser gives it in order: its name with what is in it, and its attributes. */
type Node = Readonly<Record<string, unknown>>;

export interface XmlElement {
  readonly name: string;
  readonly children: readonly XmlElement[];
  readonly attributes: Readonly<Record<string, string>>;
  readonly text: string;
}

/**
 * The root of an XML document. A document type is refused for what can be done with it.
 * @returns what is wrong with it, as the end of a sentence ("it is not whole XML (…).")
 */
export function readXml(bytes: Uint8Array): XmlElement | { readonly problem: string } {
  const { text } = decodeText(bytes);
  if (/<!DOCTYPE/i.test(text))
    return {
      problem: t`it has a document type (<!DOCTYPE …>), which is not read, because it can be made to do harm.`,
    };
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
    return { problem: t`it is not whole XML (${(error as Error).message.split("\n")[0]}).` };
  }
  const roots = elementsOf(nodes, 0);
  if (!roots) return { problem: t`its elements lie more than ${DEEPEST_NESTING} deep.` };
  const [root] = roots;
  if (!root || roots.length !== 1) return { problem: t`it is not whole XML: it has no root.` };
  return root;
}

/** Undefined when they lie too deep. */
function elementsOf(nodes: unknown, depth: number): XmlElement[] | undefined {
  if (!Array.isArray(nodes)) return [];
  if (depth > DEEPEST_NESTING) return undefined;
  const found: XmlElement[] = [];
  for (const node of nodes as Node[]) {
    const name = Object.keys(node).find((key) => key !== ATTRIBUTES && key !== TEXT);
    if (name === undefined) continue;
    const inner = node[name];
    const children = elementsOf(inner, depth + 1);
    if (!children) return undefined;
    const text = Array.isArray(inner)
      ? inner
          .map((child: Node) => child[TEXT] ?? "")
          .join(" ")
          .trim()
      : "";
    found.push({ name, children, attributes: (node[ATTRIBUTES] ?? {}) as Record<string, string>, text });
  }
  return found;
}
