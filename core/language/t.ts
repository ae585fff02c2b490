import { IntlMessageFormat } from "intl-messageformat";
import { chosen } from "#language";
import type { Language } from "./language.ts";

/** As it is to be read: numbers and dates already written. What is not there is read as nothing. */
type Value = string | number | null | undefined;

/**
 * Something for people to read, in their language: t`${n} cues are left`. What has no message yet is said as the source says it.
 * @param said literal, in English; it is what the message is found by
 */
export function t(said: TemplateStringsArray, ...values: readonly Value[]): string {
  return translate(chosen(), said, values);
}

/** By which numbers are written and names sorted: BCP 47. */
export const languageCode = (): string => chosen().code;

/** The same in a language that is given. */
export function translate(
  { code, messages }: Language,
  said: readonly string[],
  values: readonly Value[],
): string {
  const message = messages?.[keyOf(said)];
  if (message === undefined) return said.reduce((all, part, i) => `${all}${values[i - 1] ?? ""}${part}`);
  if (values.length === 0) return message;
  return String(
    formatOf(code, message).format(Object.fromEntries(values.map((value, i) => [i, value ?? ""]))),
  );
}

/** What a message is found by: the words, with {0}, {1} … where values stand. */
export const keyOf = (said: readonly string[]): string =>
  said.reduce((all, part, i) => `${all}{${i - 1}}${part}`);

const formats = new Map<string, IntlMessageFormat>();

function formatOf(code: string, message: string): IntlMessageFormat {
  let format = formats.get(message);
  if (!format) {
    format = new IntlMessageFormat(message, code, undefined, { ignoreTag: true });
    formats.set(message, format);
  }
  return format;
}
