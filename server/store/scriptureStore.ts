import { createHash } from "node:crypto";
import { setImmediate as nextTurn } from "node:timers/promises";
import { sql } from "kysely";
import { BOOKS } from "../../core/words/reference/books.ts";
import type { Passage } from "../../core/words/reference/passage.ts";
import type { Scripture, ScriptureInfo, Verse } from "../../core/words/scripture.ts";
import type { ParsedVerse } from "../files/scriptureFile.ts";
import type { Db } from "./database.ts";
import { WordIndex } from "./wordIndex.ts";

/** Verses written at once: the write lock is held for a few milliseconds. */
const BATCH = 60;
/** Rows of the index of words that each text has for itself. */
const ROWS_A_TEXT = 100_000;

/** One text in memory: books of verses in order. 31 000 verses are about 10 MB. */
class LoadedText {
  readonly counts = new Map<string, number[]>();
  readonly books = new Map<string, Verse[]>();
  readonly all: { readonly book: string; readonly at: number }[] = [];

  constructor(
    readonly info: ScriptureInfo,
    readonly number: number,
  ) {}

  /** Verses come in the order of the text. */
  add({ book, chapter, verse, words }: ParsedVerse): void {
    let verses = this.books.get(book);
    if (!verses) {
      verses = [];
      this.books.set(book, verses);
      this.counts.set(book, []);
    }
    this.all.push({ book, at: verses.length });
    verses.push({ chapter, verse, text: words });
    const chapters = this.counts.get(book) as number[];
    chapters[chapter - 1] = Math.max(chapters[chapter - 1] ?? 0, verse);
  }

  /** Chapters that are not there have no verses. */
  settle(): this {
    for (const chapters of this.counts.values()) for (let i = 0; i < chapters.length; i++) chapters[i] ??= 0;
    return this;
  }
}

export interface FoundVerse {
  readonly textCode: string;
  readonly book: string;
  readonly chapter: number;
  readonly verse: number;
  readonly text: string;
  /** The verses before and after it, for knowing where one is. */
  readonly before: string;
  readonly after: string;
}

/** The scripture texts of the venue: on the disk, in memory from the start, with an index of their words. */
export class ScriptureStore implements Scripture {
  readonly #db: Db;
  readonly #index: WordIndex;
  readonly #texts = new Map<string, LoadedText>();
  #stamp: string | undefined;

  constructor(db: Db) {
    this.#db = db;
    this.#index = new WordIndex(db, { name: "scripture_words", columns: [{ name: "words", weight: 1 }] });
  }

