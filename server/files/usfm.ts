import { t } from "../../core/language/t.ts";
import { BOOKS } from "../../core/words/reference/books.ts";
import { bridged, FileProblem, type ParsedText, type ParsedVerse } from "./scriptureFile.ts";

/** USFM book identifiers in the order of BOOKS. */
const IDENTIFIERS =
  "GEN EXO LEV NUM DEU JOS JDG RUT 1SA 2SA 1KI 2KI 1CH 2CH EZR NEH EST JOB PSA PRO ECC SNG ISA JER LAM EZK DAN HOS JOL AMO OBA JON MIC NAM HAB ZEP HAG ZEC MAL MAT MRK LUK JHN ACT ROM 1CO 2CO GAL EPH PHP COL 1TH 2TH 1TI 2TI TIT PHM HEB JAS 1PE 2PE 1JN 2JN 3JN JUD REV".split(
    " ",
  );
const BOOK_BY_IDENTIFIER = new Map(IDENTIFIERS.map((id, i) => [id, BOOKS[i]?.code as string]));

/** Notes, cross references, figures, published numbers, study text: from the marker to its end marker. */
const LEFT_OUT = /\\(\+?(?:f|fe|ef|x|ex|fig|va|vp|ca|cp|rq|rb|pro|jmp))\b[\s\S]*?\\\1\*/g;
/** A note that nobody closed: to the next verse, chapter or paragraph. */
const UNCLOSED = /\\\+?(?:f|fe|ef|x|ex)\s(?:(?!\\(?:v|c|p|m|q\d?|b|nb|id)\b)[\s\S])*/g;
const MILESTONE = /\\[a-z]+\d?(?:-[se])\b[^\\]*\\\*/g;
/** Paragraph markers whose line is a heading, a reference or about the book. */
const HEADING =
  /^(?:id|ide|sts|rem|h\d?|toc\d?|toca\d?|mt\d?|mte\d?|ms\d?|mr|s\d?|sr|r|d|sp|sd\d?|cl|cp|cd|imt\d?|is\d?|ip|ipi|im|imi|ipq|imq|ipr|iq\d?|ib|ili\d?|iot|io\d?|iex|imte\d?|ie|periph|restore|usfm|lit|k\d?|qa)$/;
const POETRY = /^(?:q\d?|qr|qc|qm\d?|qd|li\d?|lim\d?|pi\d?|mi)$/;

/**
 * Reads USFM 3: books by \id, chapters, verses, poetry as lines. Headings, notes, cross references and figures are
 * left out, styles of characters are read through.
 * @param files one or more books, such as the files of a folder
 * @returns the verses, and identifiers of books that are not among the 66
 * @throws FileProblem when no file has a verse
 */
export function parseUsfm(
  files: readonly string[],
): ParsedText & { readonly unknownBooks: readonly string[] } {
  const verses: ParsedVerse[] = [];
  const unknownBooks: string[] = [];
  const leftOut: string[] = [];
  for (const file of files.flatMap(booksOf)) {
    const identifier = /\\id\s+(\w{3})/.exec(file)?.[1]?.toUpperCase();
    if (!identifier) continue;
    const book = BOOK_BY_IDENTIFIER.get(identifier);
    if (book) verses.push(...readBook(file, book, leftOut));
    else unknownBooks.push(identifier);
  }
  if (verses.length === 0)
    throw new FileProblem(
      t`No verse was found: USFM needs \\id, \\c and \\v. Nothing was brought in; the texts you have are as they were.`,
    );
  return { title: "", language: "und", rights: "", verses, unknownBooks, leftOut };
}

/** A file may hold several books, each from its \\id on. */
const booksOf = (file: string): string[] => file.split(/(?=\\id\s)/).filter((book) => book.trim() !== "");

function readBook(file: string, book: string, leftOut: string[]): ParsedVerse[] {
  // A line end in the file is a space; lines of poetry have markers.
  const text = file
    .replace(/^\ufeff/, "")
    .replace(/\s+/g, " ")
    .replace(LEFT_OUT, "")
    .replace(MILESTONE, "")
    .replace(UNCLOSED, (note) => {
      leftOut.push(
        t`a note in ${book} that was never closed (“${note
          .replace(/\\\S+\s?/g, "")
          .trim()
          .slice(0, 40)}”)`,
      );
      return " ";
    });
  const verses: ParsedVerse[] = [];
  let chapter = 0;
  let verse = 0;
  let part: string | undefined;
  let until = 0;
  let words = "";
  let isHeading = false;
  const end = () => {
    const said = tidy(words);
    if (chapter > 0 && verse > 0 && said !== "") {
      const own: ParsedVerse = { book, chapter, verse, words: said, ...(part && { part }) };
      verses.push(own, ...bridged(own, until));
    }
    words = "";
    verse = 0;
  };
  // Each piece is a marker with what follows it.
  for (const piece of text.split(/(?=\\)/)) {
    const match = /^\\(\+?[a-z]+\d?)(?:(\*)|\s)?/.exec(piece);
    const rest = match ? piece.slice(match[0].length) : piece.startsWith("\\") ? "" : piece;
    if (!match) {
      if (!isHeading && verse > 0) words += rest;
      continue;
    }
    const marker = (match[1] as string).replace(/^\+/, "");
    const closes = match[2] === "*";
    if (marker === "c") {
      end();
      chapter = Number(/^\d+/.exec(rest)?.[0] ?? 0);
      isHeading = false;
    } else if (marker === "v") {
      end();
      const number = /^(\d+)([a-z])?(?:[-–,](\d+)[a-z]?)?\s*/.exec(rest);
      verse = Number(number?.[1] ?? 0);
      part = number?.[2];
      until = Number(number?.[3] ?? 0);
      isHeading = false;
      words = rest.slice(number?.[0].length ?? 0);
    } else if (HEADING.test(marker) && !closes) isHeading = true;
    else if (/^(?:p|m|nb|po|pr|cls|pmo|pm|pmc|pmr|pc|ph\d?|b|tr|t[hc]r?\d?)$/.test(marker)) {
      isHeading = false;
      if (verse > 0) words += ` ${rest}`;
    } else if (POETRY.test(marker)) {
      isHeading = false;
      if (verse > 0) words += `\n${rest}`;
    } else if (!isHeading && verse > 0)
      // A style of characters; what follows the bar of a word are its attributes.
      words += closes ? `${rest}` : rest.replace(/\|[^\\]*$/, "");
  }
  end();
  return verses;
}

const tidy = (words: string) =>
  words
    .replace(/~/g, "\u00a0")
    .replace(/\/\//g, " ")
    .replace(/[^\S\n\u00a0]+/g, " ")
    .replace(/ *\n+ */g, "\n")
    .trim();
