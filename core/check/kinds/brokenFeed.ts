import { feedsIn } from "../../feeds/binding.ts";
import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const broken = defineFinding<{ readonly feed: string; readonly why: string }>(
  "brokenFeed",
  "warning",
  ({ feed, why }) => t`“${feed}” cannot be read: ${why} The page shows its last good values.`,
);

/** A page that is filled from a feed with a fault. */
export const brokenFeed: Check = {
  code: broken.code,
  name: t`Feeds that cannot be read`,
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
