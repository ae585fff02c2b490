import { type Kysely, sql } from "kysely";

/** Dates and times are written in the venue's language. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table show add column language text not null default 'en-GB'`.execute(db);
}
