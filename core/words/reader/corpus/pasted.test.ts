import { describe, expect, test } from "vitest";
import { keepSong } from "../keepSong.ts";
import { readSong } from "../readSong.ts";
import { PASTED_SONGS } from "./pasted.ts";
import { ROUND_FIVE } from "./roundFive.ts";
import { ROUND_FOUR } from "./roundFour.ts";
import { ROUND_SIX } from "./roundSix.ts";
import { ROUND_THREE } from "./roundThree.ts";
import { ROUND_TWO } from "./roundTwo.ts";

const ALL = [...PASTED_SONGS, ...ROUND_TWO, ...ROUND_THREE, ...ROUND_FOUR, ...ROUND_FIVE, ...ROUND_SIX];

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

describe("what only looks like a note, a label or a letter's end is sung", () => {
  test.each([
    ["Oh my love,\ncome home", "a short line with a comma at the end"],
    ["You are the song that I sing\nyou are the light that I bring", "speaks of a song"],
    ["Hallelujah,\nAmen", "two words"],
    ["To the end of the road (to the end)\nI will follow (I will follow)", "echoes"],
    ["It's called the morning star\nup over the hill", "called"],
    ["Bride of the morning\nring out the bell", "nearly a bridge"],
    ["Couple of boats\nout on the sea", "nearly a couplet"],
    ["A light in the dark\nB is for bell", "letters"],
    ["1 2 3 4\ncome on through the door\n5 6 7 8\nnever be late", "counting"],
    ["Men of the harbour: rise\nWomen of the water: sing", "who is called on"],
    ['"Come to me," said the river,\n"come to me," said the sea', "speech"],
    ["We praise you - we praise you -\nwe lift up our hands", "dashes"],
    ["The final word is coming\nthe end is drawing near", "words that are names of sections too"],
  ])("%j: %s", (words) => {
    const read = readSong(`Night Song\n\nVerse 1\nOver the water\nover the hill\n\n${words}`);
    if ("problem" in read) throw new Error(read.problem.kind);
    const { song } = read.reading;
    expect(song.sections.flatMap(({ stanzas }) => stanzas.flat()).join("\n")).toBe(
      `Over the water\nover the hill\n${words}`,
    );
    expect(song.title).toBe("Night Song");
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
