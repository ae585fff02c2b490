import { describe, expect, test } from "vitest";
import { FIELD_SETS } from "../../test-support/designs.ts";
import { pageCue, readingCue, songCue } from "./cueDoc.ts";
import { findInCue, replaceInCue, type WordsQuery } from "./replaceWords.ts";

const SETS = new Map(FIELD_SETS.map((set) => [set.id, set]));
const query = (find: string, more: Partial<WordsQuery> = {}): WordsQuery => ({
  find,
  matchCase: false,
  wholeWords: true,
  ...more,
});
const song = songCue({
  title: "Harbour Kind",
  text: "Verse 1\nHarbour kind, harbour wide,\nharbours and HARBOUR",
  second: { language: "es", text: "puerto harbour" },
});

describe("find and replace over the rundown", () => {
  test("places are found in their lines, whole words or parts of them", () => {
    expect(
      findInCue(song, query("harbour"), SETS).map(({ where, line, from }) => [
        where,
        line.slice(from, from + 8),
      ]),
    ).toEqual([
      ["Title", "Harbour "],
      ["Words", "Harbour "],
      ["Words", "harbour "],
      ["Words", "HARBOUR"],
      ["Second language", "harbour"],
    ]);
    expect(findInCue(song, query("harbour", { wholeWords: false }), SETS)).toHaveLength(6);
    expect(findInCue(song, query("Harbour", { matchCase: true }), SETS)).toHaveLength(2);
  });

  test("capitals are kept as they were, unless they are meant", () => {
    const { doc, count } = replaceInCue(song, query("harbour"), "haven", SETS);
    expect(count).toBe(5);
    expect(doc).toMatchObject({
      title: "Haven Kind",
      text: "Verse 1\nHaven kind, haven wide,\nharbours and HAVEN",
    });
    expect(replaceInCue(song, query("HARBOUR", { matchCase: true }), "quay", SETS)).toMatchObject({
      count: 1,
      doc: { text: expect.stringContaining("and quay") },
    });
  });

  test("what looks like a pattern is words; curled and straight apostrophes are one", () => {
    const page = (name: string) => pageCue({ fieldSet: "name", values: { name, role: "" } });
    expect(findInCue(page("a.b (c) $1"), query("a.b (c)", { wholeWords: false }), SETS)).toHaveLength(1);
    expect(findInCue(page("a.b (c) $1"), query("a.b.(c)", { wholeWords: false }), SETS)).toHaveLength(0);
    expect(findInCue(page("the pilot’s boat"), query("pilot's"), SETS)).toHaveLength(1);
    expect(replaceInCue(page("cost: 5"), query("cost"), "$&", SETS).doc).toMatchObject({
      values: { name: "$&: 5" },
    });
  });

  test("scripture and pictures are left alone, and nothing found changes nothing", () => {
    const reading = readingCue({ reference: "Ps 107:23", text: "web" });
    expect(replaceInCue(reading, query("Ps"), "x", SETS)).toEqual({ doc: reading, count: 0 });
    const picture = pageCue({ fieldSet: "picture", values: { picture: "demo-upper-slip", caption: "slip" } });
    expect(replaceInCue(picture, query("slip"), "quay", SETS).doc).toMatchObject({
      values: { picture: "demo-upper-slip", caption: "quay" },
    });
    expect(replaceInCue(song, query("nowhere"), "x", SETS).doc).toBe(song);
    expect(replaceInCue(song, query(""), "x", SETS).doc).toBe(song);
  });
});
