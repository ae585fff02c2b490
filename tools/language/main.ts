import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { LANGUAGES } from "../../core/language/language.ts";
import { findSaid } from "./findSaid.ts";

// What has no message yet in a language, and messages that nothing says any more.
const root = fileURLToPath(new URL("../..", import.meta.url));
const said = findSaid(root);
for (const code of LANGUAGES.filter((code) => code !== "en")) {
  const messages = JSON.parse(readFileSync(`${root}/core/language/messages/${code}.json`, "utf8"));
  for (const [words, at] of said) if (!(words in messages)) console.log(`${code}\t${at}\t${words}`);
  for (const words of Object.keys(messages))
    if (!said.has(words)) console.log(`${code}\tsaid nowhere\t${words}`);
}
