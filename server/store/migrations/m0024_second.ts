import { type Kysely, sql } from "kysely";

/** A link by which a second machine has the whole show. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table link_new (
      token text primary key,
      show_id text not null references show(id) on delete cascade,
      kind text not null check (kind in ('desk', 'here', 'output', 'watch', 'hook', 'second')),
      output_id text
    ) strict, without rowid`,
    `insert into link_new select token, show_id, kind, output_id from link`,
    `drop table link`,
    `alter table link_new rename to link`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
