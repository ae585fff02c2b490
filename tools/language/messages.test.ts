import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { IntlMessageFormat } from "intl-messageformat";
import { describe, expect, test } from "vitest";
import { LANGUAGES, type Messages } from "../../core/language/language.ts";
import { findSaid } from "./findSaid.ts";

const root = fileURLToPath(new URL("../..", import.meta.url));
const said = findSaid(root);
const valuesIn = (words: string) => [...words.matchAll(/\{(\d+)/g)].map(([, at]) => Number(at)).sort();

describe.each(LANGUAGES.filter((code) => code !== "en"))("%s", (code) => {
  const messages: Messages = JSON.parse(readFileSync(`${root}/core/language/messages/${code}.json`, "utf8"));

  test("says all that the source says, and nothing else", () => {
    expect(
      [...said].filter(([words]) => !(words in messages)).map(([words, at]) => `${at}: ${words}`),
    ).toEqual([]);
    expect(Object.keys(messages).filter((words) => !said.has(words))).toEqual([]);
  });

  test("has the values of each message, and each can be read", () => {
    const wrong = Object.entries(messages).filter(([words, message]) => {
      // Without values it is said as it stands.
      if (valuesIn(words).length === 0) return valuesIn(message).length > 0;
      const format = new IntlMessageFormat(message, code, undefined, { ignoreTag: true });
      const values = valuesIn(words);
      const filled = String(format.format(Object.fromEntries(values.map((at) => [at, `«${at}»`]))));
      return (
        new Set(valuesIn(message)).size !== new Set(values).size ||
        values.some((at) => !filled.includes(`«${at}»`))
      );
    });
    expect(wrong).toEqual([]);
  });

  test("begins and ends with the spaces of the source, since sentences are put together of them", () => {
    const wrong = Object.entries(messages).filter(
      ([words, message]) =>
        /^\s/.test(words) !== /^\s/.test(message) || /\s$/.test(words) !== /\s$/.test(message),
    );
    expect(wrong).toEqual([]);
  });
});
