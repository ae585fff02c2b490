import { type Kysely, sql } from "kysely";

/** Who changed what in tables that are edited here, and the links by which others may. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    `create table if not exists table_change (
      number integer primary key,
      show_id text not null references show(id) on delete cascade,
      id text not null,
      feed_id text not null,
      at_ms integer not null,
      by text not null,
      what text not null
    ) strict`,
    `create unique index if not exists table_change_id on table_change(show_id, id)`,
    `create index if not exists table_change_of on table_change(show_id, feed_id, number)`,
    `create table if not exists entry_link (
      token text primary key,
      show_id text not null references show(id) on delete cascade,
      id text not null,
      doc text not null
    ) strict, without rowid`,
  ])
    await sql.raw(statement).execute(db);
}
