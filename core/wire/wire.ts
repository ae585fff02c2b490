import { z } from "zod";
import type { DesignRef } from "../design/designEdit.ts";
import type { FeedView } from "../feeds/feedView.ts";
import { nameSchema } from "../names/name.ts";
import { REMOTE_PRESSES, type RemoteRight } from "../remote/remoteLink.ts";
import type { RemoteTold } from "../remote/remoteView.ts";
import type { StorageStatus } from "../report/health.ts";
import type { CueView } from "../rundown/edits.ts";
import type { OpenEvening } from "../rundown/evening.ts";
import type { PinnedDocument } from "../rundown/pinnedDocument.ts";
import type { MediaInfo } from "../scene/media.ts";
import type { SecondTold } from "../second/secondView.ts";
import { commandSchema, type Refusal } from "../show/commands.ts";
import { DESK_MODES, type DeskMode } from "../show/deskMode.ts";
import type { LoggedEvent } from "../show/events.ts";
import type { Target } from "../show/line.ts";
import type { ShowState } from "../show/state.ts";
import type { VenueSettings } from "../show/venueSettings.ts";
import { cellsSchema, type LiveValues, type ValueChange } from "../values/values.ts";
import type { Output, ScreenPlan } from "../venue/plan.ts";
import type { DeskDesigns } from "./deskDesigns.ts";
import type { FollowView, SourceMedia, SourceView } from "./followView.ts";

/** The air, or a rehearsal of it: same rules, own state, no outputs. */
export const CHANNELS = ["air", "rehearsal"] as const;
export type Channel = (typeof CHANNELS)[number];

/** A desk that is open now. */
export interface DeskPresence {
  readonly windowId: string;
  /** As its person calls it; "Desk 2" where nobody said. */
  readonly name: string;
  readonly mode: DeskMode;
  readonly channel: Channel;
}

/** A phone that is a remote now. */
export interface RemotePresence {
  readonly windowId: string;
  /** The link that it came by. */
  readonly linkId: string;
  readonly name: string;
  readonly can: RemoteRight;
}

/** What windows say to the server over the WebSocket. */
export const clientMessageSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("hello"),
    token: z.string().min(8).max(80),
    /** Made by the window, kept over reconnects. */
    windowId: z.string().min(8).max(60),
    /** The stamp of the rundown that it has, whole: it is not sent again. */
    rundownStamp: z.string().max(60).optional(),
    /** What a desk lets its person do, from its first word on. */
    mode: z.enum(DESK_MODES).optional(),
  }),
  z.strictObject({ kind: z.literal("ping"), sentAtMs: z.number() }),
  z.strictObject({ kind: z.literal("command"), command: commandSchema }),
  /** A phone presses, for what it saw, at that server time. */
  z.strictObject({
    kind: z.literal("press"),
    id: z.string().min(8).max(60),
    press: z.enum(REMOTE_PRESSES),
    seen: z.string().max(1_000),
    atMs: z.number(),
  }),
  /** Cells of a table, from whoever may score it. */
  z.strictObject({ kind: z.literal("values"), tableId: nameSchema(60), cells: cellsSchema }),
  /** A desk goes over to the rehearsal, or back to the air. */
  z.strictObject({ kind: z.literal("channel"), channel: z.enum(CHANNELS) }),
  /** The outputs that show the rehearsal in place of the air, from a desk that rehearses. */
  z.strictObject({ kind: z.literal("rehearseOn"), outputIds: z.array(nameSchema(60)).max(64) }),
  /** Who is at a desk, and what they let themselves do. */
  z.strictObject({
    kind: z.literal("desk"),
    name: z.string().trim().max(40),
    mode: z.enum(DESK_MODES),
  }),
  z.strictObject({
    kind: z.literal("painted"),
    /** Last event in the picture. */
    seq: z.number().int().min(0),
    /** Server time of its first frame. */
    atMs: z.number(),
    /** Frames drawn and missed since the last report, and the slowest of them. */
    frames: z.number().int().min(0),
    missed: z.number().int().min(0),
    slowestMs: z.number().min(0),
    /** Plates that were not ready when they were wanted. */
    coldPaints: z.number().int().min(0),
    plateBytes: z.number().int().min(0),
    /** Real size of the window in device pixels. */
    widthPx: z.number().int().min(0).max(100_000),
    heightPx: z.number().int().min(0).max(100_000),
    /** Server time minus the window's own, and the round trip it was measured by; null before the first answer. */
    clock: z.strictObject({ offsetMs: z.number(), roundTripMs: z.number() }).nullable(),
    /** Nobody can see it: behind another window, minimised, or its device sleeps. */
    isHidden: z.boolean(),
    /** Whether the browser lets sound out: some wait for a click. */
    sound: z.enum(["off", "starting", "on", "refused"]),
    /** Whether a graphics processor draws it; null where nobody needs to know. */
    hasGpu: z.boolean().nullable(),
    /** How often its screen draws; null: not measured yet. */
    screenHz: z.number().min(1).max(1_000).nullable(),
    /** How often it draws itself while something moves. */
    perSecond: z.number().min(1).max(1_000),
    /** Loaded over TLS or on the server's own machine: only then can it start without the server. */
    isSecure: z.boolean(),
  }),
]);
export type ClientMessage = z.infer<typeof clientMessageSchema>;
export type PaintedReport = Extract<ClientMessage, { kind: "painted" }>;

