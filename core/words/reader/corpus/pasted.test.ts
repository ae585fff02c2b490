import { describe, expect, test } from "vitest";
import { keepSong } from "../keepSong.ts";
import { readSong } from "../readSong.ts";
import { PASTED_SONGS } from "./pasted.ts";

describe(`${PASTED_SONGS.length} songs as people paste them`, () => {
  test.each(PASTED_SONGS)("$name", ({ text, title, order, words, ...credits }) => {
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
  test.each(PASTED_SONGS)(
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
      expect(lines.filter(({ kind }) => !["words", "label", "repeat", "chords"].includes(kind))).toEqual([]);
    },
  );
});
