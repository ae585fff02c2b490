import type { CueDoc } from "../rundown/cueDoc.ts";

/** What one press does about a finding. All of it can be undone as any other edit. */
export type Mend =
  /** The cue becomes this; what it then looks like is shown before. */
  | {
      readonly kind: "changeCue";
      readonly label: string;
      readonly cueId: string;
      /** Of the cue that it changes: what was edited since is not taken back. */
      readonly revision: number;
      readonly doc: CueDoc;
    }
  /** A spelling is replaced wherever it stands. */
  | { readonly kind: "replaceWords"; readonly label: string; readonly find: string; readonly by: string };

/** A mend that changes one thing of a cue. */
export const changing = <D extends CueDoc>(
  { cueId, revision, doc }: { readonly cueId: string; readonly revision: number; readonly doc: D },
  label: string,
  change: Partial<D>,
): Mend => ({ kind: "changeCue", label, cueId, revision, doc: { ...doc, ...change } as CueDoc });
