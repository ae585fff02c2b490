import type { ReadyClip } from "../clips/readyClip.ts";
import type { PageContent } from "../rundown/content.ts";
import type { EveningFields } from "../rundown/evening.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import type { Actor } from "./actor.ts";
import type { Refusal } from "./commands.ts";
import type { AirEvent } from "./events.ts";

/** What the rundown and the store know that the air does not. */
export interface DecideContext {
  /** Server time of the decision. */
  readonly atMs: number;
  /** When a motion decided now begins on every output: a little ahead, so that all begin on the same frame. */
  readonly startAtMs: number;
  /** The cues as they stand now, in order: their places and the hashes their contents would be pinned under. */
  readonly cues: readonly ReadyCue[];
  /** When the evening is to begin and end. */
  readonly evening: Pick<EveningFields, "day" | "startsAt" | "endsAt">;
  /** The list of clips, in order. */
  readonly clips: readonly ReadyClip[];
  readonly findPlan: (planId: string) => ScreenPlan | undefined;
  readonly outputIds: readonly string[];
  /** Outputs that black and the stand-by spare unless they are named: those the stage reads from. */
  readonly sparedIds: readonly string[];
  /** Who asks. */
  readonly actor: Actor;
  /** A line for the stage as a content; undefined when nothing could show it. */
  readonly compileStageNote: (
    text: string,
  ) => { readonly hash: string; readonly content: PageContent } | undefined;
}

export type Decision =
  | { readonly events: readonly AirEvent[] }
  /** `by`: who came in between. */
  | { readonly refused: Refusal; readonly by?: Actor | null };

export const NOTHING: Decision = { events: [] };

/** The outputs a cue is limited to and that are there; null: all. */
export const onlyOn = (
  { content }: Pick<ReadyCue, "content">,
  { outputIds }: DecideContext,
): string[] | null => content.only?.filter((id) => outputIds.includes(id)) ?? null;
