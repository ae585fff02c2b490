import { endsAtMs } from "../crawl/strip.ts";
import type { Leaving, Life, StayLoop } from "../motion/pose.ts";
import { delayTracks, durationOf, type Track } from "../motion/track.ts";
import type { Part } from "../scene/part.ts";
import type { Moment } from "../show/slot.ts";
import type { Closing, Level, OpenPart } from "./openPart.ts";
import type { ContentOf } from "./piece.ts";
import { joinsBehind, stripLeavesAt } from "./stripRun.ts";

/** A dissolve of the whole picture of a page: 750 ms is a usual choice (common practice). */
export const DISSOLVE_MS = 750;
const dissolve = (from: number, to: number, lengthMs: number): readonly Track[] => [
  {
    property: "opacity",
    keyframes: [
      { atMs: 0, value: from, easing: "linear" },
      { atMs: lengthMs, value: to, easing: "linear" },
    ],
  },
];
const dissolveMsOf = ({ effectMs }: Moment) => effectMs ?? DISSOLVE_MS;

export function arrivalOf(
  { motion }: Part,
  moment: Moment,
  isFirst: boolean,
  level: Level,
): readonly Track[] {
  switch (moment.how) {
    case "cut":
    case "settled":
      return [];
    case "dissolve":
      return isFirst && level.isCarried ? [] : dissolve(0, 1, dissolveMsOf(moment));
    case "animated":
      return isFirst ? delayTracks(motion.enter, motion.delayMs) : motion.change.in;
  }
}

export function endOf(open: OpenPart, closing: Closing, continues: boolean, level: Level): Life["until"] {
  const { part, from } = open;
  const { at, isEnd } = closing;
  const ends: { atMs: number; leaving: Leaving }[] = [];
  if (at) {
    const atMs = open.run && joinsBehind(part.content, closing) ? stripLeavesAt(open.run, at) : at.startAtMs;
    ends.push({ atMs, leaving: continues ? GONE : leavingOf(part, at, isEnd, level) });
  }
  // By itself a part leaves along its own arrival, however long the page took.
  const own = ownLeaving(part, { ...level, mirrorMs: 0 });
  for (const untilMs of [part.timeWindow.untilMs, level.window.untilMs])
    if (untilMs !== null) ends.push({ atMs: from.sinceMs + untilMs, leaving: own });
  const { content } = part;
  if ((content.kind === "video" || content.kind === "sound") && content.atEnd === "leave")
    ends.push({ atMs: open.beganMs + content.durationMs, leaving: own });
  if (open.run && open.run.passes !== null) ends.push({ atMs: endsAtMs(open.run), leaving: GONE });
  return ends.reduce<Life["until"]>((first, end) => (first && first.atMs <= end.atMs ? first : end), null);
}

export const GONE: Leaving = { kind: "tracks", tracks: [], lengthMs: 0 };

export function leavingOf(part: Part, moment: Moment, isEnd: boolean, level: Level): Leaving {
  const dissolveMs = dissolveMsOf(moment);
  switch (moment.how) {
    case "cut":
    case "settled":
      return GONE;
    case "dissolve":
      return isEnd && level.isCarried
        ? { kind: "tracks", tracks: [], lengthMs: dissolveMs }
        : { kind: "tracks", tracks: dissolve(1, 0, dissolveMs), lengthMs: dissolveMs };
    case "animated": {
      if (isEnd) return ownLeaving(part, level);
      const tracks = part.motion.change.out;
      return { kind: "tracks", tracks, lengthMs: durationOf(tracks) };
    }
  }
}

export function ownLeaving(part: Part, { mirrorMs, holdMs }: Level): Leaving {
  const { motion } = part;
  const ownMs = leavesForMs(part);
  if (motion.exit === "mirror")
    return {
      kind: "mirror",
      tracks: delayTracks(motion.enter, motion.delayMs),
      lengthMs: Math.max(mirrorMs, ownMs),
    };
  return { kind: "tracks", tracks: motion.exit, lengthMs: Math.max(holdMs, ownMs) };
}

/** How long a part takes to leave by itself; a group until the last of its members is gone. */
function leavesForMs({ motion, content }: Part): number {
  const own = motion.exit === "mirror" ? motion.delayMs + durationOf(motion.enter) : durationOf(motion.exit);
  return content.kind === "group" ? Math.max(own, ...content.parts.map(leavesForMs)) : own;
}

export function stayOf({ part: { motion }, beganMs }: OpenPart): StayLoop | null {
  if (!motion.stay) return null;
  const arrivedMs = beganMs + motion.delayMs + durationOf(motion.enter);
  return {
    fromMs: arrivedMs + motion.stay.delayMs,
    periodMs: motion.stay.periodMs,
    tracks: motion.stay.tracks,
  };
}

/** The whole of a text whose pieces move for themselves: on screen from the first to the last of them. */
export function frameOf(life: Life, content: ContentOf<"cells">): Life {
  const longest = content.cells.reduce((most, { delayMs }) => Math.max(most, delayMs), 0);
  const until = life.until && {
    atMs: life.until.atMs,
    leaving: {
      kind: "tracks" as const,
      tracks: [],
      lengthMs: life.until.leaving.lengthMs + (life.until.leaving.kind === "mirror" ? 0 : longest),
    },
  };
  return { fromMs: life.fromMs, arriving: [], stay: null, until };
}

/** A piece's turn among others: later in coming, and, unless it goes backwards, later in going. */
export function delayLife(life: Life, byMs: number): Life {
  const until = life.until && {
    atMs: life.until.atMs,
    leaving:
      life.until.leaving.kind === "mirror"
        ? { ...life.until.leaving, tracks: delayTracks(life.until.leaving.tracks, byMs) }
        : {
            ...life.until.leaving,
            tracks: delayTracks(life.until.leaving.tracks, byMs),
            lengthMs: life.until.leaving.lengthMs > 0 ? life.until.leaving.lengthMs + byMs : 0,
          },
  };
  return { fromMs: life.fromMs, arriving: delayTracks(life.arriving, byMs), stay: life.stay, until };
}
