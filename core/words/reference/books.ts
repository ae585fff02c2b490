import { editSteps } from "../editSteps.ts";
import { foldWords } from "../foldWords.ts";
import { BOOK_NAMES, ONE_PSALM } from "./bookNames.ts";

/** The 66 books in order, by OSIS code, with their English name and the short forms people type. */
export interface Book {
  readonly code: string;
  readonly name: string;
  readonly short: readonly string[];
}

const TABLE = `
Gen|Genesis|ge gn
Exod|Exodus|ex exo
Lev|Leviticus|le lv
Num|Numbers|nu nm nb
Deut|Deuteronomy|de dt deu
Josh|Joshua|jos jsh
Judg|Judges|jdg jdgs jg
Ruth|Ruth|ru rth rut
1Sam|1 Samuel|1sa 1sm 1s
2Sam|2 Samuel|2sa 2sm 2s
1Kgs|1 Kings|1ki 1kin 1k
2Kgs|2 Kings|2ki 2kin 2k
1Chr|1 Chronicles|1ch 1chron
2Chr|2 Chronicles|2ch 2chron
Ezra|Ezra|ezr
Neh|Nehemiah|ne
Esth|Esther|es est
Job|Job|jb
Ps|Psalms|psalm psa pss psm pslm
Prov|Proverbs|pr prv pro proverb
Eccl|Ecclesiastes|ec ecc eccles qoh
Song|Song of Solomon|so sos songofsongs song canticles sg
Isa|Isaiah|is
Jer|Jeremiah|je jr
Lam|Lamentations|la
Ezek|Ezekiel|eze ezk
Dan|Daniel|da dn
Hos|Hosea|ho
Joel|Joel|jl joe
Amos|Amos|am amo
Obad|Obadiah|ob oba
Jonah|Jonah|jnh jon
Mic|Micah|mi mc
Nah|Nahum|na
Hab|Habakkuk|hb
Zeph|Zephaniah|zep zp
Hag|Haggai|hg
Zech|Zechariah|zec zc
Mal|Malachi|ml
Matt|Matthew|mt mat
Mark|Mark|mk mrk mr mar
Luke|Luke|lk luk lu
John|John|jn jhn joh
Acts|Acts|ac act actsoftheapostles
Rom|Romans|ro rm
1Cor|1 Corinthians|1co
2Cor|2 Corinthians|2co
Gal|Galatians|ga
Eph|Ephesians|ep
Phil|Philippians|php pp philip
Col|Colossians|co
1Thess|1 Thessalonians|1th 1thes 1ths
2Thess|2 Thessalonians|2th 2thes 2ths
1Tim|1 Timothy|1ti
2Tim|2 Timothy|2ti
Titus|Titus|tit ti
Phlm|Philemon|phm pm philem
Heb|Hebrews|he
Jas|James|jam jm
1Pet|1 Peter|1pe 1pt 1p
2Pet|2 Peter|2pe 2pt 2p
1John|1 John|1jn 1jo 1joh 1j
2John|2 John|2jn 2jo 2joh 2j
3John|3 John|3jn 3jo 3joh 3j
Jude|Jude|jud jd
Rev|Revelation|re rv apocalypse revelations revelationofjohn
`;

export const BOOKS: readonly Book[] = TABLE.trim()
  .split("\n")
  .map((row) => {
    const [code, name, short] = row.split("|") as [string, string, string];
    return { code, name, short: short.split(" ") };
  });

const BY_CODE = new Map(BOOKS.map((book) => [book.code, book]));

const fold = (name: string) => foldWords(name).replaceAll(" ", "");

/** A language's names: what each book is called, and every name and short form of it. */
interface Names {
  readonly nameOf: ReadonlyMap<string, string>;
  readonly byName: ReadonlyMap<string, Book>;
  /** With the marks on its letters: in Portuguese "Jo" is John and "Jó" is Job. */
  readonly bySpelling: ReadonlyMap<string, Book>;
  readonly begins: readonly (readonly [folded: string, book: Book])[];
}

function readNames(rows: Iterable<readonly [book: Book, name: string, short: readonly string[]]>): Names {
  const nameOf = new Map<string, string>();
  const byName = new Map<string, Book>();
  const bySpelling = new Map<string, Book>();
  const begins: [string, Book][] = [];
  for (const [book, name, short] of rows) {
    nameOf.set(book.code, name);
    begins.push([fold(name), book]);
    for (const form of [name, ...short]) {
      if (!byName.has(fold(form))) byName.set(fold(form), book);
      if (!bySpelling.has(form.toLowerCase())) bySpelling.set(form.toLowerCase(), book);
    }
  }
  return { nameOf, byName, bySpelling, begins };
}

const NAMES: ReadonlyMap<string, Names> = new Map([
  ["en", readNames(BOOKS.map((book) => [book, book.name, [book.code, ...book.short]] as const))],
  ...Object.entries(BOOK_NAMES).map(
    ([language, table]) =>
      [
        language,
        readNames(
          table
            .trim()
            .split("\n")
            .map((row) => {
              const [code, name, short] = row.split("|") as [string, string, string];
              return [getBook(code), name, short.split(" ")] as const;
            }),
        ),
      ] as const,
  ),
]);

