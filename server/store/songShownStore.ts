import type { Range } from "../../core/report/report.ts";
import type { SongShown } from "../../core/report/songUse.ts";
import { songShownKind } from "../../core/stored/kinds/songShown.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import type { SetAside } from "./setAside.ts";

/** Which songs were shown, for as far back as the log of the air does not reach any more. Kept for good. */
export class SongShownStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside: SetAside) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  /** Up to when songs are kept here; 0: none is. */
  async untilMs(): Promise<number> {
    const row = await this.#db
      .selectFrom("song_shown")
      .select(({ fn }) => fn.max("until_ms").as("until"))
      .where("show_id", "=", this.#showId)
      .executeTakeFirst();
    return Number(row?.until ?? 0);
  }

  /** Those that were on within a stretch of time, in the order in which they came. */
  async between({ fromMs, untilMs }: Range): Promise<SongShown[]> {
    const rows = await this.#db
      .selectFrom("song_shown")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("until_ms", ">=", Math.floor(fromMs))
      .where("from_ms", "<=", Math.ceil(untilMs))
      .orderBy("from_ms")
      .execute();
    return rows.flatMap(({ number, doc }) => this.#setAside.read(songShownKind, String(number), doc) ?? []);
  }

  /** Adds songs, all or none. */
  async add(songs: readonly SongShown[]): Promise<void> {
    await this.#db.transaction().execute(async (transaction) => {
      for (const song of songs)
        await transaction
          .insertInto("song_shown")
          .values({
            ...{ show_id: this.#showId, doc: writeStored(songShownKind, song) },
            ...{ from_ms: Math.floor(song.fromMs), until_ms: Math.floor(song.untilMs) },
          })
          .execute();
    });
  }
}
