import { fieldsOfMappings } from "../../core/clips/clipMapping.ts";
import type { Table } from "../../core/feeds/table.ts";
import { eveningTiming } from "../../core/rundown/eveningTiming.ts";
import { nowNextTable } from "../../core/running/nowNext.ts";
import { clipsOfCues, programmeOf } from "../../core/running/programme.ts";
import type { ShowHost } from "../host/showHost.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { FollowStore } from "../store/followStore.ts";
import type { ClipHost } from "./clipHost.ts";

export interface NowNextHostParts {
  readonly host: Pick<ShowHost, "state">;
  readonly rundown: Pick<Rundown, "ready">;
  readonly evenings: Pick<EveningStore, "open">;
  readonly store: Pick<FollowStore, "triggers" | "mappings">;
  readonly clips: Pick<ClipHost, "ready">;
  readonly now: () => number;
}

/** Now, next and later, as they are at this moment. */
export function nowNextOf({ host, rundown, evenings, store, clips, now }: NowNextHostParts): Table {
  const nowMs = now();
  const { state } = host;
  const { timeZone, cueTimes, line } = state;
  const presentId = line.at?.cueId ?? null;
  const cues = rundown.ready();
  const ready = clips.ready();
  const timing = eveningTiming(cues, { timeZone, cueTimes, presentId }, evenings.open, nowMs);
  return nowNextTable(
    {
      play: state.clip,
      clips: ready,
      programme: programmeOf(cues, timing, clipsOfCues(store.triggers, ready)),
      fields: fieldsOfMappings(store.mappings),
      timeZone,
    },
    nowMs,
  );
}
