/** Short words that a language cannot do without and its neighbours do without, most telling first. */
const COMMON: Readonly<Record<string, string>> = {
  en: "the and of to in is my your you we with for that be our are his i he she it on all this will not from where when o have me us who over down",
  es: "el la los las de que y en tu mi es un una con por para no te se su yo al del nos más eres señor como quien está soy cuando sobre hasta",
  pt: "o os a as de que e em teu meu é um uma com por para não te se seu eu ao do da nos mais és senhor como quem está sou quando sobre até minha tua",
  fr: "le la les de que et en ton mon est un une avec par pour ne pas te se son je au du des nous plus tu seigneur comme qui dans sur à où quand ta ma jusqu",
  de: "der die das und in zu ist mein dein du wir mit für nicht ich er sie es den dem ein eine auf wie uns dich mich herr auch wenn am vom zum bei fort",
  it: "il lo la gli di che e in tuo mio è un una con per non ti si suo io al del ci più sei signore come chi nella sulla quando fino",
  nl: "de het een en van in is mijn jouw wij met voor niet ik hij zij op als ons u heer ook dat te aan zijn waar naar bij",
  sv: "och i att det som en är min din du vi med för inte jag han på den om till oss av herre när där ner vid",
  nb: "og i å det som en er min din du vi med for ikke jeg han på den om til oss av herre når der ned ved deg meg",
  da: "og i at det som en er min din du vi med for ikke jeg han på den om til os af herre når der ned ved dig mig",
  pl: "i w z na do jest nie się że to mój twój ty my po od dla jak co ja panie gdy nas przez",
};
const LANGUAGES = Object.entries(COMMON).map(
  ([language, words]) => [language, new Set(words.split(" "))] as const,
);

/** Scripts that say by themselves what language a text is likely in. */
const SCRIPTS: readonly (readonly [RegExp, string])[] = [
  [/\p{Script=Hangul}/u, "ko"],
  [/[\p{Script=Hiragana}\p{Script=Katakana}]/u, "ja"],
  [/\p{Script=Han}/u, "zh"],
  [/\p{Script=Hebrew}/u, "he"],
  [/\p{Script=Arabic}/u, "ar"],
  [/\p{Script=Devanagari}/u, "hi"],
  [/\p{Script=Thai}/u, "th"],
  [/\p{Script=Greek}/u, "el"],
  [/[іїєґ]/iu, "uk"],
  [/\p{Script=Cyrillic}/u, "ru"],
];

export interface LanguageGuess {
  /** BCP 47 tag. */
  readonly language: string;
  /** Words that speak for it, over those that speak for the next likely one. */
  readonly margin: number;
}

/** The language that lines are likely in, by their script or their commonest words; undefined when nothing tells. */
export function guessLanguage(lines: readonly string[]): LanguageGuess | undefined {
  const text = lines.join("\n");
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  for (const [script, language] of SCRIPTS) {
    const own = text.match(new RegExp(script.source, "giu"))?.length ?? 0;
    const isMark = language === "uk" || language === "ja" || language === "ko";
    if (own > letters * (isMark ? 0.02 : 0.5) && own > 0) return { language, margin: own };
  }
  const words = text.toLowerCase().split(/[^\p{L}\p{M}]+/u);
  const scores = LANGUAGES.map(([language, common]) => ({
    language,
    score: words.filter((word) => common.has(word)).length,
  })).sort((a, b) => b.score - a.score);
  const [best, next] = scores;
  if (!best || best.score === 0) return undefined;
  return { language: best.language, margin: best.score - (next?.score ?? 0) };
}
