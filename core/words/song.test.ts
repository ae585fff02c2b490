import { describe, expect, test } from "vitest";
import { CARRY_THE_LAMP_DOWN, HARBOUR_KIND } from "../../demo/songs.ts";
import { findLabel, parseSong, type Song } from "./song.ts";

function song(text: string, title = ""): Song {
  const parsed = parseSong(text, title);
  if ("problem" in parsed) throw new Error(parsed.problem.kind);
  return parsed.song;
}

describe("labels", () => {
  test.each([
    ["Verse 1", "V", "1"],
    ["[Bridge]", "B", ""],
    ["CHORUS:", "C", ""],
    ["(Pre-Chorus 2)", "P", "2"],
    ["V2", "V", "2"],
    ["{Tag}", "T", ""],
    ["Chorus x2", "C", ""],
  ])("%s is a label", (line, letter, number) => {
    const label = findLabel(line);
    expect(label?.kind.letter).toBe(letter);
    expect(label?.number).toBe(number);
  });

  test.each([
    "Carry the lamp down",
    "C",
    "Verse by verse we climb the hill",
    "and one for every ship.",
    "End of the line, we sing",
  ])("%s is sung", (line) => expect(findLabel(line)).toBeUndefined());
});

describe("songs from pasted text", () => {
  test("labels, repeated choruses and the credit are understood", () => {
    const { sections, order, credit } = song(CARRY_THE_LAMP_DOWN);
    expect(sections.map(({ key }) => key)).toEqual(["V1", "C", "V2", "B"]);
    expect(order).toEqual(["V1", "C", "V2", "C", "B", "C"]);
    expect(credit).toMatch(/^Words and tune: Merrow Quay singers/);
    expect(sections.flatMap(({ stanzas }) => stanzas.flat()).join(" ")).not.toMatch(/Words and tune/);
  });

  test("a refrain pasted as a bare label is sung again", () => {
    expect(song(HARBOUR_KIND).order).toEqual(["V1", "V2", "R", "V3", "R"]);
  });

  test("without labels, stanzas are verses and the one that comes back is the chorus", () => {
    const text = "one\ntwo\n\nla la\nlo lo\n\nthree\nfour\n\nla la\nlo lo\n";
    const { sections, order } = song(text, "Test");
    expect(sections.map(({ label }) => label)).toEqual(["Verse 1", "Chorus", "Verse 2"]);
    expect(order).toEqual(["V1", "C", "V2", "C"]);
  });

  test("one block without labels is one verse, named by its first line", () => {
    expect(song("Nine bells, no wind,\nthe gulls will not fly.")).toMatchObject({
      title: "Nine bells, no wind",
      order: ["V1"],
    });
  });

  test("a lone first line is the title", () => {
    expect(song("Harbour Kind\n\nVerse 1\na line\nanother")).toMatchObject({
      title: "Harbour Kind",
      order: ["V1"],
    });
  });

  test("a stanza under the same label goes on with it, and knows its lines", () => {
    const { sections } = song("Verse 1\na\nb\n\nc\nd\n\nChorus\ne");
    expect(sections[0]).toMatchObject({
      stanzas: [
        ["a", "b"],
        ["c", "d"],
      ],
      sourceLines: [1, 2, 4, 5],
    });
    expect(sections[1]?.sourceLines).toEqual([8]);
  });

  test("control and invisible characters, tabs and mixed line ends are cleaned away", () => {
    const { sections } = song("Verse 1\r\nfirst\u0007 line\u200b\rsecond\t\tline\u2028third\u0000 line", "T");
    expect(sections[0]?.stanzas).toEqual([["first line", "second line", "third line"]]);
  });

  test("too much, too long and nothing are refused with their numbers", () => {
    expect(parseSong("la\n".repeat(20_000))).toMatchObject({
      problem: { kind: "tooManyLines", lines: 20_001 },
    });
    expect(parseSong(`a\n${"b".repeat(500)}`)).toEqual({
      problem: { kind: "lineTooLong", line: 2, length: 500 },
    });
    expect(parseSong(" \n\n\t\n")).toEqual({ problem: { kind: "empty" } });
    expect(parseSong("Chorus\n\n")).toEqual({ problem: { kind: "empty" } });
  });
});
