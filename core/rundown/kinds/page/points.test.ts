import { describe, expect, test } from "vitest";
import { compile, page, prepareBench, reading, song } from "../../../../test-support/contents.ts";
import { stepsOf, valuesAt } from "../../steps.ts";
import { pointCounts } from "./compile.ts";

const bench = prepareBench();

describe("points", () => {
  test("come one by one, or in the groups that blank lines make", () => {
    expect(pointCounts("one\ntwo\nthree")).toEqual([1, 2, 3]);
    expect(pointCounts("one\ntwo\n\nthree\nfour\nfive")).toEqual([2, 5]);
    expect(pointCounts("  \n\n one \n \n\n two\n")).toEqual([1, 2]);
    expect(pointCounts("")).toEqual([]);
  });

  test("are steps of their page, each with its own words and the number that is shown", () => {
    const content = compile(
      bench,
      page("points", { points: "Lanterns are lit\nBoats go\n\nKeep left", heading: "Walk" }),
    );
    expect(content.title).toBe("Walk");
    const steps = stepsOf(content);
    expect(steps.map(({ words, label }) => [words, label])).toEqual([
      ["Lanterns are lit\nBoats go", "Walk"],
      ["Keep left", ""],
    ]);
    expect(steps.map(({ anchor }) => valuesAt(content, "full", anchor)?.shown)).toEqual(["2", "3"]);
    // An anchor of a longer text that was shortened since shows all there is.
    expect(valuesAt(content, "full", { occurrence: "points", unit: 9 })?.shown).toBe("3");
  });
});

describe("what a page wears and needs", () => {
  test("a template is worn where an outfit offers it, and the outfit's own elsewhere", () => {
    const plain = compile(bench, page("name", { name: "Ilse", role: "" }));
    const chosen = compile(bench, {
      ...page("name", { name: "Ilse", role: "" }),
      template: "Name, on a bar",
    } as ReturnType<typeof page>);
    expect(chosen.wardrobe.full?.template).not.toBe(plain.wardrobe.full?.template);
    expect(chosen.wardrobe.band).toEqual(plain.wardrobe.band);
  });

  test("a crawl is remembered for as long as it may be joined", () => {
    expect(compile(bench, page("crawl", { items: "Last ferry" })).lastsMs).toBe(900_000);
    expect(compile(bench, page("title", { title: "Lantern Evening" })).lastsMs).toBe(10_000);
  });

  test("pictures are named by the hash of what is known of them; one that is not there is left to the layout", () => {
    const findMedia = bench.context.findMedia;
    Object.assign(bench.context, {
      findMedia: (id: string) => (id === "known-one" ? "e".repeat(64) : undefined),
    });
    const known = compile(bench, page("picture", { picture: "known-one", caption: "" }));
    expect([known.values.picture, known.media]).toEqual(["e".repeat(64), ["e".repeat(64)]]);
    const lost = compile(bench, page("picture", { picture: "lost", caption: "" }));
    expect([lost.values.picture, lost.media]).toEqual(["lost", []]);
    Object.assign(bench.context, { findMedia });
  });

  test("verse numbers stand before the first words of each verse, and nowhere else", () => {
    const numbered = compile(bench, { ...reading, numbers: true } as typeof reading);
    const words = stepsOf(numbered)
      .filter(({ kind }) => kind === "words")
      .map(({ anchor }) => valuesAt(numbered, "band", anchor)?.words);
    expect(words[0]).toBe(
      "^23^\u00a0Those who go down to the sea in ships,\nwho do business in great waters,",
    );
    expect(words[1]).toMatch(/^\^24\^\u00a0these see/);
    expect(compile(bench, reading).flow?.numbers).toBe(false);
  });

  test("those who sing see what comes next, over the end of a section too", () => {
    const content = compile(bench, song("Verse 1\na\nb\nc\nd\n\nVerse 2\ne\nf"));
    const at = (occurrence: string, unit: number) => valuesAt(content, "band", { occurrence, unit });
    expect(at("V1", 0)).toMatchObject({ words: "a\nb", next: "c\nd", section: "Verse 1" });
    expect(at("V1", 2)).toMatchObject({ words: "c\nd", next: "e\nf" });
    expect(at("V2", 0)?.next).toBe("");
  });
});
