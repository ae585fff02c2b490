import { type Kysely, sql } from "kysely";

/** Notes beside the log of the air, and what went wrong besides. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table report_note (
      number integer primary key autoincrement,
      show_id text not null references show(id) on delete cascade,
      seq integer not null,
      at_ms integer not null,
      by text not null,
      words text not null
    ) strict`,
    `create index report_note_by_seq on report_note (show_id, seq)`,
    `create table beside_air (
      number integer primary key autoincrement,
      show_id text not null references show(id) on delete cascade,
      at_ms integer not null,
      kind text not null,
      about text not null,
      amount real,
      words text not null
    ) strict`,
    `create index beside_air_by_time on beside_air (show_id, at_ms)`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
