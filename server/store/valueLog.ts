import { liveValuesKind } from "../../core/stored/kinds/liveValues.ts";
import { valueChangeKind } from "../../core/stored/kinds/valueChange.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import { evolveValues, type LiveValues, NO_VALUES, type ValueChange } from "../../core/values/values.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

/** So many rows are kept beside the state before they are folded into it. */
const FOLD_AT = 500;

/** The log of values that change often. What `append` has returned from is on the disk. */
export class ValueLog {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;
  #rows = 0;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async restore(): Promise<LiveValues> {
    const folded = await this.#db
      .selectFrom("value_state")
      .select("doc")
      .where("show_id", "=", this.#showId)
      .executeTakeFirst();
    let values = (folded && this.#setAside.read(liveValuesKind, this.#showId, folded.doc)) ?? NO_VALUES;
    const rows = await this.#db
      .selectFrom("value_change")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("seq")
      .execute();
    this.#rows = rows.length;
    for (const { seq, doc } of rows) {
      const change = this.#setAside.read(valueChangeKind, String(seq), doc);
      if (change) values = evolveValues(values, change);
    }
    return values;
  }

  /** Writes changes in one go. @param after the values as they are with them */
  async append(changes: readonly ValueChange[], after: LiveValues): Promise<void> {
    const rows = changes.map((change) => ({
      show_id: this.#showId,
      seq: change.seq,
      doc: writeStored(valueChangeKind, change),
    }));
    if (this.#rows + rows.length < FOLD_AT) {
      await this.#db.insertInto("value_change").values(rows).execute();
      this.#rows += rows.length;
      return;
    }
    const doc = writeStored(liveValuesKind, after);
    await this.#db.transaction().execute(async (transaction) => {
      await transaction
        .insertInto("value_state")
        .values({ show_id: this.#showId, doc })
        .onConflict((oc) => oc.column("show_id").doUpdateSet({ doc }))
        .execute();
      await transaction.deleteFrom("value_change").where("show_id", "=", this.#showId).execute();
    });
    this.#rows = 0;
  }
}
