import { kindOf } from "../rundown/kinds.ts";
import type { FieldSets } from "../scene/fieldSet.ts";
import type { CheckedCue } from "./checkedCue.ts";

export interface CueText {
  /** What its form calls it. */
  readonly where: string;
  readonly text: string;
}

const known = new WeakMap<object, { readonly fieldSets: FieldSets; readonly texts: readonly CueText[] }>();

/** Every text of a cue that people typed and others read, in reading order; scripture is not ours. */
export function textsOf({ doc }: Pick<CheckedCue, "doc">, fieldSets: FieldSets): readonly CueText[] {
  const was = known.get(doc);
  if (was?.fieldSets === fieldSets) return was.texts;
  const texts: CueText[] = [];
  if (!doc.isOff && doc.kind !== "remark")
    kindOf(doc).visitTexts(doc, fieldSets, (text, where) => {
      if (text.trim() !== "") texts.push({ where, text });
      return text;
    });
  known.set(doc, { fieldSets, texts });
  return texts;
}
