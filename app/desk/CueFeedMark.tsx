import type { LiveFields } from "../../core/feeds/binding.ts";
import { FeedMark } from "../ui/FeedMark.tsx";
import { formatMinute } from "../ui/format.ts";
import { useDesk } from "./deskContext.ts";
import { feedMarkOf } from "./feedMarks.ts";
import { useIsFrozen } from "./useLiveValues.ts";
import { useLocale } from "./useLocale.ts";

/** How the feeds of a cue's page do; nothing where no feed fills it. */
export function CueFeedMark({
  cueId,
  live,
  isOneLine = false,
}: {
  cueId: string;
  live: LiveFields | undefined;
  isOneLine?: boolean;
}) {
  return live ? <Mark cueId={cueId} live={live} isOneLine={isOneLine} /> : null;
}

function Mark({ cueId, live, isOneLine }: { cueId: string; live: LiveFields; isOneLine: boolean }) {
  const known = { ...useDesk("feeds", "bindingProblems"), isFrozen: useIsFrozen(cueId) };
  const locale = useLocale();
  const mark = feedMarkOf(cueId, live, known);
  if (!mark) return null;
  const { names, trouble, isFrozen } = mark;
  return (
    <FeedMark
      names={names}
      words={trouble?.words ?? null}
      says={trouble?.says ?? null}
      isFrozen={isFrozen}
      isOneLine={isOneLine}
      since={trouble?.sinceMs ? formatMinute(trouble.sinceMs, locale) : null}
    />
  );
}
