import type { Passage, VerseCounts } from "../../core/words/passage.ts";
import type { ParsedScripture, ScriptureInfo } from "../files/osis.ts";
import type { Db } from "./database.ts";

/** Verses per insert: the write lock is never held for long. */
const BATCH = 1_000;

export interface VerseRow {
  readonly chapter: number;
  readonly verse: number;
  readonly text: string;
}

/** One text in memory: books of chapters of verses. 31 000 verses are about 10 MB. */
interface LoadedText {
  readonly info: ScriptureInfo;
  readonly counts: VerseCounts;
  readonly books: ReadonlyMap<string, readonly VerseRow[]>;
}

/** The scripture texts of the venue, read once at start. */
export class ScriptureStore {
  readonly #db: Db;
  readonly #texts = new Map<string, LoadedText>();

  constructor(db: Db) {
    this.#db = db;
  }

  async load(): Promise<void> {
    for (const info of await this.#db.selectFrom("scripture_text").selectAll().execute()) {
      const rows = await this.#db
        .selectFrom("scripture_verse")
        .select(["book", "chapter", "verse", "words"])
        .where("text_code", "=", info.code)
        .execute();
      const books = new Map<string, VerseRow[]>();
      const counts = new Map<string, number[]>();
      for (const { book, chapter, verse, words } of rows) {
        let verses = books.get(book);
        if (!verses) {
          verses = [];
          books.set(book, verses);
          counts.set(book, []);
        }
        verses.push({ chapter, verse, text: words });
        const chapters = counts.get(book) as number[];
        chapters[chapter - 1] = Math.max(chapters[chapter - 1] ?? 0, verse);
      }
      this.#texts.set(info.code, { info, books, counts });
    }
  }

  list(): ScriptureInfo[] {
    return [...this.#texts.values()].map(({ info }) => info);
  }

  find(code: string): LoadedText | undefined {
    return this.#texts.get(code);
  }

  /** The verses of a passage that the text has, in order. */
  versesOf(code: string, { from, to }: Passage): VerseRow[] {
    const before = (a: { chapter: number; verse: number }, b: { chapter: number; verse: number }) =>
      a.chapter < b.chapter || (a.chapter === b.chapter && a.verse <= b.verse);
    return (this.#texts.get(code)?.books.get(from.book) ?? []).filter(
      (v) => before(from, v) && before(v, to),
    );
  }

  /** Adds a text; its verses appear only when all of them are written. */
  async add(parsed: ParsedScripture): Promise<void> {
    const { info, verses } = parsed;
    await this.#db.transaction().execute(async (transaction) => {
      await transaction.insertInto("scripture_text").values(info).execute();
      for (let i = 0; i < verses.length; i += BATCH)
        await transaction
          .insertInto("scripture_verse")
          .values(
            verses.slice(i, i + BATCH).map(({ book, chapter, verse, words }) => ({
              text_code: info.code,
              book,
              chapter,
              verse,
              words,
            })),
          )
          .execute();
    });
  }
}
