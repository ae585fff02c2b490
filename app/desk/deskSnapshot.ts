import type { FeedView } from "../../core/feeds/feedView.ts";
import type { StorageStatus } from "../../core/report/health.ts";
import type { CueView } from "../../core/rundown/edits.ts";
import type { OpenEvening } from "../../core/rundown/evening.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { FieldSets } from "../../core/scene/fieldSet.ts";
import type { SecondTold } from "../../core/second/secondView.ts";
import type { DeskMode } from "../../core/show/deskMode.ts";
import type { Target } from "../../core/show/line.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { VenueSettings } from "../../core/show/venueSettings.ts";
import type { LiveChains } from "../../core/values/liveChain.ts";
import type { LiveValues } from "../../core/values/values.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import type { DeskDesigns, DeskOutfit } from "../../core/wire/deskDesigns.ts";
import type { FollowView, SourceView } from "../../core/wire/followView.ts";
import type { Channel, DeskPresence, RemotePresence, ScreenHealth } from "../../core/wire/wire.ts";
import type { ConnectionStatus } from "../live/connection.ts";
import type { DeskCue } from "./deskCues.ts";
import type { Notice } from "./notices.ts";

/** What the desk knows now. */
export interface DeskSnapshot {
  readonly state: ShowState;
  readonly outputs: readonly Output[];
  readonly plans: readonly ScreenPlan[];
  readonly cues: readonly DeskCue[];
  readonly ready: readonly ReadyCue[];
  /** What the take key would bring. */
  readonly next: Target | undefined;
  readonly screens: readonly ScreenHealth[];
  readonly status: ConnectionStatus;
  readonly notice: Notice | null;
  /** A command is on its way. */
  readonly waiting: boolean;
  readonly mode: DeskMode;
  /** The air, or a rehearsal that no screen shows. */
  readonly channel: Channel;
  /** All desks that are open, this one among them. */
  readonly desks: readonly DeskPresence[];
  /** Outputs that show the rehearsal in place of the air. */
  readonly remotes: readonly RemotePresence[];
  readonly rehearsedOn: readonly string[];
  /** The fields that pages may have, as they are in use. */
  readonly fieldSets: FieldSets;
  /** What screens wear, and what pages may choose. */
  readonly outfits: readonly DeskOutfit[];
  /** What the venue has set for all its desks. */
  readonly venue: VenueSettings;
  /** The evening whose cues these are. */
  readonly evening: OpenEvening;
  /** How the disk of the show does. */
  readonly storage: StorageStatus;
  /** Where the show goes on if this server is gone. */
  readonly second: SecondTold;
  /** What fills pages from feeds. */
  readonly values: LiveValues;
  /** What of it filled them lately. */
  readonly chains: LiveChains;
  readonly feeds: readonly FeedView[];
  /** Cue → why something of it is not filled as it should be. */
  readonly bindingProblems: Readonly<Record<string, string>>;
  /** The venue's sources. */
  readonly sources: readonly SourceView[];
  /** Triggers, and how other devices are heard; null until it is known. */
  readonly follow: FollowView | null;
  /** The cue chosen for editing; new cues are added after it. */
  readonly chosenId: string | null;
}

/** What a page of the desk begins with. */
export interface DeskStart extends DeskDesigns {
  readonly deskToken: string;
  readonly buildId: string;
  readonly state: ShowState;
  readonly outputs: readonly Output[];
  readonly plans: readonly ScreenPlan[];
  readonly cues: readonly CueView[];
  readonly rundownStamp: string;
  readonly documents: Readonly<Record<string, PinnedDocument>>;
  readonly screens: readonly ScreenHealth[];
  readonly venue: VenueSettings;
  readonly evening: OpenEvening;
}
