import { type Kysely, sql } from "kysely";

/** Outfits stand in for one another on screens of their shape; a show knows the room its screens stand in. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `alter table outfit add column variants text not null default '[]'`,
    `update outfit set variants = '["porch","ribbon"]' where id = 'full'`,
    `alter table show add column venue text not null default '{"widthM":20,"depthM":14}'`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
