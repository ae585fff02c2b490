import { type Credits, NO_CREDITS } from "../credits.ts";

/** What one piece of a credit says. */
export type CreditPiece =
  | { readonly kind: "writers"; readonly text: string }
  | { readonly kind: "copyright"; readonly year: string; readonly publisher: string }
  | { readonly kind: "number"; readonly number: string }
  | { readonly kind: "publicDomain"; readonly rest: string }
  /** The number of the venue's own licence: no credit of the song. */
  | { readonly kind: "venueLicence"; readonly number: string }
  /** "All rights reserved": said by the licence, not shown. */
  | { readonly kind: "terms" };

const PUBLIC_DOMAIN =
  /\(?\b(?:public domain|in the public domain|dominio público|domínio público|domaine public|gemeinfrei|pubblico dominio|publiek domein|domena publiczna|public-domain)\b\)?|общественное достояние|суспільне надбання|נחלת הכלל/iu;
const COPYRIGHT =
  /^(?:©|℗|\(c\)|\(p\)|copyright\b|copr\.|derechos reservados|rechte:|alle rechte bei|todos los derechos)\s*/iu;
const WHO =
  "words?|music|text|texts|tune|lyrics?|lyricist|melody|harmony|setting|arr(?:angement|anged|\\.)?|author|composer|composed|written|writers?|songwriters?|artist|adapted|adaptation|translat(?:ion|ed|or)|transl?\\.|tr\\.|original (?:title|text)|letra|música|musica|autor(?:es|a|en)?|compositor(?:es)?|traducción|traductor|trad\\.|arreglo|arranjo|tradução|paroles|musique|auteur|compositeur|traduction|worte|weise|melodie|satz|übersetzung|deutsch(?:er text)?|dichter|komponist|testo|testi|autore|traduzione|tekst|muziek|vertaling|bewerking|musik|övers(?:ättning)?\\.?|oversættelse|oversettelse|słowa|muzyka|tłumaczenie|слова|музыка|перевод|автор|музика|переклад|מילים|לחן|תרגום|كلمات|ألحان|ترجمة|作詞|作曲|訳詞|訳|編曲|作词|词|曲|译|译词|詞|작사|작곡|번역|편곡|글|가사";
const WRITERS = new RegExp(
  `^(?:(?:${WHO})(?:\\s*(?:[&,/+]|and|und|y|e|et|en|och|og|i|и|та|ו)\\s*(?:the )?(?:${WHO}))*)\\s*(?:[:：=]|[–—-](?=\\s)|\\bby\\b|\\bvon\\b|\\bde\\b|\\bpor\\b|\\bpar\\b|\\bdi\\b|\\bdoor\\b|\\bav\\b|\\baf\\b|(?<=[\\p{Script=Han}\\p{Script=Hangul}])\\s(?=\\S{2,12}$))\\s*\\S`,
  "iu",
);
/** "T: …", "M.: …", "T+M: …": text, melody, setting. */
const ABBREVIATED = /^(?:[TMWSLPÜ]|Mus|Txt)\.?(?:\s*[+&/u]\s*(?:[TMWSLP]|Mus)\.?)*\s*:\s*\p{Lu}/u;
const TRADITIONAL =
  /^(?:\(?(?:trad(?:itional|icional|itionnel|itionell|izionale)?|folk (?:song|tune|melody)|volkslied|anon(?:ymous|\.)?|anónimo|overgeleverd)\b[^.]{0,60}\.?\)?)$/iu;
