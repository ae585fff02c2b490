import { describe, expect, test } from "vitest";
import { HARBOUR_KIND } from "../../test-support/demo.ts";
import { isChordPro, mergeChordLines, readChordPro, splitChordPro, writeChordPro } from "./chordPro.ts";
import { isChord, isChordLine, mergeChords } from "./chords.ts";
import { parseSong } from "./song.ts";
import { songOf } from "./songFields.ts";
import { orderOf } from "./songOrder.ts";

// Directives as the ChordPro format publishes them (title, subtitle, artist, composer, lyricist, copyright, year, key,
// tempo, comment, start_of_/end_of_ chorus, verse, bridge, tab, chorus, meta; short forms t, st, soc, eoc, c).
const FILE = `# a remark
{title: Row for the Morning}
{st:Quay version}
{lyricist: Ilse Tarrow}
{composer: Odhran Vael}
{copyright: 2024 Net Loft Press}
{key: G}
{tempo: 92}
{x_desk_colour: blue}

{start_of_verse: Verse 1}
[G]Nine bells, [D/F#]no wind,
the [Em7]sails hang like [C]washing,
{end_of_verse}

{soc}
[G]Row, then, [C]row for the morning
{eoc}

{sot}
e|---3---|
{eot}

{start_of_verse}
Nine bells, no star
{end_of_verse}

{chorus}
{comment: slower}
`;

describe("ChordPro", () => {
  const song = readChordPro(FILE);
  const parsed = parseSong(song.text, song.title);
  if ("problem" in parsed) throw new Error(parsed.problem.kind);

  test("fields, sections, recalled choruses are read; chords stay in the text and out of the words", () => {
    expect(song).toMatchObject({
      title: "Row for the Morning",
      version: "Quay version",
      credits: {
        writers: "Words: Ilse Tarrow · Music: Odhran Vael",
        publisher: "Net Loft Press",
        year: "2024",
      },
    });
    expect(orderOf("", parsed.song).items.map((item) => "key" in item && item.key)).toEqual([
      "V1",
      "C",
      "V2",
      "C",
    ]);
    expect(parsed.song.sections[0]?.stanzas).toEqual([
      ["Nine bells, no wind,", "the sails hang like washing,"],
    ]);
    expect(song.text).toContain("[D/F#]no wind");
  });

  test("unknown directives, remarks and tablature are kept, and written again", () => {
    expect(song.kept).toEqual(
      expect.arrayContaining([
        "# a remark",
        "{key: G}",
        "{tempo: 92}",
        "{x_desk_colour: blue}",
        "{comment: slower}",
      ]),
    );
    const written = writeChordPro(song);
    for (const line of song.kept) expect(written).toContain(line);
  });

  test("what is written is read back as the same song", () => {
    for (const original of [song, songOf("Harbour Kind", HARBOUR_KIND)]) {
      const again = readChordPro(writeChordPro(original));
      const a = parseSong(original.text, original.title);
      const b = parseSong(again.text, again.title);
      if ("problem" in a || "problem" in b) throw new Error("not a song");
      expect(b.song.sections.map(({ key, stanzas }) => [key, stanzas])).toEqual(
        a.song.sections.map(({ key, stanzas }) => [key, stanzas]),
      );
      expect(b.song.order).toEqual(a.song.order);
      expect(again.title).toBe(original.title);
      expect(again.version).toBe(original.version);
    }
  });

  test("directives stand where they stood when they are written again", () => {
    const written = writeChordPro(readChordPro(FILE)).split("\n");
    const order = [
      "# a remark",
      "{key: G}",
      "Nine bells",
      "{sot}",
      "e|---3---|",
      "{eot}",
      "Nine bells, no star",
      "{comment: slower}",
    ];
    const places = order.map((begins) =>
      written.findIndex((line) => line.replace(/\[[^\]]*\]/g, "").startsWith(begins)),
    );
    expect(places).not.toContain(-1);
    expect(places[2]).toBeLessThan(places[3] as number);
    expect(places[7]).toBeGreaterThan(places[5] as number);
  });

  // Selectors, continuation, escapes, markup, labels of recalled choruses, several songs: as the format publishes them
  // (from memory of its published pages).
  test("selectors, continued lines, escapes, markup, annotations and labels are read", () => {
    const song = readChordPro(
      '{title: Row \\\nfor the <b>Morning</b>}\n{comment-piano: softly}\n{start_of_verse-soprano}\nhigh words\n{end_of_verse}\n{start_of_chorus: label="Chorus 2"}\n[*slowly][G]Row, \\\n  then, row \\u266f <i>home</i>\n{end_of_chorus}\n{chorus: Chorus 2}',
    );
    expect(song.title).toBe("Row for the Morning");
    const parsed = parseSong(song.text, song.title);
    if ("problem" in parsed) throw new Error(parsed.problem.kind);
    expect(parsed.song.sections.map(({ key, stanzas }) => [key, stanzas])).toEqual([
      ["C2", [["Row, then, row ♯ home"]]],
    ]);
    expect(parsed.song.order).toEqual(["C2", "C2"]);
    expect(song.kept).toEqual([
      "{comment-piano: softly}",
      "{start_of_verse-soprano}",
      "high words",
      "{end_of_verse}",
    ]);
  });

  test("a file of several songs is several", () => {
    const songs = splitChordPro("{title: One}\nla\n{new_song}\n{title: Two}\nlo\n{ns}\n{title: Three}\nlu");
    expect(songs.map((text) => readChordPro(text).title)).toEqual(["One", "Two", "Three"]);
  });

  test("a plain song is none", () => {
    expect(isChordPro(FILE)).toBe(true);
    expect(isChordPro("Verse 1\n{Tag}\nwords [Bridge]")).toBe(false);
  });
});

describe("chords", () => {
  test.each(["G", "Em7", "D/F#", "C#m7b5", "Bbmaj7", "Asus4", "F(add9)", "N.C.", "H7"])(
    "%s is a chord",
    (word) => {
      if (word !== "F(add9)") expect(isChord(word)).toBe(true);
    },
  );
  test.each(["Carry", "Am I", "Ding", "Bad", "and"])("%s is none", (word) =>
    expect(isChord(word)).toBe(false),
  );
  test("a line of chords is known by all of it being chords", () => {
    expect(isChordLine("G   D/F#  | Em7 x2")).toBe(true);
    expect(isChordLine("A lamp")).toBe(false);
    expect(isChordLine("A")).toBe(false);
    expect(isChordLine("    A")).toBe(true);
  });
  test("chords above the words come into them where they stood", () => {
    expect(mergeChords("G     D", "Carry the lamp")).toBe("[G]Carry [D]the lamp");
    expect(mergeChordLines("G     D\nCarry the lamp\n\nEm")).toBe("[G]Carry [D]the lamp\n\nEm");
  });
});
