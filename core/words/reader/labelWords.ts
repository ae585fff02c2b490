// Data: what people call the pieces of a song, language by language.

/** What a section of a song is. Its letter is the key it has in an order; a section with a name of its own is "S". */
export const SECTION_LETTERS = ["V", "C", "R", "P", "O", "B", "I", "N", "T", "E", "S"] as const;
export type SectionLetter = (typeof SECTION_LETTERS)[number];

/**
 * For each language: the letter, then the words for it. The first is how it is shown, capitals as they stand there;
 * the others are read only.
 */
const WORDS: Readonly<Record<string, string>> = {
  en: `
V|Verse|verses, vs, ver, vrs, stanza, v
C|Chorus|chor, cho, chrs, hook, chorus reprise, ch, c
R|Refrain|ref, burden, antiphon, r
P|Pre-chorus|prechorus, pre chorus, lift, climb, channel, pc, p
O|Post-chorus|postchorus, post chorus
B|Bridge|middle eight, middle 8, br, b
I|Intro|introduction, opening
N|Interlude|instrumental, inst, turnaround, solo, guitar solo, instrumental break, musical interlude, break, link
T|Tag|chorus tag, tag ending, coda, vamp
E|Ending|end, outro, final, finale, close`,
  es: `
V|Estrofa|verso, estrofas, copla
C|Coro|
R|Estribillo|refrán
P|Precoro|pre-coro, pre coro, preestribillo, pre-estribillo
O|Poscoro|post-coro, postcoro
B|Puente|
I|Introducción|entrada
N|Interludio|instrumental
T|Coda|etiqueta
E|Final|fin`,
  pt: `
V|Estrofe|verso, estrofes
C|Refrão|coro, refrao, chorus
P|Pré-refrão|pre-refrão, pré-refrao, pré-coro
B|Ponte|
I|Introdução|
N|Interlúdio|instrumental
T|Coda|
E|Final|fim`,
  fr: `
V|Couplet|strophe, cplt, vers
C|Chœur|choeur
R|Refrain|réf
P|Pré-refrain|pre-refrain
B|Pont|
I|Introduction|
N|Interlude|instrumental
T|Coda|
E|Fin|final`,
  de: `
V|Strophe|str, vers, verse, strofe
C|Chorus|chor
R|Refrain|kehrvers, refr, kv, kehrreim
P|Pre-Chorus|vor-refrain, vorrefrain
B|Bridge|brücke, bruecke, überleitung, zwischenteil
I|Einleitung|vorspiel
N|Zwischenspiel|instrumental, instrumentalteil
T|Coda|
E|Schluss|schluß, ende, nachspiel`,
  it: `
V|Strofa|verso, strofe
C|Coro|
R|Ritornello|rit
P|Pre-ritornello|preritornello, pre-coro
B|Ponte|
I|Introduzione|
N|Interludio|strumentale
T|Coda|
E|Finale|fine`,
  nl: `
V|Couplet|vers, strofe
C|Refrein|koor
P|Pre-refrein|pré-refrein
B|Brug|
I|Inleiding|
N|Tussenspel|instrumentaal
T|Coda|
E|Slot|einde`,
  sv: `
V|Vers|strof
C|Refräng|kör
P|Brygga till refräng|
B|Stick|brygga
I|Inledning|förspel
N|Mellanspel|
T|Coda|
E|Slut|avslutning`,
  nb: `
V|Vers|strofe
C|Refreng|omkved, kor
B|Bro|
I|Innledning|forspill
N|Mellomspill|
T|Coda|
E|Slutt|avslutning`,
  da: `
V|Vers|strofe
C|Omkvæd|refræn, kor
B|Bro|c-stykke
I|Indledning|forspil
N|Mellemspil|
T|Coda|
E|Slut|afslutning`,
  pl: `
V|Zwrotka|zwr, strofa, zw
C|Refren|chór
B|Mostek|bridge
I|Wstęp|
N|Przerywnik|instrumental
T|Coda|
E|Zakończenie|koniec`,
  ru: `
V|Куплет|строфа, стих, запев
C|Припев|рефрен, пр
P|Предприпев|пред-припев
B|Бридж|мост
I|Вступление|интро
N|Проигрыш|
T|Кода|
E|Окончание|концовка, конец`,
  uk: `
V|Куплет|строфа, заспів
C|Приспів|рефрен, пр
P|Передприспів|
B|Бридж|міст
I|Вступ|
N|Програш|
T|Кода|
E|Закінчення|кінцівка`,
  el: `
V|Στροφή|στροφη, κουπλέ, κουπλε
C|Ρεφρέν|ρεφρεν, επωδός, επωδος, χορωδία
B|Γέφυρα|γεφυρα
I|Εισαγωγή|εισαγωγη
E|Τέλος|τελος, φινάλε`,
  ro: `
V|Strofă|strofa, strofe
C|Refren|cor
B|Punte|
I|Introducere|
E|Final|`,
  cs: `
V|Sloka|sl
C|Refrén|ref
B|Most|mezihra
I|Předehra|úvod
E|Závěr|`,
  hu: `
V|Versszak|vsz, verssz
C|Refrén|kórus
B|Híd|
I|Előjáték|bevezető
N|Közjáték|
E|Befejezés|`,
  fi: `
V|Säkeistö|säk
C|Kertosäe|kerto, kert
B|Väliosa|c-osa
I|Alkusoitto|
N|Välisoitto|
E|Loppu|loppusoitto`,
  hr: `
V|Kitica|kit
C|Pripjev|refren, pripev
B|Prijelaz|
I|Uvod|
E|Kraj|`,
  tr: `
V|Kıta|dörtlük
C|Nakarat|
B|Köprü|
I|Giriş|
E|Bitiş|`,
  id: `
V|Bait|ayat
C|Reff|reffrein, korus, koor
B|Jembatan|
I|Intro|
E|Akhir|`,
  he: `
V|בית|
C|פזמון|מקהלה
P|קדם פזמון|טרום פזמון
B|גשר|סי פארט
I|פתיחה|
N|מעבר|
E|סיום|`,
  ar: `
V|مقطع|المقطع, بيت, البيت, عدد, العدد, آية
C|لازمة|اللازمة, القرار, قرار, الكورس, كورس, الترديدة
B|جسر|الجسر
I|مقدمة|المقدمة
N|فاصل|
E|ختام|الختام, خاتمة`,
  zh: `
V|主歌|节, 節, 歌節, 歌节
C|副歌|和唱, 叠句, 疊句
P|导歌|導歌, 副歌前, 前副歌
B|桥段|橋段, 过桥, 桥, 橋
I|前奏|
N|间奏|間奏
T|尾奏|
E|结束|結束, 尾声, 尾聲`,
  ko: `
V|절|벌스, 가사
C|후렴|코러스, 후렴구
P|프리코러스|
B|브릿지|브리지
I|전주|인트로
N|간주|
E|후주|아웃트로, 엔딩`,
  ja: `
V|番|aメロ, バース, ヴァース, 節
C|サビ|コーラス
R|くり返し|繰り返し, おりかえし, 折り返し, リフレイン
P|bメロ|
B|ブリッジ|cメロ, 大サビ
I|前奏|イントロ
N|間奏|
E|後奏|アウトロ, エンディング`,
};

