import { t } from "../../core/language/t.ts";
import { type Beside, besideSchema } from "../../core/report/beside.ts";
import type { Range } from "../../core/report/report.ts";
import type { Db } from "./database.ts";
import type { SetAside } from "./setAside.ts";

/** The newest so many are kept: years of evenings. */
const MOST_ROWS = 200_000;
/** Of one stretch of time, so many are told. */
const MOST_TOLD = 20_000;

/** What is written down beside the log of the air. */
export class BesideStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside: SetAside) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async add(rows: readonly Beside[]): Promise<void> {
    await this.#db
      .insertInto("beside_air")
      .values(
        rows.map(({ atMs, kind, about, amount, words }) => ({
          ...{ show_id: this.#showId, at_ms: Math.round(atMs), kind },
          ...{ about: about.slice(0, 200), amount, words: words.slice(0, 600) },
        })),
      )
      .execute();
  }

  /** In the order in which they were written. */
  async between({ fromMs, untilMs }: Range): Promise<Beside[]> {
    const rows = await this.#db
      .selectFrom("beside_air")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .where("at_ms", ">=", Math.floor(fromMs))
      .where("at_ms", "<=", Math.ceil(untilMs))
      .orderBy("number")
      .limit(MOST_TOLD)
      .execute();
    return rows.flatMap(({ number, at_ms, kind, about, amount, words }) => {
      const read = besideSchema.safeParse({ atMs: at_ms, kind, about, amount, words });
      if (read.success) return read.data;
      this.#setAside.leaveOut(t`line beside the log`, String(number), kind, read.error.message);
      return [];
    });
  }

  /** When the oldest of what is kept was written; null: nothing ever was. */
  async sinceMs(): Promise<number | null> {
    const row = await this.#db
      .selectFrom("beside_air")
      .select("at_ms")
      .where("show_id", "=", this.#showId)
      .orderBy("number")
      .limit(1)
      .executeTakeFirst();
    return row?.at_ms ?? null;
  }

  /** Lets go of the oldest. */
  async prune(): Promise<void> {
    const newest = await this.#db
      .selectFrom("beside_air")
      .select(({ fn }) => fn.max("number").as("number"))
      .executeTakeFirst();
    await this.#db
      .deleteFrom("beside_air")
      .where("number", "<=", Number(newest?.number ?? 0) - MOST_ROWS)
      .execute();
  }
}
