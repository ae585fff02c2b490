import { oncePerText } from "../memo/oncePerText.ts";

/** A date that a text says. What it does not say is null. */
export interface SaidDate {
  readonly said: string;
  readonly day: number | null;
  /** 1 to 12. */
  readonly month: number | null;
  readonly year: number | null;
  /** 0 Sunday to 6 Saturday. */
  readonly weekday: number | null;
  /** Weekdays in the language in which it was said, from Sunday. */
  readonly weekdayWords: readonly string[];
}

/** Languages that dates are read in. */
const LANGUAGES = ["en", "de", "es", "fr", "pt", "it", "nl"];

interface Words {
  readonly months: readonly string[];
  readonly weekdays: readonly string[];
}

const wordsOf = (language: string): Words => {
  const format = (options: Intl.DateTimeFormatOptions, dates: readonly Date[]) => {
    const formatter = new Intl.DateTimeFormat(language, { ...options, timeZone: "UTC" });
    return dates.map((date) => formatter.format(date));
  };
  return {
    months: format(
      { month: "long" },
      Array.from({ length: 12 }, (_, month) => new Date(Date.UTC(2024, month, 15))),
    ),
    // The first of September 2024 was a Sunday.
    weekdays: format(
      { weekday: "long" },
      Array.from({ length: 7 }, (_, day) => new Date(Date.UTC(2024, 8, 1 + day))),
    ),
  };
};
const ALL_WORDS = LANGUAGES.map(wordsOf);
const escaped = (words: readonly string[]) =>
  words.map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")).join("|");
const MONTHS = escaped([...new Set(ALL_WORDS.flatMap(({ months }) => months))]);
const WEEKDAYS = escaped([...new Set(ALL_WORDS.flatMap(({ weekdays }) => weekdays))]);

const YEAR = "(?:19|20)\\d\\d";
/** "Friday, 12 December 2025", "12. Dezember", "le 3 mai 2024", "12 de diciembre de 2025". */
const DAY_FIRST = new RegExp(
  `(?:(?<weekday>${WEEKDAYS}),?\\s+(?:the\\s+|den\\s+|le\\s+)?)?(?<![\\d:.])(?<day>\\d{1,2})(?:st|nd|rd|th|\\.|er|º)?\\s+(?:of\\s+|de\\s+)?(?<month>${MONTHS})(?:,?\\s+(?:de\\s+)?(?<year>${YEAR}))?(?!\\p{L})`,
  "giu",
);
/** "Friday, December 12th, 2025". */
const MONTH_FIRST = new RegExp(
  `(?:(?<weekday>${WEEKDAYS}),?\\s+)?(?<!\\p{L})(?<month>${MONTHS})\\s+(?<day>\\d{1,2})(?:st|nd|rd|th)?(?![\\d:])(?:,?\\s+(?<year>${YEAR}))?`,
  "giu",
);
/** "2025-12-24", "24.12.2025", "24/12/2025": which is the month is not asked, the year is. */
const NUMBERS = new RegExp(
  `(?<!\\d)(?:(?<year>${YEAR})-\\d\\d-\\d\\d|\\d{1,2}([./])\\d{1,2}\\2(?<year2>${YEAR}))(?!\\d)`,
  "gu",
);

/** The dates of a text, in its order; a year alone is none. */
export const findDates = oncePerText((text: string): readonly SaidDate[] => {
  const found: (SaidDate & { readonly at: number })[] = [];
  for (const pattern of [DAY_FIRST, MONTH_FIRST])
    for (const match of text.matchAll(pattern)) {
      const { day, month = "", year, weekday } = match.groups ?? {};
      if (found.some(({ at, said }) => match.index < at + said.length && at < match.index + match[0].length))
        continue;
      const own = wordsWith(month, weekday);
      const number = Number(day);
      if (!own || number < 1 || number > 31) continue;
      found.push({
        ...{ said: match[0].trim(), at: match.index, day: number },
        month: indexOf(own.months, month) + 1,
        year: year === undefined ? null : Number(year),
        weekday: weekday === undefined ? null : indexOf(own.weekdays, weekday),
        weekdayWords: own.weekdays,
      });
    }
  for (const match of text.matchAll(NUMBERS)) {
    const year = Number(match.groups?.year ?? match.groups?.year2);
    const none = { day: null, month: null, weekday: null, weekdayWords: [] };
    found.push({ said: match[0], at: match.index, year, ...none });
  }
  return found.sort((a, b) => a.at - b.at).map(({ at: _, ...date }) => date);
});

const same = (a: string, b: string) => a.localeCompare(b, "en", { sensitivity: "base" }) === 0;
const indexOf = (words: readonly string[], word: string) => words.findIndex((each) => same(each, word));

/** The language in which both a month and a weekday are said so. */
const wordsWith = (month: string, weekday: string | undefined): Words | undefined =>
  ALL_WORDS.find(
    ({ months, weekdays }) =>
      indexOf(months, month) >= 0 && (weekday === undefined || indexOf(weekdays, weekday) >= 0),
  );
