import type { CueDoc } from "./cueDoc.ts";
import type { FieldSets } from "./kinds/cueKind.ts";
import { kindOf } from "./kinds.ts";

/**
 * A cue without what belongs to one day: its words, its reading, its song, its notes and what was moved for them. Its kind,
 * looks, screens and times stay, so that it only has to be filled.
 */
export function emptied(doc: CueDoc, fieldSets: FieldSets): CueDoc {
  const bare = { ...doc, note: "", stageNote: "", adjust: {}, whole: null, stepPlans: [], isOfTheDay: true };
  return kindOf(bare).emptied(bare, fieldSets);
}
