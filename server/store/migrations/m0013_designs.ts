import { createHash } from "node:crypto";
import { type Kysely, sql } from "kysely";

/**
 * Templates, outfits, house styles and field sets are rows with versions. What outfits wore and the style of the show become such
 * rows, under the hashes that they had: what is on air goes on with them.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    `create table design (
      id text not null,
      show_id text not null references show(id) on delete cascade,
      kind text not null,
      name text not null,
      rank integer not null,
      published_hash text references content(hash),
      draft text,
      revision integer not null default 1,
      created_at_ms integer not null,
      deleted_at_ms integer,
      primary key (show_id, kind, id)
    ) strict`,
    `create table design_version (
      show_id text not null,
      kind text not null,
      design_id text not null,
      number integer not null,
      content_hash text not null references content(hash),
      at_ms integer not null,
      actor text not null,
      note text not null default '',
      primary key (show_id, kind, design_id, number),
      foreign key (show_id, kind, design_id) references design(show_id, kind, id) on delete cascade
    ) strict, without rowid`,
    `create table design_edit (
      id integer primary key,
      show_id text not null,
      kind text not null,
      design_id text not null,
      at_ms integer not null,
      actor text not null,
      label text not null,
      changes text not null,
      undone integer not null default 0,
      foreign key (show_id, kind, design_id) references design(show_id, kind, id) on delete cascade
    ) strict`,
    `create index design_edit_of on design_edit(show_id, kind, design_id, actor, undone, id)`,
    `create index design_version_content on design_version(content_hash)`,
    `alter table show add column style_id text not null default ''`,
  ])
    await sql.raw(statement).execute(db);
  const shows = await sql<ShowRow>`select id, style_hash, created_at_ms from show`.execute(db);
  for (const show of shows.rows) await moveShow(db, show);
  for (const statement of ["drop table template", "drop table outfit"]) await sql.raw(statement).execute(db);
}

interface ShowRow {
  readonly id: string;
  readonly style_hash: string;
  readonly created_at_ms: number;
}
interface OutfitRow {
  readonly id: string;
  readonly name: string;
  readonly lines_per_slide: number;
  readonly variants: string;
}
interface TemplateRow {
  readonly outfit_id: string;
  readonly field_set: string;
  readonly content_hash: string;
}

async function moveShow(db: Kysely<unknown>, show: ShowRow): Promise<void> {
  const add = async (kind: string, id: string, rank: number, hash: string) => {
    const name = await nameOf(db, hash);
    await sql`insert into design (id, show_id, kind, name, rank, published_hash, created_at_ms)
      values (${id}, ${show.id}, ${kind}, ${name}, ${rank}, ${hash}, ${show.created_at_ms})`.execute(db);
    await sql`insert into design_version (show_id, kind, design_id, number, content_hash, at_ms, actor)
      values (${show.id}, ${kind}, ${id}, 1, ${hash}, ${show.created_at_ms}, 'seed-of-show')`.execute(db);
  };
  const { rows: templates } = await sql<TemplateRow>`select outfit_id, field_set, content_hash from template
    where show_id = ${show.id} order by rank, id`.execute(db);
  // A template that two outfits wear is one.
  const ids = new Map<string, string>();
  for (const { content_hash } of templates) {
    if (ids.has(content_hash)) continue;
    const id = `template-${content_hash.slice(0, 12)}`;
    await add("template", id, ids.size, content_hash);
    ids.set(content_hash, id);
  }
  const { rows: outfits } = await sql<OutfitRow>`select id, name, lines_per_slide, variants from outfit
    where show_id = ${show.id} order by rank`.execute(db);
  for (const [rank, outfit] of outfits.entries()) {
    const wears: Record<string, string[]> = {};
    for (const { outfit_id, field_set, content_hash } of templates) {
      const id = ids.get(content_hash);
      if (outfit_id !== outfit.id || id === undefined) continue;
      const list = wears[field_set] ?? [];
      wears[field_set] = list;
      if (!list.includes(id)) list.push(id);
    }
    const doc = {
      kind: "outfit",
      linesPerSlide: outfit.lines_per_slide,
      name: outfit.name,
      variants: JSON.parse(outfit.variants) as string[],
      wears: Object.fromEntries(Object.entries(wears).sort(([a], [b]) => (a < b ? -1 : 1))),
    };
    const hash = createHash("sha256").update(JSON.stringify(doc)).digest("hex");
    await sql`insert into content (hash, doc, created_at_ms)
      values (${hash}, ${JSON.stringify({ formatVersion: 1, ...doc })}, ${show.created_at_ms})
      on conflict do nothing`.execute(db);
    await add("outfit", outfit.id, rank, hash);
  }
  const styleId = `style-${show.style_hash.slice(0, 12)}`;
  await add("style", styleId, 0, show.style_hash);
  await sql`update show set style_id = ${styleId} where id = ${show.id}`.execute(db);
}

async function nameOf(db: Kysely<unknown>, hash: string): Promise<string> {
  const { rows } = await sql<{ doc: string }>`select doc from content where hash = ${hash}`.execute(db);
  const { name } = JSON.parse(rows[0]?.doc ?? "{}") as { name?: unknown };
  return typeof name === "string" ? name : "";
}
