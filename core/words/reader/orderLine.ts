import { findLabel } from "./label.ts";

const NAMES =
  "(?:song |sung |play(?:ing)? |verse )?order|sequence|arrangement|structure|form|road ?map|flow|running order|ablauf|reihenfolge|aufbau|orden|estructura|secuencia|ordre|structure|ordine|struttura|ordem|estrutura|volgorde|ordning|rækkefølge|rekkefølge|kolejność|układ|порядок|схема|סדר|ترتيب|順序|顺序|順番|순서";
const NAME = new RegExp(`^(?:${NAMES})\\s*[:=–-]\\s*(.+)$`, "iu");
const NAME_ALONE = new RegExp(`^(?:${NAMES})\\s*[:=]?$`, "iu");
const JOINS = /[\s,;/|>→➜+]+|\s*[–—-]+\s*/;
const COUNT = /^(?:[x×]\d|\d[x×]|\(x?\d\)|bis|repeat|end|blank)$/i;

/**
 * The order that a line says, as it is typed after its name.
 * @returns undefined when the line says none: a named one wants a section in it, an unnamed one at least three, and
 * nothing else
 */
export function findOrderLine(
  text: string,
): { readonly order: string; readonly isNamed: boolean } | undefined {
  const named = NAME.exec(text.trim());
  const body = named?.[1] ?? text.trim().replace(/^[([]|[)\]]$/g, "");
  if (body.length > 400) return undefined;
  const tokens = body.split(JOINS).filter((token) => token !== "");
  let sections = 0;
  let letters = 0;
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i] as string;
    if (COUNT.test(token)) continue;
    const pair = tokens[i + 1] !== undefined && findLabel(`${token} ${tokens[i + 1]}`);
    if (pair && pair.behind === "" && pair.number !== "") {
      sections++;
      i++;
      continue;
    }
    const label = findLabel(token.replace(/[().:]/g, ""));
    if (label && label.behind === "") {
      sections++;
      if (label.short === "letter") letters++;
    } else if (/^\d{1,2}$/.test(token) && named) sections++;
    else if (!named) return undefined;
  }
  if (named)
    return sections > 0 && sections >= tokens.length / 3 ? { order: body, isNamed: true } : undefined;
  // "A B C" alone is no order: letters with numbers must be among them, or names.
  const isPlain = tokens.every((token) => /^[A-H]$/.test(token));
  return sections >= 3 && !isPlain && (letters < sections || tokens.some((token) => /\d/.test(token)))
    ? { order: body, isNamed: false }
    : undefined;
}

/** "Order:" above a list of sections, each on a line of its own. */
export const isOrderHead = (text: string): boolean => NAME_ALONE.test(text.trim());
