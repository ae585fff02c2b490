import { useMemo } from "react";
import { t } from "../../core/language/t.ts";
import type { TriggerNames } from "../../core/triggers/triggerNames.ts";
import { useDesk } from "./deskContext.ts";

/** What things are called that triggers speak of, as this desk knows them. */
export function useTriggerNames(): TriggerNames {
  const { sources, cues, state, plans, feeds, follow } = useDesk(
    "sources",
    "cues",
    "state",
    "plans",
    "feeds",
    "follow",
  );
  const { layers } = state;
  const clips = follow?.clips;
  return useMemo(
    () => ({
      source: (id) => sources.find((source) => source.id === id)?.name ?? t`a source that is gone`,
      cue: (id) => cues.find(({ view }) => view.cueId === id)?.title ?? t`a cue that is gone`,
      layer: (id) => layers.find((layer) => layer.id === id)?.name ?? id,
      plan: (id) => plans.find((plan) => plan.id === id)?.name ?? t`a plan that is gone`,
      clip: (id) => clips?.find((clip) => clip.id === id)?.title ?? t`a clip that is gone`,
      feed: (id) => feeds.find((feed) => feed.id === id)?.doc.name ?? t`a feed that is gone`,
    }),
    [sources, cues, layers, plans, feeds, clips],
  );
}
