import { feedsIn } from "../../feeds/binding.ts";
import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { Check } from "../check.ts";

const unbound = defineFinding<{ readonly why: string }>("unfilled", "fault", ({ why }) => why);

/** A field that is to be filled from a feed and is not. */
export const unfilled: Check = {
  code: unbound.code,
  name: "Fields that no feed fills",
  cue: ({ cue: { cueId, doc }, evening }) => {
    if (doc.kind !== "page" || doc.isOff) return [];
    const known = new Set(evening.feeds.map(({ id }) => id));
    const gone = Object.entries(doc.bindings).filter(([, { feedId }]) => !known.has(feedId));
    const why = evening.bindingProblems[cueId];
    const problems = [
      ...gone.map(([field]) => ({
        field,
        words: "The feed that was to fill it is gone; what is typed there is shown.",
      })),
      ...(why !== undefined && gone.length === 0 ? [{ field: "", words: why }] : []),
    ];
    return problems.map(({ field, words }) => ({
      finding: unbound(cueSubject(cueId), { why: words }, field),
      cueId,
    }));
  },
};

const broken = defineFinding<{ readonly feed: string; readonly why: string }>(
  "brokenFeed",
  "warning",
  ({ feed, why }) => `“${feed}” cannot be read: ${why} The page shows its last good values.`,
);

/** A page that is filled from a feed with a fault. */
export const brokenFeed: Check = {
  code: broken.code,
  name: "Feeds that cannot be read",
  cue: ({ cue: { cueId, doc }, evening }) => {
    if (doc.kind !== "page" || doc.isOff) return [];
    return feedsIn(doc.bindings).flatMap((id) => {
      const feed = evening.feeds.find((each) => each.id === id);
      if (!feed?.fault) return [];
      const figures = { feed: feed.doc.name, why: feed.fault.says };
      return [{ finding: broken(cueSubject(cueId), figures, id), cueId }];
    });
  },
};

const stale = defineFinding<{ readonly feed: string; readonly minutes: number }>(
  "staleFeed",
  "warning",
  ({ feed, minutes }) => `“${feed}” has brought nothing new for longer than ${minutes} min.`,
);

/** A page that is filled from a feed which stands still. */
export const staleFeed: Check = {
  code: stale.code,
  name: "Feeds that stand still",
  cue: ({ cue: { cueId, doc }, evening }) => {
    if (doc.kind !== "page" || doc.isOff) return [];
    return feedsIn(doc.bindings).flatMap((id) => {
      const feed = evening.feeds.find((each) => each.id === id);
      if (!feed?.isStale || feed.fault) return [];
      const minutes = Math.round((feed.doc.staleAfterMs ?? 0) / 6_000) / 10;
      return [{ finding: stale(cueSubject(cueId), { feed: feed.doc.name, minutes }, id), cueId }];
    });
  },
};
