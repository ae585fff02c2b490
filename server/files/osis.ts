import { SaxesParser } from "saxes";
import { t } from "../../core/language/t.ts";
import { bridged, FileProblem, type ParsedText, type ParsedVerse } from "./scriptureFile.ts";

/** What stands between verses or beside them, and is not read out. */
const NOT_READ = new Set(["note", "title", "rdg", "figure", "index", "milestone", "catchWord"]);

/** A pushed text is handed over in pieces of this length. */
const PIECE = 64 * 1024;

/**
 * Reads OSIS 2.1 XML: verses as containers or between milestones, with or without prefixes, lines of poetry as
 * `lb` or `l`. Notes, headings and figures are left out.
 * @throws FileProblem when the XML is broken, carries a document type (entities could expand without end) or has no
 *   verses with an osisID
 */
export function parseOsis(xml: string): ParsedText {
  const parser = new SaxesParser({ xmlns: false });
  const verses: ParsedVerse[] = [];
  const path: string[] = [];
  let title = "";
  let rights = "";
  let language = "und";
  let skipping = 0;
  const leftOut: string[] = [];
  let open: { readonly id: string; words: string } | undefined;

  const end = () => {
    if (!open) return;
    const match = /^(?:[\w.-]+:)?([1-4]?[A-Za-z]+)\.(\d{1,3})\.(\d{1,3})(?:!(\w+))?/.exec(open.id);
    const words = tidy(open.words);
    if (!match && open.id !== "" && words !== "") leftOut.push(open.id);
    if (match && words !== "") {
      const verse: ParsedVerse = {
        book: match[1] as string,
        chapter: Number(match[2]),
        verse: Number(match[3]),
        words,
        ...(match[4] && { part: match[4] }),
      };
      verses.push(verse, ...bridged(verse, lastOf(open.id)));
    }
    open = undefined;
  };

  parser.on("doctype", () => {
    throw new FileProblem(
      t`The file declares a document type, which is not read: what it could expand to has no bound. Nothing was brought in; save it without one.`,
    );
  });
  parser.on("error", (error) => {
    throw new FileProblem(
      t`The file is not whole: ${error.message.replace(/^undefined:/, "line ").replace(/\.?$/, "")}. Nothing of it was brought in; the texts you have are as they were.`,
    );
  });
  parser.on("opentag", ({ name, attributes, isSelfClosing }) => {
    const tag = name.slice(name.indexOf(":") + 1);
    const attribute = (key: string) => {
      const value = attributes[key];
      return typeof value === "string" ? value : undefined;
    };
    path.push(tag);
    if (tag === "osisText") language = attribute("xml:lang") ?? language;
    if (NOT_READ.has(tag) && !path.includes("header")) skipping++;
    if (skipping > 0) return;
    if (tag === "verse") {
      if (attribute("eID") !== undefined) end();
      else {
        end();
        open = { id: attribute("osisID") ?? attribute("sID") ?? "", words: "" };
        if (isSelfClosing && attribute("sID") === undefined) end();
      }
    } else if (open) {
      if (tag === "lb" || (tag === "l" && attribute("eID") === undefined)) open.words += "\n";
      else if (tag === "q") open.words += attribute("marker") ?? "";
      else if (tag === "p" || tag === "lg") open.words += " ";
    }
  });
  parser.on("closetag", ({ name, attributes, isSelfClosing }) => {
    const tag = name.slice(name.indexOf(":") + 1);
    if (NOT_READ.has(tag) && !path.includes("header")) skipping--;
    path.pop();
    if (tag === "verse" && !isSelfClosing && attributes.sID === undefined && attributes.eID === undefined)
      end();
    // A chapter that ends takes an unfinished verse with it.
    if ((tag === "chapter" || tag === "div") && !isSelfClosing) end();
  });
  parser.on("text", (text) => {
    if (skipping === 0 && open) open.words += text.replace(/\s+/g, " ");
    else if (path.includes("header")) {
      const tag = path.at(-1);
      if (tag === "title" && title === "") title = text.trim();
      if (path.includes("rights")) rights = `${rights} ${text}`.replace(/\s+/g, " ").trim();
    }
  });

  for (let at = 0; at < xml.length; at += PIECE) parser.write(xml.slice(at, at + PIECE));
  parser.close();
  if (verses.length === 0)
    throw new FileProblem(t`The file has no verses with an osisID. Nothing was brought in; is it OSIS?`);
  return { title, language, rights, verses, leftOut };
}

/** The last verse of "Gen.1.3 Gen.1.4" or "Gen.1.3-Gen.1.4", which are printed together. */
const lastOf = (id: string): number => Number(/[\s-].*\.(\d{1,3})(?:!\w+)?$/.exec(id)?.[1] ?? 0);

const tidy = (words: string) =>
  words
    .replace(/[^\S\n]+/g, " ")
    .replace(/ *\n+ */g, "\n")
    .replace(/ +([,.;:!?…])/g, "$1")
    .trim();
