import type { Passage, VerseCounts, VerseRef } from "./reference/passage.ts";
import { ENGLISH_TO_HEBREW, ENGLISH_TO_SPANISH, PSALM_TITLES } from "./versificationTables.ts";

/** A text as far as its numbers go. */
export interface NumberedText {
  readonly code: string;
  readonly counts: VerseCounts;
}

/** The shipped English text prints Romans 16:25–27 within 14:23; others have them at their usual place. */
export const PRINTED_ELSEWHERE: readonly {
  readonly text: string;
  readonly from: VerseRef;
  readonly to: VerseRef;
  readonly at: VerseRef;
}[] = [
  {
    text: "web",
    from: { book: "Rom", chapter: 16, verse: 25 },
    to: { book: "Rom", chapter: 16, verse: 27 },
    at: { book: "Rom", chapter: 14, verse: 23 },
  },
];

type Place = readonly [chapter: number, verse: number];
const keyOf = (book: string, chapter: number, verse: number) => `${book} ${chapter}:${verse}`;

/** Where the usual English verses stand in a text, and the other way round; verses not named have the same number. */
interface Numbering {
  readonly there: ReadonlyMap<string, readonly Place[]>;
  readonly back: ReadonlyMap<string, readonly Place[]>;
}

const numberings = new WeakMap<VerseCounts, Numbering>();

/**
 * How a text is numbered, by its own verses: each chapter that other schemes count otherwise has another number of
 * verses there. So the Hebrew, the Latin and the Greek way are known, and texts that mix them.
 */
function numberingOf({ code, counts }: NumberedText): Numbering {
  let numbering = numberings.get(counts);
  if (!numbering) {
    numbering = makeNumbering(code, counts);
    numberings.set(counts, numbering);
  }
  return numbering;
}

function makeNumbering(code: string, counts: VerseCounts): Numbering {
  const there = new Map<string, readonly Place[]>();
  const rows = code === "rv1909" ? ENGLISH_TO_SPANISH : ENGLISH_TO_HEBREW;
  for (const { book, sign, chapters } of rows) {
    if (sign && counts.get(book)?.[sign.chapter - 1] !== sign.verses) continue;
    for (const { chapter, rules } of chapters)
      for (const rule of rules)
        for (let verse = rule.first; verse <= rule.last; verse++)
          there.set(keyOf(book, chapter, verse), rule.targetsOf(chapter, verse));
  }
  if (code !== "rv1909") addPsalms(there, counts.get("Ps") ?? []);
  const back = new Map<string, Place[]>();
  for (const [key, places] of there) {
    const [book, numbers] = key.split(" ") as [string, string];
    const [chapter, verse] = numbers.split(":").map(Number) as [number, number];
    for (const [c, v] of places) {
      const target = keyOf(book, c, v);
      // The English verse of that very number stands there too, unless it moved itself.
      const own: Place[] = there.has(target) ? [] : [[c, v]];
      back.set(target, [...(back.get(target) ?? own), [chapter, verse]]);
    }
  }
  for (const places of back.values()) places.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  return { there, back };
}

/** English psalms have so many verses; only those that other schemes part or join. */
const GREEK_SIGN = { chapter: 9, least: 38 };
const TITLES_SIGN = { psalm: 51, verses: 21 };

/** Psalms: titles that count as verses, and the numbers of the Greek and Latin psalter. */
function addPsalms(there: Map<string, readonly Place[]>, psalms: readonly number[]): void {
  const isGreek = (psalms[GREEK_SIGN.chapter - 1] ?? 0) >= GREEK_SIGN.least;
  const titled = psalms[(isGreek ? TITLES_SIGN.psalm - 1 : TITLES_SIGN.psalm) - 1] === TITLES_SIGN.verses;
  if (!isGreek && !titled) return;
  for (let psalm = 1; psalm <= 150; psalm++) {
    const shift = titled ? (PSALM_TITLES.get(psalm) ?? 0) : 0;
    for (let verse = 1; verse <= 176; verse++) {
      // Psalm 13: its last two English verses are one in Hebrew.
      const own = psalm === 13 && shift > 0 && verse >= 6 ? 6 : verse + shift;
      const place = isGreek ? greekPlace(psalm, own) : ([psalm, own] as const);
      if (place[0] !== psalm || place[1] !== verse) there.set(keyOf("Ps", psalm, verse), [place]);
    }
  }
}

