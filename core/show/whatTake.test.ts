import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { DESK, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import { type CueDoc, pageCue } from "../rundown/cueDoc.ts";
import { findNext } from "./next.ts";
import { forecastTake } from "./whatTake.ts";

const bench = prepareBench();

function forecast(clocked: Clocked) {
  const next = findNext(clocked.state, clocked.cues);
  if (!next || DESK.kind !== "desk") throw new Error("nothing is next");
  return forecastTake(
    clocked.state,
    next,
    clocked.cues,
    [STARTER_PLAN, ...clocked.plans],
    DESK.id,
    clocked.atMs,
  );
}

describe("what a take would do", () => {
  test("is what it then does: what comes and where, what goes, what follows", () => {
    const clocked = new Clocked(
      readyCues(bench, [
        strap("Ilse"),
        { ...strap("Noor"), only: ["stream"] } as CueDoc,
        { ...strap("Brisa"), start: { kind: "after", ms: 2_000 } } as CueDoc,
      ]),
    );
    expect(forecast(clocked)).toMatchObject({
      comes: [{ cueId: "cue-1", outputIds: ["wall", "stream"] }],
      goes: [],
      plan: null,
      follows: null,
    });
    clocked.take(0);
    expect(forecast(clocked)).toMatchObject({
      comes: [{ cueId: "cue-2", outputIds: ["stream"] }],
      goes: ["cue-1"],
      follows: { cueId: "cue-3", afterMs: 2_000 },
    });
    clocked.take(1);
    clocked.wait(2_100);
    expect(clocked.on("titles")).toBe("cue-3");
  });

  test("says that what comes leaves by itself, with its countdown or after its stay", () => {
    const countdown = pageCue({ fieldSet: "countdown", values: { to: "5 min" }, leavesAtZero: true });
    const clocked = new Clocked(readyCues(bench, [countdown, { ...countdown, stayMs: 8_000 } as CueDoc]));
    expect(forecast(clocked)).toMatchObject({ staysMs: null, leavesAtZero: true });
    clocked.take(0);
    expect(forecast(clocked)).toMatchObject({ staysMs: 8_000, leavesAtZero: false });
    expect(clocked.on("words")).toBe("cue-1");
    clocked.wait(301_500);
    expect(clocked.on("words")).toBeNull();
  });

  test("says that the line stays, and which plan comes along", () => {
    const clocked = new Clocked(
      readyCues(bench, [
        song("Nine bells\n\nno wind"),
        strap("Ilse"),
        { ...strap("Noor"), plan: { id: "other", otherwise: "switch" } } as CueDoc,
      ]),
    );
    clocked.plans = [{ ...STARTER_PLAN, id: "other", name: "Other" }];
    clocked.take(0);
    const [, ilse, noor] = clocked.cues;
    if (!ilse || !noor) throw new Error("no straps");
    const at = { occurrence: "page", unit: 0 };
    clocked.press({
      kind: "arm",
      id: "arm-the-strap",
      target: { cueId: ilse.cueId, content: ilse.hash, step: at },
    });
    expect(forecast(clocked)).toMatchObject({ isAside: true, plan: null });
    clocked.press({
      kind: "arm",
      id: "arm-the-other",
      target: { cueId: noor.cueId, content: noor.hash, step: at },
    });
    expect(forecast(clocked)?.plan?.name).toBe("Other");
  });
});
