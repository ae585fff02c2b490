import { type Kysely, sql } from "kysely";

/** Feeds, the file that was brought for one, and its last good table. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(
      `create table if not exists feed (
      id text not null,
      show_id text not null references show(id) on delete cascade,
      revision integer not null default 1,
      doc text not null,
      file blob,
      good text,
      primary key (show_id, id)
    ) strict`,
    )
    .execute(db);
}
