import type { EveningToCheck } from "../../../core/check/evening.ts";
import type { CheckFinding } from "../../../core/check/gather.ts";
import type { Language } from "../../../core/language/language.ts";
import type { CueView } from "../../../core/rundown/edits.ts";
import type { PinnedDocument } from "../../../core/rundown/pinnedDocument.ts";
import type { FieldSet } from "../../../core/scene/fieldSet.ts";
import type { CheckLimits } from "../../../core/venue/checkLimits.ts";

/** All of the evening but its cues and documents, which come by themselves, and what the worker has of its own. */
export type EveningFrame = Omit<EveningToCheck, "cues" | "documents" | "dress" | "measures" | "fieldSets"> & {
  readonly fieldSets: readonly FieldSet[];
  readonly timeZone: string;
  readonly limits: CheckLimits;
};

/** How much of a core the check may take: all that it can, half, or little of it. */
export type CheckPace = "hurried" | "beside" | "aside";

export type CheckRequest =
  /** The language of the window, where it is not English. */
  | { readonly kind: "language"; readonly language: Language }
  | { readonly kind: "pace"; readonly pace: CheckPace }
  | { readonly kind: "documents"; readonly documents: readonly (readonly [string, PinnedDocument])[] }
  /** Forgets all documents but these. */
  | { readonly kind: "keep"; readonly hashes: readonly string[] }
  | { readonly kind: "fonts" }
  /** Frames of a clip over its length, small; none where it cannot be played here. */
  | { readonly kind: "frames"; readonly file: string; readonly frames: readonly ImageBitmap[] }
  /** The evening as it is now: look through it. Cues that are not named are as they were. */
  | {
      readonly kind: "look";
      readonly version: number;
      readonly order: readonly string[];
      readonly changed: readonly CueView[];
      /** Null: as it was. */
      readonly frame: EveningFrame | null;
    };

export type CheckAnswer =
  | {
      readonly kind: "found";
      readonly version: number;
      readonly findings: readonly CheckFinding[];
      readonly looked: number;
      readonly isWaiting: boolean;
      readonly tookMs: number;
    }
  | { readonly kind: "wantsFrames"; readonly file: string }
  | { readonly kind: "problem"; readonly sentence: string };
