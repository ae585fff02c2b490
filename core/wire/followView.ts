import type { MediaInfo } from "../scene/media.ts";
import type { FollowSettings } from "../triggers/followSettings.ts";
import type { Trigger } from "../triggers/trigger.ts";
import type { Source } from "../venue/source.ts";

/** A source as windows need it. */
export interface SourceView extends Source {
  readonly revision: number;
}

/** What sources show from the library, by the id of the source. */
export type SourceMedia = Readonly<Record<string, MediaInfo>>;

export interface TriggerView extends Trigger {
  readonly revision: number;
}

/** How a door for other devices does. */
export interface DoorView {
  readonly kind: "tally" | "osc";
  /** Null: it was not asked for. */
  readonly port: number | null;
  /** Why it is not open although it was asked for. */
  readonly problem: string | null;
  /** Server time of the last packet that was let in; null: none. */
  readonly heardAtMs: number | null;
  /** It was heard regularly, and is not any more. */
  readonly isLost: boolean;
  /** What was not let in, or not understood, since the server started. */
  readonly turnedAway: {
    readonly strangers: number;
    readonly notUnderstood: number;
    readonly tooMany: number;
  };
  /** Why the last one was not understood. */
  readonly lastProblem: string | null;
}

/** What of the venue's triggers desks show. */
export interface FollowView {
  readonly triggers: readonly TriggerView[];
  readonly settings: FollowSettings;
  readonly doors: readonly DoorView[];
  /** Sources whose tally flaps, by id. */
  readonly flapping: readonly string[];
  /** Who may send, besides this machine. */
  readonly allowed: readonly string[];
}
