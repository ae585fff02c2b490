import { createHash } from "node:crypto";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { expect, test } from "vitest";
import { stepsOf } from "../../core/rundown/steps.ts";
import { heldCues } from "../../core/show/held.ts";
import { pageAt } from "../../core/show/slot.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";

const DESK = { kind: "desk", id: "desk-under-test" } as const;
const fresh = () => join(mkdtempSync(join(tmpdir(), "vesko-set-aside-")), "show.db");

async function take({ services: { host, rundown } }: OpenShow, index: number): Promise<string> {
  const cue = rundown.ready()[index];
  const step = cue && stepsOf(cue.content)[0]?.anchor;
  if (!cue || !step) throw new Error(`There is no cue ${index}`);
  const target = { cueId: cue.cueId, content: cue.hash, step };
  const id = `take-number-${host.state.seq}`;
  const answer = await host.submit(
    { kind: "take", id, how: "cut", builtOn: host.state.airRevision, target },
    DESK,
  );
  expect(answer.refused).toBeNull();
  return cue.cueId;
}

/** The cue on a layer, far from now. */
const onLayer = ({ services: { host } }: OpenShow, layerId: string) =>
  pageAt(host.state.slots[layerId] ?? [], Number.MAX_SAFE_INTEGER)?.cueId;

test("rows that cannot be read keep no show from opening: each is left out, kept, and named on every desk", async () => {
  const file = fresh();
  const before = await openShow(file);
  await take(before, 0);
  const layerId = before.services.host.state.layers.find(({ id }) => onLayer(before, id))?.id ?? "";
  const cueId = onLayer(before, layerId);
  const { cues, outputs, plans, songs } = {
    cues: before.services.rundown.views().length,
    outputs: before.services.screens.outputs.length,
    plans: before.services.screens.plans.length,
    songs: await before.services.songs.count(),
  };
  await take(before, 1);
  await before.close();

  const database = new SQLite(file);
  const { broken } = database.prepare("select id broken from cue order by rank desc limit 1").get() as {
    broken: string;
  };
  const spoil = [
    [`update cue set doc = '{"kind":"hologram","title":"From the future"}' where id = ?`, broken],
    [`update output set doc = substr(doc, 1, 40) where rank = ?`, outputs - 1],
    [`update screen_plan set doc = '[]' where rank = ?`, plans - 1],
    [
      `update song set doc = '{"formatVersion":99,"title":"Too new"}' where number = (select min(number) from song where ? = 1)`,
      1,
    ],
    [`update show set keys = '{', venue = 'none', layers = '7' where ? = 1`, 1],
    [
      `update air_event set event = '{"kind":"unheard of"}' where seq = (select max(seq) from air_event where ? = 1)`,
      1,
    ],
    [
      `update content set doc = '"gone"' where hash = (select published_hash from design where kind = 'template' and ? = 1 order by rank limit 1)`,
      1,
    ],
    [`update content set doc = '{}' where hash = (select content_hash from media where ? = 1 limit 1)`, 1],
  ] as const;
  for (const [statement, value] of spoil) expect(database.prepare(statement).run(value).changes).toBe(1);
  database.close();

  const after = await openShow(file);
  const { services } = after;
  expect(services.rundown.views()).toHaveLength(cues - 1);
  expect(services.screens.outputs).toHaveLength(outputs - 1);
  expect(services.screens.plans).toHaveLength(plans - 1);
  expect(await services.songs.list("", 500)).toHaveLength(songs - 1);
  // What was taken before the event that is lost is on air still, and takes go on after it.
  expect(onLayer(after, layerId)).toBe(cueId);
  await take(after, 2);
  const named = services.health.report().setAside.map(({ what }) => what);
  for (const what of ["cue", "screen", "screen plan", "song", "keys", "room", "layers", "event of the air"])
    expect(named).toContain(what);
  expect(named.filter((what) => what === "page, template, style or outfit")).toHaveLength(2);
  const desk = new TestWindow(after.port);
  await desk.join(services.links.hereToken);
  expect((await desk.until("news")).sentence).toMatch(/10 things of this show could not be read/);
  desk.socket.close();
  await after.close();
  // Nothing was deleted or written over.
  const kept = new SQLite(file, { readonly: true });
  expect(kept.prepare("select doc from cue where id = ?").get(broken)).toEqual({
    doc: `{"kind":"hologram","title":"From the future"}`,
  });
  kept.close();
  const again = await openShow(file);
  expect(again.services.host.state.seq).toBe(services.host.state.seq);
  await again.close();
}, 60_000);

test("a content of before keeps its hash when a property was added since: nothing on air reads as held", async () => {
  const file = fresh();
  const before = await openShow(file);
  await take(before, 0);
  await before.close();
  // As a version without the property would have written it: under the hash of what it knew.
  const database = new SQLite(file);
  const rows = database
    .prepare(`select hash, doc from content where json_extract(doc, '$.kind') = 'page'`)
    .all() as { hash: string; doc: string }[];
  expect(rows.length).toBeGreaterThan(0);
  for (const { hash, doc } of rows) {
    const { formatVersion: _, stageNote, opacity, ...known } = JSON.parse(doc) as Record<string, unknown>;
    expect([stageNote, opacity]).toEqual(["", 1]);
    const ofThen = createHash("sha256").update(sortedJson(known)).digest("hex");
    database
      .prepare("update content set hash = ?, doc = ? where hash = ?")
      .run(ofThen, JSON.stringify(known), hash);
    database.prepare("update air_event set event = replace(event, ?, ?)").run(hash, ofThen);
    database.prepare("update air_snapshot set state = replace(state, ?, ?)").run(hash, ofThen);
  }
  database.close();
  const after = await openShow(file);
  const { host, rundown } = after.services;
  expect(heldCues(host.state, rundown.ready(), Number.MAX_SAFE_INTEGER)).toEqual(new Set());
  expect(rows.some(({ hash }) => rundown.ready().some((cue) => cue.hash === hash))).toBe(false);
  await after.close();
}, 60_000);

const sortedJson = (value: unknown): string =>
  JSON.stringify(value, (_key, inner) =>
    inner && typeof inner === "object" && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
