import { type Kysely, sql } from "kysely";
import { firstRanks } from "../ranks.ts";

interface Row {
  readonly cueId: string;
  readonly rank: number | string;
}
interface LoggedRow {
  readonly cueId: string;
  readonly before: Row | null;
  readonly after: Row | null;
}

/** Places of cues were numbers, halved for each cue put between two: after some fifty there was no room. Now they are text. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table cue add column rank_text text not null default ''`.execute(db);
  const evenings = (await sql<{ id: string }>`select id from evening`.execute(db)).rows;
  for (const { id } of evenings) await rankEvening(db, id);
  for (const statement of [
    `drop index cue_by_rank`,
    `alter table cue drop column rank`,
    `alter table cue rename column rank_text to rank`,
    `create index cue_by_rank on cue (evening_id, rank)`,
  ])
    await sql.raw(statement).execute(db);
}

/** Cues keep their order; what can be undone puts them back between the same neighbours. */
async function rankEvening(db: Kysely<unknown>, eveningId: string): Promise<void> {
  const cues = (
    await sql<Row>`select id as "cueId", rank from cue where evening_id = ${eveningId}`.execute(db)
  ).rows;
  const edits = (
    await sql<{ id: number; change: string }>`
      select id, change from edit_log where evening_id = ${eveningId}`.execute(db)
  ).rows.map(({ id, change }) => ({ id, rows: JSON.parse(change) as LoggedRow[] }));
  const logged = edits.flatMap(({ rows }) =>
    rows.flatMap(({ cueId, before, after }) =>
      [before, after].flatMap((side) => (side ? [{ cueId, rank: side.rank }] : [])),
    ),
  );
  const places = new Map([...cues, ...logged].map((place) => [nameOf(place), place]));
  const inOrder = [...places.values()].sort(
    (a, b) => (a.rank < b.rank ? -1 : a.rank > b.rank ? 1 : 0) || (a.cueId < b.cueId ? -1 : 1),
  );
  const ranks = firstRanks(inOrder.length);
  const ranked = new Map(inOrder.map((place, index) => [nameOf(place), ranks[index] as string]));
  for (const cue of cues)
    await sql`update cue set rank_text = ${ranked.get(nameOf(cue))} where id = ${cue.cueId}`.execute(db);
  for (const { id, rows } of edits) {
    const read = rows.map((row) => {
      const forward = (side: Row | null) =>
        side && { ...side, rank: ranked.get(nameOf({ cueId: row.cueId, rank: side.rank })) };
      return { ...row, before: forward(row.before), after: forward(row.after) };
    });
    await sql`update edit_log set change = ${JSON.stringify(read)} where id = ${id}`.execute(db);
  }
}

const nameOf = ({ cueId, rank }: Row): string => `${rank}/${cueId}`;