const SONG_NUMBER =
  /^(?:\p{Lu}{2,8}\s+)?(?:song|lied|title|work|titel|canción|chant|titelnr)\s*(?:-?\s*(?:no|number|nr|nummer|núm|num|n°|nº|id|code)\.?)?\s*[#:.]*\s*#?\s*(\d[\w-]{2,})\s*$/iu;
/** A body that licenses songs, by its capitals, and a number. */
const BODY_NUMBER = /^\p{Lu}{3,8}\s*(?:no\.?|nr\.?)?\s*[-–#:.]*\s*#?\s*(\d{4,9})$/u;
const VENUE_LICENCE =
  /^(?:\p{Lu}{2,8}\s+)?(?:church |venue |our |streaming )?(?:licen[cs]e|lizenz(?:nummer)?|licencia|licença|licence|licenza|licentie|licens|licencja)\s*(?:-?\s*(?:no|number|nr|nummer|núm|num|n°|nº)\.?)?\s*[#:.]*\s*#?\s*(\d[\w-]{2,})\s*\.?$/iu;
const TERMS =
  /^(?:all rights (?:reserved|controlled).*|(?:international )?(?:copyright|©) secured.*|used (?:by|with) permission.*|reprinted (?:by|with|under).*|(?:for use|use) (?:solely|only) .*|for private use.*|alle rechte vorbehalten.*|todos los derechos reservados.*|tous droits réservés.*|tutti i diritti riservati.*|todos os direitos reservados.*|alle rechten voorbehouden.*|printed with .*|mit freundlicher genehmigung.*|www\.\S+)$/iu;
const PUBLISHED =
  /^(?:(?:admin(?:istered)?\.?|published|publ\.?|publisher|verlag|editorial|éditions?|edizioni|uitgever|förlag|rights?|rechte)\s*(?:by|:|bei|von|por|par)?\s*)(.+)$/iu;
const DATES =
  /^\p{Lu}[\p{L}.'’-]+(?:\s+(?:\p{Lu}[\p{L}.'’-]*|de|da|von|van|der|la|del|of|and|&|und|y|et|e))*,?\s*\(?(?:(?:c\.|ca\.|b\.|born|\*)\s?)?1[0-9]\d\d\s*(?:[–—-]\s*(?:1\d\d\d|20\d\d)?)?\)?\.?$/u;
const BY = /^(?:by|von|de|por|par|di|door|av|af)\s+\p{Lu}/u;
const SPLIT =
  /\s+[–—-]\s+(?=©|\(c\)|copyright\b)|\s+\/\s+(?=[TMWSLPÜ]\.?\s*:)|\s+[·|•]\s+|\s*;\s+|(?<=[\p{L}\d)]{2})\.\s+(?=©|\(c\)|copyright|public domain|song\b|licen|lizenz|words|music|tune|text|used |all rights|admin|arr|transl|\p{Lu}{3,8} (?:song|licen))|,\s+(?=©|copyright|(?:words|music|text|tune|arr|arrangement|translation|melody|melodie|musik|weise|satz|übersetzung|lyrics|letra|música|traducción|paroles|musique|traduction|testo|musica|muziek|tekst|muzyka|słowa)\b[^,]*(?::|\bby\b))/iu;

const splitCredits = (line: string): string[] =>
  line
    .split(SPLIT)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== "");

/** What one pair of brackets about all of it holds. */
const withinBrackets = (piece: string) => (/^[([][^()[\]]*[)\]]$/.test(piece) ? piece.slice(1, -1) : piece);

