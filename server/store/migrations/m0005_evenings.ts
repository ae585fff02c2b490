import { type Kysely, sql } from "kysely";

/** A show has several evenings: each is a rundown with its day, and one of them is open. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table evening (
      id text primary key,
      show_id text not null references show(id) on delete cascade,
      name text not null,
      day text not null,
      starts_at text not null,
      ends_at text not null default '',
      created_at_ms integer not null,
      deleted_at_ms integer
    ) strict`,
    `insert into evening (id, show_id, name, day, starts_at, created_at_ms)
      select 'evening-' || id, id, name, '', starts_at, created_at_ms from show`,
    `alter table show drop column starts_at`,
    `alter table show add column evening_id text not null default ''`,
    `update show set evening_id = 'evening-' || id`,
    `alter table cue add column evening_id text not null default ''`,
    `update cue set evening_id = 'evening-' || show_id`,
    `drop index cue_by_rank`,
    `create index cue_by_rank on cue (evening_id, rank)`,
    `alter table edit_log add column evening_id text not null default ''`,
    `update edit_log set evening_id = 'evening-' || show_id`,
    `drop index edit_by_actor`,
    `create index edit_by_actor on edit_log (evening_id, actor, id)`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
