import type { FeedDoc } from "../../core/feeds/feed.ts";
import type { FeedFault } from "../../core/feeds/feedFault.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import type { GoodTable } from "../../core/feeds/goodTable.ts";
import { longestValues } from "../../core/feeds/longestValues.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import { type AnswerMarks, NO_MARKS } from "./askAddress.ts";

/** All that the host knows of one feed while it runs. */
export interface RunningFeed {
  readonly id: string;
  revision: number;
  doc: FeedDoc;
  good: GoodTable | null;
  version: number;
  checkedAtMs: number | null;
  /** The same, as it was told last. */
  toldCheckedAtMs: number;
  changes: number[];
  fault: (FeedFault & { readonly sinceMs: number }) | null;
  isStale: boolean;
  /** What was read last, and what came of it. */
  bytes: Uint8Array | null;
  mark: string;
  lastFault: FeedFault | null;
  /** The last good text ended with the end of a line. */
  endsWithLine: boolean;
  marks: AnswerMarks;
  /** Jobs of one feed are done in the order in which they came. */
  readonly queue: SerialQueue;
  /** What is wrong now, before it is told. */
  newestFault: FeedFault | null;
  faultTimer: ReturnType<typeof setTimeout> | undefined;
  pollTimer: ReturnType<typeof setTimeout> | undefined;
  /** It was read, and was as it should be, since the server started. */
  wasWell: boolean;
  /** Until then nobody is told that it is broken again. */
  newsAgainAtMs: number;
  isReading: boolean;
  readAgain: boolean;
  /** Its picture is not read again before. */
  pictureAgainAtMs: number;
  /** Ends what is asked for a source that it does not have any more. */
  ends: AbortController;
}

export function newFeed(id: string, revision: number, doc: FeedDoc, good: GoodTable | null): RunningFeed {
  return {
    // It goes on growing over a restart: windows that stayed open know a newer table by it.
    ...{ id, revision, doc, good, version: good ? Math.round(good.atMs) : 0 },
    ...{ checkedAtMs: null, toldCheckedAtMs: 0, changes: [], fault: null, isStale: false },
    ...{ bytes: null, mark: "", lastFault: null, endsWithLine: good?.endsWithLine ?? false, marks: NO_MARKS },
    queue: new SerialQueue(),
    newestFault: null,
    faultTimer: undefined,
    pollTimer: undefined,
    wasWell: false,
    newsAgainAtMs: 0,
    isReading: false,
    readAgain: false,
    pictureAgainAtMs: 0,
    ends: new AbortController(),
  };
}

/** A feed as desks know it. */
export function viewOf(feed: RunningFeed): FeedView {
  const { id, revision, doc, good, version, checkedAtMs, changes, fault, isStale } = feed;
  const gaps = changes.slice(1).map((atMs, i) => atMs - (changes[i] as number));
  return {
    ...{ id, revision, doc, version, checkedAtMs, fault, isStale },
    columns: good?.table.columns ?? [],
    kinds: good?.kinds ?? {},
    rows: good?.table.rows.length ?? 0,
    changedAtMs: good?.atMs ?? null,
    longest: good ? longestValues(good.table) : {},
    everyMs: gaps.length < 2 ? null : Math.round(gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length),
  };
}