/** What a piece of a credit says; undefined when it does not look like one. */
function readCreditPiece(piece: string): CreditPiece | undefined {
  const text = withinBrackets(piece).trim();
  const licence = VENUE_LICENCE.exec(text);
  if (licence) return { kind: "venueLicence", number: licence[1] as string };
  const number = SONG_NUMBER.exec(text) ?? BODY_NUMBER.exec(text);
  if (number) return { kind: "number", number: number[1] as string };
  if (TERMS.test(text)) return { kind: "terms" };
  if (PUBLIC_DOMAIN.test(text)) {
    const rest = text
      .replace(PUBLIC_DOMAIN, "")
      .replace(/^(?:©|\(c\)|copyright)?[\s·.,;:–—-]+|[\s·.,;:–—(-]+$/giu, "")
      .replace(/^(?:copyright|©)\s*:?$/i, "");
    return { kind: "publicDomain", rest };
  }
  if (COPYRIGHT.test(text)) {
    const rest = text.replace(COPYRIGHT, "").replace(/^(?:©|\(c\)|:)\s*/iu, "");
    const dated = /\b(\d{4}(?:\s*[,/&–-]\s*\d{4})*)\b/.exec(rest);
    const publisher = (dated ? rest.replace(dated[0], "") : rest)
      .replace(
        /\s*[.,(]*\s*(?:all rights reserved|used by permission|international copyright secured|alle rechte vorbehalten|todos los derechos reservados).*$/i,
        "",
      )
      .replace(/^\s*(?:by|von|por|par)\s+/i, "")
      .replace(/^[\s,.;:·-]+|[\s,;:·(-]+$/g, "")
      .replace(/(?<!\b(?:Co|Inc|Ltd|Publ|Mus|St))\.$/, "");
    return { kind: "copyright", year: dated?.[1] ?? "", publisher };
  }
  if (WRITERS.test(text) || ABBREVIATED.test(text) || TRADITIONAL.test(text) || DATES.test(text))
    return { kind: "writers", text };
  if (BY.test(text) && text.split(" ").length <= 9)
    return { kind: "writers", text: text.replace(/^\S+\s+/, "") };
  const published = PUBLISHED.exec(text);
  if (published && /\p{Lu}/u.test(published[1] as string) && text.split(" ").length <= 9)
    return { kind: "copyright", year: "", publisher: published[1] as string };
  return undefined;
}

const MARKED = /[:：=©℗#\d–—-]|^(?:작사|작곡|作[词詞曲]|词曲)/;
const TELLING = new Set(
  "by von por par di door av af de copyright public domain dominio domínio domaine domein domena gemeinfrei trad trad. traditional tradicional traditionnel traditionell tradizionale folk volkslied anon anon. anonymous anónimo overgeleverd rights right derechos used reprinted all alle todos tous tutti admin admin. administered publ publ. published publisher verlag editorial éditions edizioni uitgever förlag rechte printed mit общественное суспільне נחלת".split(
    " ",
  ),
);
/** Every credit has a mark, a figure or one of these words: all other lines need not be looked at closely. */
const mayBeCredit = (line: string): boolean =>
  MARKED.test(line) ||
  line
    .toLowerCase()
    .split(/[\s(),]+/)
    .some((word) => TELLING.has(word));

export const isCreditLine = (line: string): boolean => {
  if (!mayBeCredit(line)) return false;
  const pieces = splitCredits(line);
  const first = pieces[0];
  return (
    first !== undefined &&
    (readCreditPiece(first) !== undefined || /(?:©|\(c\)|\bcopyright)\s*(?:©\s*)?\d{4}\b/i.test(line))
  );
};

/** Looks like the names of people, and of nothing else: "Ilse Tarrow and Bram Oske". */
export const looksLikeNames = (line: string): boolean =>
  line.length < 90 &&
  /^[–—-]?\s*\p{Lu}[\p{L}.'’-]*(?:\s+(?:\p{Lu}[\p{L}.'’-]*|de|da|von|van|der|den|la|del|of|the))+(?:\s*(?:,|&|\/|and|und|y|et|e|en|och|og|i|и)\s*\p{Lu}[\p{L}.'’-]*(?:\s+(?:\p{Lu}[\p{L}.'’-]*|de|da|von|van|der|la))*)*\.?$/u.test(
    line
      .replace(/^\(|\)$/g, "")
      .replace(/\s\|\s/g, " & ")
      .replace(/,?\s+\(?(?:1[5-9]|20)\d{2}\)?$/, ""),
  );

/**
 * Credits from lines that are credits; what is not understood goes with the writers.
 * @returns also the venue's licence where one stood there
 */
export function readCredits(lines: readonly string[]): Credits {
  const writers: string[] = [];
  let { publisher, year, number, publicDomain } = NO_CREDITS;
  for (const piece of lines.flatMap(splitCredits)) {
    const read = readCreditPiece(piece);
    switch (read?.kind) {
      case "number":
        number ||= read.number;
        break;
      case "copyright":
        year ||= read.year;
        if (read.publisher !== "")
          publisher = [publisher, read.publisher].filter((part) => part !== "").join(" / ");
        break;
      case "publicDomain":
        publicDomain = true;
        if (read.rest !== "") writers.push(...readCredits([read.rest]).writers.split(" · "));
        break;
      case "writers":
        writers.push(read.text);
        break;
      case "venueLicence":
      case "terms":
        break;
      case undefined: {
        const rest = piece.replace(/^[–—-]\s*|^by\s+/i, "").replace(/^\((.*)\)$/, "$1");
        // A firm under a copyright is the publisher.
        if (
          year !== "" &&
          publisher === "" &&
          /\b(?:music|press|publish\w*|songs|verlag|editions?|records|ltd|inc|gmbh)\b/i.test(rest)
        )
          publisher = rest;
        else writers.push(rest);
      }
    }
  }
  return {
    writers: writers
      .filter((part) => part !== "")
      .join(" · ")
      .slice(0, 300),
    publisher: publisher.slice(0, 300),
    year: year.slice(0, 40),
    number: number.slice(0, 40),
    publicDomain,
  };
}
