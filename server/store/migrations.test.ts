import SQLite from "better-sqlite3";
import { Kysely, SqliteDialect, sql } from "kysely";
import { expect, test } from "vitest";
import { cueDocSchema } from "../../core/rundown/cueDoc.ts";
import * as first from "./migrations/m0001_first.ts";
import * as words from "./migrations/m0002_words.ts";
import * as screens from "./migrations/m0003_screens.ts";
import * as venue from "./migrations/m0004_venue.ts";
import * as evenings from "./migrations/m0005_evenings.ts";
import * as ranks from "./migrations/m0010_ranks.ts";

test("songs of an older show keep their credit, in the rundown and in what can be undone", async () => {
  const db = new Kysely<unknown>({ dialect: new SqliteDialect({ database: new SQLite(":memory:") }) });
  await first.up(db);
  const old = {
    kind: "song",
    title: "Old",
    credit: "Words: Ilse Tarrow",
    text: "a lamp",
    lines: { full: 3 },
  };
  const reading = { kind: "reading", reference: "Ps 23", text: "web", numbers: true };
  const change = [
    { cueId: "cue-1", before: null, after: { rank: 1, doc: old }, revision: 1 },
    { cueId: "cue-2", before: { rank: 2, doc: reading }, after: null, revision: 0 },
  ];
  await sql`insert into content values (${"a".repeat(64)}, '{}', 0)`.execute(db);
  await sql`insert into show values ('s', 'Show', '', '[]', '{}', ${"a".repeat(64)}, 'UTC', 0)`.execute(db);
  await sql`insert into cue values ('cue-1', 's', 1, 1, ${JSON.stringify(old)})`.execute(db);
  await sql`insert into edit_log (show_id, at_ms, actor, label, change) values ('s', 0, 'p', 'Add', ${JSON.stringify(change)})`.execute(
    db,
  );
  await words.up(db);
  const [cue] = (await sql<{ doc: string }>`select doc from cue`.execute(db)).rows;
  const doc = cueDocSchema.parse(JSON.parse(cue?.doc ?? ""));
  expect(doc).toMatchObject({
    title: "Old",
    lines: { full: 3 },
    credits: { writers: "Words: Ilse Tarrow" },
    creditAt: "last",
  });
  const [edit] = (await sql<{ change: string }>`select change from edit_log`.execute(db)).rows;
  const rows = JSON.parse(edit?.change ?? "") as {
    before: { doc: unknown } | null;
    after: { doc: unknown } | null;
  }[];
  expect(cueDocSchema.parse(rows[0]?.after?.doc)).toEqual(doc);
  expect(cueDocSchema.parse(rows[1]?.before?.doc)).toMatchObject({ reference: "Ps 23", poetry: true });
  await db.destroy();
});

test("a show of before evenings has one, with its cues, its start and what can be undone", async () => {
  const db = new Kysely<unknown>({ dialect: new SqliteDialect({ database: new SQLite(":memory:") }) });
  for (const { up } of [first, words, screens, venue]) await up(db);
  const hash = "a".repeat(64);
  await sql`insert into content values (${hash}, '{}', 0)`.execute(db);
  await sql`insert into show (id, name, place, layers, plan, style_hash, time_zone, created_at_ms, starts_at)
    values ('s', 'Show', '', '[]', '{}', ${hash}, 'UTC', 7, '19:00')`.execute(db);
  await sql`insert into cue values ('cue-1', 's', 1, 1, '{}')`.execute(db);
  await sql`insert into edit_log (show_id, at_ms, actor, label, change) values ('s', 0, 'p', 'Add', '[]')`.execute(
    db,
  );
  await evenings.up(db);
  const rows = await sql`
    select evening.id, evening.name, evening.day, evening.starts_at, cue.id as cue, edit_log.actor
    from show join evening on evening.id = show.evening_id
    join cue on cue.evening_id = evening.id join edit_log on edit_log.evening_id = evening.id`.execute(db);
  expect(rows.rows).toEqual([
    { id: "evening-s", name: "Show", day: "", starts_at: "19:00", cue: "cue-1", actor: "p" },
  ]);
  await db.destroy();
});

test("cues of an older show keep their order, and what can be undone puts them back between the same neighbours", async () => {
  const db = new Kysely<unknown>({ dialect: new SqliteDialect({ database: new SQLite(":memory:") }) });
  for (const { up } of [first, words, screens, venue, evenings]) await up(db);
  const hash = "a".repeat(64);
  await sql`insert into content values (${hash}, '{}', 0)`.execute(db);
  await sql`insert into show (id, name, place, layers, plan, style_hash, time_zone, created_at_ms, evening_id)
    values ('s', 'Show', '', '[]', '{}', ${hash}, 'UTC', 7, 'e')`.execute(db);
  await sql`insert into evening (id, show_id, name, day, starts_at, ends_at, created_at_ms)
    values ('e', 's', 'Evening', '', '', '', 0)`.execute(db);
  // Two stood at the same place: there was no room between any more.
  for (const [id, rank] of [
    ["c", 3],
    ["b2", 2.5],
    ["b1", 2.5],
    ["a", -1024],
  ] as const)
    await sql`insert into cue (id, show_id, evening_id, rank, revision, doc) values (${id}, 's', 'e', ${rank}, 1, '{}')`.execute(
      db,
    );
  const change = [{ cueId: "gone", before: { rank: 2.75, doc: {} }, after: null, revision: 0 }];
  await sql`insert into edit_log (show_id, evening_id, at_ms, actor, label, change) values ('s', 'e', 0, 'p', 'Delete', ${JSON.stringify(change)})`.execute(
    db,
  );
  await ranks.up(db);
  const rows = (await sql<{ id: string; rank: string }>`select id, rank from cue order by rank`.execute(db))
    .rows;
  expect(rows.map(({ id }) => id)).toEqual(["a", "b1", "b2", "c"]);
  expect(new Set(rows.map(({ rank }) => rank)).size).toBe(4);
  const [edit] = (await sql<{ change: string }>`select change from edit_log`.execute(db)).rows;
  const [row] = JSON.parse(edit?.change ?? "") as { before: { rank: string } }[];
  expect(
    (row?.before.rank ?? "") > (rows[2]?.rank ?? "") && (row?.before.rank ?? "") < (rows[3]?.rank ?? ""),
  ).toBe(true);
  await db.destroy();
});
