import usfmJs from "usfm-js";
import { describe, expect, test } from "vitest";
import { parseUsfm } from "./usfm.ts";

// Markers as the USFM 3 documentation publishes them.
const JONAH = `\\id JON Test text
\\usfm 3.0
\\ide UTF-8
\\h Jonah
\\toc1 The Book of Jonah
\\mt1 Jonah
\\c 1
\\s1 Jonah runs \\nd away\\nd*
\\r (See also 2 Kings)
\\p
\\v 1 Now the word of \\nd Yahweh\\nd* came to Jonah,\\f + \\ft a note \\fq with\\ft words\\f* saying,
\\v 2 “Arise, go to \\w Nineveh|lemma="Nineveh" strong="H5210"\\w*, that great city,
and preach against it.”
\\p
\\v 3 But \\add he\\add* rose up.\\x - \\xo 1:3 \\xt Ps 139:7\\x*
\\c 2
\\q1
\\v 1 “I called
\\q2 because of my trouble;
\\q1 he answered me.
\\b
\\v 2-3 Out of the deep\\va 4\\va* I cried.~Amen
`;

/** Spaces aside: beside what is left out, the two keep them differently. */
const bare = (text: string) => text.replace(/\s+/g, "");

describe("USFM", () => {
  const parsed = parseUsfm([JONAH]);

  test("verses, styles of characters, poetry and bridged verses are read; headings, notes and references are not", () => {
    expect(parsed.verses).toEqual([
      { book: "Jonah", chapter: 1, verse: 1, words: "Now the word of Yahweh came to Jonah, saying," },
      {
        book: "Jonah",
        chapter: 1,
        verse: 2,
        words: "“Arise, go to Nineveh, that great city, and preach against it.”",
      },
      { book: "Jonah", chapter: 1, verse: 3, words: "But he rose up." },
      { book: "Jonah", chapter: 2, verse: 1, words: "“I called\nbecause of my trouble;\nhe answered me." },
      { book: "Jonah", chapter: 2, verse: 2, words: "Out of the deep I cried.\u00a0Amen" },
      // It is printed together with the verse before it.
      { book: "Jonah", chapter: 2, verse: 3, words: "" },
    ]);
  });

  test("the same verses with the same words as usfm-js reads", () => {
    const { chapters } = usfmJs.toJSON(JONAH) as {
      chapters: Record<string, Record<string, { verseObjects: VerseObject[] }>>;
    };
    const theirs = Object.entries(chapters).flatMap(([chapter, verses]) =>
      Object.entries(verses).flatMap(([verse, { verseObjects }]) => {
        const words = bare(textOf(verseObjects)).replace(/~/g, "");
        return /^\d/.test(verse) && words !== ""
          ? [`${chapter}:${Number.parseInt(verse, 10)} ${bare(words)}`]
          : [];
      }),
    );
    const printed = parsed.verses.filter(({ words }) => words !== "");
    expect(printed.map(({ chapter, verse, words }) => `${chapter}:${verse} ${bare(words)}`)).toEqual(theirs);
  });

  test("books outside the 66 are named, files without a book passed over", () => {
    expect(parseUsfm([JONAH, "\\id TOB\n\\c 1\n\\p\n\\v 1 x", "no markers"]).unknownBooks).toEqual(["TOB"]);
    expect(() => parseUsfm(["\\id JON\n\\c 1\n\\p"])).toThrow(/No verse was found/);
  });
});

interface VerseObject {
  readonly type?: string;
  readonly tag?: string;
  readonly text?: string;
  readonly content?: string;
  readonly children?: readonly VerseObject[];
}
/** The words of their objects: notes, references, headings and published numbers left out. */
function textOf(objects: readonly VerseObject[]): string {
  return objects
    .filter(({ tag = "" }) => !/^(f|x|va|s\d?|r)$/.test(tag))
    .map(
      ({ text = "", children = [], tag = "" }) =>
        `${/^[qbp]/.test(tag) ? " " : ""}${text}${textOf(children)}`,
    )
    .join("");
}
