import fc from "fast-check";
import { expect, test } from "vitest";
import { strikeOut, withoutStruck } from "./strikeOut.ts";

const struck = (text: string, ...hiddenWords: string[]) =>
  strikeOut(text, { hiddenWords, hidesLinks: true })
    .filter((piece) => piece.struck)
    .map((piece) => piece.text);
const shown = (text: string, ...hiddenWords: string[]) =>
  withoutStruck(strikeOut(text, { hiddenWords, hidesLinks: true }));

test.each([
  ["look at https://cheap.example/x?y=1, now", ["https://cheap.example/x?y=1,"]],
  ["www.lamp.example is mine", ["www.lamp.example"]],
  ["write to me at net.mender@quay.example please", ["net.mender@quay.example"]],
  ["lamps.shop/sale and bit.ly/3x", ["lamps.shop/sale", "bit.ly/3x"]],
  ["It was great.We loved it", []],
  ["at 18.30 we eat 2.5 kilos", []],
])("links: %s", (text, links) => {
  expect(struck(text)).toEqual(links);
});

test("words of the venue are struck out however they are written, and no others", () => {
  for (const written of [
    "barnacle",
    "BARNACLE",
    "Bárnaclé",
    "b4rn@cle",
    "baarnaaacle",
    "b a r n a c l e",
    "b.a.r.n.a.c.l.e",
    "bar\u200bna\u00adcle",
    // Two of its letters are Cyrillic.
    "b\u0430rn\u0430cle",
  ])
    expect([written, struck(`you ${written} you`, "barnacle")]).toEqual([written, [written]]);
  expect(struck("barnacles on the hull", "barnacle")).toEqual([]);
  expect(struck("barnacles and Barnacled", "barnacle*")).toEqual(["barnacles", "Barnacled"]);
  expect(struck("a fine evening at 7 4 all of us", "barnacle")).toEqual([]);
  expect(struck("この貝はだめ、貝殻", "貝")).toContain("貝");
  expect(struck("Тьфу, дурень ты", "дурень")).toEqual(["дурень"]);
});

test("what is struck out becomes one “…” on a page; what is not stands as it was written", () => {
  expect(shown("you old barnacle, see www.lamp.example", "barnacle")).toBe("you old …, see …");
  expect(shown("barnacle barnacle lamp", "barnacle")).toBe("… lamp");
  expect(shown("🏮 Grüße an alle 👋🏽 — שלום", "barnacle")).toBe("🏮 Grüße an alle 👋🏽 — שלום");
});

test("seed 1608: all stretches together are the text, and what is left holds no hidden word", () => {
  const word = fc.constantFrom(
    "lamp",
    "barnacle",
    "B4RNACLE",
    "www.x.example/y",
    "🏮",
    "night",
    "שלום",
    "b a r n a c l e",
  );
  fc.assert(
    fc.property(fc.array(word, { maxLength: 12 }), fc.constantFrom(" ", ", ", "\n"), (words, gap) => {
      const text = words.join(gap);
      const pieces = strikeOut(text, { hiddenWords: ["barnacle"], hidesLinks: true });
      expect(pieces.map((piece) => piece.text).join("")).toBe(text);
      const left = withoutStruck(pieces);
      expect(left.toLowerCase()).not.toMatch(/barnacle|b4rnacle|www/);
      expect(
        strikeOut(left, { hiddenWords: ["barnacle"], hidesLinks: true }).every((piece) => !piece.struck),
      ).toBe(true);
    }),
    { seed: 1608, numRuns: 300 },
  );
});
