import { describe, expect, test } from "vitest";
import { keepSong } from "../keepSong.ts";
import { readSong } from "../readSong.ts";
import { PASTED_SONGS } from "./pasted.ts";
import { ROUND_FOUR } from "./roundFour.ts";
import { ROUND_THREE } from "./roundThree.ts";
import { ROUND_TWO } from "./roundTwo.ts";

const ALL = [...PASTED_SONGS, ...ROUND_TWO, ...ROUND_THREE, ...ROUND_FOUR];

describe(`${ALL.length} songs as people paste them`, () => {
  test.each(ALL)("$name", ({ text, title, order, words, ...credits }) => {
    const read = readSong(text);
    if ("problem" in read) throw new Error(read.problem.kind);
    const { song } = read.reading;
    expect({
      title: song.title,
      order: song.order.join(" "),
      words: Object.fromEntries(song.sections.map(({ key, stanzas }) => [key, stanzas.flat().join("|")])),
    }).toEqual({ title, order, words });
    const { name: _, ...expected } = credits;
    expect(song.credits).toMatchObject(expected);
  });
});

describe("what is kept of a pasted song", () => {
  test.each(ALL)(
    "$name: is read the same again, without what is not sung",
    ({ text, order, words, title }) => {
      const read = readSong(text);
      if ("problem" in read) throw new Error(read.problem.kind);
      const kept = keepSong(text, read.reading);
      const again = readSong(kept.text, { title: kept.title, told: kept.told });
      if ("problem" in again) throw new Error(again.problem.kind);
      const { song, lines } = again.reading;
      expect(kept.title).toBe(title);
      expect(
        Object.fromEntries(song.sections.map(({ key, stanzas }) => [key, stanzas.flat().join("|")])),
      ).toEqual(words);
      if (kept.order === "") expect(song.order.join(" ")).toBe(order);
      // Where the lines that are sung would not be read the same alone, the text stays whole.
      if (kept.text === text) return;
      expect(lines.filter(({ kind }) => !["words", "label", "repeat", "chords"].includes(kind))).toEqual([]);
    },
  );
});
