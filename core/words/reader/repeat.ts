import { countBehind, findLabel, type Label, withoutEnd } from "./label.ts";

/** What a line asks to be sung again. */
export type Repeat =
  | { readonly kind: "section"; readonly label: Label; readonly times: number }
  /** The one just sung. */
  | { readonly kind: "last"; readonly times: number }
  /** The line just sung. */
  | { readonly kind: "line"; readonly times: number }
  /** Da capo: from the beginning. */
  | { readonly kind: "beginning"; readonly times: number }
  /** Dal segno: from the sign, which stands at the chorus where none is drawn. */
  | { readonly kind: "sign"; readonly times: number };

const DAL_SEGNO = /^\(?\s*(?:d\.?\s?s\.?|dal segno)(?:\s+al\s+(?:coda|fine))?\s*\.?\)?$/i;
const DA_CAPO = /^\(?\s*(?:d\.?\s?c\.?|da capo)(?:\s+al\s+(?:coda|fine))?\s*\.?\)?$/i;
const ASKS =
  /^(?:then |and |now )?(?:repeat(?:s|ed)?|rpt\.?|sing|(?:end|finish|close|conclude) (?:on|with)|back to|return to|go (?:back )?to|to|again|wdh\.?|wiederholung|wiederhole|wiederholen|zurück zu[mr]?|nochmal|noch einmal|repetir|repite|repita|se repite|volver a(?:l)?|vuelve a(?:l)?|repetição|repete|volta ao|reprise|reprendre|répéter|refaire|au|al|ao|alla|zum|ripetere|ripeti|torna a(?:l)?|herhaal|herhalen|terug naar|upprepa|repetera|gjenta|gentag|powtórz|powtórka|повтор(?:ить|яем)?|повторити|חוזרים ל|يعاد|重复|重複|반복|くり返し|繰り返し)[\s:]+(?:the |el |la |le |o |a |il |den |die |das |det |af )?(.*)$/iu;
const FOLLOWS =
  /^(.*?)[\s:,–-]+\(?(?:again|repeat(?:ed|s)?|rpt\.?|wdh\.?|wiederholen|wiederholung|noch einmal|otra vez|de nuevo|se repite|encore|à répéter|ancora|opnieuw|igen|jeszcze raz|ещё раз|ще раз|重复|반복)\)?(.*)$/iu;
const LAST_LINE =
  /^(?:repeat|sing|rpt\.?|wiederhole|wdh\.?|repetir|repite|répéter|ripetere|herhaal)\s+(?:the\s+|la\s+|le\s+|die\s+|de\s+)?(?:last|final|letzte|última|dernière|ultima|laatste)\s+(?:line|phrase|zeile|línea|frase|ligne|regel)\b.{0,14}$/iu;
const TIMES_WORD: Readonly<Record<string, number>> = {
  twice: 2,
  once: 1,
  thrice: 3,
  "two times": 2,
  "three times": 3,
  zweimal: 2,
  dreimal: 3,
  "dos veces": 2,
  "tres veces": 3,
  "deux fois": 2,
  "trois fois": 3,
  "due volte": 2,
  "duas vezes": 2,
  tweemaal: 2,
  "dwa razy": 2,
};
const TIMES = new RegExp(`[\\s,(]*(?:(${Object.keys(TIMES_WORD).join("|")}))\\)?\\.?$`, "i");

/** Takes a count off the end: "chorus twice", "verse 1 (x2)". */
function takeTimes(text: string): { readonly rest: string; readonly times: number } {
  const word = TIMES.exec(text);
  if (word)
    return { rest: text.slice(0, word.index), times: TIMES_WORD[(word[1] as string).toLowerCase()] ?? 1 };
  const counted = countBehind(text);
  return counted ? { rest: counted.before, times: counted.times } : { rest: text, times: 1 };
}

export function findRepeat(line: string): Repeat | undefined {
  const text = line.normalize("NFKC").trim();
  if (text.length > 60) return undefined;
  if (DAL_SEGNO.test(text)) return { kind: "sign", times: 1 };
  if (DA_CAPO.test(text)) return { kind: "beginning", times: 1 };
  const inner = /^[([](.+)[)\]]\.?$/.exec(text)?.[1]?.trim() ?? text;
  const isBracketed = inner !== text;
  const count = countBehind(text);
  if (count && count.before === "") return { kind: "last", times: count.times };
  const words = withoutEnd(inner.replace(/[.!]$/, ""));
  if (LAST_LINE.test(words)) return { kind: "line", times: Math.max(2, takeTimes(words).times) };
  if (/^(?:repeat|rpt|wdh|wiederholen|repetir|se repite|reprise|ripetere|herhaal|bis)$/i.test(words))
    return isBracketed || /^[A-Z(]/.test(text) ? { kind: "last", times: 2 } : undefined;
  const asked = ASKS.exec(words) ?? FOLLOWS.exec(words);
  if (!asked) return undefined;
  const { rest, times } = takeTimes(`${asked[1] ?? ""}${asked[2] ?? ""}`.trim());
  if (rest === "" && times > 1) return { kind: "last", times };
  const label = findLabel(rest.trim().replace(/[.:]$/, ""));
  if (label?.behind !== "" || (label.short === "letter" && label.number === "" && !isBracketed))
    return undefined;
  return { kind: "section", label, times: Math.max(times, label.times) };
}
