import * as fc from "fast-check";
import { beforeAll, describe, expect, test } from "vitest";
import { loadShaper } from "../../test-support/onDisk.ts";
import { blockHeightPx, SIZE_STEP_PX } from "./fit.ts";
import { FALLBACK_FONTS } from "./fontList.ts";
import { layOutText, type TextBlockRequest } from "./layOutText.ts";
import { readMarks } from "./marks.ts";
import { prepareText } from "./prepare.ts";
import type { Shaper } from "./shaper.ts";
import { widestEm, wrapBalanced, wrapLines } from "./wrap.ts";

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const request = (more: Partial<TextBlockRequest> = {}): TextBlockRequest => ({
  widthPx: 1200,
  heightPx: 400,
  minSizePx: 20,
  maxSizePx: 120,
  leading: 1.3,
  keepLinesAbovePx: null,
  balance: false,
  paragraphGap: 0,
  fonts: FALLBACK_FONTS,
  mode: "fit",
  condenseTo: 0.7,
  ...more,
});

const WORDS = [
  "lamp",
  "the",
  "harbour",
  "down",
  "a",
  "ropewalk",
  "קול",
  "سلام",
  "नाव",
  "light,",
  "Gannet-Steps",
  "ßtraße",
];
const texts = fc
  .array(fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 14 }), { minLength: 1, maxLength: 5 })
  .map((lines) => lines.map((line) => line.join(" ")).join("\n"));

