import { describe, expect, test } from "vitest";
import { readyClip } from "../../test-support/clips.ts";
import { Clocked, TRIGGER_NAMES } from "../../test-support/clocked.ts";
import { prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import { mulberry } from "../../test-support/random.ts";
import type { ClipDoes } from "../clips/clipCommand.ts";
import { type ClipPlay, clipPositionMs } from "../clips/clipPlay.ts";
import type { ReadyClip } from "../clips/readyClip.ts";
import type { Trigger } from "../triggers/trigger.ts";
import { triggerSchema } from "../triggers/trigger.ts";
import { decidePlayer } from "./decideClip.ts";
import { upcoming } from "./upcoming.ts";

const bench = prepareBench();
const MINUTE = 60_000;

/** An evening with clips and triggers. */
function evening(clips: readonly ReadyClip[], ...triggers: object[]): Clocked {
  const clocked = new Clocked(readyCues(bench, [strap("Ilse"), strap("Noor")]));
  clocked.clips = clips;
  clocked.triggers = triggers.map((each, i): Trigger => triggerSchema.parse({ id: `t${i}`, ...each }));
  return clocked;
}
let presses = 0;
const press = (clocked: Clocked, does: ClipDoes) =>
  clocked.press({ kind: "clip", id: `press-clip-${presses++}`, does });
const ILSE = (clocked: Clocked) => clocked.cues[0]?.cueId;
const titleAt = (clocked: Clocked, when: object, more: object = {}) => ({
  when: { kind: "clip", ...when },
  act: { kind: "take", cueId: clocked.cues[0]?.cueId },
  ...more,
});

describe("the player", () => {
  test("plays a clip, pauses it where it is, goes on from there, and stops", () => {
    const clocked = evening([readyClip("a", "hold")]);
    expect(press(clocked, { kind: "play", clipId: "a" })).toBeNull();
    clocked.wait(20_000);
    press(clocked, { kind: "pause" });
    clocked.wait(30_000);
    expect(clipPositionMs(clocked.state.clip as ClipPlay, clocked.atMs)).toBe(20_000);
    press(clocked, { kind: "goOn" });
    clocked.wait(5_000);
    expect(clipPositionMs(clocked.state.clip as ClipPlay, clocked.atMs)).toBe(25_000);
    press(clocked, { kind: "stop" });
    expect(clocked.state.clip).toBeNull();
  });

  test("at its end one holds, one begins the next without a gap, one goes round", () => {
    const clocked = evening([readyClip("a", "next"), readyClip("b", "hold"), readyClip("c", "loop")]);
    press(clocked, { kind: "play", clipId: "a" });
    clocked.wait(MINUTE + 30, 37);
    expect(clocked.state.clip).toMatchObject({ clipId: "b", begunAtMs: 10_000 + MINUTE, isOver: false });
    clocked.wait(MINUTE);
    expect(clocked.state.clip).toMatchObject({ clipId: "b", isOver: true });
    press(clocked, { kind: "next" });
    clocked.wait(5 * MINUTE);
    expect(clocked.state.clip).toMatchObject({ clipId: "c", isOver: false });
    expect(press(clocked, { kind: "next" })).toBe("noNextClip");
    expect(press(clocked, { kind: "play", clipId: "gone" })).toBe("noSuchClip");
    expect(clocked.state.clip?.clipId).toBe("c");
  });

  test("what is done to the list does not change what plays", () => {
    const clocked = evening([readyClip("a", "hold")]);
    press(clocked, { kind: "play", clipId: "a" });
    clocked.clips = [];
    clocked.wait(10_000);
    expect(clocked.state.clip).toMatchObject({ clipId: "a", title: "Film a" });
  });

  test("after a restart long after its end the next does not begin by itself", () => {
    const clocked = evening([readyClip("a", "next"), readyClip("b", "hold")]);
    press(clocked, { kind: "play", clipId: "a" });
    clocked.wait(60 * MINUTE, 60 * MINUTE);
    expect(clocked.state.clip).toMatchObject({ clipId: "a", isOver: true });
  });
});

describe("titles of clips", () => {
  test("the title of each clip at +10 s for 10 s, at its very time", () => {
    const clocked = evening([readyClip("a", "next"), readyClip("b", "hold")]);
    clocked.triggers = [
      triggerSchema.parse({
        id: "titles",
        ...titleAt(clocked, { does: "in", ms: 10_000 }, { stay: { kind: "for", ms: 10_000 } }),
      }),
    ];
    press(clocked, { kind: "play", clipId: "a" });
    const on: number[] = [];
    for (let s = 0; s < 2 * 60 + 10; s++) {
      if (clocked.on("titles") === ILSE(clocked)) on.push(s);
      clocked.wait(1_000);
    }
    // Of both clips, ten seconds each.
    expect(on).toEqual(
      [...Array(10).keys()].flatMap((i) => [10 + i]).concat([...Array(10).keys()].map((i) => 70 + i)),
    );
  });

  test("before its end; and what came with a clip leaves with it", () => {
    const clocked = evening([readyClip("a", "hold")]);
    clocked.triggers = [
      triggerSchema.parse({
        id: "soon",
        ...titleAt(
          clocked,
          { clipId: "a", does: "before", ms: 5_000 },
          { stay: { kind: "open" }, leavesWith: true },
        ),
      }),
    ];
    press(clocked, { kind: "play", clipId: "a" });
    clocked.wait(54_980);
    expect(clocked.on("titles")).toBeNull();
    clocked.wait(40);
    expect(clocked.on("titles")).toBe(ILSE(clocked));
    clocked.wait(5_040);
    expect(clocked.on("titles")).toBeNull();
  });

  test("what comes by itself is told before it does, with its time", () => {
    const clocked = evening([readyClip("a", "next"), readyClip("b", "hold")]);
    const title = triggerSchema.parse({ id: "titles", ...titleAt(clocked, { does: "in", ms: 10_000 }) });
    press(clocked, { kind: "play", clipId: "a" });
    const list = [
      { id: "a", title: "Film a" },
      { id: "b", title: "Film b" },
    ];
    const told = () => upcoming(clocked.state, clocked.cues, [title], TRIGGER_NAMES, clocked.atMs, list);
    expect(told()).toEqual([
      { does: "acts", name: "a clip is 10 s in", atMs: 20_000 },
      { does: "comes", name: "Film b", atMs: 70_000 },
    ]);
    clocked.wait(11_000);
    expect(told()).toMatchObject([{ does: "comes" }]);
    press(clocked, { kind: "pause" });
    expect(told()).toEqual([]);
  });

  test("a paused clip comes to no place; gone on, it comes to it once", () => {
    const clocked = evening([readyClip("a", "hold")]);
    clocked.triggers = [triggerSchema.parse({ id: "in", ...titleAt(clocked, { does: "in", ms: 10_000 }) })];
    press(clocked, { kind: "play", clipId: "a" });
    clocked.wait(9_000);
    press(clocked, { kind: "pause" });
    clocked.wait(60_000);
    expect(clocked.on("titles")).toBeNull();
    press(clocked, { kind: "goOn" });
    clocked.wait(2_000);
    expect(clocked.logged.filter(({ event }) => event.kind === "triggered")).toHaveLength(1);
  });

  test("starts and ends are told once each; only while its source is on program", () => {
    const clocked = evening([readyClip("a", "hold")]);
    clocked.triggers = [
      triggerSchema.parse({
        id: "s",
        ...titleAt(clocked, { does: "starts" }, { onlyWhile: [{ kind: "source", sourceId: "clips" }] }),
      }),
      triggerSchema.parse({
        id: "e",
        when: { kind: "clip", does: "ends" },
        act: { kind: "take", cueId: clocked.cues[1]?.cueId },
      }),
    ];
    press(clocked, { kind: "play", clipId: "a" });
    expect(clocked.on("titles")).toBeNull();
    clocked.mixer(["clips"]);
    clocked.wait(1_000);
    press(clocked, { kind: "play", clipId: "a" });
    // The first play ended with the second's beginning, and its end came after: what comes goes before what leaves.
    const acts = () =>
      clocked.logged.flatMap(({ event }) => (event.kind === "triggered" ? [event.triggerId] : []));
    expect(acts()).toEqual(["s", "e"]);
    clocked.wait(2 * MINUTE);
    expect(acts()).toEqual(["s", "e", "e"]);
    press(clocked, { kind: "stop" });
    expect(acts()).toEqual(["s", "e", "e"]);
  });

  test("found late, its title is held and told", () => {
    const clocked = evening([readyClip("a", "hold", 60 * MINUTE)]);
    clocked.triggers = [triggerSchema.parse({ id: "in", ...titleAt(clocked, { does: "in", ms: 10_000 }) })];
    press(clocked, { kind: "play", clipId: "a" });
    clocked.wait(30 * MINUTE, 30 * MINUTE);
    expect(clocked.on("titles")).toBeNull();
    expect(clocked.logged.map(({ event }) => event)).toContainEqual(
      expect.objectContaining({ kind: "triggerHeld", why: "late" }),
    );
  });

  test("a trigger plays a clip when a cue is taken", () => {
    const clocked = evening([readyClip("a", "hold")]);
    clocked.triggers = [
      triggerSchema.parse({
        id: "film",
        when: { kind: "cue", cueId: clocked.cues[1]?.cueId },
        act: { kind: "clip", does: { kind: "play", clipId: "a" } },
      }),
    ];
    clocked.take(1);
    expect(clocked.state.clip?.clipId).toBe("a");
  });
});

test("seed 1712: an evening of presses, against a count that was written apart: one title for each time a clip is 10 s in", () => {
  const random = mulberry(1712);
  const clips = [
    readyClip("a", "next", 25_000),
    readyClip("b", "loop", 14_000),
    readyClip("c", "hold", 40_000),
  ];
  const clocked = evening(clips);
  clocked.isChecked = false;
  clocked.mostActsPerSecond = 50;
  clocked.triggers = [triggerSchema.parse({ id: "in", ...titleAt(clocked, { does: "in", ms: 10_000 }) })];
  // The count: which clip, how far, whether it runs; a step of time at a time.
  let [at, placeMs, isRunning] = [-1, 0, false];
  const expected: number[] = [];
  const STEP_MS = 20;
  for (let step = 0; step < 90_000; step++) {
    if (random() < 0.0012) {
      const does = (["play", "pause", "goOn", "next", "stop"] as const)[Math.floor(random() * 5)] ?? "stop";
      const clipId = ["a", "b", "c"][Math.floor(random() * 3)] ?? "a";
      press(clocked, does === "play" ? { kind: does, clipId } : { kind: does });
      const length = clips[at]?.media?.durationMs ?? 0;
      if (does === "play") [at, placeMs, isRunning] = ["abc".indexOf(clipId), 0, true];
      else if (does === "next" && at >= 0 && at < 2) [at, placeMs, isRunning] = [at + 1, 0, true];
      else if (does === "stop") [at, isRunning] = [-1, false];
      else if (does === "pause") isRunning = false;
      else if (does === "goOn" && at >= 0 && (placeMs < length || at === 1)) isRunning = true;
    }
    clocked.wait(STEP_MS, STEP_MS);
    if (!isRunning) continue;
    placeMs += STEP_MS;
    if (placeMs === 10_000) expected.push(clocked.atMs);
    if (placeMs < (clips[at]?.media?.durationMs ?? 0)) continue;
    if (at === 0) [at, placeMs] = [1, 0];
    else if (at === 1) placeMs = 0;
    else isRunning = false;
  }
  const came = clocked.logged.flatMap(({ atMs, event }) => (event.kind === "triggered" ? [atMs] : []));
  expect(expected.length).toBeGreaterThan(15);
  expect(came).toEqual(expected);
});

describe("another player", () => {
  const said = (more: Partial<ClipPlay> = {}): ClipPlay => ({
    ...{ clipId: "a", title: "A", media: null, lengthMs: MINUTE, atEnd: "hold", by: "player" },
    ...{ begunAtMs: 0, atMs: 0, fromMs: 0, isPaused: false, isOver: false },
    ...more,
  });
  const events = (state: Parameters<typeof decidePlayer>[0], play: ClipPlay | null, atMs: number) => {
    const decision = decidePlayer(state, play, atMs);
    return "events" in decision ? decision.events : [];
  };

  test("telling the same again and again writes nothing; a jump is written, and is the same play", () => {
    const { state } = new Clocked([]);
    const playing = { ...state, clip: said() };
    expect(events(playing, said({ atMs: 5_000, fromMs: 5_080, begunAtMs: 5_000 }), 5_000)).toEqual([]);
    const [jump] = events(playing, said({ atMs: 5_000, fromMs: 30_000, begunAtMs: 5_000 }), 5_000);
    expect(jump).toMatchObject({ play: { begunAtMs: 0, fromMs: 30_000 } });
    expect(events({ ...state, clip: said({ by: "here" }) }, null, 9_000)).toEqual([]);
  });
});
