import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { describe, expect, test } from "vitest";
import { stepsOf } from "../../core/rundown/steps.ts";
import type { LoggedEvent } from "../../core/show/events.ts";
import { evolve } from "../../core/show/evolve.ts";
import { contentsOf } from "../../core/show/state.ts";
import { eventually } from "../../test-support/eventually.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";
import { pinnedBy } from "../store/pinnedBy.ts";

const DESK = { kind: "desk", id: "desk-under-test", name: "Balcony" } as const;
const DAY_MS = 24 * 60 * 60 * 1_000;
const fresh = () => join(mkdtempSync(join(tmpdir(), "vesko-report-")), "show.db");
const ALL = { fromMs: 0, untilMs: 8_000_000_000_000 };

let id = 0;
async function take({ services: { host, rundown } }: OpenShow, cueId: string, step = 0): Promise<void> {
  const cue = rundown.ready().find((each) => each.cueId === cueId);
  const anchor = cue && stepsOf(cue.content)[step]?.anchor;
  if (!cue || !anchor) throw new Error(`There is no step ${step} of ${cueId}`);
  const target = { cueId, content: cue.hash, step: anchor };
  const answer = await host.submit(
    { kind: "take", id: `take-to-report-${id++}`, how: "cut", builtOn: host.state.airRevision, target },
    DESK,
  );
  expect(answer.refused).toBeNull();
}
const idOf = ({ services: { rundown } }: OpenShow, title: string): string => {
  const found = rundown.ready().find(({ content }) => content.title === title);
  if (!found) throw new Error(`There is no cue “${title}”`);
  return found.cueId;
};

