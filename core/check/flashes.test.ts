import { describe, expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { mostFlashes } from "./flashes.ts";

const FPS = 30;
const [COLUMNS, ROWS] = [6, 6];

/** A signal on a share of the cells, dark elsewhere. */
const onCells = (signal: readonly number[], cells: number) => ({
  ...{ columns: COLUMNS, rows: ROWS, framesPerSecond: FPS },
  frames: signal.map((light) => Array.from({ length: COLUMNS * ROWS }, (_, at) => (at < cells ? light : 0))),
});
const square = (hertz: number, low = 0, high = 1, seconds = 3) =>
  Array.from({ length: FPS * seconds }, (_, frame) =>
    Math.floor((frame / FPS) * hertz * 2) % 2 === 0 ? low : high,
  );

// WCAG 2.2, 2.3.1: three flashes in one second are let be, a fourth is not.
describe("flashes, either side of what the standard says", () => {
  test.each([
    [3, 3],
    [5, 5],
  ])("%i a second are %i", (hertz, flashes) => {
    expect(mostFlashes(onCells(square(hertz), 36))).toBe(flashes);
  });
  test("a change of less than a tenth, or where both are bright, is none", () => {
    expect(mostFlashes(onCells(square(5, 0.2, 0.29), 36))).toBe(0);
    expect(mostFlashes(onCells(square(5, 0.2, 0.31), 36))).toBe(5);
    expect(mostFlashes(onCells(square(5, 0.81, 1), 36))).toBe(0);
    expect(mostFlashes(onCells(square(5, 0.79, 1), 36))).toBe(5);
  });
  test("less than a quarter of a field is let be", () => {
    // A field is two by two cells: one of them is a quarter.
    expect(mostFlashes(onCells(square(5), 1))).toBe(5);
    expect(mostFlashes({ ...onCells(square(5), 0) })).toBe(0);
  });
  test("one that comes and goes once is no flash to speak of", () => {
    expect(mostFlashes(onCells([0, 0, 1, 1, 0, 0], 36))).toBe(1);
    expect(mostFlashes(onCells([], 36))).toBe(0);
  });
});

/** The same from the sentences of the standard, for light that only jumps: every jump that counts, and all windows of a second over them. */
function countedApart(signal: readonly number[]): number {
  const jumps = signal.flatMap((light, at) => {
    const before = signal[at - 1] ?? light;
    return Math.abs(light - before) >= 0.1 && Math.min(light, before) < 0.8 ? [at] : [];
  });
  const windows = Array.from({ length: Math.max(1, signal.length - FPS + 1) }, (_, from) =>
    Math.floor(jumps.filter((at) => at >= from && at < from + FPS).length / 2),
  );
  return Math.max(...windows);
}

test("500 signals, seed 1801: as counted apart, frame by frame", () => {
  const random = mulberry(1801);
  for (let run = 0; run < 500; run++) {
    // Steps between two lights for whole runs of frames: every change is one frame long.
    const lights = [random(), random()] as const;
    const signal: number[] = [];
    let at = 0;
    while (signal.length < 90) {
      const frames = 1 + Math.floor(random() * 12);
      for (let i = 0; i < frames; i++) signal.push(lights[at % 2] as number);
      at++;
    }
    expect([run, mostFlashes(onCells(signal, 36))]).toEqual([run, countedApart(signal)]);
  }
});
