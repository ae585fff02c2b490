import { feedsIn, type LiveFields } from "../../core/feeds/binding.ts";
import { type FeedView, feedTrouble } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";

/** How the feeds of a page do, in a few words. */
export interface FeedMark {
  /** Names of the feeds that fill it. */
  readonly names: string;
  readonly isFrozen: boolean;
  /** What is wrong; null while all is well. */
  readonly trouble: {
    readonly words: string;
    /** In a sentence. */
    readonly says: string;
    readonly sinceMs: number | null;
  } | null;
}

type Known = Pick<DeskSnapshot, "feeds" | "bindingProblems"> & { readonly isFrozen: boolean };

/** @param live what of the page is filled from feeds; undefined where nothing is */
export function feedMarkOf(
  cueId: string,
  live: LiveFields | undefined,
  { feeds, bindingProblems, isFrozen }: Known,
): FeedMark | undefined {
  if (!live) return undefined;
  const own = feedsIn(live.bindings).map((id) => feeds.find((feed) => feed.id === id));
  const names = own.map((feed) => feed?.doc.name ?? t`a feed that was removed`).join(", ");
  return { names, isFrozen, trouble: troubleOf(own, bindingProblems[cueId]) };
}

function troubleOf(own: readonly (FeedView | undefined)[], problem: string | undefined): FeedMark["trouble"] {
  const bad = own.find((feed) => feed && feedTrouble(feed) !== undefined);
  if (bad)
    return {
      words: feedTrouble(bad) ?? "",
      says: bad.fault
        ? `“${bad.doc.name}”: ${bad.fault.says}`
        : t`Nothing new has come from “${bad.doc.name}”.`,
      sinceMs: bad.fault?.sinceMs ?? bad.changedAtMs,
    };
  return problem === undefined ? null : { words: t`last good values`, says: problem, sinceMs: null };
}
