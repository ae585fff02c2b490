import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import type { Scripture } from "../words/scripture.ts";
import { pageCue, readingCue } from "./cueDoc.ts";
import { understand } from "./understand.ts";

const bench = prepareBench();
const ask = (typed: string) => understand(typed, bench.context.scripture);

describe("what is typed into the one box", () => {
  test("a reference is a reading", () => {
    expect(ask(" Ps 107:23-25 ")).toEqual({
      doc: readingCue({ reference: "Ps 107:23-25", text: "web" }),
    });
  });

  test("several lines are a song", () => {
    expect(ask("Verse 1\nRow, then, row\nfor the morning")).toMatchObject({
      doc: { kind: "song", title: "Row, then, row", text: "Verse 1\nRow, then, row\nfor the morning" },
    });
  });

  test.each([
    ["Odhran Vael, harbour pilot", "Odhran Vael", "harbour pilot"],
    ["Odhran Vael\tharbour pilot", "Odhran Vael", "harbour pilot"],
    ["Brisa Quell – lamp keeper, west slip", "Brisa Quell", "lamp keeper, west slip"],
    ["Ilse  Tarrow -net mender", "Ilse Tarrow", "net mender"],
    ["Ilse Tarrow (net mender)", "Ilse Tarrow", "net mender"],
    ["Ilse Tarrow: net mender", "Ilse Tarrow", "net mender"],
    ["Noor Vael, MD, harbour doctor", "Noor Vael, MD", "harbour doctor"],
    ["Noor Vael, MD", "Noor Vael, MD", ""],
    ["Anna-Lena Tarrow", "Anna-Lena Tarrow", ""],
    ["Noor", "Noor", ""],
    ["Boat 7", "Boat 7", ""],
  ])("%s is a name", (typed, name, role) => {
    expect(ask(typed)).toEqual({
      doc: pageCue({ fieldSet: "name", values: { name, role } }),
    });
  });

  test("what can only be a reference is told what is wrong with it", () => {
    expect(ask("Hezekiah 3:1")).toMatchObject({ problem: expect.any(String) });
    expect(ask("x\n".repeat(3_000))).toMatchObject({ problem: expect.stringContaining("3,001 lines") });
    expect(ask("  \n\u0000 ")).toBeUndefined();
  });
});

const counts = new Map([
  ["Ps", Array<number>(150).fill(6)],
  ["John", Array<number>(21).fill(36)],
  ["1Cor", Array<number>(16).fill(13)],
  ["Mark", Array<number>(16).fill(20)],
]);
const someText: Scripture = {
  info: () => ({ code: "web", name: "A text", language: "en", rights: "" }),
  counts: () => counts,
  verses: (_, { from }) => [{ chapter: from.chapter, verse: from.verse, text: "Row, then, row." }],
};

describe("what looks like a reference", () => {
  const ask = (typed: string) => understand(typed, someText);

  test.each([
    ["jn 3 16", "jn 3 16"],
    ["pslam 23", "Psalm 23:1–6"],
    ["Jn 3,16", "John 3:16"],
    ["1 cor 13;4-7", "1 Corinthians 13:4–7"],
    ["Gospel of John 3:16", "Gospel of John 3:16"],
    ["The 23rd psalm", "The 23rd psalm"],
  ])("%s is a reading, never a name", (typed, reference) => {
    expect(ask(typed)).toMatchObject({ doc: { kind: "reading", reference } });
  });

  test("what could be two things offers the other", () => {
    expect(ask("Jn 3,16")).toMatchObject({ others: ["John 3:1–36; John 16:1–36"] });
    expect(ask("Ps 23:1")).not.toHaveProperty("others");
  });

  test("what is no book is told, or is a name where it says no verses", () => {
    expect(ask("Jxq 3:16")).toMatchObject({ problem: expect.stringContaining("Jxq") });
    expect(ask("Studio 54")).toMatchObject({ doc: { kind: "page" } });
    expect(ask("Mark 2, sound desk")).toMatchObject({
      doc: { kind: "page", values: { role: "sound desk" } },
    });
  });

  test("one line that strokes part is a song", () => {
    expect(ask("Row, then, row / for the morning // carry it home / carry it home")).toMatchObject({
      doc: { kind: "song", text: "Row, then, row\nfor the morning\n\ncarry it home\ncarry it home" },
    });
  });
});
