import { describe, expect, test } from "vitest";
import { CARRY_THE_LAMP_DOWN, HARBOUR_KIND } from "../../test-support/demo.ts";
import { parseSong, type Song } from "./song.ts";

function song(text: string, title = ""): Song {
  const parsed = parseSong(text, title);
  if ("problem" in parsed) throw new Error(parsed.problem.kind);
  return parsed.song;
}

describe("songs from pasted text", () => {
  test("labels, repeated choruses and the credit are understood", () => {
    const { sections, order, credits } = song(CARRY_THE_LAMP_DOWN);
    expect(sections.map(({ key }) => key)).toEqual(["V1", "C", "V2", "B"]);
    expect(order).toEqual(["V1", "C", "V2", "C", "B", "C"]);
    expect(credits.writers).toMatch(/^Words and tune: Merrow Quay singers/);
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

  test("lines made to take long are refused or read at once", () => {
    expect(parseSong(`a${"♪".repeat(500_000)}b\nla la`)).toMatchObject({
      problem: { kind: "lineTooLong", line: 1 },
    });
    expect(
      parseSong(
        `a${"♪".repeat(300)}b\n${"la / ".repeat(60)}\n${" ".repeat(15_000)}x /\n${"> ".repeat(9_000)}lo`,
      ),
    ).toHaveProperty("song");
    // Each of these took ten seconds and more.
    expect(
      parseSong(
        Array(300)
          .fill(`${"a ".repeat(190)}!`)
          .join("\n"),
      ),
    ).toBeDefined();
    expect(parseSong(Array(900).fill("R. ".repeat(120)).join("\n"))).toBeDefined();
    expect(parseSong(`${"(".repeat(399)}\n${"<b".repeat(199)}\nla ${"x2 ".repeat(100)}`)).toBeDefined();
  });

  test("a chorus pasted in full with other capitals and marks is the same chorus", () => {
    const { sections, order } = song(
      "Verse 1\none\n\nChorus\nCarry it low,\ncarry it round\n\nVerse 2\ntwo\n\nChorus\ncarry it LOW\ncarry it round!",
      "T",
    );
    expect(sections.map(({ key }) => key)).toEqual(["V1", "C", "V2"]);
    expect(order).toEqual(["V1", "C", "V2", "C"]);
  });

  test("a chorus in other words is a second chorus", () => {
    expect(song("Chorus\none\n\nChorus\nanother", "T").order).toEqual(["C", "C2"]);
  });

  test("chords above and within the words are left out, and lines know where they stood", () => {
    const { sections } = song(
      "Verse 1\nG       D/F#   Em7\nCarry the [C]lamp down\n[Am]\n\n  A\ncarry it low",
      "T",
    );
    expect(sections[0]?.stanzas).toEqual([["Carry the lamp down"], ["carry it low"]]);
    expect(sections[0]?.sourceLines).toEqual([2, 6]);
  });

  test("words and labels of another language are understood", () => {
    const { order, sections } = song("Estrofa 1\nuno\n\nCoro\nla la\n\nEstrofa 2\ndos\n\nCoro", "T");
    expect(order).toEqual(["V1", "C", "V2", "C"]);
    expect(sections[0]?.label).toBe("Verse 1");
  });

  test("two hundred sections are two hundred sections", () => {
    const text = Array.from({ length: 200 }, (_, i) => `Verse ${i + 1}\nline ${i}\nmore ${i}`).join(
      "\r\n\r\n",
    );
    const { sections, order } = song(text, "Long");
    expect(sections).toHaveLength(200);
    expect(order[199]).toBe("V200");
  });
});
