import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { DESK, page, prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { type Trigger, triggerSchema } from "../triggers/trigger.ts";

const bench = prepareBench();
const CAM = "camera-1";
const OTHER = "camera-2";

const evening = (...docs: CueDoc[]) => new Clocked(readyCues(bench, docs));
const tied = (
  doc: CueDoc,
  sourceId: string,
  more: Partial<NonNullable<CueDoc["comesWith"]>> = {},
): CueDoc => ({
  ...doc,
  comesWith: { sourceId, delayMs: 0, stays: true, ...more },
});
const trigger = (id: string, more: Omit<Parameters<typeof triggerSchema.parse>[0] & object, "id">): Trigger =>
  triggerSchema.parse({ id, ...more });
const idOf = (clocked: Clocked, at: number) => (clocked.cues[at] as ReadyCue).cueId;
const whyHeld = (clocked: Clocked) =>
  clocked.logged.flatMap(({ event }) => (event.kind === "triggerHeld" ? [event.why] : []));

describe("what comes with a source", () => {
  test("comes when it comes to program, and leaves with it; the line stays", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), strap("Noor"));
    clocked.mixer([CAM]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    expect(clocked.state.line.at).toBeNull();
    clocked.mixer([OTHER]);
    expect(clocked.on("titles")).toBeNull();
    const [taken] = clocked.logged.filter(({ event }) => event.kind === "taken");
    expect(taken?.actor).toMatchObject({ kind: "trigger", name: "Ilse" });
    const told = clocked.logged.find(({ event }) => event.kind === "triggered")?.event;
    expect(told).toMatchObject({ why: `“${CAM}” comes to program` });
  });

  test("at a cut from one to the other the second takes the place of the first, and nothing is taken off between", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), tied(strap("Noor"), OTHER));
    clocked.mixer([CAM]);
    clocked.mixer([OTHER]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 1));
    expect(clocked.kinds).not.toContain("cleared");
  });

  test("what a hand has put there stays, and is not taken off", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), strap("Noor"));
    clocked.take(1);
    clocked.mixer([CAM]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 1));
    expect(whyHeld(clocked)).toEqual(["hand"]);
    clocked.mixer([]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 1));
  });

  test("a hand that takes the very same page has made it its own", () => {
    const clocked = evening(tied(strap("Ilse"), CAM));
    clocked.mixer([CAM]);
    clocked.take(0);
    clocked.mixer([]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
  });

  test("undo of a hand's take gives the page back to its source", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), strap("Noor"));
    clocked.mixer([CAM]);
    clocked.take(1);
    clocked.undo();
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    clocked.mixer([]);
    expect(clocked.on("titles")).toBeNull();
  });

  test("a layer that is held is left alone; let go, what was brought before stays the operator's to take off", () => {
    const clocked = evening(tied(strap("Ilse"), CAM));
    clocked.press({ kind: "keepLayer", id: "keep-titles", layerId: "titles", isHeld: true });
    clocked.mixer([CAM]);
    expect(clocked.on("titles")).toBeNull();
    expect(whyHeld(clocked)).toEqual(["layerHeld"]);
    clocked.press({ kind: "keepLayer", id: "free-titles", layerId: "titles", isHeld: false });
    clocked.mixer([]);
    clocked.mixer([CAM]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
  });

  test("stopped, nothing comes, what waits is forgotten, and what is there stays", () => {
    const clocked = evening(
      tied(strap("Ilse"), CAM),
      tied(page("crawl", { items: "Soup" }), OTHER, { delayMs: 3_000 }),
    );
    clocked.mixer([CAM, OTHER]);
    clocked.press({ kind: "stopTriggers", id: "stop-them-all", areStopped: true });
    clocked.wait(5_000, 100);
    clocked.mixer([]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    expect(clocked.on("ticker")).toBeNull();
    clocked.press({ kind: "out", id: "out-while-stopped", layerId: "titles", how: "cut" });
    clocked.mixer([CAM]);
    expect(clocked.on("titles")).toBeNull();
    clocked.mixer([]);
    clocked.press({ kind: "stopTriggers", id: "let-them-go", areStopped: false });
    clocked.mixer([OTHER]);
    clocked.wait(3_100, 100);
    expect(clocked.on("ticker")).toBe(idOf(clocked, 1));
  });

  test("what a hand has taken off while it was on its way does not come after all", () => {
    const clocked = evening(tied(strap("Ilse"), CAM, { delayMs: 2_000 }), strap("Noor"));
    clocked.take(1);
    clocked.mixer([CAM]);
    clocked.wait(1_000, 100);
    clocked.press({ kind: "out", id: "out-of-titles", layerId: "titles", how: "cut" });
    clocked.wait(2_000, 100);
    expect(clocked.on("titles")).toBeNull();
    expect(whyHeld(clocked)).toEqual(["hand"]);
  });

  test("told that it may, it takes the place of what a hand had put there before, and of nothing since", () => {
    const clocked = evening(strap("Ilse"), strap("Noor"));
    clocked.triggers = [
      trigger("over", {
        when: { kind: "source", sourceId: CAM },
        act: { kind: "take", cueId: idOf(clocked, 0) },
        delayMs: 1_000,
        mayReplaceHand: true,
      }),
    ];
    clocked.take(1);
    clocked.mixer([CAM]);
    clocked.wait(1_100, 100);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    clocked.mixer([]);
    clocked.mixer([CAM]);
    clocked.take(1);
    clocked.wait(1_100, 100);
    expect(clocked.on("titles")).toBe(idOf(clocked, 1));
  });

  test("what was on its way is forgotten when the source has left before", () => {
    const clocked = evening(tied(strap("Ilse"), CAM, { delayMs: 2_000 }));
    clocked.mixer([CAM]);
    expect(clocked.state.due).toHaveLength(1);
    clocked.mixer([OTHER]);
    expect(clocked.state.due).toEqual([]);
    clocked.wait(5_000, 100);
    expect(clocked.on("titles")).toBeNull();
  });

  test("found too late after a restart it is held, and told", () => {
    const clocked = evening(tied(strap("Ilse"), CAM, { delayMs: 2_000 }));
    clocked.mixer([CAM]);
    clocked.atMs += 10_000;
    clocked.wait(20);
    expect(clocked.on("titles")).toBeNull();
    expect(clocked.logged.at(-1)?.event).toMatchObject({ kind: "dueHeld", why: "late" });
  });

  test("a mixer that was away and comes back moves nothing", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), tied(strap("Noor"), OTHER));
    clocked.mixer([CAM]);
    clocked.mixer([OTHER], [], true);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    expect(clocked.state.sources.program).toEqual([OTHER]);
  });

  test("two at one source: the first comes, the key brings the other, and whoever is there leaves with it", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), tied(strap("Noor"), CAM));
    expect(clocked.press({ kind: "otherAtSource", id: "other-none-there" })).toBe("nobodyElse");
    clocked.mixer([CAM]);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    clocked.press({ kind: "otherAtSource", id: "other-first" });
    expect(clocked.on("titles")).toBe(idOf(clocked, 1));
    clocked.press({ kind: "otherAtSource", id: "other-second" });
    clocked.press({ kind: "otherAtSource", id: "other-third" });
    clocked.mixer([]);
    expect(clocked.on("titles")).toBeNull();
  });

  test("both straps come where they have places of their own", () => {
    const clocked = evening(tied(strap("Ilse"), CAM), tied(page("crawl", { items: "Soup" }), CAM));
    clocked.mixer([CAM]);
    expect([clocked.on("titles"), clocked.on("ticker")]).toEqual([idOf(clocked, 0), idOf(clocked, 1)]);
  });
});

