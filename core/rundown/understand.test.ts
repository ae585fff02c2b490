import { describe, expect, test } from "vitest";
import { prepareBench } from "../test-support/contents.ts";
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
