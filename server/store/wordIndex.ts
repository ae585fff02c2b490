import { setImmediate as nextTurn } from "node:timers/promises";
import { distance } from "fastest-levenshtein";
import { sql } from "kysely";
import { isUnspaced, searchWords } from "../../core/words/searchWords.ts";
import type { Db } from "./database.ts";

/** One of the indexes of words that the database has, with how much a word in each of its columns counts. */
export interface IndexTable {
  readonly name: "song_words" | "scripture_words";
  readonly columns: readonly { readonly name: string; readonly weight: number }[];
}

export interface Found {
  readonly row: number;
  /** Whether all words stand there as they were typed, in that order. */
  readonly isPhrase: boolean;
  /** A word of it was taken for another that is spelt like it. */
  readonly isGuess: boolean;
}

/** Most words of a query that are looked for. */
const MOST_WORDS = 16;
/** Words that a misspelt one may stand for. */
const MOST_GUESSES = 4;
/** A word in more than one of so many rows tells little: it counts in a phrase only. */
const COMMON_SHARE = 8;
/** Beyond so many rows none is better than the others: they are taken in their order, which needs no look at all. */
const MOST_RANKED = 1_500;

/** Pieces an index may be in while many rows are added; SQLite allows 2 000. */
const MOST_PIECES = 1_900;
const PAGES_A_STEP = 24;

interface Terms {
  /** In order, for finding those that begin alike. */
  readonly sorted: readonly string[];
  readonly byLength: ReadonlyMap<number, readonly string[]>;
  /** Rows each stands in, and all rows. */
  readonly count: ReadonlyMap<string, number>;
  readonly rows: number;
}

/**
 * Finds rows by words, typed in any order, the last one perhaps unfinished. Marks on letters and case do not matter;
 * a word that is nowhere is taken for those that are spelt most like it. Words are kept folded, so that what is
 * typed and what is found are compared alike.
 */
export class WordIndex {
  readonly #db: Db;
  readonly #table: IndexTable;
  #terms: Terms | undefined;

  constructor(db: Db, table: IndexTable) {
    this.#db = db;
    this.#table = table;
  }

  /** Adds rows; in a transaction of the caller's when one is given. */
  async add(
    rows: readonly { readonly row: number; readonly texts: readonly string[] }[],
    db: Db = this.#db,
  ): Promise<void> {
    this.#terms = undefined;
    const { name, columns } = this.#table;
    const into = sql.raw(`${name}(rowid, ${columns.map((column) => column.name).join(", ")})`);
    const cells = sql.raw(["value ->> 0", ...columns.map((_, i) => `value ->> ${i + 1}`)].join(", "));
    const values = JSON.stringify(rows.map(({ row, texts }) => [row, ...texts.map(searchWords)]));
    await sql`insert into ${into} select ${cells} from json_each(${values})`.execute(db);
  }

  /** Whether it holds nothing: it is new, or its words are to be read anew. */
  async isEmpty(): Promise<boolean> {
    const { rows } = await sql`select 1 from ${sql.raw(`${this.#table.name}_docsize`)} limit 1`.execute(
      this.#db,
    );
    return rows.length === 0;
  }

  async remove(fromRow: number, toRow: number, db: Db = this.#db): Promise<void> {
    this.#terms = undefined;
    await sql`delete from ${sql.raw(this.#table.name)} where rowid between ${fromRow} and ${toRow}`.execute(
      db,
    );
  }

