import { type Kysely, sql } from "kysely";

/** Songs with their versions, searching by words, texts that are brought in, the venue's licence. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    `alter table show add column licence text not null default ''`,
    `alter table scripture_text add column number integer not null default 0`,
    `alter table scripture_text add column state text not null default 'ready' check (state in ('importing', 'ready'))`,
    `create table song (
      number integer primary key,
      id text not null unique,
      revision integer not null,
      title text not null,
      doc text not null,
      changed_at_ms integer not null,
      deleted_at_ms integer
    ) strict`,
    `create index song_by_title on song (title)`,
    `create table song_version (
      song_number integer not null references song(number) on delete cascade,
      revision integer not null,
      at_ms integer not null,
      actor text not null,
      doc text not null,
      primary key (song_number, revision)
    ) strict, without rowid`,
    `create virtual table song_words using fts5(title, first, words, writers, number, content='', contentless_delete=1, prefix='2 3', tokenize='unicode61')`,
    `create virtual table song_words_terms using fts5vocab(song_words, 'row')`,
    `create virtual table scripture_words using fts5(words, content='', contentless_delete=1, tokenize='unicode61')`,
    `create virtual table scripture_words_terms using fts5vocab(scripture_words, 'row')`,
    // Texts from before have no index: they are read in again at this start.
    `delete from scripture_verse`,
    `delete from scripture_text`,
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
  await giveCredits(db);
}

/** A song cue's one line of credit becomes the writers among its credits. */
async function giveCredits(db: Kysely<unknown>): Promise<void> {
  const cues = await sql<{ id: string; doc: string }>`select id, doc from cue`.execute(db);
  for (const { id, doc } of cues.rows) {
    const changed = withCredits(JSON.parse(doc));
    await sql`update cue set doc = ${JSON.stringify(changed)} where id = ${id}`.execute(db);
  }
  const edits = await sql<{ id: number; change: string }>`select id, change from edit_log`.execute(db);
  for (const { id, change } of edits.rows) {
    const rows = (JSON.parse(change) as EditRow[]).map((row) => ({
      ...row,
      before: row.before && { ...row.before, doc: withCredits(row.before.doc) },
      after: row.after && { ...row.after, doc: withCredits(row.after.doc) },
    }));
    await sql`update edit_log set change = ${JSON.stringify(rows)} where id = ${id}`.execute(db);
  }
}

type Doc = Readonly<Record<string, unknown>>;
interface EditRow {
  readonly before: { readonly doc: Doc } | null;
  readonly after: { readonly doc: Doc } | null;
}

function withCredits(doc: Doc): Doc {
  if (doc.kind !== "song" || typeof doc.credit !== "string") return doc;
  const { credit, ...rest } = doc;
  return { ...rest, credits: { writers: credit.slice(0, 300) } };
}
