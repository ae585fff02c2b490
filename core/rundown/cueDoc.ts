import { z } from "zod";
import { actionDocSchema } from "./kinds/action/doc.ts";
import { pageDocSchema } from "./kinds/page/doc.ts";
import { readingDocSchema } from "./kinds/reading/doc.ts";
import { remarkDocSchema } from "./kinds/remark/doc.ts";
import { songDocSchema } from "./kinds/song/doc.ts";

export { type ActionDoc, actionCue } from "./kinds/action/doc.ts";
export {
  CUE_TAGS,
  type CueStart,
  type CueTag,
  type PlanNeed,
} from "./kinds/onAnyCue.ts";
export { type PageDoc, pageCue, withPick } from "./kinds/page/doc.ts";
export {
  REFERENCE_PLACES,
  type ReadingDoc,
  type ReferencePlace,
  readingCue,
} from "./kinds/reading/doc.ts";
export { type RemarkDoc, remarkCue } from "./kinds/remark/doc.ts";
export { type SongDoc, songCue } from "./kinds/song/doc.ts";

/** What a person typed for a cue: the row in the rundown. From it the content for the air is compiled. */
export const cueDocSchema = z.discriminatedUnion("kind", [
  pageDocSchema,
  songDocSchema,
  readingDocSchema,
  actionDocSchema,
  remarkDocSchema,
]);
export type CueDoc = z.infer<typeof cueDocSchema>;
