import type { Passage, VerseRef } from "./reference/passage.ts";

/**
 * Where the shipped Spanish text (Reina-Valera 1909) numbers its verses otherwise than the usual English numbering,
 * which the shipped English text follows: chapter by chapter, English verses to Spanish ones. Compiled by comparing
 * the two texts; verses that are not named have the same number in both. "16>13:1" is English verse 16, printed as
 * Spanish 13:1; "1-32>+1" moves each by one; "32+33>33" are two English verses in one Spanish, "18>18+19" one in two.
 */
const ENGLISH_TO_SPANISH = `
Num 12|16>13:1
Num 13|1-32>+1 33>33
Num 29|40>30:1
Num 30|1-15>+1 16>16
Judg 14|18>18+19 19>20 20>20
1Sam 23|29>24:1
1Sam 24|1-21>+1 22>22
2Sam 20|26>25
1Kgs 22|43>43+44 44-52>+1 53>53
1Chr 1|31>30 32>31+32
1Chr 21|15>15+16 16-29>+1 30>30
2Chr 33|11>10 12-25>-1
Job 35|16>15
Job 38|39>39:1 40>39:2 41>39:3
Job 39|1-27>+3 28-30>30
Job 40|1-5>39:30 6-24>-5
Hos 11|12>12:1
Hos 12|1-13>+1 14>14
Jonah 1|17>2:1
Jonah 2|1-9>+1 10>10
Acts 19|41>40
2Cor 13|13>12 14>13
`;

/** The shipped English text prints Romans 16:25–27 within 14:23; the Spanish has them at their usual place. */
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

/** Texts that are numbered as the Spanish one; every other is taken to have the usual numbering. */
const SPANISH_NUMBERING = new Set(["rv1909"]);

type Place = readonly [chapter: number, verse: number];
const keyOf = (book: string, chapter: number, verse: number) => `${book} ${chapter}:${verse}`;

const there = new Map<string, readonly Place[]>();
const back = new Map<string, Place[]>();

for (const row of ENGLISH_TO_SPANISH.trim().split("\n")) {
  const [place, rules] = row.split("|") as [string, string];
  const [book, chapterText] = place.split(" ") as [string, string];
  const chapter = Number(chapterText);
  for (const rule of rules.split(" ")) {
    const [from, to] = rule.split(">") as [string, string];
    const [first, last = first] = from.split("-").map(Number) as [number, number?];
    for (let verse = first; verse <= (last as number); verse++)
      there.set(keyOf(book, chapter, verse), targetsOf(to, chapter, verse));
  }
}
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

function targetsOf(to: string, chapter: number, verse: number): Place[] {
  if (/^[+-]\d+$/.test(to)) return [[chapter, verse + Number(to)]];
  return to.split("+").map((target): Place => {
    const [c, v] = target.includes(":") ? target.split(":").map(Number) : [chapter, Number(target)];
    return [c as number, v as number];
  });
}

/** The verses of another text that say what a verse of this one says, in order. */
export function sameVerses(ref: VerseRef, fromText: string, toText: string): VerseRef[] {
  const fromSpanish = SPANISH_NUMBERING.has(fromText);
  const toSpanish = SPANISH_NUMBERING.has(toText);
  for (const { text, from, to, at } of PRINTED_ELSEWHERE) {
    const inside =
      ref.book === from.book &&
      ref.chapter === from.chapter &&
      ref.verse >= from.verse &&
      ref.verse <= to.verse;
    if (toText === text && inside) return [at];
  }
  if (fromSpanish === toSpanish) return [ref];
  const key = keyOf(ref.book, ref.chapter, ref.verse);
  const places = fromSpanish ? back.get(key) : there.get(key);
  return places ? places.map(([chapter, verse]) => ({ book: ref.book, chapter, verse })) : [ref];
}

/** The passage of another text that holds the words of this one's; a half of a verse stays that half. */
export function samePassage(passage: Passage, fromText: string, toText: string): Passage {
  const first = sameVerses(passage.from, fromText, toText)[0] ?? passage.from;
  const last = sameVerses(passage.to, fromText, toText).at(-1) ?? passage.to;
  return { ...passage, from: first, to: last };
}
