import type { Finding } from "../findings/finding.ts";
import type { PageContent } from "../rundown/content.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";

/** A cue of the evening as the check reads it. */
export interface CheckedCue {
  readonly cueId: string;
  /** Place in the rundown, from 0. */
  readonly index: number;
  readonly revision: number;
  readonly doc: CueDoc;
  readonly title: string;
  /** What it brings; null: nothing, or not as it stands. */
  readonly made: { readonly hash: string; readonly content: PageContent } | null;
  /** Why it cannot be taken. */
  readonly problem: Finding | null;
}

/** "12 · Ilse Tarrow" */
export const nameOfCue = ({ index, title }: Pick<CheckedCue, "index" | "title">): string =>
  `${index + 1} · ${title}`;
