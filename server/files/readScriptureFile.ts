import { gunzipSync } from "node:zlib";
import { t } from "../../core/language/t.ts";
import { BOOKS } from "../../core/words/reference/books.ts";
import { decodeText } from "./decodeText.ts";
import { parseOsis } from "./osis.ts";
import { FileProblem, joinParts, type ParsedText, type ParsedVerse } from "./scriptureFile.ts";
import { unzipFiles } from "./unzip.ts";
import { parseUsfm } from "./usfm.ts";

/** The largest text that is read: about six times the longest that ships. */
const LARGEST_BYTES = 32 * 1024 * 1024;

const BOOK_PLACE = new Map(BOOKS.map(({ code }, place) => [code, place]));

export interface ReadText extends ParsedText {
  /** What was left out, in a sentence; empty when nothing. */
  readonly note: string;
}

/**
 * A scripture text from the bytes of a file: OSIS XML, one USFM book, either of them with gzip, or a ZIP of such
 * files. Verses come in the order of the books, each once.
 * @throws FileProblem with what is wrong
 */
export function readScriptureFile(bytes: Uint8Array): ReadText {
  const parsed = bytes[0] === 0x50 && bytes[1] === 0x4b ? readArchive(bytes) : readOne(decode(unpack(bytes)));
  const unknown = new Set<string>("unknownBooks" in parsed ? (parsed.unknownBooks as string[]) : []);
  const { verses, twice } = joinParts(
    parsed.verses.filter(({ book }) => {
      if (!BOOK_PLACE.has(book)) unknown.add(book);
      return BOOK_PLACE.has(book);
    }),
  );
  if (verses.length === 0)
    throw new FileProblem(t`The file has none of the 66 books known here. Nothing was brought in.`);
  verses.sort(byPlace);
  return {
    title: parsed.title,
    language: parsed.language,
    rights: parsed.rights,
    verses,
    leftOut: parsed.leftOut,
    note: [
      unknown.size === 0
        ? ""
        : `${unknown.size === 1 ? "One book is" : `${unknown.size} books are`} not among the 66 known here and left out: ${[...unknown].slice(0, 12).join(", ")}.`,
      sayLeft(t`Left out`, parsed.leftOut),
      sayLeft(t`In the file twice, in other words; the first was taken`, twice),
    ]
      .filter((line) => line !== "")
      .join(" "),
  };
}

const MOST_SAID = 12;
const sayLeft = (what: string, list: readonly string[]): string =>
  list.length === 0
    ? ""
    : `${what}: ${list.slice(0, MOST_SAID).join(", ")}${list.length > MOST_SAID ? t`, and ${list.length - MOST_SAID} more` : ""}.`;

const byPlace = (a: ParsedVerse, b: ParsedVerse) =>
  (BOOK_PLACE.get(a.book) as number) - (BOOK_PLACE.get(b.book) as number) ||
  a.chapter - b.chapter ||
  a.verse - b.verse;

function unpack(bytes: Uint8Array): Uint8Array {
  if (bytes[0] !== 0x1f || bytes[1] !== 0x8b) return bytes;
  try {
    return gunzipSync(bytes, { maxOutputLength: LARGEST_BYTES });
  } catch {
    throw new FileProblem(
      t`The packed file is broken, or would unpack to more than 32 MB. Nothing was brought in.`,
    );
  }
}

function decode(bytes: Uint8Array): string {
  if (bytes.length > LARGEST_BYTES)
    throw new FileProblem(
      t`The text has ${Math.round(bytes.length / 1024 / 1024)} MB; at most 32 MB are read. Nothing was brought in.`,
    );
  return decodeText(bytes).text;
}

function readOne(text: string): ParsedText {
  if (/^\s*</.test(text.slice(0, 200))) return parseOsis(text);
  if (/\\id\s/.test(text.slice(0, 2_000))) return parseUsfm([text]);
  throw new FileProblem(t`The file is neither OSIS nor USFM. Nothing was brought in; choose another file.`);
}

function readArchive(bytes: Uint8Array): ParsedText {
  const files = unzipFiles(bytes, (name) => /\.(usfm|sfm|usx|xml|osis|txt|ptx)$/i.test(name));
  const texts = [...files.values()].map(decode);
  const usfm = texts.filter((text) => /\\id\s/.test(text.slice(0, 2_000)));
  if (usfm.length > 0) return parseUsfm(usfm);
  const osis = texts.filter((text) => text.slice(0, 4_000).includes("<osis")).map(parseOsis);
  const [first] = osis;
  if (first)
    return {
      ...first,
      verses: osis.flatMap(({ verses }) => verses),
      leftOut: osis.flatMap(({ leftOut }) => leftOut),
    };
  throw new FileProblem(t`The archive holds neither OSIS nor USFM. Nothing was brought in.`);
}