/** The largest message a window may send, in bytes. */
export const LARGEST_CLIENT_MESSAGE = 16 * 1024;

/** How an output is doing. */
export interface ScreenHealth {
  readonly outputId: string;
  /** Server time of the last word of any of its windows since the server started; null: none was there. */
  readonly lastHeardAtMs: number | null;
  readonly windows: readonly {
    readonly windowId: string;
    readonly painted: Omit<PaintedReport, "kind"> | null;
    /** Server time of its last word. */
    readonly heardAtMs: number;
  }[];
}

/** What the server says. It is trusted, so these are types only. */
export type ServerMessage =
  | {
      readonly kind: "welcome";
      readonly serverAtMs: number;
      /** Changes with every build: a window from an older one loads itself again. */
      readonly buildId: string;
      readonly state: ShowState;
      readonly outputs: readonly Output[];
      readonly plans: readonly ScreenPlan[];
      readonly channel: Channel;
      /** The output this window is; null for a desk. */
      readonly outputId: string | null;
    }
  /** Screens were made, changed or taken away, or plans were. */
  | { readonly kind: "setUp"; readonly outputs: readonly Output[]; readonly plans: readonly ScreenPlan[] }
  | { readonly kind: "documents"; readonly documents: Readonly<Record<string, PinnedDocument>> }
  /** The only documents that are still wanted: a window that is open for hours lets go of the others. */
  | { readonly kind: "keep"; readonly hashes: readonly string[] }
  | { readonly kind: "event"; readonly logged: LoggedEvent }
  /** Values that change often: all of them to a window that comes, then what changes, joined. */
  | { readonly kind: "allValues"; readonly values: LiveValues }
  | { readonly kind: "values"; readonly changes: readonly ValueChange[] }
  /** What may be taken soon, most likely first: paint it ahead; and what the player begins next: fetch it ahead. */
  | { readonly kind: "preload"; readonly targets: readonly Target[]; readonly clip: MediaInfo | null }
  | {
      readonly kind: "rundown";
      /** Another for every change, and in every run of the server. */
      readonly stamp: string;
      readonly order: readonly string[];
      readonly changed: readonly CueView[];
      /** The evening whose cues they are. */
      readonly evening: OpenEvening;
    }
  /** All that a phone shows: its first word, and again whenever any of it changes. */
  | ({ readonly kind: "remote"; readonly serverAtMs: number; readonly buildId: string } & RemoteTold)
  | {
      readonly kind: "answer";
      readonly id: string;
      readonly refused: Refusal | null;
      readonly sentence: string | null;
    }
  /** What the venue has set, for desks and multi-views. */
  | { readonly kind: "venue"; readonly settings: VenueSettings }
  /** A thing of Design was changed, or taken away; for desks that have it open. */
  | { readonly kind: "design"; readonly of: DesignRef; readonly revision: number | null }
  /** Fields or outfits are others now; for desks and multi-views. */
  | ({ readonly kind: "designs" } & DeskDesigns)
  /** The venue added a font or took one out: what is drawn next may want it. */
  | { readonly kind: "fonts" }
  | { readonly kind: "screens"; readonly screens: readonly ScreenHealth[] }
  /** The desks that are open, and the outputs that show the rehearsal in place of the air. */
  | {
      readonly kind: "desks";
      readonly desks: readonly DeskPresence[];
      readonly remotes: readonly RemotePresence[];
      readonly rehearsedOn: readonly string[];
    }
  /** How feeds do, and why pages are not filled as they should be (by cue), for desks. */
  | {
      readonly kind: "feeds";
      readonly feeds: readonly FeedView[];
      readonly problems: Readonly<Record<string, string>>;
    }
  /** The venue's sources, and what those show that are of the library; for all windows. */
  | { readonly kind: "sources"; readonly sources: readonly SourceView[]; readonly media: SourceMedia }
  /** Triggers, and how other devices are heard; for desks. */
  | { readonly kind: "follow"; readonly follow: FollowView }
  /** Another machine follows this one, or not any more. */
  | ({ readonly kind: "second" } & SecondTold)
  /** How the disk of the show does, for desks. */
  | { readonly kind: "storage"; readonly storage: StorageStatus }
  /** Something that every desk has to know, in a sentence: nothing it did. */
  | { readonly kind: "news"; readonly sentence: string }
  | { readonly kind: "pong"; readonly sentAtMs: number; readonly serverAtMs: number }
  /** A message was not understood, or this window may not do that. */
  | { readonly kind: "fault"; readonly sentence: string };
