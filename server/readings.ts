import type { CompileContext } from "../core/rundown/compile.ts";
import { explainReferenceProblem, parseReference } from "../core/words/reference.ts";
import type { ScriptureStore } from "./store/scriptureStore.ts";

/** Looks references up in the texts of the venue. */
export function createReader(scriptures: ScriptureStore): CompileContext["read"] {
  return (textCode, reference) => {
    const text = scriptures.find(textCode);
    if (!text)
      return {
        problem: `The text “${textCode}” is not installed here. Choose one that is; the words on air are as they were.`,
        why: "noText",
      };
    const parsed = parseReference(reference, text.counts);
    if ("problem" in parsed)
      return { problem: explainReferenceProblem(parsed.problem), why: parsed.problem.kind };
    return {
      textName: text.info.name,
      passages: parsed.passages.map((passage) => ({
        passage,
        verses: scriptures.versesOf(textCode, passage),
      })),
    };
  };
}
