import { type Kysely, sql } from "kysely";

/** What is old leaves the log as rows of the report, after a time and at a size that the venue sets. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table if not exists report_row (
    show_id text not null references show(id) on delete cascade,
    seq integer not null,
    doc text not null,
    primary key (show_id, seq)
  ) strict, without rowid`.execute(db);
  const columns = await sql<{ name: string }>`select name from pragma_table_info('show')`.execute(db);
  const has = new Set(columns.rows.map(({ name }) => name));
  if (!has.has("kept_days"))
    await sql`alter table show add column kept_days integer not null default 180`.execute(db);
  if (!has.has("kept_mb"))
    await sql`alter table show add column kept_mb integer not null default 500`.execute(db);
}
