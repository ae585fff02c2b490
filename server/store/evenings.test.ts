import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findNext } from "../../core/show/next.ts";
import { pageAt } from "../../core/show/slot.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-evenings-"));
const file = join(folder, "show.db");
let show: OpenShow;

beforeAll(async () => {
  show = await openShow(file);
});
afterAll(async () => {
  await show.close();
  rmSync(folder, { recursive: true });
});

const NEXT_WEEK = { name: "The week after", day: "2026-12-03", startsAt: "18:30", endsAt: "20:00" };
const idOf = async (name: string) => {
  const found = (await show.services.evenings.list()).find((evening) => evening.name === name);
  if (!found) throw new Error(`no evening is called ${name}`);
  return found.id;
};

describe("evenings", () => {
  test("one for another day has the cues once more; those of the day are empty; the first is as it was", async () => {
    const { evenings, editEvenings, rundown } = show.services;
    const first = evenings.open;
    const before = await evenings.cuesOf(first.id);
    const straps = before.filter(({ doc }) => doc.kind === "page" && doc.fieldSet === "name");
    expect(straps.length).toBeGreaterThan(2);
    const emptied = straps.map(({ cueId }) => cueId);
    expect(
      await editEvenings({ kind: "duplicate", eveningId: first.id, fields: NEXT_WEEK, emptied }),
    ).toBeUndefined();
    expect(await evenings.cuesOf(first.id)).toEqual(before);
    expect(rundown.views().map(({ cueId }) => cueId)).toEqual(before.map(({ cueId }) => cueId));
    const made = await evenings.cuesOf(await idOf(NEXT_WEEK.name));
    expect(made).toHaveLength(before.length);
    for (const [index, { cueId, doc }] of made.entries()) {
      const source = before[index];
      expect(cueId).not.toBe(source?.cueId);
      if (emptied.includes(source?.cueId ?? "")) expect(doc).toMatchObject({ values: {}, isOfTheDay: true });
      else expect(doc).toEqual(source?.doc);
    }
  });

  test("opening another changes the script on every desk, and leaves the air; it is open after a restart", async () => {
    const { evenings, editEvenings, rundown, host, links } = show.services;
    const firstId = evenings.open.id;
    const target = findNext(host.state, rundown.ready());
    if (!target) throw new Error("nothing is next");
    await host.submit(
      { kind: "take", id: "take-the-first-cue", target, how: "cut", builtOn: host.state.airRevision },
      { kind: "desk", id: "desk-of-the-test" },
    );
    const layerId =
      host.state.layers.find(({ id }) => pageAt(host.state.slots[id] ?? [], Infinity))?.id ?? "";
    const slot = host.state.slots[layerId];
    const desk = new TestWindow(show.port);
    await desk.join(links.deskToken);
    await desk.until("rundown");
    const wanted = await idOf(NEXT_WEEK.name);

    expect(await editEvenings({ kind: "open", eveningId: wanted })).toBeUndefined();
    const told = await desk.until("rundown", ({ evening }) => evening.id === wanted);
    expect(told.evening).toMatchObject({ id: wanted, ...NEXT_WEEK });
    const cues = await evenings.cuesOf(wanted);
    const latest = desk.heard.filter((message) => message.kind === "rundown").at(-1);
    expect(latest?.order).toEqual(cues.map(({ cueId }) => cueId));
    expect(host.state.slots[layerId]).toEqual(slot);
    expect(host.state.line.at).toBeNull();
    expect(host.state.cueTimes).toEqual({});
    const next = findNext(host.state, rundown.ready());
    expect(cues.map(({ cueId }) => cueId)).toContain(next?.cueId);
    expect(await editEvenings({ kind: "remove", eveningId: wanted })).toContain("open another first");

    // An edit belongs to the evening that is open, and so does what it takes back.
    const gone = cues[0]?.cueId ?? "";
    await rundown.edit("person-of-the-test", { kind: "deleteCue", cueId: gone }, 1);
    expect((await rundown.deleted()).map(({ cueId }) => cueId)).toEqual([gone]);
    desk.socket.close();
    await show.close();
    show = await openShow(file);
    const again = show.services;
    expect(again.evenings.open.id).toBe(wanted);
    expect(again.rundown.views()).toHaveLength(cues.length - 1);
    expect(again.host.state.slots[layerId]).toEqual(slot);
    await again.editEvenings({ kind: "open", eveningId: firstId });
    expect(await again.rundown.deleted()).toEqual([]);
    expect(await again.rundown.edit("person-of-the-test", { kind: "undo" }, 2)).toMatchObject({
      kind: "refused",
    });
    expect(again.rundown.views()).toHaveLength(cues.length);
  });

  test("one is deleted and put back; what is not there any more is told", async () => {
    const { evenings, editEvenings } = show.services;
    const eveningId = await idOf(NEXT_WEEK.name);
    expect(await editEvenings({ kind: "remove", eveningId })).toBeUndefined();
    expect((await evenings.list()).find(({ id }) => id === eveningId)?.isDeleted).toBe(true);
    expect(await editEvenings({ kind: "open", eveningId })).toContain("not here any more");
    expect(await editEvenings({ kind: "restore", eveningId })).toBeUndefined();
    expect((await evenings.list()).find(({ id }) => id === eveningId)?.isDeleted).toBe(false);
    for (const kind of ["open", "remove", "restore"] as const)
      expect(await editEvenings({ kind, eveningId: "evening-of-nobody" })).toContain("Nothing was changed");
  });

  test("another name and day of the open one are told to the desks", async () => {
    const { evenings, editEvenings, links } = show.services;
    const desk = new TestWindow(show.port);
    await desk.join(links.deskToken);
    await desk.until("rundown");
    const fields = { name: "Renamed", day: "", startsAt: "20:00", endsAt: "" };
    await editEvenings({ kind: "change", eveningId: evenings.open.id, fields });
    const told = await desk.until("rundown", ({ evening }) => evening.name === "Renamed");
    expect(told.evening).toMatchObject({ id: evenings.open.id, ...fields });
    desk.socket.close();
  });
});
