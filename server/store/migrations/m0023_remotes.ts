import { type Kysely, sql } from "kysely";

/** Links by which a phone is a remote. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(
      `create table remote_link (
        token text primary key,
        show_id text not null references show(id) on delete cascade,
        id text not null,
        doc text not null
      ) strict, without rowid`,
    )
    .execute(db);
}
