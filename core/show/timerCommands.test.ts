import { describe, expect, test } from "vitest";
import { prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ShowState } from "./state.ts";
import { timerCommands } from "./timerCommands.ts";

const bench = prepareBench();
const at = (time: string): CueDoc => ({ ...strap("Ilse"), start: { kind: "at", time } }) as CueDoc;
/** Lisbon is an hour ahead of UTC in summer. */
const TIME_ZONE = "Europe/Lisbon";
const HALF_PAST_SEVEN = Date.parse("2026-07-04T18:30:00Z");
const state = (due: ShowState["due"] = []) => ({ due, timeZone: TIME_ZONE });

describe("what is due", () => {
  const due = [1_000, 2_000, 3_000].map((atMs) => ({ kind: "follow", cueId: `cue-${atMs}`, atMs }) as const);

  test("is fired from its time on, in its order, and not before", () => {
    const fired = (atMs: number) =>
      timerCommands(state(due), [], atMs - 20, atMs).map((command) =>
        command.kind === "due" ? command.due.cueId : command.cueId,
      );
    expect(fired(999)).toEqual([]);
    expect(fired(1_000)).toEqual(["cue-1000"]);
    expect(fired(2_500)).toEqual(["cue-1000", "cue-2000"]);
  });
});

describe("cues with a time of day", () => {
  const prepareCues = () => readyCues(bench, [strap("Noor"), at("19:30:00"), at("19:30:01")]);

  test("are fired once, by the clocks of the venue, whatever moment the looks fall on", () => {
    const cues = prepareCues();
    for (const everyMs of [20, 333, 999, 5_000])
      for (const offMs of [0, 7, 981]) {
        const fired: unknown[] = [];
        let sinceMs = HALF_PAST_SEVEN - 10_000 + offMs;
        for (let atMs = sinceMs; atMs < HALF_PAST_SEVEN + 10_000; atMs += everyMs) {
          fired.push(...timerCommands(state(), cues, sinceMs, atMs));
          sinceMs = atMs;
        }
        expect(fired).toEqual([
          { kind: "timed", cueId: "cue-2", atMs: HALF_PAST_SEVEN },
          { kind: "timed", cueId: "cue-3", atMs: HALF_PAST_SEVEN + 1_000 },
        ]);
      }
  });

  test("are fired with their own time after a machine that slept, so that what is too late is held", () => {
    const woken = timerCommands(state(), prepareCues(), HALF_PAST_SEVEN - 1, HALF_PAST_SEVEN + 3_600_000);
    expect(woken.map((command) => command.kind === "timed" && command.atMs - HALF_PAST_SEVEN)).toEqual([
      0, 1_000,
    ]);
  });
});
