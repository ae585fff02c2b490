import type { CarryEdit, CarryJobView, CopyView, LookedView } from "../../core/carry/carryView.ts";
import type { ClipEdit } from "../../core/clips/clipEdit.ts";
import type { CommentSettings, CommentTold } from "../../core/comments/comment.ts";
import type { DesignEdit, DesignState, Touches, VersionTold } from "../../core/design/designEdit.ts";
import type { DesignDoc, DesignKindName } from "../../core/design/designKinds.ts";
import type { Binding, Picks } from "../../core/feeds/binding.ts";
import type { EntryLink, EntryTable } from "../../core/feeds/entryLink.ts";
import type { FeedDoc } from "../../core/feeds/feed.ts";
import type { OfferedRow } from "../../core/feeds/pickRows.ts";
import type { Resolved } from "../../core/feeds/resolveBinding.ts";
import type { TableChange, TableEditOutcome } from "../../core/feeds/tableChange.ts";
import type { RowEdit, TableEdit } from "../../core/feeds/tableEdit.ts";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import type { RemoteLink } from "../../core/remote/remoteLink.ts";
import type { StoryLine } from "../../core/report/airStory.ts";
import type { PastLength } from "../../core/report/pastLengths.ts";
import type { PastState } from "../../core/report/pastState.ts";
import type { Report } from "../../core/report/report.ts";
import type { SongUse } from "../../core/report/songUse.ts";
import type { Compiled } from "../../core/rundown/compileContext.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { ConflictBy, Edit, EditOutcome } from "../../core/rundown/edits.ts";
import type { EveningEdit } from "../../core/rundown/evening.ts";
import type { FirstSteps } from "../../core/rundown/firstSteps.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { TakenLine } from "../../core/rundown/takeEntry.ts";
import type { LibraryEntry } from "../../core/scene/libraryEntry.ts";
import type { VenueSettings } from "../../core/show/venueSettings.ts";
import type { FollowEdit } from "../../core/triggers/followEdit.ts";
import type { Output, ScreenPlan, Venue } from "../../core/venue/plan.ts";
import type { MediaUse } from "../../core/wire/mediaUses.ts";
import type { Finds } from "../../core/words/finds.ts";
import type { ImportState } from "../../core/words/importState.ts";
import type { Told } from "../../core/words/reader/told.ts";
import type { SongFields } from "../../core/words/songFields.ts";

/** What may be done to screens and plans, besides switching. */
export type ScreensEdit =
  | { readonly kind: "saveOutput"; readonly output: Output }
  | { readonly kind: "removeOutput"; readonly outputId: string }
  | { readonly kind: "savePlan"; readonly plan: ScreenPlan }
  | { readonly kind: "removePlan"; readonly planId: string }
  | { readonly kind: "saveVenue"; readonly venue: Venue };

/** What may be done to feeds, and to the pages that they fill. */
export type FeedsEdit =
  | { readonly kind: "save"; readonly id: string; readonly baseRevision: number; readonly doc: FeedDoc }
  | { readonly kind: "remove"; readonly id: string }
  /** What was read last is good, whatever came before. */
  | { readonly kind: "takeAsItIs"; readonly id: string }
  /** A row was used, or is put back. */
  | { readonly kind: "use"; readonly id: string; readonly row: string; readonly isUsed: boolean }
  | { readonly kind: "putAllBack"; readonly id: string }
  /** A cue's pages stand still, whatever their feeds say, or go on. */
  | { readonly kind: "freeze"; readonly cueId: string; readonly isFrozen: boolean };

/** Rows of a feed in turn. */
export type CommentsEdit =
  | { readonly kind: "pick" | "unpick"; readonly id: string; readonly actor: string }
  | {
      readonly kind: "holdBack" | "mark";
      readonly id: string;
      readonly isOn: boolean;
      readonly actor: string;
    }
  | { readonly kind: "paste"; readonly text: string }
  | { readonly kind: "settings"; readonly settings: CommentSettings };

export interface CommentsTold {
  /** New or other since then, in the order in which they came; all of them since 0. */
  readonly comments: readonly CommentTold[];
  readonly since: number;
  readonly version: number;
  /** Of all that there are. */
  readonly count: number;
  readonly settings: CommentSettings;
}

export interface FeedRows {
  /** Of the table that they are from. */
  readonly version: number;
  readonly columns: readonly string[];
  readonly rows: readonly OfferedRow[];
  /** Rows of the feed, or of those that were asked for. */
  readonly of: number;
  /** The row that comes after the one that was named, used ones passed over; null: none. */
  readonly next: string | null;
}

export type SongSaveOutcome =
  | { readonly kind: "saved"; readonly id: string; readonly revision: number }
  | {
      readonly kind: "conflict";
      readonly by: ConflictBy;
      readonly sentence: string;
      readonly current: { readonly revision: number; readonly doc: SongFields };
    }
  | { readonly kind: "refused"; readonly sentence: string };

export type TriedOut =
  | { readonly hash: string; readonly documents: Readonly<Record<string, PinnedDocument>> }
  | Exclude<Compiled, { readonly content: PageContent }>;

/** What Prepare's box would add; nothing where nothing is typed, or what is typed says why not. */
export type Understood =
  | {
      readonly doc: CueDoc;
      readonly others: readonly string[];
      readonly title: string;
      readonly steps: number;
    }
  | { readonly whyNot: string };

/** A thing of Design as it is after an edit; or it is gone, as was wished. */
export type DesignAnswer =
  | { readonly state: DesignState; readonly doc: DesignDoc<DesignKindName>; readonly label: string }
  | { readonly removed: true };

type Done = Record<never, never>;
interface Call<Sends, Answers = Done> {
  readonly sends: Sends;
  readonly answers: Answers;
}

