import { describe, expect, test } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { AT_START, act, type Mixer, pass, tallyOf } from "./mixer.ts";

describe("the mixer that ships", () => {
  test("a cut swaps the buses", () => {
    const mixer = act(act(AT_START, { kind: "preview", input: 2 }, 0), { kind: "cut" }, 0);
    expect(mixer).toMatchObject({ program: 2, preview: AT_START.program });
  });

  test("while it mixes both are on program; then the buses have changed", () => {
    let mixer = act(AT_START, { kind: "mix", durationMs: 1_000 }, 0);
    mixer = pass(mixer, 500, Math.random);
    expect(mixer.lever).toBeCloseTo(0.5);
    expect(tallyOf(mixer).program).toEqual([3, 1]);
    expect(act(mixer, { kind: "preview", input: 4 }, 600)).toBe(mixer);
    mixer = pass(mixer, 1_001, Math.random);
    expect(mixer).toMatchObject({ program: 1, preview: 3, lever: 0, mix: null });
  });

  test("the lever goes by hand, back too", () => {
    const half = act(AT_START, { kind: "lever", at: 0.4 }, 0);
    expect(tallyOf(half).program).toHaveLength(2);
    expect(tallyOf(act(half, { kind: "lever", at: 0 }, 0)).program).toEqual([3]);
    expect(act(half, { kind: "lever", at: 1 }, 0)).toMatchObject({ program: 1, preview: 3, lever: 0 });
  });

  test("seed 17: by itself it changes every few seconds, always to another camera, until it is told not to", () => {
    const random = mulberry(17);
    let mixer: Mixer = act(AT_START, { kind: "byItself", isOn: true }, 0);
    const changes: number[] = [];
    for (let atMs = 0; atMs < 600_000; atMs += 40) {
      const before = mixer.program;
      mixer = pass(mixer, atMs, random);
      if (mixer.program !== before) changes.push(atMs);
    }
    expect(changes.length).toBeGreaterThan(40);
    expect(changes.length).toBeLessThan(150);
    mixer = pass(act(mixer, { kind: "byItself", isOn: false }, 600_000), 602_000, random);
    const { program } = mixer;
    for (let atMs = 602_000; atMs < 700_000; atMs += 40) mixer = pass(mixer, atMs, random);
    expect(mixer.program).toBe(program);
  });
});
