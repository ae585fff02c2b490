import { LONGEST_ELEMENT, MOST_ELEMENTS } from "../../core/clips/clip.ts";
import { t } from "../../core/language/t.ts";
import { readXml, type XmlElement } from "./readXml.ts";

const LONGEST_PATH = 200;

export type ClipDetails =
  | { readonly elements: Readonly<Record<string, string>> }
  /** What is wrong with it, as the end of a sentence. */
  | { readonly problem: string };

/**
 * What the file beside a clip says: the path of each element and attribute that has words ("film/title", "film/@year") → its words.
 * Elements of the same path are joined.
 */
export function readClipDetails({ bytes }: { readonly bytes: Uint8Array }): ClipDetails {
  const root = readXml(bytes);
  if ("problem" in root) return root;
  const found = new Map<string, string>();
  const put = (path: string, words: string) => {
    const text = words.replace(/\s+/g, " ").trim();
    // What every object of the language has by itself is no name.
    if (text === "" || path.length > LONGEST_PATH || path in Object.prototype) return;
    const before = found.get(path);
    if (before === undefined && found.size >= MOST_ELEMENTS) return;
    found.set(path, (before === undefined ? text : `${before}, ${text}`).slice(0, LONGEST_ELEMENT));
  };
  const look = ({ name, attributes, text, children }: XmlElement, above: string) => {
    const path = above === "" ? name : `${above}/${name}`;
    put(path, text);
    for (const [key, value] of Object.entries(attributes)) put(`${path}/@${key}`, String(value));
    for (const child of children) look(child, path);
  };
  look(root, "");
  return found.size === 0
    ? { problem: t`nothing is written in it.` }
    : { elements: Object.fromEntries(found) };
}
