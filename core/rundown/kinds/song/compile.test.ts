import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { compile, prepareBench, song } from "../../../../test-support/contents.ts";
import { ALL_OUTFITS } from "../../../../test-support/designs.ts";
import { hashOf } from "../../../../test-support/onDisk.ts";
import { lay } from "../../../../test-support/pages.ts";
import { findTextOf } from "../../../scene/template.ts";
import { foldWords } from "../../../words/foldWords.ts";
import { breakAt, withBreak } from "../../../words/manualBreaks.ts";
import { compileCue } from "../../compile.ts";
import type { CompileContext } from "../../compileContext.ts";
import type { PageContent } from "../../content.ts";
import { type SongDoc, songCue } from "../../cueDoc.ts";
import { CREDIT_ANCHOR, findChunk, LEAVE_ANCHOR, stepsOf, valuesAt } from "../../steps.ts";

const bench = prepareBench();

/** What one outfit shows over the whole song, slide after slide, each once. */
function shownBy(content: PageContent, outfitId: string): string[] {
  const slides: string[] = [];
  let last = "";
  for (const { anchor, kind } of stepsOf(content)) {
    if (kind === "leave" || kind === "credit") continue;
    const chunk = content.flow && findChunk(content.flow, outfitId, anchor);
    const place = `${chunk?.occurrence.key} ${chunk?.from}`;
    if (place === last) continue;
    last = place;
    slides.push(valuesAt(content, outfitId, anchor)?.words ?? "");
  }
  return slides;
}
const wordsOf = (slides: readonly string[]) => foldWords(slides.join(" ")).split(" ").filter(Boolean);

const WORDS = [
  "lamp",
  "tide",
  "harbour",
  "bell",
  "row",
  "over",
  "the",
  "and",
  "quay",
  "lantern",
  "é",
  "unforgettable",
];
const lineArbitrary = fc
  .array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 26 })
  .map((words) => words.join(" ").slice(0, 380));
const sectionArbitrary = fc.record({
  label: fc.constantFrom("Verse 1", "Verse 2", "Chorus", "Bridge", "Tag"),
  lines: fc.array(lineArbitrary, { minLength: 1, maxLength: 9 }),
});
const songArbitrary = fc.record({
  sections: fc.uniqueArray(sectionArbitrary, { minLength: 1, maxLength: 5, selector: ({ label }) => label }),
  order: fc.array(fc.constantFrom("V1", "V2", "C", "B", "T", "-"), { maxLength: 9 }),
  lines: fc.record({ full: fc.integer({ min: 1, max: 8 }), band: fc.integer({ min: 1, max: 4 }) }),
  breaks: fc.array(fc.tuple(fc.constantFrom("split" as const, "join" as const), fc.nat(20), fc.nat(9)), {
    maxLength: 6,
  }),
});

const KEYS: Readonly<Record<string, string>> = {
  "Verse 1": "V1",
  "Verse 2": "V2",
  Chorus: "C",
  Bridge: "B",
  Tag: "T",
};

describe("songs of any shape", () => {
  test("seed 11: every word is in the steps exactly as often, and in the order, that the order of the song says", () => {
    fc.assert(
      fc.property(songArbitrary, ({ sections, order, lines, breaks }) => {
        const text = sections.map((section) => `${section.label}\n${section.lines.join("\n")}`).join("\n\n");
        const plain = compile(bench, song(text, lines, { order: order.join(" ") }));
        const handmade = breaks.reduce<SongDoc["breaks"]>((all, [kind, at, which]) => {
          const occurrence = plain.flow?.occurrences[which % plain.flow.occurrences.length];
          if (!occurrence || occurrence.units.length < 2) return all;
          const unit = 1 + (at % (occurrence.units.length - 1));
          const section = occurrence.key.split("#")[0] as string;
          return withBreak(
            all,
            breakAt(kind, section, occurrence.units, unit, which % 2 ? ["full"] : ["full", "band"]),
          );
        }, []);
        const content = compile(bench, song(text, lines, { order: order.join(" "), breaks: handmade }));
        const known = new Map(sections.map(({ label, lines: own }) => [KEYS[label] as string, own]));
        const sung = order.filter((key) => key === "-" || known.has(key));
        const inOrder = sung.length > 0 ? sung : [...known.keys()];
        const expected = wordsOf(inOrder.flatMap((key) => known.get(key) ?? []));
        for (const outfitId of ["full", "band"])
          expect(wordsOf(shownBy(content, outfitId))).toEqual(expected);
      }),
      { seed: 11, numRuns: 60 },
    );
  });

  test("seed 12: no slide made by itself is smaller than can be read, or runs over its box, on any outfit", () => {
    const context = contextOfAll();
    fc.assert(
      fc.property(songArbitrary, ({ sections, lines }) => {
        const text = sections.map((section) => `${section.label}\n${section.lines.join("\n")}`).join("\n\n");
        const compiled = compileCue(songCue({ title: "A song", text, lines }), context);
        if (!("content" in compiled)) throw new Error(JSON.stringify(compiled));
        for (const outfit of ALL_OUTFITS) {
          const worn = compiled.content.wardrobe[outfit.id];
          const template = outfit.templates.find((candidate) => hashOf(candidate) === worn?.template);
          if (!template) throw new Error(`${outfit.id} wears nothing`);
          for (const { anchor, kind } of stepsOf(compiled.content)) {
            if (kind !== "words") continue;
            const values = valuesAt(compiled.content, outfit.id, anchor) ?? {};
            const { findings, texts } = lay(template, values as Record<string, string>, bench.shaper, {
              output: template.canvas,
            });
            expect(findings.filter((finding) => /overflow|tooLongText/.test(finding.code))).toEqual([]);
            const size = texts.find(({ objectId }) => objectId === "words")?.sizePx ?? 0;
            const readable = Number(findTextOf(template, "words")?.readableSizePx ?? 0);
            // A word alone may be longer than a line; nothing here is.
            expect(size).toBeGreaterThanOrEqual(readable - 0.25);
          }
        }
      }),
      { seed: 12, numRuns: 8 },
    );
  });

  function contextOfAll(): CompileContext {
    return {
      ...bench.context,
      wardrobes: ALL_OUTFITS.map(({ id, linesPerSlide, templates }) => ({
        variants: [],
        outfitId: id,
        linesPerSlide,
        templates: new Map(
          [...new Set(templates.map(({ fieldSet }) => fieldSet))].map((fieldSet) => [
            fieldSet,
            templates
              .filter((template) => template.fieldSet === fieldSet)
              .map((template) => ({ hash: hashOf(template), template })),
          ]),
        ),
      })),
    };
  }
});

