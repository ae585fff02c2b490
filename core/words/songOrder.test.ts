import { describe, expect, test } from "vitest";
import { formatOrder, orderOf, parseOrder } from "./songOrder.ts";

const sections = [
  { key: "V1", label: "Verse 1" },
  { key: "V2", label: "Verse 2" },
  { key: "C", label: "Chorus" },
  { key: "B", label: "Bridge" },
];
const read = (typed: string) => {
  const { items, unknown } = parseOrder(typed, sections);
  return `${formatOrder(items)}${unknown.length > 0 ? ` ! ${unknown.map(({ text }) => text).join(" ")}` : ""}`;
};

describe("the order of a song", () => {
  test.each([
    ["V1 C V2 C B C C", "V1 C V2 C B C C"],
    ["v1 c v2 c", "V1 C V2 C"],
    ["V1, Chorus, Verse 2, Bridge", "V1 C V2 B"],
    ["V1 C x2 B Cx3", "V1 C C B C C C"],
    ["V1 - C blank V2 –", "V1 _ C _ V2 _"],
    ["V1 C - V2 C", "V1 C _ V2 C"],
    ["V1 - C - V2 - C", "V1 C V2 C"],
    ["V1-C-V2", "V1 C V2"],
    ["verse 1 chorus verse 2 CHORUS", "V1 C V2 C"],
    ["V1/C/V2|B", "V1 C V2 B"],
    ["Verse 1 - Chorus x2 - Bridge", "V1 C C B"],
    ["V1 C(x2) C*2", "V1 C C C C"],
    ["strophe 2, refrain twice", "V2 C C"],
    ["V C", "V1 C"],
    ["Estrofa 1, Coro", "V1 C"],
    ["V1 Q C V9", "V1 C ! Q V9"],
    ["", ""],
  ])("%s", (typed, expected) => expect(read(typed)).toBe(expected));

  test("nothing typed, or nothing understood, sings the text as it stands", () => {
    const song = {
      sections: sections.map((section) => ({ ...section, stanzas: [], sourceLines: [] })),
      order: ["V1", "C"],
    };
    expect(formatOrder(orderOf(" ", song).items)).toBe("V1 C");
    expect(orderOf("nonsense", song)).toMatchObject({ unknown: [{ text: "nonsense", from: 0, to: 8 }] });
    expect(formatOrder(orderOf("nonsense", song).items)).toBe("V1 C");
  });

  test("what it writes, it reads", () => {
    const { items } = parseOrder("V1 C - V2 C B C C -", sections);
    expect(parseOrder(formatOrder(items), sections).items).toEqual(items);
  });
});
