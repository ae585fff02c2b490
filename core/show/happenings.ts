import type { ClipPlay } from "../clips/clipPlay.ts";
import { countdownTargetMs, isCountable } from "../figures/figures.ts";
import { pausedForMs } from "../figures/paused.ts";
import type { PageContent } from "../rundown/content.ts";
import type { Happening } from "../triggers/happening.ts";
import type { Trigger } from "../triggers/trigger.ts";
import { BUSES } from "../venue/source.ts";
import type { AirEvent } from "./events.ts";
import { slotsOn } from "./layers.ts";
import type { Moment } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** What an event has brought about that triggers may answer to, by the state before it and after it. */
export function happeningsOf(before: ShowState, after: ShowState, event: AirEvent): Happening[] {
  const found: Happening[] = [];
  if (before.sources !== after.sources && !(event.kind === "sourcesChanged" && event.isQuiet))
    for (const bus of BUSES) {
      const [was, is] = [before.sources[bus], after.sources[bus]];
      for (const sourceId of is)
        if (!was.includes(sourceId)) found.push({ kind: "source", bus, sourceId, isOn: true });
      for (const sourceId of was)
        if (!is.includes(sourceId)) found.push({ kind: "source", bus, sourceId, isOn: false });
    }
  if (before.slots !== after.slots || before.overrides !== after.overrides) {
    const atMs = "startAtMs" in event ? event.startAtMs : Number.NEGATIVE_INFINITY;
    const [was, is] = [cuesOn(before, atMs), cuesOn(after, atMs)];
    for (const cueId of is) if (!was.has(cueId)) found.push({ kind: "cue", cueId, isOn: true });
    for (const cueId of was) if (!is.has(cueId)) found.push({ kind: "cue", cueId, isOn: false });
  }
  found.push(...happeningsOfClip(before.clip, after.clip));
  // It brings no page, and so it is over at once.
  if (event.kind === "acted") found.push({ kind: "cue", cueId: event.target.cueId, isOn: true });
  return found;
}

/** A clip that was begun, or is over; a pause or a jump is neither. */
function happeningsOfClip(was: ClipPlay | null, is: ClipPlay | null): Happening[] {
  const isSame = was?.clipId === is?.clipId && was?.begunAtMs === is?.begunAtMs;
  const ended = was && !was.isOver && (!isSame || is?.isOver === true);
  return [
    ...(is && !isSame ? [{ kind: "clip", clipId: is.clipId, isOn: true } as const] : []),
    ...(ended ? [{ kind: "clip", clipId: was.clipId, isOn: false } as const] : []),
  ];
}

/** Cues whose countdowns some triggers wait for. */
export const countedBy = (triggers: readonly Trigger[]): ReadonlySet<string> =>
  new Set(triggers.flatMap(({ when }) => (when.kind === "countdown" ? when.cueId : [])));

/** What the clock has brought about between two looks at it: stays that ended, countdowns at zero, times of day. */
export function happeningsOfTime(
  state: ShowState,
  findContent: (hash: string) => PageContent | undefined,
  /** Cues whose countdowns triggers wait for. */
  counted: ReadonlySet<string>,
  sinceMs: number,
  untilMs: number,
): Happening[] {
  const found: Happening[] = [];
  const isNow = (atMs: number | null | undefined) => atMs != null && sinceMs < atMs && atMs <= untilMs;
  const left = new Set<string>();
  for (const moment of lastMoments(state)) {
    const { page } = moment;
    if (!page) continue;
    if (isNow(moment.endsAtMs)) left.add(page.cueId);
    const content = counted.has(page.cueId) ? findContent(page.content) : undefined;
    const zeroMs = content && zeroOf(content, moment, state.timeZone, untilMs);
    const isThere = moment.endsAtMs === null || moment.endsAtMs > sinceMs;
    if (isThere && isNow(zeroMs) && !found.some((each) => "cueId" in each && each.cueId === page.cueId))
      found.push({ kind: "countdown", cueId: page.cueId });
  }
  const stay = cuesOn(state, untilMs);
  for (const cueId of left) if (!stay.has(cueId)) found.push({ kind: "cue", cueId, isOn: false });
  if (state.clip && !state.clip.isPaused && !state.clip.isOver)
    found.push({ kind: "clipTime", play: state.clip, sinceMs, untilMs });
  // Times of day are whole seconds.
  if (Math.floor(untilMs / 1_000) !== Math.floor(sinceMs / 1_000))
    found.push({ kind: "time", sinceMs, untilMs, timeZone: state.timeZone });
  return found;
}

const lastMoments = (state: ShowState): Moment[] =>
  state.layers.flatMap(({ id }) => slotsOn(state, id).flatMap(([, slot]) => slot.at(-1) ?? []));

/** Cues with a page on any layer, on any output. */
function cuesOn(state: ShowState, atMs: number): Set<string> {
  const on = new Set<string>();
  for (const { page, endsAtMs } of lastMoments(state))
    if (page && (endsAtMs === null || endsAtMs > atMs)) on.add(page.cueId);
  return on;
}

/** When the countdown of a page on air is at zero; a pause puts it off. */
function zeroOf(
  { values }: PageContent,
  { sinceMs, paused = [] }: Moment,
  timeZone: string,
  atMs: number,
): number | undefined {
  if (paused.at(-1)?.untilMs === null) return undefined;
  const to = Object.values(values).find(isCountable);
  if (to === undefined) return undefined;
  const zeroMs = countdownTargetMs({ kind: "countdown", to, timeZone, atZero: "hold" }, sinceMs);
  return zeroMs === undefined ? undefined : zeroMs + pausedForMs(paused, atMs);
}
