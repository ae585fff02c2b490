import { type Kysely, sql } from "kysely";

/** Scripts that put no space between words are indexed by their letters: the stores fill an empty index anew. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const table of ["song_words", "scripture_words"])
    await sql.raw(`insert into ${table}(${table}) values ('delete-all')`).execute(db);
}
