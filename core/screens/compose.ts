import { atSpeed, endsAtMs, joinBehind, type StripRun } from "../crawl/strip.ts";
import type { FiguresValue } from "../figures/figures.ts";
import type { Leaving, Life, StayLoop } from "../motion/pose.ts";
import { delayTracks, durationOf, type Track } from "../motion/track.ts";
import type { LaidOutPage, Part, PartContent } from "../scene/part.ts";
import { slotOn } from "../show/layers.ts";
import type { Target } from "../show/line.ts";
import { expandStays, type Moment, type Slot } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import { GLIDE_MS, type Place } from "./glide.ts";
import { arrivalMs, pacedParts } from "./pace.ts";
import type { ContentOf, Piece, PieceContent, Timeline } from "./piece.ts";
import { type Canvas, canvasOf, type Output } from "./plan.ts";
import { withShutter } from "./shutterPieces.ts";

/** A page dressed for an output: which template it wears tells whether a take is a change or a replacement. */
export interface DressedPage {
  readonly templateHash: string;
  readonly laidOut: LaidOutPage;
}

/** The dressed page of a moment on one output; undefined where that output shows nothing of it. */
export type Dress = (
  page: NonNullable<Moment["page"]>,
  outfitId: string,
  output: Canvas,
  /** What the next take brings, where that is armed: pages that say what comes next say that. */
  armed?: Target,
) => DressedPage | undefined;

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

/** What an output shows and will show: a pure function of state, output and pinned contents. Per event, not per frame. */
export function composeTimeline(state: ShowState, output: Output, dress: Dress): Timeline {
  const now = state.plan.outputs[output.id];
  const switched = state.planBefore;
  const before = switched ? switched.plan.outputs[output.id] : now;
  const canvas = canvasOf(output);
  const pieces: Piece[] = [];
  for (const layer of state.layers) {
    const outfitAt = (atMs: number) => {
      const planned = switched && atMs < switched.untilMs ? before : now;
      return planned?.layerIds.includes(layer.id) ? planned.outfitId : undefined;
    };
    const slot = slotOn(state, layer.id, output.id);
    // Another outfit, or a layer that comes or goes here, is a change like any other: it moves as templates say.
    const isChanged = switched && outfitAt(switched.untilMs - 1) !== outfitAt(switched.untilMs);
    const composed = composeSlot(
      isChanged ? withMomentAt(slot, switched.untilMs) : slot,
      layer.id,
      (page, atMs) => {
        const outfitId = outfitAt(atMs);
        // Who reads ahead on the stage reads what is armed, if anything is.
        const armed = page === slot.at(-1)?.page ? state.arm?.target : undefined;
        return outfitId === undefined ? undefined : dress(page, outfitId, canvas, armed);
      },
    );
    const { opacity } = layer;
    for (const piece of composed)
      pieces.push(opacity === 1 ? piece : { ...piece, opacity: piece.opacity * opacity });
  }
  // The note to the stage lies above all layers, where the outfit has a place for it.
  if (now && state.stageNote.length > 0)
    pieces.push(...composeSlot(state.stageNote, "stage-note", (page) => dress(page, now.outfitId, canvas)));
  const shutter = state.shutters[output.id];
  return { pieces: withShutter(pieces, shutter, canvas), silence: shutter ?? null };
}

/** The chain with a moment of its own at a time, which shows what was there. */
function withMomentAt(slot: Slot, atMs: number): Slot {
  const index = slot.findLastIndex(({ startAtMs }) => startAtMs < atMs);
  const there = slot[index];
  if (!there?.page || (there.endsAtMs !== null && there.endsAtMs <= atMs)) return slot;
  const again: Moment = { ...there, startAtMs: atMs, how: "animated" };
  return [...slot.slice(0, index), { ...there, endsAtMs: null }, again, ...slot.slice(index + 1)];
}

/** A stretch of moments in which the same template stays: it enters once, changes, and leaves once. */
interface Stretch {
  readonly id: string;
  readonly templateHash: string;
  readonly moments: { readonly moment: Moment; readonly parts: readonly Part[] }[];
  end: Moment | null;
}

