import type { CueDoc } from "./cueDoc.ts";
import { actionKind } from "./kinds/action/kind.ts";
import type { CueKind } from "./kinds/cueKind.ts";
import { pageKind } from "./kinds/page/kind.ts";
import { readingKind } from "./kinds/reading/kind.ts";
import { remarkKind } from "./kinds/remark/kind.ts";
import { songKind } from "./kinds/song/kind.ts";

export type CueKindName = CueDoc["kind"];

/** Every kind of cue. Another is a folder in `kinds/`, its schema in `cueDoc.ts`, a line here, and its form in `app/prepare/forms/kinds/`. */
export const CUE_KINDS: { readonly [K in CueKindName]: CueKind<Extract<CueDoc, { kind: K }>> } = {
  page: pageKind,
  song: songKind,
  reading: readingKind,
  action: actionKind,
  remark: remarkKind,
};

/** What the program knows of a cue's kind; it takes the cue itself. */
export const kindOf = <D extends CueDoc>({ kind }: D): CueKind<D> => CUE_KINDS[kind] as unknown as CueKind<D>;
