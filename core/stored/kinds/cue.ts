import { type CueDoc, cueDocSchema } from "../../rundown/cueDoc.ts";
import type { Step, StoredKind } from "../storedKind.ts";
import { breaksWereCuts } from "./song.ts";

/** The template of a page was its "look". */
const templateWasLook: Step = ({ look, ...cue }) => (look === undefined ? cue : { ...cue, template: look });

export const cueKind: StoredKind<CueDoc> = {
  name: "cue",
  schema: cueDocSchema,
  steps: [(cue) => breaksWereCuts(templateWasLook(cue))],
};