/** Everything the desk asks the server to do: where, what is sent, what comes back. Whatever fails comes back as a problem. */
export interface Calls {
  "/edit": Call<{ actor: string; edit: Edit }, EditOutcome>;
  "/first-steps": Call<FirstSteps>;
  "/try-out": Call<{ doc: CueDoc }, TriedOut>;
  "/understand": Call<{ typed: string; told?: readonly Told[]; text?: string }, Understood>;
  "/read-rundown": Call<{ text: string }, { lines: readonly TakenLine[] }>;
  "/licence": Call<{ licence: string }>;
  "/song/save": Call<{ id: string; actor: string; song: SongFields; baseRevision: number }, SongSaveOutcome>;
  "/song/delete": Call<{ id: string; isDeleted: boolean }>;
  "/remove-text": Call<{ code: string }>;
  "/files/texts/call-off": Call<Done>;
  "/library-key": Call<{ id: string; key: ChromaKey | null; actor: string }, { hash: string }>;
  "/library-edit": Call<{ id: string; entry: LibraryEntry; actor: string }, { hash: string }>;
  "/library-mark": Call<{ mark: string; color: string }, { id: string; hash: string }>;
  "/library-remove": Call<{ kind: "media" | "font"; id: string }>;
  "/design-edit": Call<{ actor: string; edit: DesignEdit }, DesignAnswer>;
  "/offered-template": Call<{
    kind: "remove" | "wear";
    outfitId: string;
    fieldSet: string;
    key: string;
    actor: string;
  }>;
  "/wear-style": Call<
    { styleId: string; fonts: Readonly<Record<string, string>>; actor: string },
    { worn: string }
  >;
  "/feeds-edit": Call<FeedsEdit>;
  "/triggers-edit": Call<FollowEdit>;
  "/clips-edit": Call<ClipEdit>;
  "/table-edit": Call<
    { id: string; edit: TableEdit | null; editId: string; actor: string },
    TableEditOutcome
  >;
  "/entry-link": Call<
    | { kind: "make"; id: string; link: EntryLink }
    | { kind: "end"; id: string }
    | { kind: "code"; id: string },
    { code?: string }
  >;
  "/remote-link": Call<
    | { kind: "make"; id: string; link: RemoteLink }
    | { kind: "change"; id: string; link: RemoteLink }
    | { kind: "end"; id: string }
    | { kind: "code"; id: string },
    { code?: string }
  >;
  "/comments-edit": Call<CommentsEdit>;
  "/table/": Call<{ edit: RowEdit; editId: string }, { outcome: TableEditOutcome; table: EntryTable }>;
  "/binding-now": Call<{ binding: Binding; picks: Picks }, Resolved>;
  "/access": Call<{ kind: "renewDesk" } | { kind: "endSession"; id: string }>;
  "/passcode": Call<{ passcode: string }>;
  "/screens-edit": Call<ScreensEdit>;
  "/screens-link": Call<
    | { kind: "pair"; id: string }
    | { kind: "renew"; id: string }
    | { kind: "renewWatch" }
    | { kind: "renewHook" }
    | { kind: "renewSecond" },
    { code?: string; token?: string }
  >;
  "/venue-settings": Call<Partial<VenueSettings>>;
  "/evenings-edit": Call<EveningEdit>;
  "/carry-edit": Call<CarryEdit, { id?: string }>;
  "/health/back-up": Call<Done, { done: boolean }>;
  "/seen": Call<{ keys: readonly string[]; isSeen: boolean }>;
  "/report-note": Call<{ seq: number; words: string }>;
}
export type CallPath = keyof Calls;

export interface KeptSong {
  readonly id: string;
  readonly revision: number;
  readonly song: SongFields;
  readonly changedAtMs: number;
  readonly versions: readonly {
    readonly revision: number;
    readonly atMs: number;
    readonly song: SongFields;
  }[];
}

export interface LetIn {
  readonly sessions: readonly {
    readonly id: string;
    readonly name: string;
    readonly way: "link" | "passcode";
    readonly address: string;
    readonly beganAtMs: number;
    readonly seenAtMs: number;
  }[];
  /** This browser's own, where it was let in. */
  readonly ownId: string | null;
  /** Null for a browser that was let in: it could come back with it. */
  readonly deskLink: string | null;
}

/** Everything the desk only asks for: by the beginning of the address, what comes back. */
export interface Asks {
  "/library-uses": readonly MediaUse[];
  "/bin": { cues: readonly { cueId: string; atMs: number; doc: CueDoc }[] };
  "/evening/": { cues: readonly { cueId: string; doc: CueDoc }[] };
  "/log": { lines: readonly StoryLine[] };
  "/seen": { keys: readonly string[] };
  "/as-run": Report;
  "/song-use": { songs: readonly SongUse[] };
  "/past-lengths": { lengths: readonly { cueId: string; past: PastLength }[] };
  "/past-state": PastState;
  "/carry-jobs": { jobs: readonly CarryJobView[] };
  "/carry-copies": { copies: readonly CopyView[] };
  "/carry-looked": LookedView;
  "/files/show/have": { id: string; have: number };
  "/feed-rows": FeedRows;
  "/table-work/": {
    changes: readonly TableChange[];
    links: readonly { id: string; token: string; doc: EntryLink }[];
  };
  "/comments-list": CommentsTold;
  "/table/": EntryTable;
  "/song/": KeptSong;
  "/find": Finds;
  "/access": LetIn;
  "/files/texts": ImportState;
  "/design-state": DesignAnswer;
  "/design-touches": {
    touches: Touches;
    /** As it is in use; null where it never was. */
    before: DesignDoc<DesignKindName> | null;
  };
  "/design-versions": { versions: readonly VersionTold[] };
}
export type AskPath = keyof Asks;
