import { type Kysely, sql } from "kysely";

/** Values that change often have a log of their own, and a state that it is folded into. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    `create table if not exists value_change (
      show_id text not null references show(id) on delete cascade,
      seq integer not null,
      doc text not null,
      primary key (show_id, seq)
    ) strict, without rowid`,
    `create table if not exists value_state (
      show_id text primary key references show(id) on delete cascade,
      doc text not null
    ) strict`,
  ])
    await sql.raw(statement).execute(db);
}
