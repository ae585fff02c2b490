import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type CueDoc, pageCue } from "../../core/rundown/cueDoc.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { pageAt } from "../../core/show/slot.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { wearHouseStyle } from "./wearStyle.ts";

const ME = "person-under-test";
const DESK = { kind: "desk", id: "desk-under-test" } as const;
const name = (value: string, more: Partial<CueDoc> = {}): CueDoc =>
  ({ ...pageCue({ fieldSet: "name", values: { name: value, role: "" } }), ...more }) as CueDoc;

let show: OpenShow;
let outputs: string[];
beforeAll(async () => {
  show = await openShow(":memory:");
  outputs = show.services.screens.outputs.map(({ id }) => id);
});
afterAll(() => show.close());

let id = 0;
const revisionOf = (cueId: string) =>
  show.services.rundown.views().find((view) => view.cueId === cueId)?.revision ?? 0;
const add = (cueId: string, doc: CueDoc) =>
  show.services.rundown.edit(ME, { kind: "addCue", cueId, doc, afterId: null }, 1_000);
async function save(cueId: string, doc: CueDoc) {
  const { rundown, host } = show.services;
  await rundown.edit(ME, { kind: "changeCue", cueId, doc, baseRevision: revisionOf(cueId) }, 2_000 + id);
  // What a save brings stands in the host's queue before this.
  await host.tick();
}
async function take(cueId: string) {
  const { host, rundown } = show.services;
  const ready = rundown.ready().find((cue) => cue.cueId === cueId);
  const [first] = ready ? stepsOf(ready.content) : [];
  if (!ready || !first) throw new Error(`${cueId} cannot be taken`);
  const answer = await host.submit(
    {
      kind: "take",
      id: `take-of-a-cue-${id++}`,
      how: "cut",
      builtOn: host.state.airRevision,
      target: { cueId, content: ready.hash, step: first.anchor },
    },
    DESK,
  );
  expect(answer.refused).toBeNull();
}
/** The content that an output shows of the layer of names. */
function shownOn(outputId: string): { readonly hash: string; readonly name: string; readonly style: string } {
  const { host, contents } = show.services;
  const slot = host.state.overrides.titles?.[outputId] ?? host.state.slots.titles ?? [];
  const page = pageAt(slot, Number.MAX_SAFE_INTEGER);
  const document = page && contents.find(page.content);
  if (document?.kind !== "page") throw new Error(`Nothing is on ${outputId}`);
  const style = Object.values(document.wardrobe)[0]?.style ?? "";
  return { hash: page?.content ?? "", name: document.values.name ?? "", style };
}

describe("a cue whose saves go on air at once", () => {
  test("sends its own words and leaves the held edits of another on the same layer", async () => {
    const [one, two] = outputs as [string, string];
    await add("held-cue", name("Held"));
    await add("live-cue", name("Live", { isLive: true, only: [two] }));
    await take("held-cue");
    await take("live-cue");
    await save("held-cue", name("Held, edited"));
    expect(shownOn(one).name).toBe("Held");
    await save("live-cue", name("Live, edited", { isLive: true, only: [two] }));
    expect(shownOn(two).name).toBe("Live, edited");
    expect(shownOn(one).name).toBe("Held");
  });

  test("stays as it is when only the house style was changed", async () => {
    const [, two] = outputs as [string, string];
    const { rundown, host, designs, house } = show.services;
    const before = shownOn(two);
    const other = designs.list("style").find(({ id }) => id !== house.styleId);
    if (!other) throw new Error("There is one style only");
    expect(await wearHouseStyle(show.services, other.id, {}, ME)).not.toHaveProperty("problem");
    await host.tick();
    expect(rundown.ready().find(({ cueId }) => cueId === "live-cue")?.hash).not.toBe(before.hash);
    expect(shownOn(two)).toEqual(before);
    // Words that are saved now go, in the style that people see.
    await save("live-cue", name("In the old style", { isLive: true, only: [two] }));
    expect(shownOn(two)).toMatchObject({ name: "In the old style", style: before.style });
    // A hand sends the style as well.
    await host.submit({ kind: "send", id: "send-the-style", layerId: "titles" }, DESK);
    expect(shownOn(two).style).not.toBe(before.style);
  });

  test("an undo of its words goes on air, a move in the rundown does not", async () => {
    const [, two] = outputs as [string, string];
    const { rundown, host } = show.services;
    await save("live-cue", name("Mistyped", { isLive: true, only: [two] }));
    const seq = host.state.seq;
    await rundown.edit(ME, { kind: "moveCue", cueId: "live-cue", afterId: "held-cue" }, 90_000);
    await host.tick();
    expect(host.state.seq).toBe(seq);
    await rundown.edit(ME, { kind: "undo" }, 91_000);
    await rundown.edit(ME, { kind: "undo" }, 92_000);
    await host.tick();
    expect(shownOn(two).name).not.toBe("Mistyped");
  });
});