describe("fit", () => {
  test("seed 20261124: words never leave their box, and could not be one step larger", () => {
    fc.assert(
      fc.property(
        texts,
        fc.integer({ min: 300, max: 1800 }),
        fc.integer({ min: 120, max: 900 }),
        fc.boolean(),
        (text, widthPx, heightPx, balance) => {
          const asked = request({ widthPx, heightPx, balance });
          const block = layOutText(text, asked, shaper);
          if (!block.fits) return;
          for (const line of block.lines) expect(line.widthPx).toBeLessThanOrEqual(widthPx + 0.01);
          expect(block.heightPx).toBeLessThanOrEqual(heightPx + 1e-6);
          expect(block.sizePx % SIZE_STEP_PX).toBe(0);
          const larger = block.sizePx + SIZE_STEP_PX;
          if (larger > asked.maxSizePx) return;
          const paragraphs = prepareText(text, asked.fonts, shaper);
          const lines = wrapLines(paragraphs, widthPx / larger);
          const { ascentEm, descentEm } = shaper.metrics(FALLBACK_FONTS[0] as string);
          const height = blockHeightPx(lines.length, larger, asked.leading, ascentEm + descentEm);
          const spills = widestEm(lines) * larger > widthPx || height > heightPx;
          // Else a line was wider when set than when measured (kerning at its end), and the size went down for it.
          const set = layOutText(text, { ...asked, minSizePx: larger, maxSizePx: larger }, shaper);
          expect(spills || !set.fits).toBe(true);
        },
      ),
      { seed: 20261124, numRuns: 150 },
    );
  });

  test("typed lines stay whole down to the readable size, and wrap below it", () => {
    const line = "past the last door, where the small boats go, and the ropewalk ends";
    const kept = layOutText(line, request({ keepLinesAbovePx: 30 }), shaper);
    expect(kept.lines).toHaveLength(1);
    expect(kept.sizePx).toBeLessThan(60);
    const wrapped = layOutText(line, request({ keepLinesAbovePx: 60 }), shaper);
    expect(wrapped.lines.length).toBeGreaterThan(1);
    expect(wrapped.sizePx).toBeGreaterThanOrEqual(60);
  });

  test("balanced lines are as many as greedy ones, and no wider", () => {
    const [paragraph] = prepareText(
      "we carry down the little lamps to bring it home again and so they are glad because it is calm",
      FALLBACK_FONTS,
      shaper,
    );
    if (!paragraph) throw new Error("no paragraph");
    const greedy = wrapLines([paragraph], 16);
    const balanced = wrapBalanced([paragraph], 16);
    expect(balanced).toHaveLength(greedy.length);
    expect(widestEm(balanced)).toBeLessThanOrEqual(widestEm(greedy));
    const spread = (lines: readonly { widthEm: number }[]) =>
      Math.max(...lines.map((l) => l.widthEm)) - Math.min(...lines.map((l) => l.widthEm));
    expect(spread(balanced)).toBeLessThan(spread(greedy));
  });

  test("a line that must break breaks after a mark where it can", () => {
    const set = (words: string, widthPx: number) => {
      const block = layOutText(
        words,
        request({ mode: "fit", widthPx, minSizePx: 60, maxSizePx: 60, balance: true }),
        shaper,
      );
      const text = block.paragraphs[0] ?? "";
      return block.lines.map(({ runs }) => {
        const clusters = runs.flatMap(({ glyphs }) => glyphs.map(({ cluster }) => cluster));
        return text.slice(Math.min(...clusters), Math.max(...clusters) + 1);
      });
    };
    expect(set("Carry the lamp down, carry it low,", 660)).toEqual(["Carry the lamp down,", "carry it low,"]);
    expect(set("past the last door, where the small boats go;", 760)).toEqual([
      "past the last door,",
      "where the small boats go;",
    ]);
    // Without a mark it comes out even.
    expect(set("one for every window sill and one more", 700)).toEqual([
      "one for every window",
      "sill and one more",
    ]);
  });

  test("text that cannot fit is shown at the smallest size and says so", () => {
    const block = layOutText("word ".repeat(4_000), request(), shaper);
    expect(block.fits).toBe(false);
    expect(block.sizePx).toBe(20);
  });

  test("an empty text and an unknown font do not pass silently", () => {
    expect(layOutText("", request(), shaper).lines).toHaveLength(1);
    expect(() => layOutText("a", request({ fonts: ["no-such-font"] }), shaper)).toThrow(/no-such-font/);
  });

  test("letters are narrowed only as far as they must be, and never past the floor", () => {
    const wide = "Bartholomew of the Lower Ropewalk";
    const natural = layOutText(wide, request({ mode: "wrap", widthPx: 5_000, maxSizePx: 60 }), shaper);
    const widthPx = (natural.lines[0]?.widthPx ?? 0) * 0.85;
    const narrowed = layOutText(wide, request({ mode: "condense", widthPx, maxSizePx: 60 }), shaper);
    expect(narrowed).toMatchObject({ fits: true, sizePx: 60 });
    expect(narrowed.condensed).toBeCloseTo(0.85, 2);
    expect((narrowed.lines[0]?.widthPx ?? 0) * narrowed.condensed).toBeLessThanOrEqual(widthPx);
    const floor = layOutText(
      wide,
      request({ mode: "condense", widthPx: widthPx / 2, maxSizePx: 60 }),
      shaper,
    );
    expect(floor.condensed).toBeCloseTo(0.7, 2);
    expect(floor.sizePx).toBeLessThan(60);
    expect(floor.fits).toBe(true);
    const tight = request({ mode: "condense", widthPx: widthPx / 6, minSizePx: 40, maxSizePx: 60 });
    expect(layOutText(wide, tight, shaper)).toMatchObject({ condensed: 0.7, sizePx: 40, fits: false });
  });

  test("tracking widens every letter but the last, and leaves joined scripts alone", () => {
    const widthOf = (text: string, trackingEm: number) =>
      layOutText(
        text,
        request({
          mode: "wrap",
          widthPx: 9_000,
          maxSizePx: 100,
          spacing: { trackingEm, hangNumbers: false },
        }),
        shaper,
      ).lines[0]?.widthPx ?? 0;
    expect(widthOf("lamps", 0.1) - widthOf("lamps", 0)).toBeCloseTo(0.1 * 100 * 4, 6);
    expect(widthOf("سلام", 0.1)).toBe(widthOf("سلام", 0));
  });

  test("a raised number at the head of a line hangs in the margin and takes no room in the line", () => {
    const asked = request({ mode: "wrap", maxSizePx: 50, spacing: { trackingEm: 0, hangNumbers: true } });
    const words = "Those who go down to the sea";
    const hung = layOutText(readMarks(`^23^\u00a0${words}`), asked, shaper).lines[0];
    const bare = layOutText(words, asked, shaper).lines[0];
    expect(hung?.widthPx).toBeCloseTo(bare?.widthPx ?? 0, 3);
    const [number, text] = hung?.runs ?? [];
    expect(number?.glyphs[0]?.xPx).toBeLessThan(0);
    expect(number?.sizePx).toBeLessThan(text?.sizePx ?? 0);
    expect(text?.glyphs.find(({ cluster }) => cluster === 3)?.xPx).toBeCloseTo(0, 3);
  });

  test("right-to-left lines are set right to left, numbers within them left to right", () => {
    const block = layOutText("שלום 123", request(), shaper);
    expect(block.rightToLeft).toEqual([true]);
    const xs = block.lines[0]?.runs.flatMap(({ glyphs }) => glyphs.map(({ xPx }) => xPx)) ?? [];
    expect(xs).toEqual([...xs].sort((a, b) => a - b));
  });
});