/** The pieces of one slot: same template → what changed changes; another → the old leaves while the new enters. */
export function composeSlot(
  slot: Slot,
  slotId: string,
  dress: (page: NonNullable<Moment["page"]>, atMs: number) => DressedPage | undefined,
): Piece[] {
  const stretches: Stretch[] = [];
  let open: Stretch | undefined;
  for (const moment of expandStays(slot)) {
    const dressed = moment.page ? dress(moment.page, moment.startAtMs) : undefined;
    const parts = dressed ? pacedParts(dressed.laidOut.parts, moment.effectMs) : [];
    if (open && dressed && dressed.templateHash === open.templateHash) {
      open.moments.push({ moment, parts });
      continue;
    }
    if (open) open.end = moment;
    open = undefined;
    if (dressed) {
      open = {
        id: `${slotId}@${moment.startAtMs}`,
        templateHash: dressed.templateHash,
        moments: [{ moment, parts }],
        end: null,
      };
      stretches.push(open);
    }
  }
  return stretches.flatMap(composeStretch);
}

function composeStretch(stretch: Stretch): Piece[] {
  const last = stretch.moments.at(-1);
  return composeParts(stretch.moments, {
    id: stretch.id,
    first: stretch.moments[0]?.moment,
    end: stretch.end,
    mirrorMs: last ? arrivalMs(last.parts, ({ exit }) => exit === "mirror") : 0,
    holdMs: 0,
    isCarried: false,
  });
}

/** What pieces of one level share. */
interface Level {
  readonly id: string;
  /** The moment with which the page came. */
  readonly first: Moment | undefined;
  /** The moment that ends it; null while it stays. */
  readonly end: Moment | null;
  /** Length of a mirrored exit. */
  readonly mirrorMs: number;
  /** A member stays at least as long as its group takes to leave. */
  readonly holdMs: number;
  /** The group fades as a whole: members do not fade for themselves when the page comes or goes by a dissolve. */
  readonly isCarried: boolean;
}

type PartsOfMoment = { readonly moment: Moment; readonly parts: readonly Part[] };

function composeParts(moments: readonly PartsOfMoment[], level: Level): Piece[] {
  const order = new Map<string, number>();
  for (const { parts } of moments) for (const part of parts) order.set(part.objectId, part.z);
  return [...order]
    .sort(([, a], [, b]) => a - b)
    .flatMap(([objectId]) => composePart(moments, objectId, level));
}

/** A part with the content it has from one moment on. */
interface OpenPart {
  readonly part: Part;
  readonly from: Moment;
  readonly isFirst: boolean;
  readonly startMs: number;
  readonly places: Place[];
  readonly members: PartsOfMoment[];
  readonly run: StripRun | null;
  readonly value: FiguresValue | null;
  /** It goes on where the one before it leaves off, without a motion of its own. */
  readonly isHandedOver: boolean;
}

/** The contents one part goes through: a new piece wherever its content differs from the one before. */
function composePart(moments: readonly PartsOfMoment[], objectId: string, level: Level): Piece[] {
  const pieces: Piece[] = [];
  let current: OpenPart | undefined;
  for (const { moment, parts } of moments) {
    const part = parts.find((candidate) => candidate.objectId === objectId);
    if (current && part && staysTheSame(current, part, moment)) {
      const place = current.places.at(-1) as Place;
      if (place.x !== part.at.x || place.y !== part.at.y || place.extent !== part.at.extent)
        current.places.push({
          fromMs: moment.startAtMs,
          ...part.at,
          glideMs: isSudden(moment) ? 0 : GLIDE_MS,
        });
      if (part.content.kind === "group") current.members.push({ moment, parts: part.content.parts });
      continue;
    }
    const before = current;
    if (current)
      pieces.push(...closePart(current, objectId, { at: moment, isEnd: false, next: part }, level));
    current = part ? openPart(part, moment, moment === level.first, before) : undefined;
  }
  if (current)
    pieces.push(...closePart(current, objectId, { at: level.end, isEnd: true, next: undefined }, level));
  return pieces;
}

/** A part with a time window begins anew with every cue; others go on while their content is the same. */
function staysTheSame({ part, from }: OpenPart, next: Part, moment: Moment): boolean {
  if (part.key !== next.key) return false;
  const isTimed = next.timeWindow.fromMs > 0 || next.timeWindow.untilMs !== null;
  return !isTimed || from.sinceMs === moment.sinceMs;
}

const isSudden = ({ how }: Moment) => how === "cut" || how === "settled";

