import type { Clip } from "../clips/clip.ts";
import type { ClipMapping } from "../clips/clipMapping.ts";
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

/** A clip of the list as desks know it. */
export interface ClipView extends Clip {
  readonly revision: number;
  readonly title: string;
  /** Field → words, by its mapping. */
  readonly details: Readonly<Record<string, string>>;
  /** Null: it is not in the library any more. */
  readonly lengthMs: number | null;
}

/** The clip of the list, as it is saved. */
export function plainClip({ revision: _r, title: _t, details: _d, lengthMs: _l, ...clip }: ClipView): Clip {
  return clip;
}

export interface ClipMappingView extends ClipMapping {
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
  readonly clips: readonly ClipView[];
  readonly mappings: readonly ClipMappingView[];
  readonly settings: FollowSettings;
  readonly doors: readonly DoorView[];
  /** Sources whose tally flaps, by id. */
  readonly flapping: readonly string[];
  /** Who may send, besides this machine. */
  readonly allowed: readonly string[];
}
