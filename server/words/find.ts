import type { Finds } from "../../core/words/finds.ts";
import { textsFor } from "../../core/words/reference/chooseText.ts";
import { formatPassage, looksLikeReference, saysVerses } from "../../core/words/reference/reference.ts";
import { baseLanguage, readReference, type ScriptureInfo } from "../../core/words/scripture.ts";
import type { ScriptureStore } from "../store/scriptureStore.ts";
import type { SongStore } from "../store/songStore.ts";

const MOST_SONGS = 8;
const MOST_VERSES = 8;
/** Songs, passages and verses for what was typed: a reference gives the passage, words give verses and songs. */
export async function findWords(
  query: string,
  songs: SongStore,
  scriptures: ScriptureStore,
  textCode?: string,
): Promise<Finds> {
  const typed = query.trim().slice(0, 200);
  // A text in the language that the book was named in goes first.
  const texts = textsFor(
    typed,
    scriptures.list().filter(({ code }) => textCode === undefined || code === textCode),
  );
  const passages: Finds["passages"][number][] = [];
  let problem: string | null = null;
  const add = (info: ScriptureInfo, reference: string): readonly string[] => {
    const read = readReference(scriptures, info.code, reference);
    if ("problem" in read) {
      if (read.why !== "unknownBook" && read.why !== "notAReference") problem ??= read.problem;
      return [];
    }
    const verses = read.passages.flatMap((passage) => passage.verses);
    if (verses.length > 0)
      passages.push({
        reference: read.reference,
        text: info.code,
        textName: info.name,
        verses: verses.length,
        words: (verses[0]?.text ?? "").replaceAll("\n", " "),
      });
    return read.others;
  };
  if (looksLikeReference(typed))
    for (const [i, info] of texts.entries()) {
      const others = add(info, typed);
      // What it could mean as well, in the likeliest text only.
      if (i === 0) for (const other of others) add(info, other);
    }
  const isReference = passages.length > 0 && saysVerses(typed);
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
