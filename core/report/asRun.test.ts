import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { DESK, OPENING, page, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { STARTER_PLAN } from "../../test-support/designs.ts";
import { mulberry } from "../../test-support/random.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf, valuesAt } from "../rundown/steps.ts";
import type { Slot, SlotPage } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import { type AsRun, AsRunBook } from "./asRun.ts";

const bench = prepareBench();
const with_ = (doc: CueDoc, more: Partial<CueDoc>): CueDoc => ({ ...doc, ...more }) as CueDoc;
const BARE_PLAN: ScreenPlan = {
  id: "bare",
  name: "Bare",
  outputs: {
    wall: { outfitId: "full", layerIds: ["words"] },
    porch: { outfitId: "full", layerIds: ["titles"] },
  },
};

const bookOf = (show: Clocked): AsRunBook => {
  const book = new AsRunBook();
  for (const logged of [OPENING, ...show.logged]) book.hear(logged);
  return book;
};
const read = (show: Clocked): AsRun =>
  bookOf(show).read((hash) => show.cues.find((cue) => cue.hash === hash)?.content, show.atMs);
const told = (show: Clocked) =>
  read(show).shown.map(({ page: { cueId, step }, outputIds, fromMs, untilMs, began, ended }) => [
    `${cueId} ${step.occurrence} ${step.unit}`,
    outputIds.join(),
    fromMs,
    untilMs,
    began.kind,
    ended?.kind ?? null,
  ]);

describe("what was on which screen", () => {
  test("a page that is taken, stays its time, is covered and seen again, each part with what began and ended it", () => {
    const show = new Clocked(
      readyCues(bench, [strap("Ilse", "", 8_000), page("title", { title: "Evening" })]),
    );
    show.take(0);
    show.wait(10_000);
    show.take(1);
    show.wait(1_000);
    show.press({ kind: "shut", id: "s", outputIds: ["stream"], picture: "black" });
    show.wait(1_000);
    show.press({ kind: "shut", id: "o", outputIds: ["stream"], picture: null });
    show.wait(1_000);
    show.press({ kind: "clear", id: "c", how: "animated" });
    expect(told(show)).toEqual([
      ["cue-1 page 0", "wall,stream", 10_000, 18_000, "taken", "stay"],
      ["cue-2 page 0", "wall", 20_000, 23_000, "taken", "cleared"],
      ["cue-2 page 0", "stream", 20_000, 21_000, "taken", "shut"],
      ["cue-2 page 0", "stream", 22_000, 23_000, "shut", "cleared"],
    ]);
    expect(read(show).shown[0]).toMatchObject({ began: { by: DESK, seq: 2 }, ended: { by: null } });
  });

  test("what stays has no end yet; an outfit that has nothing for it shows nothing of it; another plan takes it off and on", () => {
    const show = new Clocked(readyCues(bench, [strap("Ilse")]));
    show.plans = [BARE_PLAN];
    show.take(0);
    show.wait(1_000);
    show.press({ kind: "switchPlan", id: "p", planId: "bare", builtOn: show.state.airRevision });
    show.wait(1_000);
    show.press({ kind: "switchPlan", id: "q", planId: "evening", builtOn: show.state.airRevision });
    expect(told(show)).toEqual([
      ["cue-1 page 0", "wall,stream", 10_000, 11_000, "taken", "planSwitched"],
      ["cue-1 page 0", "porch", 11_000, 12_000, "planSwitched", "planSwitched"],
      ["cue-1 page 0", "wall,stream", 12_000, null, "planSwitched", null],
    ]);
  });

  test("the line’s visits hold what was planned when it came, whatever is planned since", () => {
    const show = new Clocked(
      readyCues(bench, [
        with_(page("title", { title: "Evening" }), { plannedMs: 60_000 }),
        with_(strap("Ilse"), { plannedMs: 5_000 }),
        strap("Noor"),
      ]),
    );
    show.evening = { day: "1970-01-01", startsAt: "00:01", endsAt: "" };
    show.take(0);
    show.wait(50_000);
    show.take(1);
    show.cues = show.cues.map((cue) => ({ ...cue, doc: { ...cue.doc, plannedMs: 1 } }));
    show.wait(5_000);
    show.undo();
    show.wait(1_000);
    show.press({ kind: "beginAnew", id: "b" });
    expect(read(show).visits).toMatchObject([
      { cueId: "cue-1", fromMs: 10_000, untilMs: 60_000, planned: { atMs: 60_000, lengthMs: 60_000 } },
      { cueId: "cue-2", fromMs: 60_000, untilMs: 65_000, planned: { atMs: 120_000, lengthMs: 5_000 } },
      { cueId: "cue-1", fromMs: 65_000, untilMs: 66_000, planned: null, began: { kind: "undone" } },
    ]);
  });

  test("an event that could not be read is left out; a log that does not begin is no log", () => {
    const show = new Clocked(readyCues(bench, [strap("Ilse"), strap("Noor")]));
    show.take(0);
    show.wait(1_000);
    show.take(1);
    const book = new AsRunBook();
    for (const logged of [OPENING, ...show.logged.slice(1)]) book.hear(logged);
    expect(book.read(() => undefined, show.atMs).shown.map(({ page: { cueId } }) => cueId)).toEqual([
      "cue-2",
    ]);
    expect(() => new AsRunBook().hear(show.logged[0] as never)).toThrow(/begins with/);
  });
});

/** What a screen showed at a time, read from the state as it was then. */
function seenAt(state: ShowState, outputId: string, atMs: number, cues: readonly ReadyCue[]): string[] {
  const { planBefore } = state;
  const plan = planBefore && atMs < planBefore.untilMs ? planBefore.plan : state.plan;
  const own = plan.outputs[outputId];
  const shutter = state.shutters[outputId];
  const isShut = shutter && shutter.sinceMs <= atMs && (shutter.untilMs === null || shutter.untilMs > atMs);
  if (!own || isShut || state.tests[outputId]) return [];
  const pageOf = (slot: Slot): SlotPage | null => {
    const moment = slot.findLast(({ startAtMs }) => startAtMs <= atMs);
    return moment && (moment.endsAtMs === null || moment.endsAtMs > atMs) ? moment.page : null;
  };
  return own.layerIds.flatMap((layerId) => {
    const slot = state.overrides[layerId]?.[outputId] ?? state.slots[layerId] ?? [];
    const there = pageOf(slot);
    const content = there && cues.find(({ hash }) => hash === there.content)?.content;
    if (!there || !content || !valuesAt(content, own.outfitId, there.step)) return [];
    return [`${layerId} ${there.cueId} ${there.step.occurrence} ${there.step.unit}`];
  });
}

describe("against the states as they were recorded", () => {
  for (const seed of [1_805, 1_806])
    test(`seed ${seed}: two hours of takes, asides, clears, undo, black, test pictures, plans, stays, delays and repeats`, () => {
      const cues = readyCues(bench, [
        song("[V1]\na\nb\nc\nd\n\n[C]\ne\nf\n", { full: 2, band: 1 }),
        with_(strap("Ilse", "", 8_000), { delayMs: 1_500 }),
        with_(strap("Noor"), { only: ["wall"] }),
        with_(page("title", { title: "Evening" }), { repeatMs: 40_000, stayMs: 15_000 }),
        with_(page("corner", { mark: "Quay" }), { start: { kind: "with" } }),
        page("crawl", { items: "Last ferry 22:40" }),
      ]);
      const show = new Clocked(cues);
      show.isChecked = false;
      show.plans = [BARE_PLAN];
      const random = mulberry(seed);
      const pick = (count: number) => Math.floor(random() * count);
      const recorded: { atMs: number; state: ShowState }[] = [];
      const layers = [...new Set(cues.map(({ content }) => content.layerId))];
      while (show.atMs < 7_200_000) {
        const id = `${show.atMs}`;
        const screens = [["wall"], ["stream"], ["wall", "stream"]][pick(3)] as string[];
        const what = pick(14);
        if (what < 6) {
          const index = pick(cues.length);
          show.take(index, pick(stepsOf((cues[index] as ReadyCue).content).length));
        } else if (what === 6) show.press({ kind: "clear", id, how: "animated" });
        else if (what === 7) show.press({ kind: "clearEverything", id, how: "cut" });
        else if (what === 8)
          show.press({ kind: "shut", id, outputIds: screens, picture: pick(3) ? null : "black" });
        else if (what === 9)
          show.press({ kind: "test", id, outputIds: screens, picture: pick(3) ? null : "bars" });
        else if (what === 10)
          show.press({
            kind: "switchPlan",
            id,
            planId: pick(2) ? "bare" : STARTER_PLAN.id,
            builtOn: show.state.airRevision,
          });
        else if (what === 11)
          show.press({
            kind: "out",
            id,
            layerId: layers[pick(layers.length)] as string,
            how: "animated",
            outputIds: pick(2) ? screens : null,
          });
        else show.undo();
        // More than one state is recorded while nothing is pressed: what leaves by itself leaves.
        for (let looks = 1 + pick(4); looks > 0; looks--) {
          show.wait(200 + pick(9_000), 500);
          recorded.push({ atMs: show.atMs, state: show.state });
        }
        show.wait(1);
      }
      const { shown } = read(show);
      let there = 0;
      for (const { atMs, state } of recorded)
        for (const outputId of ["wall", "stream", "porch"]) {
          const said = shown
            .filter(
              ({ outputIds, fromMs, untilMs }) =>
                outputIds.includes(outputId) && fromMs <= atMs && (untilMs === null || untilMs > atMs),
            )
            .map(
              ({ layerId, page: { cueId, step } }) => `${layerId} ${cueId} ${step.occurrence} ${step.unit}`,
            );
          const seen = seenAt(state, outputId, atMs, cues);
          there += seen.length;
          expect([atMs, outputId, said.toSorted()]).toEqual([atMs, outputId, seen.toSorted()]);
        }
      expect(recorded.length).toBeGreaterThan(1_000);
      expect(there).toBeGreaterThan(1_000);
      // No two of one layer lie over each other on a screen.
      for (const outputId of ["wall", "stream", "porch"])
        for (const layerId of layers) {
          const own = shown.filter((each) => each.layerId === layerId && each.outputIds.includes(outputId));
          for (const [index, { fromMs }] of own.entries()) {
            const before = own[index - 1];
            if (before) expect(before.untilMs).toBeLessThanOrEqual(fromMs);
          }
        }
    });
});