/** Source: the numbering of the Septuagint and the Vulgate against the Hebrew psalter (from memory). */
function greekPlace(psalm: number, verse: number): Place {
  if (psalm <= 9) return [psalm, verse];
  if (psalm === 10) return [9, verse + 21];
  if (psalm <= 113) return [psalm - 1, verse];
  if (psalm === 114) return [113, verse];
  if (psalm === 115) return [113, verse + 8];
  if (psalm === 116) return verse <= 9 ? [114, verse] : [115, verse - 9];
  if (psalm <= 146) return [psalm - 1, verse];
  if (psalm === 147) return verse <= 11 ? [146, verse] : [147, verse - 11];
  return [psalm, verse];
}

/** The verses of another text that say what a verse of this one says, in order. */
export function sameVerses(ref: VerseRef, from: NumberedText, to: NumberedText): VerseRef[] {
  for (const { text, from: first, to: last, at } of PRINTED_ELSEWHERE) {
    const inside =
      ref.book === first.book &&
      ref.chapter === first.chapter &&
      ref.verse >= first.verse &&
      ref.verse <= last.verse;
    if (to.code === text && from.code !== text && inside) return [at];
  }
  if (from.code === to.code) return [ref];
  const english = places(numberingOf(from).back, ref);
  const found = english.flatMap((place) => places(numberingOf(to).there, place));
  const seen = new Set<string>();
  return found.filter(({ book, chapter, verse }) => {
    const key = keyOf(book, chapter, verse);
    return !seen.has(key) && seen.add(key);
  });
}

const places = (known: ReadonlyMap<string, readonly Place[]>, ref: VerseRef): VerseRef[] =>
  known
    .get(keyOf(ref.book, ref.chapter, ref.verse))
    ?.map(([chapter, verse]) => ({ book: ref.book, chapter, verse })) ?? [ref];

/**
 * The passages of another text that hold the words of this one's, in the order of this one: one as a rule, more where
 * the other prints some of them elsewhere. A half of a verse stays that half.
 */
export function samePassages(passage: Passage, from: NumberedText, to: NumberedText): Passage[] {
  const chapters = from.counts.get(passage.from.book) ?? [];
  const found: { from: VerseRef; to: VerseRef }[] = [];
  const isAfter = (a: VerseRef, b: VerseRef) =>
    (a.chapter === b.chapter && a.verse === b.verse + 1) ||
    (a.chapter === b.chapter + 1 &&
      a.verse === 1 &&
      b.verse >= (to.counts.get(b.book)?.[b.chapter - 1] ?? b.verse));
  const isWithin = (ref: VerseRef, { from: first, to: last }: { from: VerseRef; to: VerseRef }) =>
    (ref.chapter > first.chapter || (ref.chapter === first.chapter && ref.verse >= first.verse)) &&
    (ref.chapter < last.chapter || (ref.chapter === last.chapter && ref.verse <= last.verse));
  for (let chapter = passage.from.chapter; chapter <= passage.to.chapter; chapter++) {
    const first = chapter === passage.from.chapter ? passage.from.verse : 1;
    const last = chapter === passage.to.chapter ? passage.to.verse : (chapters[chapter - 1] ?? 0);
    for (let verse = first; verse <= last; verse++)
      for (const ref of sameVerses({ book: passage.from.book, chapter, verse }, from, to)) {
        const open = found.at(-1);
        if (found.some((each) => isWithin(ref, each))) continue;
        if (open && isAfter(ref, open.to)) open.to = ref;
        else found.push({ from: ref, to: ref });
      }
  }
  const { fromPart, toPart } = passage;
  return found.map((each, i) => ({
    ...each,
    ...(i === 0 && fromPart && { fromPart }),
    ...(i === found.length - 1 && toPart && { toPart }),
  }));
}
