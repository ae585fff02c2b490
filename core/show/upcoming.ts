import { type ClipPlay, clipEndsAtMs, isRunning } from "../clips/clipPlay.ts";
import { nextTimeOfDay } from "../figures/clockText.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { nameOfTrigger, type Trigger } from "../triggers/trigger.ts";
import type { TriggerNames } from "../triggers/triggerNames.ts";
import { clipTimesThatCame } from "../triggers/whens/clip.ts";
import { slotsOn } from "./layers.ts";
import type { ShowState } from "./state.ts";

/** Something that will happen by itself. */
export interface Upcoming {
  readonly does: "comes" | "comes again" | "acts" | "leaves";
  /** The cue or trigger, as people call it. */
  readonly name: string;
  /** Server time. */
  readonly atMs: number;
}

/** Times of day are told this long before. */
const SEEN_AHEAD_MS = 30 * 60_000;

/** When the clip that plays comes to the place that a trigger waits for; undefined: it does not any more. */
const nextPlaceOf = ({ when }: Trigger, play: ClipPlay, nowMs: number): number | undefined =>
  when.kind === "clip"
    ? clipTimesThatCame(when, { kind: "clipTime", play, sinceMs: nowMs, untilMs: nowMs + SEEN_AHEAD_MS })[0]
    : undefined;

/** What will happen by itself and when, as far as it is known now; the soonest first. */
export function upcoming(
  state: ShowState,
  cues: readonly ReadyCue[],
  triggers: readonly Trigger[],
  names: TriggerNames,
  nowMs: number,
  /** The list of clips, in order. */
  clips: readonly { readonly id: string; readonly title: string }[] = [],
): Upcoming[] {
  const found: Upcoming[] = [];
  for (const due of state.due) {
    if (due.kind === "trigger") found.push({ does: "acts", name: due.name, atMs: due.atMs });
    else
      found.push({
        does: due.kind === "follow" ? "comes" : "comes again",
        name: names.cue(due.cueId),
        atMs: due.atMs,
      });
  }
  const leaving = new Map<string, number>();
  for (const { id } of state.layers)
    for (const [, slot] of slotsOn(state, id)) {
      const last = slot.at(-1);
      if (last?.page && last.endsAtMs !== null && last.endsAtMs > nowMs)
        leaving.set(last.page.cueId, Math.max(leaving.get(last.page.cueId) ?? 0, last.endsAtMs));
    }
  for (const [cueId, atMs] of leaving) found.push({ does: "leaves", name: names.cue(cueId), atMs });
  const comes = (time: string): number => {
    const [hours = 0, minutes = 0, seconds = 0] = time.split(":").map(Number);
    return nextTimeOfDay(nowMs, { hours, minutes, seconds }, state.timeZone);
  };
  for (const { cueId, doc } of cues)
    if (doc.start.kind === "at" && !doc.isOff)
      found.push({ does: "comes", name: names.cue(cueId), atMs: comes(doc.start.time) });
  const { clip: play } = state;
  if (play && isRunning(play, nowMs)) {
    const endsAtMs = clipEndsAtMs(play, nowMs);
    const next = clips[clips.findIndex(({ id }) => id === play.clipId) + 1];
    if (play.atEnd === "next" && next && endsAtMs !== null)
      found.push({ does: "comes", name: next.title, atMs: endsAtMs });
    if (!state.triggers.areStopped)
      for (const trigger of triggers) {
        const atMs = trigger.isOn ? nextPlaceOf(trigger, play, nowMs) : undefined;
        if (atMs !== undefined)
          found.push({ does: "acts", name: nameOfTrigger(trigger, names), atMs: atMs + trigger.delayMs });
      }
  }
  if (!state.triggers.areStopped)
    for (const trigger of triggers)
      if (trigger.isOn && trigger.when.kind === "time")
        found.push({
          does: "acts",
          name: nameOfTrigger(trigger, names),
          atMs: comes(trigger.when.at) + trigger.delayMs,
        });
  return found.filter(({ atMs }) => atMs - nowMs < SEEN_AHEAD_MS).sort((a, b) => a.atMs - b.atMs);
}
