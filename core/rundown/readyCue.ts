import type { PageContent } from "./content.ts";
import type { CueDoc } from "./cueDoc.ts";

/** A cue of the rundown that is ready to be taken. Cues with a problem are not in the list. */
export interface ReadyCue {
  readonly cueId: string;
  /** Place in the whole rundown, problem cues counted. */
  readonly index: number;
  readonly hash: string;
  readonly content: PageContent;
  /** How it starts, and what it does by itself. */
  readonly doc: CueDoc;
}