describe("triggers of any kind", () => {
  test("each waits for its own, only while its conditions hold", () => {
    const clocked = evening(strap("Ilse"), page("crawl", { items: "Soup" }), page("title", { title: "Now" }));
    clocked.triggers = [
      trigger("message", {
        when: { kind: "message", address: "/vesko/soup", value: "1" },
        onlyWhile: [{ kind: "onAir", cueId: idOf(clocked, 0) }],
        act: { kind: "take", cueId: idOf(clocked, 1) },
        stay: { kind: "for", ms: 2_000 },
      }),
      trigger("after strap", {
        when: { kind: "cue", cueId: idOf(clocked, 1), does: "leaves" },
        act: { kind: "out", layerId: "titles" },
        mayReplaceHand: true,
      }),
    ];
    const say = (value: number) =>
      clocked.happen([{ kind: "message", address: "/vesko/soup", args: [value] }]);
    say(1);
    expect(clocked.on("ticker")).toBeNull();
    clocked.take(0);
    say(2);
    expect(clocked.on("ticker")).toBeNull();
    say(1);
    expect(clocked.on("ticker")).toBe(idOf(clocked, 1));
    clocked.wait(2_100, 20);
    expect(clocked.on("ticker")).toBeNull();
    // Its own stay has ended: that has set the other one off.
    expect(clocked.on("titles")).toBeNull();
  });

  test("a value passes its limit once, and back", () => {
    const clocked = evening(strap("Ilse"));
    clocked.triggers = [
      trigger("many lanterns", {
        when: {
          kind: "value",
          feedId: "lanterns",
          row: "Ropewalk",
          column: "lit",
          does: "rises",
          limit: 1_000,
        },
        act: { kind: "take", cueId: idOf(clocked, 0) },
        leavesWith: true,
      }),
    ];
    const value = (before: string | null, now: string) =>
      clocked.happen([{ kind: "value", feedId: "lanterns", row: "Ropewalk", column: "lit", before, now }]);
    value(null, "1200");
    expect(clocked.on("titles")).toBeNull();
    value("990", "999");
    expect(clocked.on("titles")).toBeNull();
    value("999", "1,004");
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    value("1,004", "#REF!");
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    value("1,004", "998");
    expect(clocked.on("titles")).toBeNull();
  });

  test.each([
    ["9", "12,5", "10", true],
    ["9", "12,5", "100", false],
    ["£ 990", "£ 1,204", "1000", true],
    ["990 lit", "1 004 lit", "1000", true],
    ["990", "Lane 1004", "1000", false],
    ["990", "n/a", "1000", false],
    ["-3 °C", "-1 °C", "-2", true],
  ])("a value as a stranger writes it: %s, then %s, limit %s", (before, now, limit, comes) => {
    const clocked = evening(strap("Ilse"));
    const when = { kind: "value", feedId: "any", column: "n", does: "rises", limit: Number(limit) };
    clocked.triggers = [trigger("many", { when, act: { kind: "take", cueId: idOf(clocked, 0) } })];
    clocked.happen([{ kind: "value", feedId: "any", row: "row", column: "n", before, now }]);
    expect(clocked.on("titles") !== null).toBe(comes);
  });

  test("a loop is broken and named", () => {
    const clocked = evening(strap("Ilse"), page("crawl", { items: "Soup" }));
    const swap = (id: string, when: number, take: number, out: string) => [
      trigger(`${id} brings`, {
        when: { kind: "cue", cueId: idOf(clocked, when) },
        act: { kind: "take", cueId: idOf(clocked, take) },
      }),
      trigger(`${id} takes off`, {
        when: { kind: "cue", cueId: idOf(clocked, take) },
        act: { kind: "out", layerId: out },
      }),
    ];
    clocked.triggers = [...swap("a", 0, 1, "titles"), ...swap("b", 1, 0, "ticker")].map((each) => ({
      ...each,
      mayReplaceHand: true,
    }));
    clocked.take(0);
    expect(whyHeld(clocked)).toContain("loop");
    expect(clocked.logged.length).toBeLessThan(60);
  });

  test("more than the venue's limit in a second is held", () => {
    const clocked = evening(strap("Ilse"));
    clocked.mostActsPerSecond = 3;
    clocked.triggers = [
      trigger("each", {
        when: { kind: "message", address: "/go" },
        act: { kind: "take", cueId: idOf(clocked, 0) },
      }),
    ];
    for (let i = 0; i < 5; i++) {
      clocked.happen([{ kind: "message", address: "/go", args: [] }]);
      clocked.wait(100);
    }
    expect(whyHeld(clocked)).toEqual(["tooMany", "tooMany"]);
    clocked.wait(1_000);
    clocked.happen([{ kind: "message", address: "/go", args: [] }]);
    expect(whyHeld(clocked)).toHaveLength(2);
  });

  test("a time of day comes once; long after it, when the clock was set, it is held", () => {
    const clocked = evening(strap("Ilse"));
    const at = new Date(clocked.atMs + 5_000);
    const time = at.toLocaleTimeString("en-GB", { timeZone: clocked.state.timeZone });
    clocked.triggers = [
      trigger("five", { when: { kind: "time", at: time }, act: { kind: "take", cueId: idOf(clocked, 0) } }),
    ];
    clocked.wait(4_000, 20);
    expect(clocked.on("titles")).toBeNull();
    clocked.wait(2_000, 20);
    expect(clocked.on("titles")).toBe(idOf(clocked, 0));
    const late = evening(strap("Ilse"));
    late.triggers = clocked.triggers;
    late.wait(3 * 3_600_000, 3 * 3_600_000);
    expect(late.on("titles")).toBeNull();
    expect(whyHeld(late)).toEqual(["late"]);
  });

  test("a countdown at zero, a pause put it off, and a countdown begins anew", () => {
    const clocked = evening(page("countdown", { to: "10 s", label: "Soon" }), strap("Ilse"));
    clocked.triggers = [
      trigger("zero", {
        when: { kind: "countdown", cueId: idOf(clocked, 0) },
        act: { kind: "take", cueId: idOf(clocked, 1) },
      }),
      trigger("again", {
        when: { kind: "message", address: "/again" },
        act: { kind: "countdown", cueId: idOf(clocked, 0) },
        mayReplaceHand: true,
      }),
    ];
    clocked.take(0);
    const layerId = (clocked.cues[0] as ReadyCue).content.layerId;
    clocked.wait(5_000);
    clocked.press({ kind: "pauseCountdown", id: "pause-it-now", layerId, isPaused: true });
    clocked.wait(20_000, 100);
    clocked.press({ kind: "pauseCountdown", id: "and-go-on-now", layerId, isPaused: false });
    clocked.wait(4_900);
    expect(clocked.on("titles")).toBeNull();
    clocked.happen([{ kind: "message", address: "/again", args: [] }]);
    expect(clocked.state.slots[layerId]?.at(-1)?.sinceMs).toBe(clocked.atMs);
    clocked.wait(9_900);
    expect(clocked.on("titles")).toBeNull();
    clocked.wait(200);
    expect(clocked.on("titles")).toBe(idOf(clocked, 1));
  });

  test("an arm that a hand has set is not taken away", () => {
    const clocked = evening(strap("Ilse"), strap("Noor"));
    clocked.triggers = [
      trigger("arm", {
        when: { kind: "source", sourceId: CAM },
        act: { kind: "arm", cueId: idOf(clocked, 1) },
      }),
    ];
    const { cueId, hash } = clocked.cues[0] as ReadyCue;
    const step = { occurrence: "page", unit: 0 };
    expect(
      clocked.press({ kind: "arm", id: "arm-by-hand", target: { cueId, content: hash, step } }, DESK),
    ).toBeNull();
    clocked.mixer([CAM]);
    expect(clocked.state.arm?.target.cueId).toBe(cueId);
    expect(whyHeld(clocked)).toEqual(["hand"]);
  });
});
