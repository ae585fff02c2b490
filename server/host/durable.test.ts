import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { sql } from "kysely";
import { expect, test } from "vitest";
import { stepsOf } from "../../core/rundown/steps.ts";
import type { Command } from "../../core/show/commands.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";
import { openDatabase } from "../store/database.ts";

const DESK = { kind: "desk", id: "desk-under-test" } as const;
const fresh = () => join(mkdtempSync(join(tmpdir(), "vesko-durable-")), "show.db");

function takeOf({ services: { host, rundown } }: OpenShow, index: number, id: string): Command {
  const cue = rundown.ready()[index];
  const step = cue && stepsOf(cue.content)[0]?.anchor;
  if (!cue || !step) throw new Error(`There is no cue ${index}`);
  const target = { cueId: cue.cueId, content: cue.hash, step };
  return { kind: "take", id, how: "cut", builtOn: host.state.airRevision, target };
}

/** What another program finds in the file at this very moment. */
function eventsInFile(file: string): { readonly seq: number; readonly kind: string }[] {
  const reader = new SQLite(file, { readonly: true });
  const rows = reader
    .prepare("select seq, json_extract(event, '$.kind') kind from air_event order by seq")
    .all() as { seq: number; kind: string }[];
  reader.close();
  return rows;
}

test("what is told of the air is in the file by then: to listeners, to windows, and in the answer", async () => {
  const file = fresh();
  const show = await openShow(file);
  const { host, links } = show.services;
  const desk = new TestWindow(show.port);
  await desk.join(links.hereToken);
  await desk.until("welcome");
  const notWritten: string[] = [];
  const look = (when: string, seq: number) => {
    if (!eventsInFile(file).some((event) => event.seq === seq)) notWritten.push(`${when} ${seq}`);
  };
  host.onEvent((logged) => look("told", logged.seq));
  desk.socket.on("message", (data) => {
    const message = JSON.parse(String(data)) as { kind: string; logged?: { seq: number } };
    if (message.kind === "event" && message.logged) look("heard", message.logged.seq);
  });
  for (let i = 0; i < 6; i++) {
    const answer = await host.submit(takeOf(show, i, `durable-take-${i}`), DESK);
    expect(answer.refused).toBeNull();
    look("answered", host.state.seq);
  }
  await desk.until("event", ({ logged }) => logged.seq === host.state.seq);
  expect(notWritten).toEqual([]);
  desk.socket.close();
  await show.close();
});

test("while the disk takes its time nobody is told, and the air has not moved; a disk that fails for good moves nothing", async () => {
  const show = await openShow(":memory:");
  const { host, airLog } = show.services;
  const written = airLog.append.bind(airLog);
  let release = () => {};
  const isWriting = new Promise<void>((resolve) => {
    release = resolve;
  });
  airLog.append = async (...args) => {
    await isWriting;
    return written(...args);
  };
  const told: number[] = [];
  host.onEvent(({ seq }) => told.push(seq));
  const before = host.state;
  const answered = host.submit(takeOf(show, 0, "slow-disk-take"), DESK);
  await new Promise((resolve) => setImmediate(resolve));
  expect(told).toEqual([]);
  expect(host.state).toBe(before);
  release();
  expect((await answered).refused).toBeNull();
  expect(told).toEqual([host.state.seq]);

  const after = host.state;
  airLog.append = () => Promise.reject(new Error("not the disk's fault"));
  await expect(host.submit(takeOf(show, 1, "broken-log-take"), DESK)).rejects.toThrow("not the disk's fault");
  expect(host.state).toBe(after);
  expect(told).toHaveLength(1);
  airLog.append = written;
  await show.close();
});

test("each connection is durable: a log of its own, written through at each commit, with foreign keys on", async () => {
  const db = await openDatabase(fresh());
  const pragma = async (name: string) =>
    Object.values((await sql.raw(`pragma ${name}`).execute(db)).rows[0] as Record<string, unknown>)[0];
  expect(await pragma("journal_mode")).toBe("wal");
  // 2 is FULL: acknowledged means on the disk, after a power cut too.
  expect(await pragma("synchronous")).toBe(2);
  expect(await pragma("foreign_keys")).toBe(1);
  await expect(
    sql`insert into air_event (show_id, seq, at_ms, event) values ('no-such-show', 1, 0, '{}')`.execute(db),
  ).rejects.toThrow(/FOREIGN KEY/);
  await db.destroy();
});

test("an edit that was answered is in the file; one that could not be written is not in the rundown", async () => {
  const file = fresh();
  const show = await openShow(file);
  const { rundown } = show.services;
  const [view] = rundown.views();
  if (!view) throw new Error("There is no cue");
  const edit = { kind: "changeCue", cueId: view.cueId, doc: { ...view.doc, note: "kept" } } as const;
  const outcome = await rundown.edit("person-under-test", { ...edit, baseRevision: view.revision }, 1);
  expect(outcome.kind).toBe("saved");
  const reader = new SQLite(file, { readonly: true });
  const { doc } = reader.prepare("select doc from cue where id = ?").get(view.cueId) as { doc: string };
  reader.close();
  expect(JSON.parse(doc)).toMatchObject({ note: "kept" });
  await sql`create trigger no_more before update on cue begin select raise(abort, 'no more'); end`.execute(
    show.db,
  );
  const now = rundown.views()[0];
  await expect(
    rundown.edit(
      "person-under-test",
      { ...edit, doc: { ...view.doc, note: "lost" }, baseRevision: now?.revision ?? 0 },
      2,
    ),
  ).rejects.toThrow(/no more/);
  expect(rundown.views()[0]?.doc.note).toBe("kept");
  await show.close();
});
