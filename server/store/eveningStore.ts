import { randomUUID } from "node:crypto";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import {
  type EveningFields,
  eveningFieldsSchema,
  type ListedEvening,
  type OpenEvening,
} from "../../core/rundown/evening.ts";
import { cueKind } from "../../core/stored/kinds/cue.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import { firstRanks } from "./ranks.ts";
import { SetAside } from "./setAside.ts";

/** So many cues say which evening it was. */
const MOST_ASKED = 500;

/** The evenings of a show. One is open: its cues are the rundown. */
export class EveningStore {
  readonly #db: Db;
  readonly #showId: string;
  #open: OpenEvening | undefined;
  readonly #listeners = new Set<() => void>();

  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async load(): Promise<void> {
    const row = await this.#db
      .selectFrom("evening")
      .innerJoin("show", "show.evening_id", "evening.id")
      .selectAll("evening")
      .where("show.id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#open = openEvening(row);
  }

  get open(): OpenEvening {
    if (!this.#open) throw new Error(`The evenings of ${this.#showId} were not loaded`);
    return this.#open;
  }

  /** Told when another evening is open, or this one has another name or day. */
  onChange(listener: () => void): void {
    this.#listeners.add(listener);
  }

  /** All of them: those with a day by their day, the latest first, then the others. */
  async list(): Promise<ListedEvening[]> {
    const rows = await this.#db
      .selectFrom("evening")
      .selectAll()
      .select(({ selectFrom, fn }) =>
        selectFrom("cue")
          .select(fn.countAll<number>().as("count"))
          .whereRef("cue.evening_id", "=", "evening.id")
          .as("cues"),
      )
      .where("show_id", "=", this.#showId)
      .orderBy("day", "desc")
      .orderBy("created_at_ms", "desc")
      .execute();
    return rows.map((row) => ({
      ...openEvening(row),
      cues: Number(row.cues ?? 0),
      isDeleted: row.deleted_at_ms !== null,
    }));
  }

  /** The cues of any evening, in order. */
  async cuesOf(eveningId: string): Promise<{ readonly cueId: string; readonly doc: CueDoc }[]> {
    const rows = await this.#db
      .selectFrom("cue")
      .select(["id", "doc"])
      .where("show_id", "=", this.#showId)
      .where("evening_id", "=", eveningId)
      .orderBy("rank")
      .orderBy("id")
      .execute();
    return rows.flatMap(({ id, doc: text }) => {
      const doc = this.#setAside.read(cueKind, id, text);
      return doc ? [{ cueId: id, doc }] : [];
    });
  }

  /** @returns the id of the new evening */
  create(fields: EveningFields, docs: readonly CueDoc[], atMs: number): Promise<string> {
    return this.#db
      .transaction()
      .execute((transaction) =>
        insertEvening(transaction, this.#showId, fields, docs, atMs, { isCopy: docs.length > 0 }),
      );
  }

  /** @returns whether there was such an evening */
  async change(eveningId: string, { name, day, startsAt, endsAt }: EveningFields): Promise<boolean> {
    const found = await this.#set(eveningId, { name, day, starts_at: startsAt, ends_at: endsAt });
    if (found && eveningId === this.open.id) {
      await this.load();
      this.#tell();
    }
    return found;
  }

  /** Marks an evening as deleted, or takes the mark away. */
  setDeleted(eveningId: string, atMs: number | null): Promise<boolean> {
    return this.#set(eveningId, { deleted_at_ms: atMs });
  }

  /** The name of the evening that most of these cues belong to, deleted or not; undefined when none of them is known any more. */
  async nameOf(cueIds: readonly string[]): Promise<string | undefined> {
    if (cueIds.length === 0) return undefined;
    const row = await this.#db
      .selectFrom("cue")
      .innerJoin("evening", "evening.id", "cue.evening_id")
      .select(["evening.name", ({ fn }) => fn.countAll<number>().as("count")])
      .where("cue.show_id", "=", this.#showId)
      .where("cue.id", "in", cueIds.slice(0, MOST_ASKED))
      .groupBy("evening.id")
      .orderBy("count", "desc")
      .executeTakeFirst();
    return row?.name;
  }

  /** Says which evening is open from now on. */
  async setOpen(eveningId: string): Promise<void> {
    await this.#db
      .updateTable("show")
      .set({ evening_id: eveningId })
      .where("id", "=", this.#showId)
      .execute();
    await this.load();
    this.#tell();
  }

  async #set(
    eveningId: string,
    columns: {
      name?: string;
      day?: string;
      starts_at?: string;
      ends_at?: string;
      deleted_at_ms?: number | null;
    },
  ): Promise<boolean> {
    const { numUpdatedRows } = await this.#db
      .updateTable("evening")
      .set(columns)
      .where("show_id", "=", this.#showId)
      .where("id", "=", eveningId)
      .executeTakeFirst();
    return numUpdatedRows > 0n;
  }

  #tell(): void {
    for (const listener of this.#listeners) listener();
  }
}

/** Writes an evening with its cues down. @returns its id */
export async function insertEvening(
  db: Db,
  showId: string,
  { name, day, startsAt, endsAt }: EveningFields,
  docs: readonly CueDoc[],
  atMs: number,
  { isCopy = false }: { readonly isCopy?: boolean } = {},
): Promise<string> {
  const id = `evening-${randomUUID()}`;
  await db
    .insertInto("evening")
    .values({
      id,
      show_id: showId,
      name,
      day,
      starts_at: startsAt,
      ends_at: endsAt,
      created_at_ms: Math.round(atMs),
      deleted_at_ms: null,
      copied_cues: isCopy ? docs.length : 0,
    })
    .execute();
  const ranks = firstRanks(docs.length);
  for (const [index, doc] of docs.entries())
    await db
      .insertInto("cue")
      .values({
        id: randomUUID(),
        show_id: showId,
        evening_id: id,
        rank: ranks[index] as string,
        revision: index + 1,
        doc: writeStored(cueKind, doc),
      })
      .execute();
  return id;
}

function openEvening(row: {
  id: string;
  name: string;
  day: string;
  starts_at: string;
  ends_at: string;
  copied_cues: number;
}): OpenEvening {
  const { name, day, starts_at: startsAt, ends_at: endsAt } = row;
  return {
    ...{ id: row.id, copiedCues: row.copied_cues },
    ...eveningFieldsSchema.parse({ name, day, startsAt, endsAt }),
  };
}
