import { formatNumber, parseNumber } from "../figures/number.ts";

/**
 * Words with fields in them. "{score}" is the field's value; "{score|number.2}" its number with two decimals, "{name|upper}" in
 * capitals, "{name|lower}", "{name|title}", "{sum|percent}" a share as hundredths. "{{" and "}}" are braces. A format that does
 * not suit the value leaves it as it was typed.
 */
const PLACE = /\{\{|\}\}|\{([^{}|]{1,40})(?:\|([a-z]{1,12})(?:\.(\d))?)?\}/g;

/** The fields that written words name, each once, in order. */
export function fieldsIn(text: string): string[] {
  return [...new Set([...text.matchAll(PLACE)].flatMap(([, field]) => (field ? [field.trim()] : [])))];
}

/** @returns the words with values in their places; nothing where every field in them is empty */
export function writeWords(text: string, lookUp: (field: string) => string): string {
  const fields = fieldsIn(text);
  if (fields.length > 0 && fields.every((field) => lookUp(field).trim() === "")) return "";
  return text.replace(PLACE, (whole, field: string | undefined, format?: string, decimals?: string) => {
    if (!field) return whole.charAt(0);
    const value = lookUp(field.trim());
    return format ? formatted(value, format, decimals === undefined ? null : Number(decimals)) : value;
  });
}

export const FORMATS = ["upper", "lower", "title", "number", "percent"] as const;

/** The formats that written words name and that there are not. */
export const unknownFormatsIn = (text: string): string[] =>
  [...text.matchAll(PLACE)].flatMap(([, , format]) =>
    format && !(FORMATS as readonly string[]).includes(format) ? [format] : [],
  );

function formatted(value: string, format: string, decimals: number | null): string {
  switch (format) {
    case "upper":
      return value.toUpperCase();
    case "lower":
      return value.toLowerCase();
    case "title":
      return titled(value);
    case "number": {
      const number = parseNumber(value);
      return number
        ? `${number.before}${formatNumber(number.value, decimals ?? number.decimals)}${number.after}`
        : value;
    }
    case "percent": {
      const number = parseNumber(value);
      return number ? `${formatNumber(number.value * 100, decimals ?? 0)}\u202f%` : value;
    }
    default:
      return value;
  }
}

/** Every word begins with a capital; the rest stays as it is typed. */
export const titled = (words: string): string =>
  words.replace(
    /(^|[^\p{L}\p{M}’'])(\p{L})/gu,
    (_, before: string, letter: string) => before + letter.toUpperCase(),
  );

/** Whether there is nothing of some words to see with these values. */
export function areBlank(
  words:
    | { readonly kind: "field"; readonly field: string }
    | { readonly kind: "fixed" | "written"; readonly text: string },
  values: Readonly<Record<string, string>>,
): boolean {
  const lookUp = (field: string) => values[field] ?? "";
  if (words.kind === "field") return lookUp(words.field).trim() === "";
  return (words.kind === "fixed" ? words.text : writeWords(words.text, lookUp)).trim() === "";
}