function openPart(part: Part, moment: Moment, isFirst: boolean, before: OpenPart | undefined): OpenPart {
  const { content } = part;
  const startMs = Math.max(moment.startAtMs, moment.sinceMs + part.timeWindow.fromMs);
  // What takes the place of a row or bar comes in where that one was, and both glide on together.
  const places: Place[] = [];
  const cameFrom = before?.places.at(-1);
  if (cameFrom && !isSudden(moment)) places.push(...(before?.places ?? []));
  places.push({
    fromMs: moment.startAtMs,
    ...part.at,
    glideMs: cameFrom && !isSudden(moment) ? GLIDE_MS : 0,
  });
  return {
    part,
    from: moment,
    isFirst,
    startMs,
    places,
    members: content.kind === "group" ? [{ moment, parts: content.parts }] : [],
    run: content.kind === "strip" ? startRun(content, moment, startMs, before) : null,
    value:
      content.kind === "figures" ? startValue(content.value, moment, isFirst, before?.value ?? null) : null,
    isHandedOver: before !== undefined && sharesMotion(before.part.content, content),
  };
}

/** A strip that takes the place of another joins behind what can be seen of it; the same one only changes its speed. */
function startRun(
  content: ContentOf<"strip">,
  moment: Moment,
  startMs: number,
  open: OpenPart | undefined,
): StripRun {
  // What undo puts back runs on from when it first came.
  const before = moment.resumes ? undefined : open?.run;
  if (open && before && isSameStrip(open.part.content, content))
    return atSpeed(before, content.pxPerMs, moment.startAtMs);
  const isCrawl = content.towards === "left" || content.towards === "right";
  const run = {
    pxPerMs: content.pxPerMs,
    boxPx: isCrawl ? content.box.width : content.box.height,
    lengthPx: content.lengthPx,
    gapPx: content.gapPx,
    passes: content.passes,
  };
  if (moment.resumes) return { ...run, startMs: startMs - moment.startAtMs + moment.sinceMs };
  if (!before || moment.how === "cut") return { ...run, startMs };
  const joined = joinBehind(before, content.gapPx, moment.startAtMs);
  // A faster one would run into the one before: it waits until that has left.
  const behindMs = run.pxPerMs > before.pxPerMs ? endsAtMs(joined.old) : joined.startMs;
  return { ...run, startMs: Math.max(behindMs, joined.startMs) };
}

/** Whether two strips differ in nothing but their speed. */
function isSameStrip(a: PartContent, b: PartContent | undefined): boolean {
  const shape = ({ tiles, box, towards, lengthPx, gapPx, passes }: ContentOf<"strip">) =>
    JSON.stringify([
      tiles.map(({ plate, x, y }) => [plate.key, x, y]),
      box,
      towards,
      lengthPx,
      gapPx,
      passes,
    ]);
  return a.kind === "strip" && b?.kind === "strip" && shape(a) === shape(b);
}

/** A number goes on counting from the one before it. */
function startValue(
  value: FiguresValue,
  moment: Moment,
  isFirst: boolean,
  before: FiguresValue | null,
): FiguresValue {
  if (value.kind !== "number") return value;
  if (isSudden(moment) || moment.resumes) return { ...value, durationMs: 0 };
  if (before?.kind === "number") return { ...value, from: before.to, delayMs: 0 };
  return isFirst ? value : { ...value, delayMs: 0 };
}

interface Closing {
  readonly at: Moment | null;
  /** The page leaves; otherwise the part's content changes or is taken out. */
  readonly isEnd: boolean;
  readonly next: Part | undefined;
}

function closePart(open: OpenPart, objectId: string, closing: Closing, level: Level): Piece[] {
  const { part, from, isFirst, startMs } = open;
  const { content } = part;
  const continues = sharesMotion(content, closing.next?.content);
  const arriving = open.isHandedOver ? [] : arrivalOf(part, from, isFirst, level);
  const until = endOf(open, closing, continues, level);
  if (until && until.atMs <= startMs && until.leaving.lengthMs <= 0) return [];
  const life: Life = { fromMs: startMs, arriving, stay: stayOf(part, from), until };
  const id = `${level.id}/${objectId}/${from.startAtMs}`;
  // What goes out as something new takes its place goes along to where that will be.
  const goesAlong = closing.at && closing.next && !isSudden(closing.at);
  const places = goesAlong
    ? [
        ...open.places,
        { fromMs: (closing.at as Moment).startAtMs, ...(closing.next as Part).at, glideMs: GLIDE_MS },
      ]
    : open.places;
  return [
    {
      id,
      key: part.key,
      opacity: part.opacity,
      rotationDeg: part.rotationDeg,
      life: content.kind === "cells" ? frameOf(life, content) : life,
      places,
      content: pieceContent(open, id, life, closing, level),
    },
  ];
}

/** Strips and numbers hand over to the next of their kind without a motion of their own. */
function sharesMotion(content: PartContent, next: PartContent | undefined): boolean {
  if (!next) return false;
  if (content.kind === "strip") return next.kind === "strip";
  return content.kind === "figures" && next.kind === "figures" && content.value.kind === next.value.kind;
}

