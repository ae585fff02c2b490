import type { Clip } from "../core/clips/clip.ts";
import type { ClipMapping } from "../core/clips/clipMapping.ts";
import type { CommentSettings } from "../core/comments/comment.ts";
import type { FeedDoc } from "../core/feeds/feed.ts";
import type { Table } from "../core/feeds/table.ts";
import type { ChromaKey } from "../core/picture/chromaKey.ts";
import type { CueDoc } from "../core/rundown/cueDoc.ts";
import type { HouseStyle } from "../core/scene/houseStyle.ts";
import type { Trigger } from "../core/triggers/trigger.ts";
import type { Layer, Output, ScreenPlan } from "../core/venue/plan.ts";
import type { Source } from "../core/venue/source.ts";
import type { SongFields } from "../core/words/songFields.ts";
import type { StarterOutfit } from "./starter.ts";

/** A show as it is made, before anything was edited in it. */
export interface NewShow {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly layers: readonly Layer[];
  readonly plan: ScreenPlan;
  /** Plans besides the one it opens with. */
  readonly otherPlans: readonly ScreenPlan[];
  readonly outputs: readonly Output[];
  readonly outfits: readonly StarterOutfit[];
  readonly style: HouseStyle;
  /** IANA zone for times of day. */
  readonly timeZone: string;
  /** The venue's licence number for showing songs; empty when it has none. */
  readonly licence: string;
  /** When the event begins, HH:MM; empty when not said. */
  readonly startsAt: string;
}

/** What a database with no show in it is filled with. */
export interface Seed {
  readonly show: NewShow;
  /** Files of the library, beside the demo's code: id, name and what is known of them. */
  readonly media: readonly SeedMedia[];
  /** The songs the library begins with. */
  readonly songs: readonly { readonly id: string; readonly song: SongFields }[];
  readonly cues: readonly CueDoc[];
  readonly feeds: readonly SeedFeed[];
  /** Where comments come from; null: they are pasted. */
  readonly comments: CommentSettings | null;
  readonly sources: readonly Source[];
  readonly triggers: readonly Trigger[];
  readonly clips: readonly SeedClip[];
  readonly mappings: readonly ClipMapping[];
}

export interface SeedClip {
  readonly clip: Clip;
  /** The file beside it, by its place below the project's folder. */
  readonly details: string;
}

export interface SeedFeed {
  readonly id: string;
  readonly doc: FeedDoc;
  /** What is read for it at first, by its place below the project's folder; or the rows of a table that is edited here. */
  readonly rows: { readonly file: string } | { readonly table: Table };
}

export interface SeedMedia {
  readonly id: string;
  readonly name: string;
  /** Below the project's folder. */
  readonly file: string;
  readonly poster: string | null;
  readonly key: ChromaKey | null;
}