  /**
   * @param rows only rows between these, both ends included
   * @returns the best first: whole phrases, then all words, then all words with the nearest spelling
   */
  async search(
    query: string,
    limit: number,
    rows: { readonly from: number; readonly to: number } = { from: 0, to: Number.MAX_SAFE_INTEGER },
  ): Promise<Found[]> {
    const typed = searchWords(query)
      .split(" ")
      .filter((word) => word !== "")
      .slice(0, MOST_WORDS);
    // One letter more is no help, and dear: thousands of words begin with it.
    const last = typed.at(-1) ?? "";
    const words = typed.length > 1 && last.length === 1 && !isUnspaced(last) ? typed.slice(0, -1) : typed;
    if (words.length === 0) return [];
    const found = new Map<number, Found>();
    const take = async (match: string, how: Omit<Found, "row">, most: number) => {
      if (found.size >= limit) return;
      for (const row of await this.#match(match, limit, rows, most <= MOST_RANKED))
        if (!found.has(row)) found.set(row, { row, ...how });
    };
    const terms = await this.#loadTerms();
    if (words.length > 1)
      await take(`"${words.join(" ")}" *`, { isPhrase: true, isGuess: false }, rowsWith(words, terms));
    const isCommon = (word: string) => (terms.count.get(word) ?? 0) > terms.rows / COMMON_SHARE;
    const telling = words.filter((word, i) => i === words.length - 1 || !isCommon(word));
    await take(
      telling.map((word, i) => `"${word}"${i === telling.length - 1 ? " *" : ""}`).join(" "),
      { isPhrase: false, isGuess: false },
      rowsWith(telling, terms),
    );
    if (found.size === 0) {
      const meant = spellings(telling, terms);
      if (meant)
        await take(
          meant.map((guesses) => `(${guesses.map((guess) => `"${guess}"`).join(" OR ")})`).join(" AND "),
          { isPhrase: false, isGuess: true },
          Math.min(
            ...meant.map((guesses) => guesses.reduce((sum, word) => sum + (terms.count.get(word) ?? 0), 0)),
          ),
        );
    }
    return [...found.values()].slice(0, limit);
  }

  /**
   * For adding very many rows in short transactions: pieces of the index are not joined on the way, which would
   * hold a transaction now and then for as long as a take may last, but at its end in short steps.
   */
  async beginBulk(): Promise<void> {
    await this.#configure("automerge", 0);
    await this.#configure("crisismerge", MOST_PIECES);
  }

  /** Joins the pieces, a few pages at a time with a turn between, and lets them be joined on the way again. */
  async endBulk(): Promise<void> {
    const name = sql.raw(this.#table.name);
    for (;;) {
      const before = await this.#changes();
      await sql`insert into ${name}(${name}, rank) values ('merge', ${sql.lit(PAGES_A_STEP)})`.execute(
        this.#db,
      );
      await nextTurn();
      // A step with nothing left to join changes only its own row.
      if ((await this.#changes()) - before < 2) break;
    }
    await this.#configure("automerge", 4);
    await this.#configure("crisismerge", 16);
  }

  async #changes(): Promise<number> {
    const { rows } = await sql<{ n: number }>`select total_changes() as n`.execute(this.#db);
    return rows[0]?.n ?? 0;
  }

  async #configure(option: string, value: number): Promise<void> {
    const name = sql.raw(this.#table.name);
    await sql`insert into ${name}(${name}, rank) values (${option}, ${sql.lit(value)})`.execute(this.#db);
  }

  /** Reads the list of words, so that the first search is as quick as the others. */
  async warm(): Promise<void> {
    await this.#loadTerms();
  }

  async #match(
    match: string,
    limit: number,
    rows: { from: number; to: number },
    isRanked: boolean,
  ): Promise<number[]> {
    const { name, columns } = this.#table;
    const table = sql.raw(name);
    const weights = sql.join(columns.map(({ weight }) => sql.lit(weight)));
    const order = isRanked ? sql`bm25(${table}, ${weights})` : sql`rowid`;
    const { rows: hits } = await sql<{ row: number }>`
      select rowid as row from ${table}
      where ${table} match ${match} and rowid between ${rows.from} and ${rows.to}
      order by ${order} limit ${limit}`.execute(this.#db);
    return hits.map(({ row }) => row);
  }

  async #loadTerms(): Promise<Terms> {
    if (this.#terms) return this.#terms;
    const { rows } = await sql<{ term: string; doc: number }>`
      select term, doc from ${sql.raw(`${this.#table.name}_terms`)}`.execute(this.#db);
    const byLength = new Map<number, string[]>();
    for (const { term } of rows) {
      const same = byLength.get(term.length);
      if (same) same.push(term);
      else byLength.set(term.length, [term]);
    }
    const total = await sql<{ rows: number }>`
      select count(*) as rows from ${sql.raw(`${this.#table.name}_docsize`)}`.execute(this.#db);
    this.#terms = {
      sorted: rows.map(({ term }) => term).sort(),
      byLength,
      count: new Map(rows.map(({ term, doc }) => [term, doc])),
      rows: Number(total.rows[0]?.rows ?? 0),
    };
    return this.#terms;
  }
}

/** For each word those it may stand for, spelt most like it; undefined when one of them is like none. */
function spellings(words: readonly string[], terms: Terms): string[][] | undefined {
  const meant: string[][] = [];
  for (const word of words) {
    if (terms.count.has(word)) {
      meant.push([word]);
      continue;
    }
    // A short word or a number is like too many others.
    if (word.length < 4 || /\d/.test(word)) return undefined;
    const far = word.length <= 5 ? 1 : 2;
    let near: string[] = [];
    let nearest = far;
    for (let length = word.length - far; length <= word.length + far; length++)
      for (const term of terms.byLength.get(length) ?? []) {
        const away = distance(word, term);
        if (away > nearest) continue;
        if (away < nearest) near = [];
        nearest = away;
        near.push(term);
      }
    if (near.length === 0) return undefined;
    near.sort((a, b) => (terms.count.get(b) ?? 0) - (terms.count.get(a) ?? 0));
    meant.push(near.slice(0, MOST_GUESSES));
  }
  return meant;
}

/** At most so many rows have all these words, the last of them perhaps unfinished. */
function rowsWith(words: readonly string[], terms: Terms): number {
  const counts = words.slice(0, -1).map((word) => terms.count.get(word) ?? 0);
  return Math.min(...counts, rowsBeginning(words.at(-1) ?? "", terms));
}

function rowsBeginning(prefix: string, { sorted, count }: Terms): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] as string) < prefix) low = middle + 1;
    else high = middle;
  }
  let rows = 0;
  for (let at = low; at < sorted.length && rows <= MOST_RANKED; at++) {
    const term = sorted[at] as string;
    if (!term.startsWith(prefix)) break;
    rows += count.get(term) ?? 0;
  }
  return rows;
}