describe("what was shown", () => {
  test("a cue that was deleted since, a song that was renamed, a screen that is gone: all are in the report as they were", async () => {
    const show = await openShow(":memory:");
    const { rundown, reports, editScreens, screens } = show.services;
    const guest = idOf(show, "Ilse Tarrow");
    await take(show, guest);
    await rundown.edit("person-under-test", { kind: "deleteCue", cueId: guest }, 0);
    const song = idOf(show, "Carry the Lamp Down");
    await take(show, song);
    const view = rundown.views().find(({ cueId }) => cueId === song);
    if (view?.doc.kind !== "song") throw new Error("no song");
    const doc = { ...view.doc, title: "Carry the Lantern Down" };
    await rundown.edit(
      "person-under-test",
      { kind: "changeCue", cueId: song, doc, baseRevision: view.revision },
      0,
    );
    await take(show, song, 1);
    const porch = screens.outputs.find(({ name }) => name === "Porch");
    if (!porch) throw new Error("no porch");
    expect(await editScreens({ kind: "removeOutput", outputId: porch.id })).toBeUndefined();
    const { shown, cues } = await reports.read(ALL);
    expect(shown.map(({ title }) => title)).toEqual(
      expect.arrayContaining(["Ilse Tarrow", "Carry the Lamp Down", "Carry the Lantern Down"]),
    );
    expect(shown.find(({ title }) => title === "Carry the Lamp Down")?.screens).toContain("Porch");
    expect(cues.map(({ title }) => title)).toEqual(["Ilse Tarrow", "Carry the Lamp Down"]);
    // Another evening is open by now: the report is of the one that was shown.
    await show.services.editEvenings({
      kind: "create",
      fields: { name: "Another evening", day: "", startsAt: "", endsAt: "" },
    });
    const listed = (await show.services.evenings.list()).find(({ name }) => name === "Another evening");
    expect(await show.services.editEvenings({ kind: "open", eveningId: listed?.id ?? "" })).toBeUndefined();
    expect(show.services.evenings.open.name).toBe("Another evening");
    expect((await reports.read(ALL)).evening).toBe("Lantern Evening");
    const songs = await reports.songs(ALL);
    expect(songs).toMatchObject([
      { title: "Carry the Lantern Down", credits: { number: "Q-0017" }, times: 1, missing: [] },
    ]);
    expect(songs[0]?.otherTitles).toEqual(["Carry the Lamp Down"]);
    await show.close();
  });

  test("the state of a past instant is the one that the air had, event by event", async () => {
    const show = await openShow(":memory:");
    const { host, reports, contents } = show.services;
    const recorded: { atMs: number; slots: unknown }[] = [];
    host.onEvent((logged, state) => recorded.push({ atMs: logged.atMs, slots: state.slots }));
    for (const title of ["Night harbour", "Lantern Evening", "Ilse Tarrow", "Carry the Lamp Down"])
      await take(show, idOf(show, title));
    const instants = new Map(recorded.map(({ atMs, slots }) => [Math.round(atMs), slots]));
    for (const [atMs, slots] of instants) {
      const past = await reports.stateAt(atMs);
      expect(past?.state.slots).toEqual(slots);
      // All that it is drawn with comes along.
      const { state, documents = {} } = past ?? {};
      if (!state) throw new Error("no state");
      for (const hash of [...contentsOf(state)].flatMap((each) => [each, ...pinnedBy(contents.find(each))]))
        expect(documents[hash]).toEqual(contents.find(hash));
    }
    expect(await reports.stateAt(1)).toBeUndefined();
    await show.close();
  });

  test("notes are added beside the log and never change it; the log begins in the middle once its beginning was let go", async () => {
    const file = fresh();
    let show = await openShow(file);
    await take(show, idOf(show, "Ilse Tarrow"));
    const [line] = (await show.services.reports.read(ALL)).shown;
    const note = { seq: line?.seq ?? 0, atMs: 5, by: "Desk 1", words: "It was Brisa." };
    await show.services.reportNotes.addNote(note);
    await take(show, idOf(show, "Lantern Evening"));
    await show.close();
    show = await openShow(file);
    const report = await show.services.reports.read(ALL);
    expect(report.notes).toEqual([note]);
    expect(report.shown[0]).toEqual({ ...line, untilMs: report.shown[0]?.untilMs });
    await show.db
      .deleteFrom("air_event")
      .where("seq", "<=", line?.seq ?? 0)
      .execute();
    const later = await show.services.reports.read(ALL);
    expect(later.shown.map(({ title }) => title)).toEqual(["Lantern Evening"]);
    await show.close();
  });

  test("songs of an evening that was let go of the log are in the report for good, and counted once", async () => {
    const file = fresh();
    let show = await openShow(file);
    const [early, late] = [idOf(show, "Carry the Lamp Down"), idOf(show, "Nine Bells, No Wind")];
    for (let at = 0; at < 160; at++) await take(show, early, at % 2);
    const { host } = show.services;
    await host.submit({ kind: "clearEverything", id: "clear-in-the-end", how: "cut" }, DESK);
    await host.submit({ kind: "beginAnew", id: "begin-again" }, DESK);
    const { seq } = host.state;
    for (let at = 0; at < 160; at++) await take(show, late, at % 2);
    await show.close();
    // The first evening was long ago.
    const database = new SQLite(file);
    const back = database.prepare("update air_event set at_ms = ?, event = ? where seq = ?");
    for (const { seq: own, at_ms, event } of database
      .prepare("select seq, at_ms, event from air_event where seq < ?")
      .all(seq) as { seq: number; at_ms: number; event: string }[])
      back.run(
        at_ms - 400 * DAY_MS,
        event.replace(
          /"(\w*AtMs)":(\d[\d.]*)/g,
          (_, name, atMs) => `"${name}":${Number(atMs) - 400 * DAY_MS}`,
        ),
        own,
      );
    database.close();
    show = await openShow(file);
    const { reports, compaction } = show.services;
    const lately = { fromMs: Date.now() - DAY_MS, untilMs: ALL.untilMs };
    const told = await reports.songs(ALL);
    expect(told).toMatchObject([
      { title: "Carry the Lamp Down", times: 1 },
      { title: "Nine Bells, No Wind", times: 1 },
    ]);
    expect((await compaction.run()).events).toBeGreaterThan(150);
    const whole = (songs: typeof told) =>
      songs.map(({ title, credits, times, screens, missing, firstMs }) => ({
        ...{ title, credits, times, screens: screens.toSorted(), missing, firstMs },
      }));
    expect(whole(await reports.songs(ALL))).toEqual(whole(told));
    expect((await reports.songs(lately)).map(({ title }) => title)).toEqual(["Nine Bells, No Wind"]);
    const before = { fromMs: 0, untilMs: lately.fromMs };
    expect((await reports.songs(before)).map(({ title }) => title)).toEqual(["Carry the Lamp Down"]);
    // Whatever is let go later counts nothing twice.
    await reports.keepSongs(lately.fromMs);
    await reports.keepSongs(lately.fromMs);
    expect(whole(await reports.songs(ALL))).toEqual(whole(told));
    await show.close();
  }, 60_000);

  test("a clock that was set back in mid-evening leaves every line with an end after its beginning", async () => {
    const show = await openShow(":memory:");
    const { db } = show;
    const { reports } = show.services;
    for (const title of ["Lantern Evening", "Carry the Lamp Down", "Psalm 107:23-30", "Harbour Kind"]) {
      const found = show.services.rundown
        .ready()
        .find(({ content }) => content.title.startsWith(title.slice(0, 9)));
      if (found) await take(show, found.cueId);
    }
    // As an older version wrote them down, before the show had a clock of its own: an hour back from the third take on.
    const rows = await db.selectFrom("air_event").selectAll().orderBy("seq").execute();
    for (const { seq, at_ms, event } of rows.slice(-2)) {
      const doc = JSON.parse(event) as { startAtMs: number };
      const back = JSON.stringify({ ...doc, startAtMs: doc.startAtMs - 3_600_000 });
      await db
        .updateTable("air_event")
        .set({ at_ms: at_ms - 3_600_000, event: back })
        .where("seq", "=", seq)
        .execute();
    }
    const { shown } = await reports.read(ALL);
    expect(shown.length).toBeGreaterThan(1);
    for (const { fromMs, untilMs } of shown)
      expect(untilMs ?? Number.POSITIVE_INFINITY).toBeGreaterThanOrEqual(fromMs);
    await show.close();
  });

  test("what went on beside the air: a refused press, a screen that misses frames, written down by the time the server ends", async () => {
    const file = fresh();
    let show = await openShow(file);
    const { deskToken } = show.services.links;
    const output = show.services.screens.outputs[0]?.id ?? "";
    const [desk, wall] = [new TestWindow(show.port), new TestWindow(show.port)];
    await desk.join(deskToken);
    await wall.join(show.services.links.tokenOfOutput(output));
    const ghost = {
      cueId: "not-there-any-more",
      content: "0".repeat(64),
      step: { occurrence: "page", unit: 0 },
    };
    desk.send({
      kind: "command",
      command: { kind: "take", id: "refused-take", how: "cut", builtOn: 0, target: ghost },
    });
    await desk.until("answer");
    wall.send({
      ...{
        kind: "painted",
        seq: 1,
        atMs: 0,
        frames: 60,
        missed: 7,
        slowestMs: 90,
        coldPaints: 0,
        plateBytes: 0,
      },
      ...{
        widthPx: 10,
        heightPx: 10,
        clock: null,
        isHidden: false,
        sound: "off",
        hasGpu: null,
        screenHz: null,
        perSecond: 60,
        isSecure: true,
      },
    });
    await eventually(() => expect(show.services.live.screens()[0]?.windows[0]?.painted?.missed).toBe(7));
    for (const { socket } of [desk, wall]) socket.close();
    await show.close();
    show = await openShow(file);
    // Of a time before the server wrote it down, nothing is said.
    expect((await show.services.reports.read(ALL)).hasBeside).toBe(false);
    const { beside, hasBeside } = await show.services.reports.read({ ...ALL, fromMs: Date.now() });
    expect(hasBeside).toBe(true);
    expect(beside).toEqual([]);
    const written = (await show.services.reports.read(ALL)).beside;
    expect(written.map(({ kind, amount }) => [kind, amount])).toEqual(
      expect.arrayContaining([
        ["refused", null],
        ["missed", 7],
      ]),
    );
    await show.close();
  });

  test("lengths of earlier evenings are known by song and title, the run that goes on apart", async () => {
    const show = await openShow(":memory:");
    const { reports, rundown, host } = show.services;
    const evening = idOf(show, "Lantern Evening");
    await take(show, evening);
    await take(show, idOf(show, "Carry the Lamp Down"));
    expect(await reports.pastLengths(rundown.ready())).toEqual([]);
    // All of it was a day ago, a minute apart.
    const rows = await show.db.selectFrom("air_event").selectAll().orderBy("seq").execute();
    for (const [at, { seq, event }] of rows.entries()) {
      const atMs = Math.round(host.state.timeZone ? Date.now() - DAY_MS + at * 60_000 : 0);
      const doc = JSON.parse(event) as { startAtMs?: number };
      const moved = JSON.stringify(doc.startAtMs === undefined ? doc : { ...doc, startAtMs: atMs });
      await show.db
        .updateTable("air_event")
        .set({ at_ms: atMs, event: moved })
        .where("seq", "=", seq)
        .execute();
    }
    expect(await reports.pastLengths(rundown.ready())).toMatchObject([
      { cueId: evening, past: { times: 1, medianMs: expect.any(Number) } },
    ]);
    await show.close();
  });

  test("a log of four hours with 20 000 events is read, and what it says is as long as it", async () => {
    const show = await openShow(":memory:");
    const { host, rundown, reports, airLog } = show.services;
    const cues = rundown.ready().filter(({ content }) => content.layerId !== "");
    let state = host.state;
    const beganMs = Math.round(Date.now() - 4 * 3_600_000);
    for (let at = 0; at < 20_000; at += 500) {
      const events: LoggedEvent[] = [];
      for (let i = at; i < at + 500; i++) {
        const cue = cues[i % cues.length];
        const anchor = cue && stepsOf(cue.content)[0]?.anchor;
        if (!cue || !anchor) throw new Error("no cue");
        const target = { cueId: cue.cueId, content: cue.hash, step: anchor };
        const atMs = beganMs + i * 720;
        const logged: LoggedEvent = {
          ...{ seq: state.seq + 1, atMs, actor: DESK, actId: `act-${i}` },
          event: {
            ...{
              kind: "taken",
              takeId: `take-${i}`,
              target,
              cueIndex: cue.index,
              words: null,
              line: "moves",
            },
            ...{ layerId: cue.content.layerId, page: target, outputIds: null, how: "cut", startAtMs: atMs },
            ...{ endsAtMs: null, lastsMs: 0, effectMs: null },
          },
        };
        state = evolve(state, logged);
        events.push(logged);
      }
      await airLog.append(
        events,
        cues.map(({ hash }) => hash),
        state,
      );
    }
    const runs = await reports.runs();
    expect(runs[0]?.takes).toBe(20_000);
    const report = await reports.read(ALL);
    expect(report.shown.length).toBeGreaterThan(15_000);
    expect(report.cues.length).toBeGreaterThan(15_000);
    await show.close();
  }, 300_000);
});
