import { languagesOf } from "../../core/words/books.ts";
import { formatPassage } from "../../core/words/reference.ts";
import { baseLanguage, readReference } from "../../core/words/scripture.ts";
import type { ScriptureStore } from "../store/scriptureStore.ts";
import type { SongLine, SongStore } from "../store/songStore.ts";

/** What is found for typed words, beyond what a desk has itself. */
export interface Finds {
  readonly songs: readonly SongLine[];
  /** They are spelt like what was typed, and not so. */
  readonly songsAreGuesses: boolean;
  readonly passages: readonly {
    readonly reference: string;
    readonly text: string;
    readonly textName: string;
    readonly verses: number;
    readonly words: string;
  }[];
  readonly verses: readonly {
    readonly reference: string;
    readonly text: string;
    readonly textName: string;
    readonly words: string;
    readonly before: string;
    readonly after: string;
  }[];
  /** Why what looks like a reference is none. */
  readonly problem: string | null;
}

const MOST_SONGS = 8;
const MOST_VERSES = 8;
/** Starts with a book and goes on with a number, or says a chapter and verse. */
const LIKE_A_REFERENCE = /^[1-5]?\s*\.?\s*\p{L}[\p{L}\p{M}.'’ ]*\s*\d/u;
const WITH_VERSES = /\d\s*[:.]\s*\d/;

/** Songs, passages and verses for what was typed: a reference gives the passage, words give verses and songs. */
export async function findWords(
  query: string,
  songs: SongStore,
  scriptures: ScriptureStore,
  textCode?: string,
): Promise<Finds> {
  const typed = query.trim().slice(0, 200);
  const named = languagesOf(typed.replace(/\s*\d[\d\s:.,;–-]*$/, ""));
  const isNamed = (language: string) => Number(named.includes(baseLanguage(language)));
  // A text in the language that the book was named in goes first.
  const texts = scriptures
    .list()
    .filter(({ code }) => textCode === undefined || code === textCode)
    .sort((a, b) => isNamed(b.language) - isNamed(a.language));
  const passages: Finds["passages"][number][] = [];
  let problem: string | null = null;
  if (LIKE_A_REFERENCE.test(typed))
    for (const info of texts) {
      const read = readReference(scriptures, info.code, typed);
      if ("problem" in read) {
        if (read.why !== "unknownBook" && read.why !== "notAReference") problem ??= read.problem;
        continue;
      }
      const language = baseLanguage(info.language);
      const verses = read.passages.flatMap((passage) => passage.verses);
      if (verses.length === 0) continue;
      passages.push({
        reference: read.passages.map(({ passage }) => formatPassage(passage, language)).join("; "),
        text: info.code,
        textName: info.name,
        verses: verses.length,
        words: (verses[0]?.text ?? "").replaceAll("\n", " "),
      });
    }
  const isReference = passages.length > 0 && WITH_VERSES.test(typed);
  const found = isReference || typed.length < 3 ? [] : await scriptures.search(typed, MOST_VERSES, textCode);
  const known =
    isReference || typed === "" ? { songs: [], areGuesses: false } : await songs.search(typed, MOST_SONGS);
  return {
    songs: known.songs,
    songsAreGuesses: known.areGuesses,
    passages,
    verses: found.map(({ textCode: code, book, chapter, verse, text, before, after }) => {
      const info = scriptures.info(code);
      const ref = { book, chapter, verse };
      return {
        reference: formatPassage({ from: ref, to: ref }, baseLanguage(info?.language ?? "en")),
        text: code,
        textName: info?.name ?? code,
        words: text.replaceAll("\n", " "),
        before: before.replaceAll("\n", " "),
        after: after.replaceAll("\n", " "),
      };
    }),
    problem: passages.length > 0 ? null : problem,
  };
}
