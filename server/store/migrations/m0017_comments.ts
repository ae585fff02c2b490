import { type Kysely, sql } from "kysely";

/** What people wrote, and where it comes from. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    `create table if not exists comment (
      number integer primary key,
      show_id text not null references show(id) on delete cascade,
      id text not null,
      at_ms integer not null,
      doc text not null
    ) strict`,
    `create unique index if not exists comment_id on comment(show_id, id)`,
    `create table if not exists comment_settings (
      show_id text primary key references show(id) on delete cascade,
      doc text not null
    ) strict`,
  ])
    await sql.raw(statement).execute(db);
}