describe("what a song shows besides its words", () => {
  const TEXT = "Verse 1\none\ntwo\n\nChorus\nthree\nfour\n\nWords: Ilse Tarrow\n© 2026 Net Loft Press";
  const at = (content: PageContent, step: number) => {
    const anchor = stepsOf(content)[step]?.anchor;
    if (!anchor) throw new Error(`no step ${step}`);
    return valuesAt(content, "full", anchor)?.credit;
  };

  test("the credit stands where it was asked for", () => {
    const line = "Words: Ilse Tarrow · © 2026 Net Loft Press · Licence 40118";
    const shown = (creditAt: SongDoc["creditAt"]) => {
      const content = compile(bench, song(TEXT, {}, { creditAt }));
      return [at(content, 0), at(content, 1)];
    };
    expect(shown("first")).toEqual([line, ""]);
    expect(shown("last")).toEqual(["", line]);
    expect(shown("each")).toEqual([line, line]);
    expect(shown("none")).toEqual(["", ""]);
    expect(shown("end")).toEqual(["", ""]);
  });

  test("a credit of its own is a last step, in each outfit's own template", () => {
    const content = compile(bench, song(TEXT, {}, { creditAt: "end" }));
    const steps = stepsOf(content);
    expect(steps.map(({ kind }) => kind)).toEqual(["words", "words", "credit", "leave"]);
    expect(steps.at(-2)?.anchor).toEqual(CREDIT_ANCHOR);
    expect(steps.at(-1)?.anchor).toEqual(LEAVE_ANCHOR);
    expect(valuesAt(content, "full", CREDIT_ANCHOR)).toEqual({
      title: "A song",
      writers: "Words: Ilse Tarrow",
      publisher: "© 2026 Net Loft Press",
      licence: "Licence 40118",
    });
    expect(content.endPage?.wardrobe.full?.template).not.toBe(content.endPage?.wardrobe.band?.template);
  });

  test("blank steps stand where the order has them, and show nothing", () => {
    const content = compile(bench, song(TEXT, {}, { order: "V1 - C -" }));
    expect(stepsOf(content).map(({ kind }) => kind)).toEqual(["words", "blank", "words", "blank", "leave"]);
    expect(valuesAt(content, "full", { occurrence: "blank", unit: 0 })?.words).toBe("");
  });

  test("a second language stands beside, line for line, and what it has more of with the last", () => {
    const second = { language: "es", text: "Estrofa 1\nuno\ndos\ny más\n\nCoro\ntres" };
    const content = compile(bench, song(TEXT, {}, { second }));
    const [first, chorus] = stepsOf(content).map(({ anchor }) => valuesAt(content, "full", anchor));
    expect(first).toMatchObject({ words: "one\ntwo", second: "uno\ndos y más" });
    expect(chorus).toMatchObject({ words: "three\nfour", second: "tres" });
    const plain = compile(bench, song(TEXT));
    expect(content.wardrobe.full?.template).not.toBe(plain.wardrobe.full?.template);
  });

  test("a line too long for its screen is parted at a sense break", () => {
    const long = `${"and so the quay goes on with its lamps and its bells ".repeat(4).trim()}, ${"the boats come in ".repeat(8).trim()}`;
    const content = compile(bench, song(`Verse 1\n${long}`));
    const units = content.flow?.occurrences[0]?.units ?? [];
    expect(units.length).toBeGreaterThan(1);
    expect(units.every(({ text }) => text.includes(" "))).toBe(true);
    expect(units.map(({ text }) => text).join(" ")).toBe(long);
    expect(units.some(({ text }) => text.endsWith(","))).toBe(true);
  });
});
