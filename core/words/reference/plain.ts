/** Numbers of two or more of one thing: "16 and 18". A mark of our own, as a comma may part chapter from verse. */
export const ALSO = "+";
/** To the end of the chapter. */
export const TO_END = "$";

const CHAPTER =
  /(?<=\p{L}{2}[.,]?\s)(?:chapters?|chap|ch|cap[ií]tulos?|cap|kapitel|kap|chapitres?|capitolo|hoofdstuk|rozdział)\.?\s*(?=\d)/giu;
const VERSE_WORD =
  "(?:verses?|vers[eo]?|vv|vs|ver|v|versículos?|vers[íi]culos?|versets?|versetti|versetto|versikel|wers(?:et)?y?|w)";
const VERSE = new RegExp(
  `(\\d)\\s*[,:]?\\s*\\(?${VERSE_WORD}\\b\\.?\\s*(?=\\d)|(\\d)\\s*v\\.?\\s*(?=\\d)`,
  "giu",
);
const LONE_VERSE = new RegExp(`(\\p{L})\\s+\\(?${VERSE_WORD}\\.?\\s*(?=\\d)`, "giu");
const THROUGH =
  /(?<=\d[abcf]{0,2})\s*(?:to|through|thru|until|till|bis|hasta|até|ate|aux?|à|t\/m|tot|al|fino a|do|til|till|по|–|—|‒|−|-|~|～)\s*(?=\d|end\b|ende\b|schluss|fin\b|final|fim\b|fine\b|eind|slut|koniec)/giu;
/** Spanish and its neighbours: "1 a 3". */
const A_THROUGH = /(?<=\d[bcf]?)\s+a\s+(?=\d)/giu;
const AND_NUMBER =
  /(?<=\d[abcf]{0,2})\s*,?\s*(?:&|and|und|y|et|e|en|och|og|i|u\.)\s*(?=\d+(?!\s*\.?\s*\p{L}{2,}))/giu;
const AND_BOOK =
  /(?<=\d[abcf]{0,2})\s*,?\s*(?:&|\+|\b(?:and|und|y|et|e|en|och|og|i)\b)\s*(?=(?:[1-5]\s*\.?\s*)?\p{L}{2,})/giu;
const COMMA_BOOK = /,\s*(?=(?:[1-5]\s*\.?\s*)?(?!ff?\b)\p{L}{2,})/giu;
const END = /-\s*(?:end|ende|schluss|final|fin|fim|fine|eind|slut|koniec)\b\.?/giu;
/** "The book of 1 Samuel": what stands before the number of a book. */
const DRESSED_NUMBER =
  /(^|;\s*)(?:the |el |la |das |der |le |o |a )?(?:book|letter|epistle|libro|carta|epístola|buch|brief|livre|lettre|épître|livro) (?:of|to|de|du|des|von|an) (?:the )?(?=[1-5]\s*\.?\s*\p{L})/giu;
const NTH_PSALM = /^(?:the\s+)?(\d{1,3})(?:st|nd|rd|th)\s+psalm\b/i;

/** The name of a text behind a reference: "Jn 3:16 (WEB)", "Ps 23 KJV". */
const TEXT_BEHIND =
  /(?<=[\dfab)])[\s,]*(?:[([]\s*([^()[\]]*\p{L}{2}[^()[\]]*)\s*[)\]]|\s([A-Z]{2,6}(?:[-\s]?\d{2,4})?))\s*$/u;

export interface PlainReference {
  /** Book names, numbers and the marks ; : , . - + $ only. */
  readonly text: string;
  /** The text that was named behind it; empty when none was. */
  readonly textName: string;
}

