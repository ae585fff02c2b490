import { type Kysely, sql } from "kysely";

/** Sources, triggers, and how other devices are understood. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    `create table if not exists follow (
      show_id text not null references show(id) on delete cascade,
      kind text not null,
      id text not null,
      place integer not null,
      revision integer not null,
      doc text not null,
      primary key (show_id, kind, id)
    ) strict`,
  ])
    await sql.raw(statement).execute(db);
}
