import type { ScriptureInfo } from "../words/scripture.ts";
import type { CueDoc } from "./cueDoc.ts";

/** Codes of the texts there are, those first that the rundown reads from, the latest cue before the others. */
export function textsInUse(
  cues: readonly { readonly doc: CueDoc }[],
  texts: readonly Pick<ScriptureInfo, "code">[],
): string[] {
  const used = cues.flatMap(({ doc }) => (doc.kind === "reading" ? [doc.text] : [])).reverse();
  const there = texts.map(({ code }) => code);
  return [...new Set([...used.filter((code) => there.includes(code)), ...there])];
}
