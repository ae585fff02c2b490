import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { page, prepareBench, readyCues } from "../../test-support/contents.ts";
import { STARTER_OUTPUTS } from "../../test-support/designs.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import type { Output } from "../venue/plan.ts";
import { composeTimeline } from "./compose.ts";
import { createDresser } from "./dress.ts";
import type { Timeline } from "./piece.ts";
import { type Placement, placementsAt } from "./placements.ts";
import { SHUTTER_MS, shutAt } from "./shutterPieces.ts";

const bench = prepareBench();
const [WALL] = STARTER_OUTPUTS as [Output];

/** Where everything is drawn, whatever it is called. */
function places(placements: readonly Placement[]): unknown[] {
  return placements.map((placement) => {
    if (placement.kind === "group") return [placement.x, placement.y, places(placement.children)];
    if (placement.kind === "plate")
      return [placement.plate.key, Math.round(placement.x * 100) / 100, Math.round(placement.y * 100) / 100];
    return placement.kind;
  });
}

function pictureOf(cue: ReadyCue, leaves: boolean): unknown[] {
  const clocked = new Clocked([cue]);
  clocked.take(0);
  clocked.wait(6_000);
  if (leaves) clocked.press({ kind: "clearEverything", id: "clear-it-all", how: "cut" });
  clocked.wait(3_000);
  if (leaves) clocked.undo();
  clocked.wait(9_000);
  const dress = createDresser(bench.documents, bench.shaper, FALLBACK_FONTS, "UTC");
  return places(placementsAt(composeTimeline(clocked.state, WALL, dress), clocked.atMs, WALL));
}

describe("what undo brings back", () => {
  test.each([
    [
      "a crawl",
      "crawl",
      { items: "Last ferry 22:40\nSoup in the sail room\nHang lanterns on the harbour side" },
    ],
    ["a countdown", "countdown", { to: "5:00", label: "We begin in" }],
    ["a title", "title", { title: "Lantern Evening", subtitle: "The Net Loft" }],
  ])("%s is where it would be if it had never left", (_name, fieldSet, values) => {
    const [cue] = readyCues(bench, [page(fieldSet, values)]);
    if (!cue) throw new Error("no cue");
    const stayed = pictureOf(cue, false);
    expect(stayed.length).toBeGreaterThan(0);
    expect(pictureOf(cue, true)).toEqual(stayed);
  });
});

describe("sound of a screen that is shut", () => {
  test("goes with the picture, and comes back with it", () => {
    const shut = { sinceMs: 1_000, untilMs: null };
    expect(
      [900, 1_000, 1_000 + SHUTTER_MS / 2, 1_000 + SHUTTER_MS, 90_000].map((at) => shutAt(shut, at)),
    ).toEqual([0, 0, 0.5, 1, 1]);
    const open = { sinceMs: 1_000, untilMs: 10_000 };
    expect([10_000, 10_000 + SHUTTER_MS / 2, 10_000 + SHUTTER_MS].map((at) => shutAt(open, at))).toEqual([
      1, 0.5, 0,
    ]);
    // Opened again before it was shut: from where it was.
    expect(shutAt({ sinceMs: 1_000, untilMs: 1_000 + SHUTTER_MS / 2 }, 1_000 + SHUTTER_MS / 2)).toBe(0.5);
  });

  test("a clip in it is as loud as the screen is open", () => {
    const video = {
      id: "clip",
      key: "clip",
      opacity: 1,
      rotationDeg: 0,
      pivot: { x: 0, y: 0 },
      looks: { blurPx: 0, tint: null, color: null },
      life: { fromMs: 0, arriving: [], stay: null, until: null },
      places: [{ fromMs: 0, x: 0, y: 0, extent: 1, glideMs: 0 }],
      content: {
        kind: "video",
        box: { x: 0, y: 0, width: 9, height: 9 },
        radiiPx: [0, 0, 0, 0],
        level: 1,
        sinceMs: 0,
        durationMs: 60_000,
        atEnd: "loop",
      },
    } as unknown as Timeline["pieces"][number];
    const gainAt = (atMs: number) => {
      const timeline = { pieces: [video], silence: { sinceMs: 1_000, untilMs: null } };
      const [placed] = placementsAt(timeline, atMs, WALL);
      return placed?.kind === "video" ? placed.gain : undefined;
    };
    expect([500, 1_000 + SHUTTER_MS / 2, 5_000].map(gainAt)).toEqual([1, 0.5, 0]);
  });
});
