import type { CueDoc } from "../rundown/cueDoc.ts";

/** What one press does about a finding. All of it can be undone as any other edit. */
export type Mend =
  /** The cue becomes this; what it then looks like is shown before. */
  | { readonly kind: "changeCue"; readonly label: string; readonly cueId: string; readonly doc: CueDoc }
  /** A spelling is replaced wherever it stands. */
  | { readonly kind: "replaceWords"; readonly label: string; readonly find: string; readonly by: string };

/** A mend that changes one thing of a cue. */
export const changing = <D extends CueDoc>(
  cue: { readonly cueId: string; readonly doc: D },
  label: string,
  change: Partial<D>,
): Mend => ({ kind: "changeCue", label, cueId: cue.cueId, doc: { ...cue.doc, ...change } as CueDoc });
