import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { describe, expect, test } from "vitest";
import { tellStory } from "../../core/report/airStory.ts";
import { lineOfRow } from "../../core/report/reportRow.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { contentsIn } from "../../core/show/events.ts";
import { contentsOf } from "../../core/show/state.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { pinnedBy } from "../store/pinnedBy.ts";

const DESK = { kind: "desk", id: "desk-under-test", name: "Balcony" } as const;
const DAY_MS = 24 * 60 * 60 * 1_000;
const fresh = () => join(mkdtempSync(join(tmpdir(), "vesko-compaction-")), "show.db");

let id = 0;
async function take({ services: { host, rundown } }: OpenShow, index: number): Promise<void> {
  const cues = rundown.ready();
  const cue = cues[index % cues.length];
  const step = cue && stepsOf(cue.content)[0]?.anchor;
  if (!cue || !step) throw new Error(`There is no cue ${index}`);
  const target = { cueId: cue.cueId, content: cue.hash, step };
  await host.submit(
    { kind: "take", id: `take-to-let-go-${id++}`, how: "cut", builtOn: host.state.airRevision, target },
    DESK,
  );
}

const count = (file: string, table: string): number => {
  const database = new SQLite(file, { readonly: true });
  const { n } = database.prepare(`select count(*) n from ${table}`).get() as { n: number };
  database.close();
  return n;
};

/** The story as the log tells it: rows of what was let go, then events. */
async function story({ services: { airLog, contents, show, screens } }: OpenShow) {
  const log = await airLog.latest(10_000);
  const known = await contents.read(log.flatMap(({ event }) => contentsIn(event)));
  const lines = tellStory(log, {
    findContent: (hash) => {
      const found = known.get(hash);
      return found?.kind === "page" ? found : undefined;
    },
    layerName: (layerId) => show.layers.find((layer) => layer.id === layerId)?.name ?? layerId,
    sourceName: (sourceId) => sourceId,
    outputName: (outputId) => screens.outputs.find((output) => output.id === outputId)?.name ?? outputId,
  });
  return [...(await airLog.latestRows(10_000)).map(lineOfRow), ...lines];
}

/** An evening of long ago, one of last week, and today's. */
async function threeEvenings(file: string): Promise<OpenShow> {
  const show = await openShow(file);
  const { host, rundown } = show.services;
  // Contents that only the oldest evening has.
  for (let i = 0; i < 30; i++) {
    const view = rundown.views().find(({ doc }) => doc.kind === "page" && doc.fieldSet === "name");
    if (view?.doc.kind !== "page") throw new Error("There is no name to change");
    const doc = { ...view.doc, values: { ...view.doc.values, name: `Guest ${i}` } };
    await rundown.edit(
      "person-under-test",
      { kind: "changeCue", cueId: view.cueId, doc, baseRevision: view.revision },
      i,
    );
    await take(
      show,
      rundown.ready().findIndex(({ cueId }) => cueId === view.cueId),
    );
  }
  for (let i = 0; i < 250; i++) await take(show, i);
  await host.submit({ kind: "beginAnew", id: "begin-last-week" }, DESK);
  const lastWeek = host.state.seq;
  for (let i = 0; i < 450; i++) await take(show, i);
  await host.submit({ kind: "beginAnew", id: "begin-today" }, DESK);
  const today = host.state.seq;
  for (let i = 0; i < 60; i++) await take(show, i);
  await show.close();
  const database = new SQLite(file);
  const now = Date.now();
  database.prepare("update air_event set at_ms = ? where seq < ?").run(now - 400 * DAY_MS, lastWeek);
  database
    .prepare("update air_event set at_ms = ? where seq >= ? and seq < ?")
    .run(now - 20 * DAY_MS, lastWeek, today);
  database.prepare("update content set created_at_ms = ?").run(now - 400 * DAY_MS);
  database.close();
  return openShow(file);
}

describe("what is old is let go", () => {
  test("events of long ago become lines, and what only they needed leaves; the air and the story are the same", async () => {
    const file = fresh();
    const show = await threeEvenings(file);
    const { compaction, host, airLog } = show.services;
    const told = await story(show);
    const before = { state: host.state, events: count(file, "air_event"), contents: count(file, "content") };
    const gone = await compaction.run();
    expect(gone.events).toBeGreaterThan(250);
    expect(gone.contents).toBeGreaterThanOrEqual(29);
    expect(count(file, "air_event")).toBe(before.events - gone.events);
    expect(count(file, "content")).toBe(before.contents - gone.contents);
    expect(count(file, "air_snapshot")).toBeLessThanOrEqual(2);
    expect(await story(show)).toEqual(told);
    // Twenty days are kept when a hundred and eighty are wanted.
    const [oldest] = await airLog.latest(10_000);
    expect(oldest?.atMs).toBeGreaterThan(Date.now() - 21 * DAY_MS);
    // Takes go on, with contents of now and of then.
    for (let i = 0; i < 5; i++) await take(show, i);
    await compaction.run();
    await show.close();

    const again = await openShow(file);
    expect(again.services.health.report().setAside).toEqual([]);
    expect(again.services.host.state.slots).toBeDefined();
    expect(again.services.host.state.seq).toBe(before.state.seq + 5);
    for (const hash of contentsOf(again.services.host.state))
      expect(again.services.contents.find(hash), hash).toBeDefined();
    // Everything that is left can still be drawn.
    const log = await again.services.airLog.latest(10_000);
    const hashes = log.flatMap(({ event }) => contentsIn(event));
    const known = await again.services.contents.read(hashes);
    for (const hash of hashes) {
      expect(known.has(hash), hash).toBe(true);
      for (const worn of pinnedBy(known.get(hash)))
        expect((await again.services.contents.read([worn])).has(worn), worn).toBe(true);
    }
    await again.close();
  }, 90_000);

  test("the venue says how long and how much: what is too large goes too, but nothing of the current evening", async () => {
    const file = fresh();
    const show = await threeEvenings(file);
    const { compaction, host, airLog, venue } = show.services;
    const today = (await airLog.latest(10_000)).filter(({ atMs }) => atMs > Date.now() - DAY_MS);
    await venue.save({ kept: { days: 3_650, mb: 10 } });
    expect((await compaction.run()).events).toBe(0);
    await venue.save({ kept: { days: 7, mb: 10 } });
    expect((await compaction.run()).events).toBeGreaterThan(390);
    const left = await airLog.latest(10_000);
    expect(left.slice(-today.length)).toEqual(today);
    expect(left[0]?.seq).toBeLessThanOrEqual(today[0]?.seq ?? 0);
    const { state } = host;
    await show.close();
    const again = await openShow(file);
    expect({ ...again.services.host.state, planBefore: null }).toEqual({ ...state, planBefore: null });
    await again.close();
  }, 90_000);

  test("by size alone: the oldest go, until what is kept in full is as small as wanted", async () => {
    const file = fresh();
    const show = await threeEvenings(file);
    const { airLog, compaction } = show.services;
    const all = await airLog.latest(10_000);
    const database = new SQLite(file, { readonly: true });
    const { bytes } = database.prepare("select sum(length(event)) bytes from air_event").get() as {
      bytes: number;
    };
    database.close();
    const wanted = Math.round(bytes * 0.6);
    expect(await airLog.lastBeyond(wanted)).toBeGreaterThan(100);
    expect(await airLog.lastBeyond(bytes)).toBe(0);
    expect(await airLog.lastBeyond(0)).toBe(all.at(-1)?.seq);
    await compaction.run();
    await show.close();
  }, 90_000);
});