  /** Reads what is whole; of an import that was interrupted nothing stays. */
  async load(): Promise<void> {
    const rows = await this.#db.selectFrom("scripture_text").selectAll().orderBy("number").execute();
    for (const { code, number, state, name, language, rights } of rows) {
      if (state === "importing") {
        await this.#erase(code, number);
        await this.#index.endBulk();
        continue;
      }
      const text = new LoadedText({ code, name, language, rights }, number);
      const verses = await this.#db
        .selectFrom("scripture_verse")
        .select(["book", "chapter", "verse", "words"])
        .where("text_code", "=", code)
        .execute();
      const byBook = new Map<string, ParsedVerse[]>();
      for (const verse of verses) {
        const same = byBook.get(verse.book);
        if (same) same.push(verse);
        else byBook.set(verse.book, [verse]);
      }
      for (const { code: book } of BOOKS) for (const verse of byBook.get(book) ?? []) text.add(verse);
      this.#texts.set(code, text.settle());
    }
    if (await this.#index.isEmpty()) await this.#indexAll();
    await this.#index.warm();
  }

  /** All or nothing: an index that is filled in part would pass for a whole one. */
  async #indexAll(): Promise<void> {
    await this.#db.transaction().execute(async (transaction) => {
      for (const { number, all, books } of this.#texts.values())
        await this.#index.add(
          all.map(({ book, at }, i) => ({
            row: number * ROWS_A_TEXT + i,
            texts: [books.get(book)?.[at]?.text ?? ""],
          })),
          transaction,
        );
    });
  }

  /** All texts and every word of them, as one short text that no others have. */
  get stamp(): string {
    if (this.#stamp !== undefined) return this.#stamp;
    const sum = createHash("sha256");
    for (const { info, books } of this.#texts.values()) sum.update(JSON.stringify([info, [...books]]));
    this.#stamp = sum.digest("base64url");
    return this.#stamp;
  }

  list(): ScriptureInfo[] {
    return [...this.#texts.values()].map(({ info }) => info);
  }

  verseCount(code: string): number {
    return this.#texts.get(code)?.all.length ?? 0;
  }

  readonly info = (code: string) => this.#texts.get(code)?.info;
  readonly counts = (code: string) => this.#texts.get(code)?.counts;
  readonly verses = (code: string, { from, to }: Passage): Verse[] => {
    const notAfter = (a: { chapter: number; verse: number }, b: { chapter: number; verse: number }) =>
      a.chapter < b.chapter || (a.chapter === b.chapter && a.verse <= b.verse);
    return (this.#texts.get(code)?.books.get(from.book) ?? []).filter(
      (verse) => notAfter(from, verse) && notAfter(verse, to),
    );
  };

  /**
   * Takes a text in, in short batches between which anything else can be done. It is there only when all of it is;
   * when something goes wrong on the way, nothing of it stays.
   * @param batches verses in the order of the text
   */
  async add(
    info: ScriptureInfo,
    batches: AsyncIterable<readonly ParsedVerse[]> | Iterable<readonly ParsedVerse[]>,
    onProgress: (verses: number) => void = () => {},
    batchSize = BATCH,
  ): Promise<void> {
    if (this.#texts.has(info.code)) throw new Error(`A text "${info.code}" is here already`);
    const { last } = await this.#db
      .selectFrom("scripture_text")
      .select(({ fn }) => fn.max("number").as("last"))
      .executeTakeFirstOrThrow();
    const number = Number(last ?? 0) + 1;
    await this.#db
      .insertInto("scripture_text")
      .values({ ...info, number, state: "importing" })
      .execute();
    const text = new LoadedText(info, number);
    await this.#index.beginBulk();
    try {
      for await (const batch of batches)
        for (let at = 0; at < batch.length; at += batchSize) {
          await this.#write(text, batch.slice(at, at + batchSize));
          onProgress(text.all.length);
          await nextTurn();
        }
      await this.#index.endBulk();
      await this.#db
        .updateTable("scripture_text")
        .set({ state: "ready" })
        .where("code", "=", info.code)
        .execute();
      this.#texts.set(info.code, text.settle());
      this.#stamp = undefined;
      await this.#index.warm();
    } catch (error) {
      await this.#erase(info.code, number);
      await this.#index.endBulk();
      throw error;
    }
  }

  async #write(text: LoadedText, verses: readonly ParsedVerse[]): Promise<void> {
    const { code } = text.info;
    const first = text.number * ROWS_A_TEXT + text.all.length;
    await this.#db.transaction().execute(async (transaction) => {
      // One value for all rows: several times quicker than a value for each cell.
      const rows = JSON.stringify(
        verses.map(({ book, chapter, verse, words }) => [book, chapter, verse, words]),
      );
      await sql`
        insert into scripture_verse (text_code, book, chapter, verse, words)
        select ${code}, value ->> 0, value ->> 1, value ->> 2, value ->> 3 from json_each(${rows})`.execute(
        transaction,
      );
      await this.#index.add(
        verses.map(({ words }, i) => ({ row: first + i, texts: [words] })),
        transaction,
      );
    });
    for (const verse of verses) text.add(verse);
  }

  async remove(code: string): Promise<void> {
    const text = this.#texts.get(code);
    if (!text) return;
    this.#texts.delete(code);
    this.#stamp = undefined;
    await this.#erase(code, text.number);
  }

  async #erase(code: string, number: number): Promise<void> {
    await this.#db
      .updateTable("scripture_text")
      .set({ state: "importing" })
      .where("code", "=", code)
      .execute();
    const books = await this.#db
      .selectFrom("scripture_verse")
      .select(["book", ({ fn }) => fn.countAll<number>().as("verses")])
      .where("text_code", "=", code)
      .groupBy("book")
      .execute();
    const from = number * ROWS_A_TEXT;
    // Words are indexed with their verses or not at all.
    const to = from + books.reduce((sum, { verses }) => sum + verses, 0);
    for (let at = from; at < to; at += 1_000) {
      await this.#index.remove(at, Math.min(at + 1_000, to) - 1);
      await nextTurn();
    }
    for (const { book } of books) {
      await this.#db
        .deleteFrom("scripture_verse")
        .where("text_code", "=", code)
        .where("book", "=", book)
        .execute();
      await nextTurn();
    }
    await this.#db.deleteFrom("scripture_text").where("code", "=", code).execute();
  }

  /** Verses with these words, the best first. */
  async search(query: string, limit: number, onlyText?: string): Promise<FoundVerse[]> {
    const text = onlyText === undefined ? undefined : this.#texts.get(onlyText);
    if (onlyText !== undefined && !text) return [];
    const rows = text && { from: text.number * ROWS_A_TEXT, to: (text.number + 1) * ROWS_A_TEXT - 1 };
    const byNumber = new Map([...this.#texts.values()].map((loaded) => [loaded.number, loaded]));
    return (await this.#index.search(query, limit, rows)).flatMap(({ row }): FoundVerse[] => {
      const loaded = byNumber.get(Math.floor(row / ROWS_A_TEXT));
      const place = loaded?.all[row % ROWS_A_TEXT];
      const verses = place && loaded.books.get(place.book);
      const found = place && verses?.[place.at];
      if (!loaded || !place || !verses || !found) return [];
      return [
        {
          textCode: loaded.info.code,
          book: place.book,
          chapter: found.chapter,
          verse: found.verse,
          text: found.text,
          before: verses[place.at - 1]?.text ?? "",
          after: verses[place.at + 1]?.text ?? "",
        },
      ];
    });
  }
}
