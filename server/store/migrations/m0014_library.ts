import { type Kysely, sql } from "kysely";

/** Files of the library lie in folders and have tags. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    `alter table media add column folder text not null default ''`,
    `alter table media add column tags text not null default '[]'`,
  ])
    await sql.raw(statement).execute(db);
}
