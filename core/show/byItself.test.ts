import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { page, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import { actionCue, type CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { Command } from "./commands.ts";
import { isFilled, slotOn } from "./layers.ts";
import { findNext } from "./next.ts";
import { pageAt } from "./slot.ts";
import { stateAfterTake } from "./stateAfterTake.ts";

const bench = prepareBench();
const with_ = (doc: CueDoc, more: Partial<CueDoc>): CueDoc => ({ ...doc, ...more }) as CueDoc;

describe("what comes by itself", () => {
  test("cues that start with the one before come in the same press, and go with one undo", () => {
    const show = new Clocked(
      readyCues(bench, [
        page("title", { title: "Evening" }),
        with_(strap("Ilse"), { start: { kind: "with" } }),
        with_(page("corner", { mark: "Quay" }), { start: { kind: "with" } }),
        strap("Noor"),
      ]),
    );
    show.take(0);
    expect([show.on("words"), show.on("titles"), show.on("corner")]).toEqual(["cue-1", "cue-2", "cue-3"]);
    expect(findNext(show.state, show.cues)?.cueId).toBe("cue-4");
    expect(show.state.recentTakeIds).toHaveLength(1);
    show.undo();
    expect([show.on("words"), show.on("titles"), show.on("corner")]).toEqual([null, null, null]);
    expect(show.state.line.at).toBeNull();
  });

  test("a cue follows the one before when that one is through, on its time", () => {
    const show = new Clocked(
      readyCues(bench, [
        song("a\nb\nc\nd\n", { full: 2, band: 2 }),
        with_(strap("Ilse"), { start: { kind: "after", ms: 3_000 } }),
        with_(page("title", { title: "End" }), { start: { kind: "after", ms: 1_000 } }),
      ]),
    );
    show.take(0, 0);
    show.wait(10_000);
    // The song is not through: nothing follows yet.
    expect(show.on("titles")).toBeNull();
    show.take(0, stepsOf((show.cues[0] as ReadyCue).content).length - 1);
    show.wait(2_980);
    expect(show.on("titles")).toBeNull();
    show.wait(20);
    expect(show.on("titles")).toBe("cue-2");
    show.wait(1_000);
    expect(show.on("words")).toBe("cue-3");
    expect(show.state.due).toEqual([]);
  });

  test("a press in between, a clear, or hold keeps what would follow away", () => {
    for (const stop of ["take", "clear", "hold"] as const) {
      const show = new Clocked(
        readyCues(bench, [
          strap("Ilse"),
          with_(page("title", { title: "Follows" }), { start: { kind: "after", ms: 2_000 } }),
          strap("Noor"),
        ]),
      );
      show.take(0);
      expect(show.state.due).toHaveLength(1);
      show.wait(500);
      if (stop === "take") show.take(2);
      else show.press({ kind: stop, id: "stop-it-now", how: "animated" } as Command);
      show.wait(5_000);
      expect(show.on("words")).toBeNull();
    }
  });

  test("one found too late, or gone from the rundown, is held and told, and nothing changes", () => {
    const docs = [
      strap("Ilse"),
      with_(page("title", { title: "Late" }), { start: { kind: "after", ms: 2_000 } }),
    ];
    const late = new Clocked(readyCues(bench, docs));
    late.take(0);
    late.wait(60_000, 60_000);
    expect(late.on("words")).toBeNull();
    expect(late.kinds.at(-1)).toBe("dueHeld");
    expect(late.state.due).toEqual([]);
    const gone = new Clocked(readyCues(bench, docs));
    gone.take(0);
    gone.cues = gone.cues.slice(0, 1);
    gone.wait(3_000);
    expect(gone.kinds.at(-1)).toBe("dueHeld");
  });

  test("a chain of cues that follow at once ends at the last of them", () => {
    const follower = (name: string) => with_(strap(name), { start: { kind: "after", ms: 0 } });
    const show = new Clocked(readyCues(bench, [strap("a"), ...["b", "c", "d", "e", "f"].map(follower)]));
    show.take(0);
    show.wait(1_000);
    expect(show.on("titles")).toBe("cue-6");
    expect(show.kinds.filter((kind) => kind === "taken")).toHaveLength(6);
  });

  test("a cue comes again until its layer is taken over; the script stays where it is", () => {
    const show = new Clocked(
      readyCues(bench, [
        with_(strap("Ilse", "", 2_000), { repeatMs: 5_000 }),
        page("title", { title: "On" }),
      ]),
    );
    show.take(0);
    show.take(1);
    const { line, airRevision } = show.state;
    for (const [atMs, isUp] of [
      [1_900, true],
      [2_100, false],
      [5_100, true],
      [7_100, false],
      [10_100, true],
    ] as const) {
      show.wait(10_000 + atMs - show.atMs);
      expect([atMs, show.on("titles") !== null]).toEqual([atMs, isUp]);
    }
    expect(show.state.line).toEqual(line);
    // A desk that is about to press is not turned away by it.
    expect(show.state.airRevision).toBe(airRevision);
    show.press({ kind: "out", id: "out-with-it", layerId: "titles", how: "animated" });
    show.wait(20_000);
    expect(show.on("titles")).toBeNull();
    expect(show.state.due).toEqual([]);
  });

  test("a delay is in the take: the page enters later, its stay counts from then", () => {
    const show = new Clocked(readyCues(bench, [with_(strap("Ilse", "", 2_000), { delayMs: 3_000 })]));
    show.take(0);
    const [moment] = show.state.slots.titles ?? [];
    expect([moment?.startAtMs, moment?.endsAtMs]).toEqual([13_000, 15_000]);
  });

  test("an action takes layers off and shuts the screens in one press; undo brings the pages back", () => {
    const show = new Clocked(
      readyCues(bench, [
        strap("Ilse"),
        actionCue({ clear: ["titles", "words"], shutter: "black" }),
        actionCue({ title: "Wait" }),
        actionCue({ shutter: "back" }),
      ]),
    );
    show.take(0);
    show.wait(100);
    show.take(1);
    expect(isFilled(show.state, "titles", show.atMs)).toBe(false);
    expect(Object.values(show.state.shutters).map(({ picture, untilMs }) => [picture, untilMs])).toEqual([
      ["black", null],
      ["black", null],
    ]);
    show.undo();
    expect(show.on("titles")).toBe("cue-1");
    expect(Object.values(show.state.shutters).every(({ untilMs }) => untilMs === show.atMs)).toBe(true);
    expect(findNext(show.state, show.cues)?.cueId).toBe("cue-2");
    show.wait(100);
    show.press({ kind: "shut", id: "shut-them-all", outputIds: null, picture: "black" });
    show.take(2);
    expect(show.on("titles")).toBe("cue-1");
    show.wait(100);
    show.take(3);
    expect(Object.values(show.state.shutters).every(({ untilMs }) => untilMs === show.atMs)).toBe(true);
  });
});

describe("held edits", () => {
  test("what is edited stays as it was taken until it is sent, at the same step and with what is left of its stay", () => {
    const show = new Clocked(
      readyCues(bench, [song("a\nb\nc\nd", { full: 2, band: 2 }), strap("Ilse", "", 9_000)]),
    );
    show.take(0, 1);
    show.take(1);
    expect(show.press({ kind: "send", id: "send-nothing", layerId: null })).toBe("nothingHeld");
    const edited = readyCues(bench, [
      song("a\nb\nC\nd", { full: 2, band: 2 }),
      strap("Ilse Tarrow", "", 9_000),
    ]);
    show.cues = edited;
    const before = show.state.slots.words?.at(-1)?.page;
    expect(before?.content).not.toBe(edited[0]?.hash);
    const endsAtMs = show.state.slots.titles?.at(-1)?.endsAtMs;
    show.wait(1_000);
    expect(show.press({ kind: "send", id: "send-it-all", layerId: null })).toBeNull();
    expect(show.state.slots.words?.at(-1)?.page).toEqual({ ...before, content: edited[0]?.hash });
    expect(show.state.slots.titles?.at(-1)?.page?.content).toBe(edited[1]?.hash);
    expect(show.state.slots.titles?.at(-1)?.endsAtMs).toBe(endsAtMs);
    expect(show.press({ kind: "send", id: "send-once-more", layerId: null })).toBe("nothingHeld");
  });
});

describe("beginning anew", () => {
  test("forgets times, place and what is due, and leaves the air", () => {
    const show = new Clocked(
      readyCues(bench, [
        strap("Ilse"),
        with_(page("title", { title: "Follows" }), { start: { kind: "after", ms: 2_000 } }),
      ]),
    );
    show.take(0);
    expect(Object.keys(show.state.cueTimes)).toEqual(["cue-1"]);
    show.press({ kind: "beginAnew", id: "begin-it-anew" });
    show.wait(5_000);
    expect([show.on("titles"), show.on("words")]).toEqual(["cue-1", null]);
    expect(show.state.cueTimes).toEqual({});
    expect(findNext(show.state, show.cues)?.cueId).toBe("cue-1");
    show.undo();
    expect(show.state.line.at?.cueId).toBe("cue-1");
  });
});

describe("what is next, as shown before", () => {
  test("is all that one press brings: those that come with it, layers that go, the plan of any of them", () => {
    const other = { ...STARTER_PLAN, id: "other", name: "Other" };
    const show = new Clocked(
      readyCues(bench, [
        strap("Ilse"),
        actionCue({ clear: ["titles"] }),
        with_(page("title", { title: "Evening" }), {
          start: { kind: "with" },
          plan: { id: "other", otherwise: "switch" },
        }),
      ]),
    );
    show.take(0);
    const next = findNext(show.state, show.cues);
    if (!next) throw new Error("nothing is next");
    const foreseen = stateAfterTake(show.state, next, show.cues, show.atMs, [STARTER_PLAN, other]);
    expect(foreseen.slots.titles).toEqual([]);
    expect(foreseen.slots.words?.at(-1)?.page?.cueId).toBe("cue-3");
    expect(foreseen.plan.id).toBe("other");
  });

  test("a repeat of a cue limited to one screen comes there alone", () => {
    const show = new Clocked(
      readyCues(bench, [with_(strap("Ilse", "", 2_000), { repeatMs: 5_000, only: ["stream"] })]),
    );
    show.take(0);
    show.wait(5_100);
    const seen = (id: string) => pageAt(slotOn(show.state, "titles", id), show.atMs)?.cueId ?? null;
    expect([seen("wall"), seen("stream")]).toEqual([null, "cue-1"]);
  });
});
