import { type Kysely, sql } from "kysely";

/** The first tables: show, its screens and what they wear, the rundown, the air, the links, the texts. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table content (
      hash text primary key check (length(hash) = 64),
      doc text not null,
      created_at_ms integer not null
    ) strict, without rowid`,
    `create table show (
      id text primary key,
      name text not null,
      place text not null,
      layers text not null,
      plan text not null,
      style_hash text not null references content(hash),
      time_zone text not null,
      created_at_ms integer not null
    ) strict`,
    `create table output (
      id text not null,
      show_id text not null references show(id) on delete cascade,
      rank real not null,
      doc text not null,
      primary key (show_id, id)
    ) strict`,
    `create table outfit (
      id text not null,
      show_id text not null references show(id) on delete cascade,
      rank real not null,
      name text not null,
      lines_per_slide integer not null check (lines_per_slide between 1 and 20),
      primary key (show_id, id)
    ) strict`,
    `create table template (
      id integer primary key,
      show_id text not null references show(id) on delete cascade,
      outfit_id text not null,
      field_set text not null,
      rank integer not null,
      content_hash text not null references content(hash),
      unique (show_id, outfit_id, field_set, rank)
    ) strict`,
    `create table cue (
      id text primary key,
      show_id text not null references show(id) on delete cascade,
      rank real not null,
      revision integer not null,
      doc text not null
    ) strict`,
    `create index cue_by_rank on cue (show_id, rank)`,
    `create table edit_log (
      id integer primary key,
      show_id text not null references show(id) on delete cascade,
      at_ms integer not null,
      actor text not null,
      label text not null,
      change text not null,
      undone integer not null default 0
    ) strict`,
    `create index edit_by_actor on edit_log (show_id, actor, id)`,
    `create table air_event (
      show_id text not null references show(id) on delete cascade,
      seq integer not null,
      at_ms integer not null,
      actor text,
      event text not null,
      primary key (show_id, seq)
    ) strict, without rowid`,
    `create table air_snapshot (
      show_id text not null references show(id) on delete cascade,
      seq integer not null,
      state text not null,
      primary key (show_id, seq)
    ) strict, without rowid`,
    `create table media (
      id text primary key,
      show_id text not null references show(id) on delete cascade,
      content_hash text not null references content(hash),
      added_at_ms integer not null
    ) strict`,
    `create table font (
      id text primary key,
      show_id text not null references show(id) on delete cascade,
      name text not null,
      file text not null check (length(file) = 64)
    ) strict`,
    `create table link (
      token text primary key,
      show_id text not null references show(id) on delete cascade,
      kind text not null check (kind in ('desk', 'output')),
      output_id text
    ) strict, without rowid`,
    `create table scripture_text (
      code text primary key,
      name text not null,
      language text not null,
      rights text not null
    ) strict, without rowid`,
    `create table scripture_verse (
      text_code text not null references scripture_text(code) on delete cascade,
      book text not null,
      chapter integer not null,
      verse integer not null,
      words text not null,
      primary key (text_code, book, chapter, verse)
    ) strict, without rowid`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
