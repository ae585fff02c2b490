/** One stretch of English verses, and where each of them stands in the other numbering. */
export interface VerseRule {
  readonly first: number;
  readonly last: number;
  readonly targetsOf: (chapter: number, verse: number) => (readonly [chapter: number, verse: number])[];
}

export interface NumberingRow {
  readonly book: string;
  /** A text has this way of counting when this chapter of it has so many verses; null: the table is of one text. */
  readonly sign: { readonly chapter: number; readonly verses: number } | null;
  readonly chapters: readonly { readonly chapter: number; readonly rules: readonly VerseRule[] }[];
}

/**
 * Where the shipped Spanish text (Reina-Valera 1909) numbers its verses otherwise than the usual English numbering,
 * which the shipped English text follows: chapter by chapter, English verses to Spanish ones. Compiled by comparing
 * the two texts; verses that are not named have the same number in both. "16>13:1" is English verse 16, printed as
 * Spanish 13:1; "1-32>+1" moves each by one; "1-4>7:26" begins at 7:26; "32+33>33" are two English verses in one
 * Spanish, "18>18+19" one in two.
 */
const SPANISH = `
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
Job 40|1-5>39:30* 6-24>-5
Hos 11|12>12:1
Hos 12|1-13>+1 14>14
Jonah 1|17>2:1
Jonah 2|1-9>+1 10>10
Acts 19|41>40
2Cor 13|13>12 14>13
`;

/**
 * The Hebrew numbering against the usual English one. Each line begins with its sign: the chapter that has so many
 * verses in a text that counts so. Source: the published tables of the two numberings (from memory); each line is
 * checked by its own sums.
 */
const HEBREW = `
Gen 32=33|Gen 31|55>32:1|Gen 32|1-32>+1
Exod 8=28|Exod 8|1-4>7:26 5-32>-4
Exod 22=30|Exod 22|1>21:37 2-31>-1
Lev 6=23|Lev 6|1-7>5:20 8-30>-7
Num 17=28|Num 16|36-50>17:1|Num 17|1-13>+15
Num 30=17|Num 29|40>30:1|Num 30|1-16>+1
Deut 13=19|Deut 12|32>13:1|Deut 13|1-18>+1
Deut 23=26|Deut 22|30>23:1|Deut 23|1-25>+1
Deut 29=28|Deut 29|1>28:69 2-29>-1
1Sam 24=23|1Sam 23|29>24:1|1Sam 24|1-22>+1
2Sam 19=44|2Sam 18|33>19:1|2Sam 19|1-43>+1
1Kgs 5=32|1Kgs 4|21-34>5:1|1Kgs 5|1-18>+14
2Kgs 12=22|2Kgs 11|21>12:1|2Kgs 12|1-21>+1
1Chr 6=66|1Chr 6|1-15>5:27 16-81>-15
2Chr 2=17|2Chr 2|1>1:18 2-18>-1
2Chr 14=14|2Chr 14|1>13:23 2-15>-1
Neh 4=17|Neh 4|1-6>3:33 7-23>-6
Neh 10=40|Neh 9|38>10:1|Neh 10|1-39>+1
Job 41=26|Job 41|1-8>40:25 9-34>-8
Eccl 5=19|Eccl 5|1>4:17 2-20>-1
Song 7=14|Song 6|13>7:1|Song 7|1-13>+1
Isa 9=20|Isa 9|1>8:23 2-21>-1
Isa 64=11|Isa 64|1>63:19 2-12>-1
Jer 9=25|Jer 9|1>8:23 2-26>-1
Ezek 21=37|Ezek 20|45-49>21:1|Ezek 21|1-32>+5
Dan 4=34|Dan 4|1-3>3:31 4-37>-3
Dan 6=29|Dan 5|31>6:1|Dan 6|1-28>+1
Hos 2=25|Hos 1|10-11>2:1|Hos 2|1-23>+2
Hos 12=15|Hos 11|12>12:1|Hos 12|1-14>+1
Hos 14=10|Hos 13|16>14:1|Hos 14|1-9>+1
Joel 4=21|Joel 2|28-32>3:1|Joel 3|1-21>4:1
Jonah 2=11|Jonah 1|17>2:1|Jonah 2|1-10>+1
Mic 5=14|Mic 5|1>4:14 2-15>-1
Nah 2=14|Nah 1|15>2:1|Nah 2|1-13>+1
Zech 2=17|Zech 1|18-21>2:1|Zech 2|1-13>+4
Mal 3=24|Mal 4|1-6>3:19
`;

/** Psalms whose title is a verse, or two, where titles count. Source: as above. */
const ONE_TITLE =
  "3 4 5 6 7 8 9 12 13 18 19 20 21 22 30 31 34 36 38 39 40 41 42 44 45 46 47 48 49 53 55 56 57 58 59 61 62 63 64 65 67 68 69 70 75 76 77 80 81 83 84 85 88 89 92 102 108 140 142";
export const PSALM_TITLES: ReadonlyMap<number, number> = new Map([
  ...ONE_TITLE.split(" ").map((psalm) => [Number(psalm), 1] as const),
  ...[51, 52, 54, 60].map((psalm) => [psalm, 2] as const),
]);

function readRules(text: string): VerseRule[] {
  return text.split(" ").map((rule) => {
    const [from, to] = rule.split(">") as [string, string];
    const [first, last = first] = from.split("-").map(Number) as [number, number?];
    return { first, last: last as number, targetsOf: readTarget(to, first) };
  });
}

function readTarget(to: string, first: number): VerseRule["targetsOf"] {
  if (/^[+-]\d+$/.test(to)) return (chapter, verse) => [[chapter, verse + Number(to)]];
  // "39:30*": all of them in one.
  const isOne = to.endsWith("*");
  const targets = to.replace("*", "").split("+");
  return (chapter, verse) =>
    targets.map((target) => {
      const [c, v] = target.includes(":")
        ? (target.split(":").map(Number) as [number, number])
        : [chapter, Number(target)];
      return [c, target.includes(":") && !isOne ? v + verse - first : v] as const;
    });
}

export const ENGLISH_TO_SPANISH: readonly NumberingRow[] = SPANISH.trim()
  .split("\n")
  .map((row) => {
    const [place, rules] = row.split("|") as [string, string];
    const [book, chapter] = place.split(" ") as [string, string];
    return { book, sign: null, chapters: [{ chapter: Number(chapter), rules: readRules(rules) }] };
  });

export const ENGLISH_TO_HEBREW: readonly NumberingRow[] = HEBREW.trim()
  .split("\n")
  .map((row) => {
    const [sign, ...rest] = row.split("|") as [string, ...string[]];
    const [, book, chapter, verses] = /^(\S+) (\d+)=(\d+)$/.exec(sign) as unknown as [
      string,
      string,
      string,
      string,
    ];
    const chapters = [];
    for (let i = 0; i + 1 < rest.length; i += 2)
      chapters.push({
        chapter: Number((rest[i] as string).split(" ")[1]),
        rules: readRules(rest[i + 1] as string),
      });
    return { book, sign: { chapter: Number(chapter), verses: Number(verses) }, chapters };
  });
