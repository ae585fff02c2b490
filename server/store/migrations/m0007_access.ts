import { type Kysely, sql } from "kysely";

/** Every browser that was let in has a session of its own; the pages of this machine have a link apart from the desk's. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `create table link_new (
      token text primary key,
      show_id text not null references show(id) on delete cascade,
      kind text not null check (kind in ('desk', 'here', 'output', 'watch')),
      output_id text
    ) strict, without rowid`,
    `insert into link_new select token, show_id, kind, output_id from link`,
    `drop table link`,
    `alter table link_new rename to link`,
    `create table desk_session (
      id text primary key,
      show_id text not null references show(id) on delete cascade,
      cookie_hash text not null unique,
      live_hash text not null unique,
      name text not null,
      way text not null check (way in ('link', 'passcode')),
      address text not null,
      began_at_ms integer not null,
      seen_at_ms integer not null
    ) strict`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
