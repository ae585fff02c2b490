import { type Kysely, sql } from "kysely";

/** Songs that were shown in what is let go of the log of the air. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table song_shown (
      number integer primary key autoincrement,
      show_id text not null references show(id) on delete cascade,
      from_ms integer not null,
      until_ms integer not null,
      doc text not null
    ) strict`,
    `create index song_shown_by_time on song_shown (show_id, until_ms)`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
