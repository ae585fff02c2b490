import { type Kysely, sql } from "kysely";

/** Several screen plans, links for those who only watch, a passcode for the desk from elsewhere. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table screen_plan (
      id text not null,
      show_id text not null references show(id) on delete cascade,
      rank real not null,
      doc text not null,
      primary key (show_id, id)
    ) strict`,
    `insert into screen_plan (id, show_id, rank, doc) select plan ->> 'id', id, 0, plan from show`,
    `create table link_new (
      token text primary key,
      show_id text not null references show(id) on delete cascade,
      kind text not null check (kind in ('desk', 'output', 'watch')),
      output_id text
    ) strict, without rowid`,
    `insert into link_new select token, show_id, kind, output_id from link`,
    `drop table link`,
    `alter table link_new rename to link`,
    `alter table show add column passcode_hash text not null default ''`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
