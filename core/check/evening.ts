import type { Dress } from "../compose/compose.ts";
import type { FeedView } from "../feeds/feedView.ts";
import type { OpenEvening } from "../rundown/evening.ts";
import type { Documents } from "../rundown/pinnedDocument.ts";
import type { FieldSets } from "../scene/fieldSet.ts";
import type { Trigger } from "../triggers/trigger.ts";
import type { Layer, Output, ScreenPlan } from "../venue/plan.ts";
import type { CheckedCue } from "./checkedCue.ts";
import type { Measures } from "./measures.ts";

/** An outfit, with what it may wear. */
export interface CheckedOutfit {
  readonly id: string;
  readonly name: string;
  /** Field set → the templates it offers, the worn one first. */
  readonly templates: Readonly<
    Record<
      string,
      readonly {
        readonly id: string;
        readonly key: string;
        readonly name: string;
        readonly hasDraft?: boolean;
      }[]
    >
  >;
}

/** How the windows of a screen do. */
export interface CheckedWindow {
  readonly widthPx: number;
  readonly heightPx: number;
  /** What its window ought to measure. */
  readonly wantedWidthPx: number;
  readonly wantedHeightPx: number;
  /** Not heard for so long, ms; null: it is well. */
  readonly lateMs: number | null;
  readonly isHidden: boolean;
}

/** A clip of the list that the player plays. */
export interface CheckedClip {
  readonly id: string;
  readonly title: string;
  /** Null: it is not in the library any more. */
  readonly lengthMs: number | null;
}

/** A feed, and the longest value of each of its columns. */
export type CheckedFeed = Pick<FeedView, "id" | "doc" | "fault" | "isStale" | "longest">;

/** Everything that is looked through. The same evening gives the same findings. */
export interface EveningToCheck {
  readonly cues: readonly CheckedCue[];
  readonly layers: readonly Layer[];
  readonly outputs: readonly Output[];
  readonly plans: readonly ScreenPlan[];
  /** The plan that is in use until the script asks for another. */
  readonly planId: string;
  readonly outfits: readonly CheckedOutfit[];
  readonly fieldSets: FieldSets;
  readonly evening: OpenEvening;
  /** YYYY-MM-DD where the show is. */
  readonly today: string;
  readonly licence: string;
  readonly feeds: readonly CheckedFeed[];
  /** Cue → why something of it is not filled. */
  readonly bindingProblems: Readonly<Record<string, string>>;
  readonly triggers: readonly Trigger[];
  readonly clips: readonly CheckedClip[];
  readonly sourceIds: readonly string[];
  /** By screen; a screen that is not in it has no window. */
  readonly windows: Readonly<Record<string, readonly CheckedWindow[]>>;
  readonly documents: Documents;
  readonly dress: Dress;
  readonly measures: Measures;
}