const ORDINALS: readonly (readonly [RegExp, string])[] = [
  [/^(first|1st|1ª|1º|1er|primera?|primeir[ao]|prim[ao]|premi[eè]re?|erste[rs]?|i)[\s.]+/iu, "1 "],
  [/^(second|2nd|2ª|2º|2e|segunda?|segundo|second[ao]|deuxi[eè]me|zweite[rs]?|ii)[\s.]+/iu, "2 "],
  [/^(third|3rd|3ª|3º|3e|tercera?|terceir[ao]|terz[ao]|troisi[eè]me|dritte[rs]?|iii)[\s.]+/iu, "3 "],
];

/**
 * The book that a name or short form means, in the language of the text first, then in English, then in the other
 * languages: exact, then the only book that begins so ("philipp", "2 cor").
 * A leading "first", "II" or "1st" is a number.
 */
export function findBook(name: string, language = "en"): Book | undefined {
  const typed = ORDINALS.reduce((text, [ordinal, number]) => text.replace(ordinal, number), name.trim());
  const folded = fold(typed);
  if (folded === "") return undefined;
  const own = [...new Set([language, "en"])].flatMap((tag) => NAMES.get(tag) ?? []);
  // Two letters mean too many books in too many languages.
  const others = folded.length < 3 ? [] : [...NAMES.values()].filter((names) => !own.includes(names));
  const languages = [...own, ...others];
  for (const { byName, bySpelling } of languages) {
    const exact = bySpelling.get(typed.normalize("NFC").toLowerCase()) ?? byName.get(folded);
    if (exact) return exact;
  }
  // "Roemer", "Hebraeer": for who has no dots on the letters.
  const undotted = folded.replace(/([aou])e/g, "$1");
  if (undotted !== folded)
    for (const { byName } of languages) {
      const exact = byName.get(undotted);
      if (exact) return exact;
    }
  if (folded.length < 3) return undefined;
  for (const { begins } of languages) {
    const beginning = new Set(begins.filter(([form]) => form.startsWith(folded)).map(([, book]) => book));
    if (beginning.size === 1) return [...beginning][0];
    if (beginning.size > 1) return undefined;
  }
  return undefined;
}

const leadOf = (name: string) => /^\d*/.exec(name)?.[0] ?? "";

/**
 * The only book whose whole name is spelt nearly like what was typed: "pslam", "Corinthans". Short names and short
 * forms are not guessed: "boat" is not Job.
 */
export function nearestBook(name: string, language = "en"): Book | undefined {
  const typed = ORDINALS.reduce((text, [ordinal, number]) => text.replace(ordinal, number), name.trim());
  const folded = fold(typed);
  if (folded.length < 4) return undefined;
  for (const tag of new Set([language, "en"])) {
    const near = (NAMES.get(tag)?.begins ?? []).flatMap(([form, book]) => {
      const forms = tag === "en" && book.code === "Ps" ? [form, "psalm"] : [form];
      const steps = Math.min(
        ...forms.map((each) =>
          each.length < 5 || leadOf(each) !== leadOf(folded) ? 9 : editSteps(folded, each),
        ),
      );
      return steps <= (folded.length > 6 ? 2 : 1) ? [{ book, steps }] : [];
    });
    const least = Math.min(...near.map(({ steps }) => steps));
    const best = near.filter(({ steps }) => steps === least);
    if (best.length === 1) return best[0]?.book;
  }
  return undefined;
}

/** The books that have a number before a name that was typed without one: both letters to the Corinthians. */
export function severalBooks(name: string, language = "en"): Book[] {
  const numbered = [1, 2, 3].map(
    (number) => findBook(`${number} ${name}`, language) ?? nearestBook(`${number} ${name}`, language),
  );
  return fold(name).length < 4 ? [] : numbered.filter((book) => book !== undefined);
}

/** The languages in which a name or short form means a book, exactly. */
export function languagesOf(name: string): string[] {
  const folded = fold(name);
  return [...NAMES].flatMap(([language, { byName }]) => (byName.has(folded) ? [language] : []));
}

export function getBook(code: string): Book {
  const book = BY_CODE.get(code);
  if (!book) throw new Error(`No book has the code "${code}"`);
  return book;
}

/** What a book is called in a language; in English where we do not know it. */
export function bookName(code: string, language = "en"): string {
  return NAMES.get(language)?.nameOf.get(code) ?? getBook(code).name;
}

/** The name that stands before chapter and verse: one psalm is a Psalm. */
export function nameForReference(code: string, language = "en"): string {
  if (code === "Ps")
    return (Object.hasOwn(ONE_PSALM, language) ? ONE_PSALM[language] : undefined) ?? (ONE_PSALM.en as string);
  return bookName(code, language);
}