function arrivalOf({ motion }: Part, moment: Moment, isFirst: boolean, level: Level): readonly Track[] {
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

function endOf(open: OpenPart, closing: Closing, continues: boolean, level: Level): Life["until"] {
  const { part, from } = open;
  const { at, isEnd } = closing;
  const ends: { atMs: number; leaving: Leaving }[] = [];
  if (at) {
    const atMs = open.run && joinsBehind(part.content, closing) ? stripLeavesAt(open.run, at) : at.startAtMs;
    ends.push({ atMs, leaving: continues ? GONE : leavingOf(part, at, isEnd, level) });
  }
  // By itself a part leaves along its own arrival, however long the page took.
  const own = ownLeaving(part, { ...level, mirrorMs: 0 });
  if (part.timeWindow.untilMs !== null)
    ends.push({ atMs: from.sinceMs + part.timeWindow.untilMs, leaving: own });
  if (part.content.kind === "video" && part.content.atEnd === "leave")
    ends.push({ atMs: from.sinceMs + part.content.durationMs, leaving: own });
  if (open.run && open.run.passes !== null) ends.push({ atMs: endsAtMs(open.run), leaving: GONE });
  return ends.reduce<Life["until"]>((first, end) => (first && first.atMs <= end.atMs ? first : end), null);
}

const GONE: Leaving = { kind: "tracks", tracks: [], lengthMs: 0 };

/** Whether a strip goes on to its end before another that comes behind it. */
const joinsBehind = (content: PartContent, { at, next }: Closing) =>
  next?.content.kind === "strip" && at?.how !== "cut" && !at?.resumes && !isSameStrip(content, next.content);

const stripLeavesAt = (run: StripRun, at: Moment) => endsAtMs(joinBehind(run, 0, at.startAtMs).old);

function leavingOf(part: Part, moment: Moment, isEnd: boolean, level: Level): Leaving {
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

function ownLeaving({ motion }: Part, { mirrorMs, holdMs }: Level): Leaving {
  if (motion.exit === "mirror")
    return {
      kind: "mirror",
      tracks: delayTracks(motion.enter, motion.delayMs),
      lengthMs: Math.max(mirrorMs, motion.delayMs + durationOf(motion.enter)),
    };
  return { kind: "tracks", tracks: motion.exit, lengthMs: Math.max(holdMs, durationOf(motion.exit)) };
}

function stayOf({ motion }: Part, from: Moment): StayLoop | null {
  if (!motion.stay) return null;
  const arrivedMs = from.sinceMs + motion.delayMs + durationOf(motion.enter);
  return {
    fromMs: arrivedMs + motion.stay.delayMs,
    periodMs: motion.stay.periodMs,
    tracks: motion.stay.tracks,
  };
}

/** The whole of a text whose pieces move for themselves: on screen from the first to the last of them. */
function frameOf(life: Life, content: ContentOf<"cells">): Life {
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

function pieceContent(open: OpenPart, id: string, life: Life, closing: Closing, level: Level): PieceContent {
  const { content } = open.part;
  switch (content.kind) {
    case "plate":
    case "program":
      return content;
    case "video":
      return { ...content, sinceMs: open.from.sinceMs };
    case "figures": {
      const value = open.value ?? content.value;
      return { ...content, value, sinceMs: value.kind === "number" ? open.startMs : open.from.sinceMs };
    }
    case "strip": {
      const run = open.run;
      if (!run) throw new Error(`The strip ${id} has no run`);
      const { at } = closing;
      return {
        ...content,
        run: at && joinsBehind(content, closing) ? joinBehind(run, 0, at.startAtMs).old : run,
      };
    }
    case "cells":
      return {
        kind: "cells",
        cells: content.cells.map((cell) => ({ ...cell, life: delayLife(life, cell.delayMs) })),
      };
    case "group": {
      const leaves = life.until?.leaving.lengthMs ?? 0;
      return {
        kind: "group",
        blend: content.blend,
        clip: content.clip,
        center: content.center,
        pieces: composeParts(open.members, {
          id,
          first: open.isFirst ? level.first : undefined,
          end: closing.at,
          mirrorMs: level.mirrorMs,
          holdMs: Math.max(level.holdMs, leaves),
          isCarried: true,
        }),
      };
    }
  }
}

/** A piece's turn among others: later in coming, and, unless it goes backwards, later in going. */
function delayLife(life: Life, byMs: number): Life {
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
