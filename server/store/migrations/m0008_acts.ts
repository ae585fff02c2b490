import { type Kysely, sql } from "kysely";

/** Events of one command are one act, which can be undone. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table air_event add column act_id text`.execute(db);
}
