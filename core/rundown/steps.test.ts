import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { compile, prepareBench, reading, song, strap } from "../../test-support/contents.ts";
import { CARRY_THE_LAMP_DOWN } from "../../test-support/demo.ts";
import { compileCue } from "./compile.ts";
import { pageCue } from "./cueDoc.ts";
import { findChunk, findStepAfter, LEAVE_ANCHOR, stepsOf, valuesAt } from "./steps.ts";

const bench = prepareBench();

const wordsOf = (text: string) => text.split(/\s+/).filter(Boolean);

describe("steps of a song", () => {
  test("are the union of four lines on the wall and two in the band", () => {
    const content = compile(bench, song(CARRY_THE_LAMP_DOWN));
    const steps = stepsOf(content);
    // Six sections as sung, two steps each, and the leave.
    expect(steps).toHaveLength(13);
    expect(steps.slice(0, 4).map(({ anchor, label }) => [anchor.occurrence, anchor.unit, label])).toEqual([
      ["V1", 0, "Verse 1"],
      ["V1", 2, ""],
      ["C", 0, "Chorus"],
      ["C", 2, ""],
    ]);
    expect(steps.at(-1)?.anchor).toEqual(LEAVE_ANCHOR);
    const second = steps[1]?.anchor ?? LEAVE_ANCHOR;
    expect(valuesAt(content, "full", second)?.words).toBe(
      "The tide has gone to fetch the moon,\nthe slip is dark with rain;\nwe carry down the little lamps\nto bring it home again.",
    );
    expect(valuesAt(content, "band", second)?.words).toBe(
      "we carry down the little lamps\nto bring it home again.",
    );
  });

  test("seed 31: every word comes exactly as often and in the order it is sung, on every outfit, for any division", () => {
    const line = fc
      .array(fc.constantFrom("lamp", "low", "harbour", "kind", "row"), { minLength: 1, maxLength: 5 })
      .map((w) => w.join(" "));
    const stanza = fc.array(line, { minLength: 1, maxLength: 9 }).map((l) => l.join("\n"));
    fc.assert(
      fc.property(
        fc.array(stanza, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        (stanzas, full, band) => {
          const text = stanzas.map((words, i) => `Verse ${i + 1}\n${words}`).join("\n\n");
          const content = compile(bench, song(text, { full, band }));
          const sung = wordsOf(stanzas.join("\n"));
          const steps = stepsOf(content).slice(0, -1);
          expect(steps.flatMap(({ words }) => wordsOf(words))).toEqual(sung);
          for (const outfit of ["full", "band"]) {
            const slides = steps.map(({ anchor }) => valuesAt(content, outfit, anchor)?.words ?? "");
            const chunks = steps.map(({ anchor }) => {
              const chunk = content.flow && findChunk(content.flow, outfit, anchor);
              return `${chunk?.occurrence.key}/${chunk?.from}`;
            });
            // A slide that stays over several steps is one slide.
            const shown = slides.filter((_, i) => i === 0 || chunks[i] !== chunks[i - 1]);
            expect(shown.flatMap(wordsOf)).toEqual(sung);
            for (const [i, step] of steps.entries()) expect(slides[i]).toContain(step.words.split("\n")[0]);
          }
        },
      ),
      { seed: 31, numRuns: 120 },
    );
  });

  test("the credit comes with the last words only", () => {
    const content = compile(bench, song(CARRY_THE_LAMP_DOWN));
    const credits = stepsOf(content).map(({ anchor }) => valuesAt(content, "full", anchor)?.credit);
    expect(credits.filter(Boolean)).toHaveLength(2);
    expect(credits.at(-2)).toMatch(/^Words and tune/);
  });

  test("a place holds when the song is edited: the next step is the first later one", () => {
    const before = compile(bench, song("Verse 1\na\nb\nc\nd\n\nChorus\ne\nf"));
    const after = compile(
      bench,
      song("Verse 1\na\nb\nc\nd\nnew\nnewer\n\nChorus\ne\nf", { full: 3, band: 3 }),
    );
    const place = stepsOf(before)[1]?.anchor ?? LEAVE_ANCHOR;
    expect(place).toEqual({ occurrence: "V1", unit: 2 });
    expect(findStepAfter(after, place)?.anchor).toEqual({ occurrence: "V1", unit: 4 });
    expect(findStepAfter(after, { occurrence: "B7", unit: 0 })?.anchor).toEqual({
      occurrence: "V1",
      unit: 0,
    });
    expect(findStepAfter(after, LEAVE_ANCHOR)).toBeUndefined();
  });
});

describe("steps of a reading", () => {
  test("keep poetry's lines, break at verses, and name the verses on each slide", () => {
    const content = compile(bench, reading);
    expect(valuesAt(content, "full", { occurrence: "p1", unit: 0 })?.reference).toBe("Psalm 107:23–25");
    const band = stepsOf(content).slice(0, -1);
    expect(band.map(({ words }) => words.split("\n").length)).toEqual([2, 2, 2]);
    expect(band.map(({ anchor }) => valuesAt(content, "band", anchor)?.reference)).toEqual([
      "Psalm 107:23",
      "Psalm 107:24",
      "Psalm 107:25",
    ]);
    expect(band.map(({ label }) => label)).toEqual(["23", "24", "25"]);
  });
});

describe("pages", () => {
  test("have one step, and say what is missing", () => {
    expect(stepsOf(compile(bench, strap("Ilse Tarrow", "net mender")))).toHaveLength(1);
    expect(compileCue(strap("  "), bench.context)).toEqual({
      problem: {
        code: "emptyField",
        severity: "fault",
        subject: { kind: "page", id: "" },
        place: "name",
        figures: { label: "name" },
        sentence: "The name is empty. Fill it in and the page can be taken.",
      },
    });
    expect(compileCue(pageCue({ fieldSet: "no-such" }), bench.context)).toMatchObject({
      problem: { code: "unknownFields", sentence: expect.stringContaining("no-such") },
    });
    expect(compileCue(song("x\n".repeat(20_000)), bench.context)).toMatchObject({
      problem: { code: "unreadSong", sentence: expect.stringContaining("20,001 lines") },
    });
  });
});
