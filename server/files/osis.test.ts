import { describe, expect, test } from "vitest";
import { parseOsis } from "./osis.ts";

const wrap = (inner: string) =>
  `<?xml version="1.0"?><osis><osisText osisIDWork="T" xml:lang="en"><header><work><rights>Free</rights></work></header><div type="book" osisID="Ps">${inner}</div></osisText></osis>`;

describe("OSIS", () => {
  test("verses, poetry lines, nested markup and entities are read", () => {
    const xml = wrap(
      '<chapter osisID="Ps.1"><verse osisID="Ps.1.1">One <q>two</q>,<lb/>three &amp; four</verse>\n<verse osisID="Ps.1.2"> five </verse></chapter>',
    );
    expect(parseOsis(xml)).toEqual({
      title: "",
      language: "en",
      rights: "Free",
      verses: [
        { book: "Ps", chapter: 1, verse: 1, words: "One two,\nthree & four" },
        { book: "Ps", chapter: 1, verse: 2, words: "five" },
      ],
    });
  });

  test("a document type, and with it every entity bomb, is refused; so is a text without verses", () => {
    const bomb = `<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>${wrap("&b;")}`;
    expect(() => parseOsis(bomb)).toThrow(/document type/);
    expect(() => parseOsis(wrap("no verses"))).toThrow(/no verses/);
  });
});
