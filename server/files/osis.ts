import { XMLParser } from "fast-xml-parser";

export interface ScriptureInfo {
  readonly code: string;
  readonly name: string;
  readonly language: string;
  readonly rights: string;
}

export interface ParsedVerse {
  readonly book: string;
  readonly chapter: number;
  readonly verse: number;
  /** Lines of poetry are parted by line feeds. */
  readonly words: string;
}

export interface ParsedScripture {
  readonly info: ScriptureInfo;
  readonly verses: readonly ParsedVerse[];
}

/** The largest text that is read: about six times the longest that ships. */
const LARGEST_BYTES = 32 * 1024 * 1024;

type XmlNode = { readonly [name: string]: unknown };

/**
 * Reads OSIS 2.1 XML in which each verse is one element with an osisID, line breaks of poetry as `lb`.
 * @throws when it is too large, carries a document type (entities could expand without end) or has no verses
 */
export function parseOsis(xml: string, code: string, name: string): ParsedScripture {
  if (xml.length > LARGEST_BYTES)
    throw new Error(`The text has ${xml.length} characters; at most ${LARGEST_BYTES}`);
  if (/<!DOCTYPE/i.test(xml)) throw new Error("The text declares a document type; that is not read");
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: "",
    trimValues: false,
    parseTagValue: false,
    processEntities: true,
  });
  const root = parser.parse(xml) as XmlNode[];
  const verses: ParsedVerse[] = [];
  let language = "und";
  let rights = "";
  walk(root, (tag, children, attributes) => {
    if (tag === "osisText") language = String(attributes["xml:lang"] ?? "und");
    if (tag === "rights") rights = textOf(children);
    if (tag !== "verse") return true;
    const match = /^([1-3]?[A-Za-z]+)\.(\d+)\.(\d+)$/.exec(String(attributes.osisID ?? ""));
    if (match)
      verses.push({
        book: match[1] as string,
        chapter: Number(match[2]),
        verse: Number(match[3]),
        words: textOf(children),
      });
    return false;
  });
  if (verses.length === 0) throw new Error("The text has no verses with an osisID");
  return { info: { code, name, language, rights }, verses };
}

function walk(
  nodes: readonly XmlNode[],
  visit: (tag: string, children: readonly XmlNode[], attributes: XmlNode) => boolean,
): void {
  for (const node of nodes) {
    for (const [tag, children] of Object.entries(node)) {
      if (tag === ":@" || !Array.isArray(children)) continue;
      if (visit(tag, children, (node[":@"] ?? {}) as XmlNode)) walk(children, visit);
    }
  }
}

function textOf(nodes: readonly XmlNode[]): string {
  let text = "";
  for (const node of nodes) {
    if ("#text" in node) text += String(node["#text"]).replace(/\s+/g, " ");
    else if ("lb" in node || "l" in node) {
      text += "\n";
      if (Array.isArray(node.l)) text += textOf(node.l);
    } else
      for (const [tag, inner] of Object.entries(node))
        if (tag !== ":@" && Array.isArray(inner)) text += textOf(inner);
  }
  return text.replace(/ *\n+ */g, "\n").trim();
}
