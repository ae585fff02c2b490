import { describe, expect, test } from "vitest";
import { parseOsis } from "./osis.ts";

const wrap = (inner: string) =>
  `<?xml version="1.0"?><osis><osisText osisIDWork="T" xml:lang="en"><header><work><title>Test text</title><rights>Free to <b>read</b></rights></work></header><div type="book" osisID="Ps">${inner}</div></osisText></osis>`;
const words = (inner: string) => parseOsis(wrap(inner)).verses.map(({ verse, words: said }) => [verse, said]);

describe("OSIS", () => {
  test("verses, poetry lines, nested markup and entities are read, with title and rights", () => {
    const xml = wrap(
      '<chapter osisID="Ps.1"><verse osisID="Ps.1.1">One <q>two</q>,<lb/>three &amp; four</verse>\n<verse osisID="Ps.1.2"> five </verse></chapter>',
    );
    expect(parseOsis(xml)).toEqual({
      title: "Test text",
      leftOut: [],
      language: "en",
      rights: "Free to read",
      verses: [
        { book: "Ps", chapter: 1, verse: 1, words: "One two,\nthree & four" },
        { book: "Ps", chapter: 1, verse: 2, words: "five" },
      ],
    });
  });

  test("verses between milestones run over paragraphs and lines", () => {
    expect(
      words(
        '<chapter sID="Ps.1" osisID="Ps.1"/><p><verse sID="Ps.1.1" osisID="Ps.1.1"/>One</p><lg><l>two</l><l>three<verse eID="Ps.1.1"/></l><l><verse sID="Ps.1.2" osisID="Ps.1.2"/>four</l></lg><verse eID="Ps.1.2"/><chapter eID="Ps.1"/>',
      ),
    ).toEqual([
      [1, "One\ntwo\nthree"],
      [2, "four"],
    ]);
  });

  test("headings, notes and figures are left out, words with grammar and quotes by marker are read", () => {
    expect(
      words(
        '<verse osisID="Ps.1.1"><title>A psalm</title><w lemma="x">One</w> <note>see <q>there</q></note><divineName>Lord</divineName><q marker="“" sID="q1"/>two<q marker="”" eID="q1"/><figure src="x"/></verse>',
      ),
    ).toEqual([[1, "One Lord“two”"]]);
  });

  test("element names with a prefix, and references with one, are read", () => {
    const xml = wrap('<o:verse osisID="Bible:Ps.1.1">One</o:verse>');
    expect(parseOsis(xml).verses).toEqual([{ book: "Ps", chapter: 1, verse: 1, words: "One" }]);
  });

  test("a missing book is simply not there", () => {
    expect(words('<verse osisID="Ps.2.7">only this</verse><verse osisID="nonsense">x</verse>')).toEqual([
      [7, "only this"],
    ]);
  });

  test("a document type, and with it every entity bomb, is refused; so is a text without verses", () => {
    const bomb = `<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>${wrap("&b;")}`;
    expect(() => parseOsis(bomb)).toThrow(/document type/);
    expect(() => parseOsis(wrap("no verses"))).toThrow(/no verses/);
  });

  test.each([
    ["a tag that does not close", '<verse osisID="Ps.1.1">One'],
    ["tags that cross", '<verse osisID="Ps.1.1"><q>One</verse></q>'],
    ["an entity that nobody declared", '<verse osisID="Ps.1.1">&lol;</verse>'],
  ])("broken XML is told with its place: %s", (_, inner) => {
    expect(() => parseOsis(wrap(inner))).toThrow(/not whole: .*Nothing of it was brought in/);
  });

  test("what has no place among the verses is named", () => {
    const { leftOut } = parseOsis(
      '<osis><osisText><div><verse osisID="Ps.3.title">A psalm</verse><verse osisID="Ps.3.1">Yahweh</verse></div></osisText></osis>',
    );
    expect(leftOut).toEqual(["Ps.3.title"]);
  });
});
