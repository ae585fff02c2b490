import { type Kysely, sql } from "kysely";

/** The limits of the check, what of an evening was copied, and which of its steps were looked at. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `alter table show add column check_limits text not null default '{}'`,
    `alter table evening add column copied_cues integer not null default 0`,
    `create table seen_step (
      evening_id text not null references evening(id) on delete cascade,
      step_key text not null,
      seen_at_ms integer not null,
      seen_by text not null,
      primary key (evening_id, step_key)
    ) strict, without rowid`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