export interface SectionWord {
  readonly letter: SectionLetter;
  /** Folded: lower case, single spaces. */
  readonly word: string;
  /** In scripts that part no words a name may touch what follows it. */
  readonly touches: boolean;
}

const TOUCHES = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u;
const rows = Object.entries(WORDS).flatMap(([language, table]) =>
  table
    .trim()
    .split("\n")
    .map((row) => {
      const [letter, name, others] = row.split("|") as [SectionLetter, string, string];
      return { language, letter, name, others: others.split(",").map((word) => word.trim()) };
    }),
);

/** Every word for a section, the longest first: "pre-chorus" before "pre". */
export const SECTION_WORDS: readonly SectionWord[] = [
  ...new Map(
    rows
      .flatMap(({ letter, name, others }) =>
        [name, ...others].map((word) => [word.toLowerCase(), letter] as const),
      )
      .filter(([word]) => word !== "")
      // A word that means two things keeps its first meaning: English before the others.
      .reverse(),
  ),
]
  .map(([word, letter]) => ({ letter, word, touches: TOUCHES.test(word) }))
  .sort((a, b) => b.word.length - a.word.length);

const NAME_OF = new Map(rows.map(({ language, letter, name }) => [`${language} ${letter}`, name]));

/** Languages that put the number before the name: "第1節", "1절", "1番". */
const NUMBERED: Readonly<Record<string, Partial<Record<SectionLetter, (number: string) => string>>>> = {
  ko: { V: (number) => `${number}절` },
  ja: { V: (number) => `${number}番` },
};

/** The language that sections are named in for a venue's: English where it has no words of its own here. */
export function namingLanguage(tag: string): string {
  const base = tag.split("-")[0]?.toLowerCase() ?? "";
  return Object.hasOwn(WORDS, base) ? base : "en";
}

/**
 * How a section is called in the venue's language: "Verse 2", "Strophe 2", "2절"; in English where the language has
 * no word of its own here.
 * @param language BCP 47 tag
 */
export function sectionName(letter: SectionLetter, number: string, language = "en"): string {
  const base = namingLanguage(language);
  const numbered = number !== "" && NUMBERED[base]?.[letter];
  if (numbered) return numbered(number);
  const name = NAME_OF.get(`${base} ${letter}`) ?? NAME_OF.get(`en ${letter}`) ?? "Section";
  return number === "" ? name : `${name} ${number}`;
}
