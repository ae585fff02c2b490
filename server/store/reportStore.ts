import type { ReportNote } from "../../core/report/report.ts";
import type { Db } from "./database.ts";

/** Notes that people wrote beside the log of the air. They are added, and nothing else. */
export class ReportStore {
  readonly #db: Db;
  readonly #showId: string;

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  /** Notes about events of these numbers, in the order in which they were written. */
  async notes(fromSeq: number, untilSeq: number): Promise<ReportNote[]> {
    const rows = await this.#db
      .selectFrom("report_note")
      .select(["seq", "at_ms", "by", "words"])
      .where("show_id", "=", this.#showId)
      .where("seq", ">=", fromSeq)
      .where("seq", "<=", untilSeq)
      .orderBy("number")
      .execute();
    return rows.map(({ seq, at_ms, by, words }) => ({ seq, atMs: at_ms, by, words }));
  }

  async addNote({ seq, atMs, by, words }: ReportNote): Promise<void> {
    await this.#db
      .insertInto("report_note")
      .values({ show_id: this.#showId, seq, at_ms: Math.round(atMs), by, words })
      .execute();
  }
}
