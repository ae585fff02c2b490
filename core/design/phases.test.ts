import { beforeAll, describe, expect, test } from "vitest";
import { box, make, move } from "../../test-support/designs.ts";
import { loadShaper } from "../../test-support/onDisk.ts";
import { lay, templateOf } from "../../test-support/pages.ts";
import { composeSlot } from "../compose/compose.ts";
import { placementsAt } from "../compose/placements.ts";
import type { LaidOutPage } from "../scene/part.ts";
import type { Shaper } from "../text/shaper.ts";
import { isSecond, PHASES, type Phase, stagePhase } from "./phases.ts";

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const bar = make("rectangle", {
  id: "bar",
  box: box(100, 900, 600, 100),
  fill: { kind: "solid", color: { token: "panel" } },
  motion: { enter: [move("offsetXPx", -300, 0, 600)], exit: "mirror" },
});
const words = make("text", {
  id: "words",
  box: box(120, 910, 560, 80),
  words: { kind: "field", field: "words" },
  fill: { kind: "solid", color: { token: "words" } },
  minSizePx: 20,
  maxSizePx: 60,
  motion: {
    enter: [move("opacity", 0, 1, 300)],
    exit: [move("opacity", 1, 0, 250)],
    change: { in: [move("opacity", 0, 1, 400)], out: [move("opacity", 1, 0, 200)] },
  },
});
const TEMPLATE = templateOf(bar, words);

const pages = (): [LaidOutPage, LaidOutPage] => [
  lay(TEMPLATE, { words: "first" }, shaper),
  lay(TEMPLATE, { words: "second" }, shaper),
];
/** What is drawn at an instant of a phase, with its place and how solid it is. */
function seen(phase: Phase, share: number, byMs = 0) {
  const [page, other] = pages();
  const { slot, fromMs, lengthMs } = stagePhase(phase, page, other);
  const pieces = composeSlot(slot, "room", (shown) => ({
    templateHash: "one",
    laidOut: isSecond(shown) ? other : page,
  }));
  return placementsAt({ pieces }, fromMs + lengthMs * share + byMs, page).map(({ id, pose }) => ({
    id: id.replace(/^.*?\/(\w+)\/.*$/, "$1"),
    x: Math.round(pose.offsetXPx),
    opacity: Math.round(pose.opacity * 100) / 100,
  }));
}
const lengthOf = (phase: Phase) => stagePhase(phase, ...pages()).lengthMs;

describe("phases of a page's life before air", () => {
  test("take as long as the slowest of their motions", () => {
    expect(Object.fromEntries(PHASES.slice(0, 4).map((phase) => [phase, lengthOf(phase)]))).toEqual({
      enter: 600,
      stay: 2_000,
      change: 400,
      exit: 600,
    });
    expect(lengthOf("all")).toBe(600 + 700 + 400 + 700 + 600);
  });

  test("it comes from nothing to where it stands", () => {
    expect(seen("enter", 0).filter(({ opacity, x }) => opacity > 0 && x === 0)).toEqual([]);
    expect(seen("enter", 1)).toEqual(seen("enter", 1, 3_000));
  });

  test("half-way through the change both contents are there, and the bar stands", () => {
    const half = seen("change", 0.25);
    expect(half.filter(({ id }) => id === "words")).toHaveLength(2);
    expect(half.filter(({ id }) => id === "bar")).toHaveLength(1);
    expect(seen("change", 1, 1).filter(({ id }) => id === "words")).toHaveLength(1);
  });

  test("it goes to nothing, alone and at the end of all", () => {
    expect(seen("exit", 0).length).toBeGreaterThan(0);
    expect(seen("exit", 1, 1)).toEqual([]);
    expect(seen("all", 1, 1)).toEqual([]);
  });
});
