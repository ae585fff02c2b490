import { feedsIn } from "../../feeds/binding.ts";
import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const stale = defineFinding<{ readonly feed: string; readonly minutes: number }>(
  "staleFeed",
  "warning",
  ({ feed, minutes }) => t`“${feed}” has brought nothing new for longer than ${minutes} min.`,
);

/** A page that is filled from a feed which stands still. */
export const staleFeed: Check = {
  code: stale.code,
  name: t`Feeds that stand still`,
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
