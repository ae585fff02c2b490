import type { ReadyClip } from "../clips/readyClip.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import type { EventTiming } from "../rundown/timing.ts";
import type { Trigger } from "../triggers/trigger.ts";

/** What a room would call a part of the evening: a song, a reading, a film. Straps and notices come besides and are none. */
export interface ProgrammeItem {
  readonly cueId: string;
  readonly title: string;
  /** The clip that its cue plays, if it plays one. */
  readonly clip: ReadyClip | null;
  /** Server time; null: nothing says when. */
  readonly startsAtMs: number | null;
  readonly lengthMs: number | null;
}

export interface Programme {
  readonly present: ProgrammeItem | null;
  readonly coming: readonly ProgrammeItem[];
}

/** Kinds of cues that are parts of an evening where no cue says how long it is planned to take. */
const PARTS: ReadonlySet<CueDoc["kind"]> = new Set(["song", "reading"]);

/** Which clip a cue plays, by the triggers that wait for it to be taken. */
export function clipsOfCues(
  triggers: readonly Trigger[],
  clips: readonly ReadyClip[],
): ReadonlyMap<string, ReadyClip> {
  const found = new Map<string, ReadyClip>();
  for (const { when, act, isOn } of triggers) {
    if (!isOn || when.kind !== "cue" || when.does !== "comes") continue;
    if (act.kind !== "clip" || act.does.kind !== "play") continue;
    const { clipId } = act.does;
    const clip = clips.find((each) => each.clip.id === clipId);
    if (clip) found.set(when.cueId, clip);
  }
  return found;
}

/**
 * The parts of the evening from where the script stands: cues that are planned to take a time, or play a clip; where nothing is
 * planned, songs and readings too.
 */
export function programmeOf(
  cues: readonly ReadyCue[],
  timing: EventTiming,
  played: ReadonlyMap<string, ReadyClip>,
): Programme {
  const isPlanned = cues.some(({ doc }) => doc.plannedMs !== null);
  const isPart = ({ cueId, doc }: ReadyCue) =>
    !doc.isOff && (played.has(cueId) || (isPlanned ? doc.plannedMs !== null : PARTS.has(doc.kind)));
  const timed = new Map(timing.cues.map((each) => [each.cueId, each]));
  const presentId = timing.present?.cueId;
  const presentAt = cues.findIndex(({ cueId }) => cueId === presentId);
  const itemOf = ({ cueId, content, doc }: ReadyCue): ProgrammeItem => {
    const clip = played.get(cueId) ?? null;
    const at = timed.get(cueId);
    return {
      cueId,
      title: clip?.title ?? content.title,
      clip,
      startsAtMs: at?.startedAtMs ?? at?.expectedAtMs ?? null,
      lengthMs: doc.plannedMs ?? clip?.media?.durationMs ?? null,
    };
  };
  const present = presentAt < 0 ? undefined : cues.slice(0, presentAt + 1).findLast(isPart);
  return {
    present: present ? itemOf(present) : null,
    coming: cues
      .slice(presentAt + 1)
      .filter(isPart)
      .map(itemOf),
  };
}