/** What a person typed for a reference, with the words for chapter, verse, to and and said in marks. */
export function plainReference(typed: string): PlainReference {
  let text = typed
    .normalize("NFC")
    .replace(/[\uff01-\uff5e]/g, (wide) => String.fromCharCode(wide.charCodeAt(0) - 0xfee0))
    .replace(/[\s\u00a0\u2000-\u200b\u202f]+/g, " ")
    .trim();
  const behind = TEXT_BEHIND.exec(text);
  const isVerses =
    behind !== null && new RegExp(`^${VERSE_WORD}?\\.?\\s*[\\d,-]+$`, "iu").test(behind[1] ?? "");
  let textName = "";
  if (behind && !isVerses) {
    textName = (behind[1] ?? behind[2] ?? "").trim();
    text = text.slice(0, behind.index).trim();
  }
  text = text
    .replace(/^[([“"«](.*)[)\]”"»]$/u, "$1")
    .replace(/(?<=[\dfab])[.,]$/, "")
    .trim();
  text = text
    .replace(DRESSED_NUMBER, "$1")
    .replace(NTH_PSALM, "Psalm $1")
    .replace(CHAPTER, "")
    .replace(/(\d)\s*\(\s*(?=\d)/g, "$1:")
    .replace(VERSE, (_whole, one?: string, other?: string) => `${one ?? other}:`)
    .replace(LONE_VERSE, "$1 :")
    .replace(/(?<=[\dab])\s*\)/g, "")
    .replace(THROUGH, "-")
    .replace(A_THROUGH, "-")
    .replace(/[‒–—−]/g, "-")
    .replace(END, `-${TO_END}`)
    .replace(AND_BOOK, "; ")
    .replace(AND_NUMBER, ALSO)
    .replace(COMMA_BOOK, "; ")
    .replace(/(\d)\s+(ff?|[abc])\b\.?/gi, "$1$2")
    .replace(/(\d(?:ff?|[abc]))\./gi, "$1");
  return { text, textName };
}

/** "The gospel according to St John", "Der Brief an die Römer", "First letter to the Corinthians". */
const DRESS =
  /^(?:the |el |la |le |l['’]|das |der |die |o |a |il |lo )?(?:(?:holy )?gospel|book|letter|epistle|prophet|acts(?= of the)|evangelio|libro|carta|epístola|evangelium|buch|brief|évangile|evangile|livre|lettre|épître|epitre|evangelho|livro|vangelo|lettera)(?: of (?:st\.? |saint )?paul| des paulus| de (?:san |s\. )?pablo)?(?: according| nach| según| segun| selon| segundo| secondo)?(?: (?:of|to|an|de|del|aux?|à|a|dos?|das?|du|di|ai|agli|los|von|des))?(?: (?:the|die|den|los|las|les|la|el|os|as|gli|dem))?\s+/iu;
const SAINT = /^(?:st\.?|saint|san|santo|sankt|são|s\.|heiliger?|hl\.)\s+(?=\p{L}{3})/iu;
const COUNTED =
  /^((?:[1-3]|i{1,3}|1st|2nd|3rd|first|second|third|primera?|segunda?|tercera?|primeira|terceira|erste[rs]?|zweite[rs]?|dritte[rs]?|premi[eè]re?|deuxi[eè]me|troisi[eè]me|prima|seconda|terza)[.ªº]?)\s+(?:(?:the|der|die|la)\s+)?(?=(?:book|letter|epistle|carta|epístola|brief|buch|lettre|épître|livre|libro|lettera|de|of)\b)/iu;

/** The name of a book without what is said about it: "first letter of John" is "first John". */
export function bareBookName(name: string): string {
  const counted = COUNTED.exec(name);
  let rest = counted ? name.slice(counted[0].length) : name;
  rest = rest
    .replace(DRESS, "")
    .replace(/^(?:of|de|des|von)\s+/iu, "")
    .replace(SAINT, "");
  rest = rest.replace(/\s+(?:the )?(?:apostle|evangelist|apóstol|apostel)$/iu, "");
  return rest.trim() === "" ? name : `${counted ? `${counted[1]} ` : ""}${rest}`.trim();
}
