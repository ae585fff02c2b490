import { type Kysely, sql } from "kysely";

/** Outfits stand in for one another on screens of their shape; a show knows its room, its keys and when it begins. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `alter table outfit add column variants text not null default '[]'`,
    `update outfit set variants = '["porch","ribbon"]' where id = 'full'`,
    `alter table show add column venue text not null default '{"widthM":20,"depthM":14}'`,
    `alter table show add column keys text not null default '{}'`,
    `alter table show add column starts_at text not null default ''`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
