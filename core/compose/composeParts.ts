import { joinBehind } from "../crawl/strip.ts";
import type { FiguresValue } from "../figures/figures.ts";
import type { Life } from "../motion/pose.ts";
import { durationOf } from "../motion/track.ts";
import type { Part } from "../scene/part.ts";
import type { Moment } from "../show/slot.ts";
import { sharesMotion, staysTheSame } from "./changeOrReplace.ts";
import { GLIDE_MS, type Place } from "./glide.ts";
import { type Closing, isSudden, type Level, type OpenPart, type PartsOfMoment } from "./openPart.ts";
import { arrivalOf, delayLife, endOf, frameOf, stayOf } from "./partLife.ts";
import type { Piece, PieceContent } from "./piece.ts";
import { joinsBehind, startRun } from "./stripRun.ts";

export function composeParts(moments: readonly PartsOfMoment[], level: Level): Piece[] {
  const order = new Map<string, number>();
  for (const { parts } of moments) for (const part of parts) order.set(part.objectId, part.z);
  return [...order]
    .sort(([, a], [, b]) => a - b)
    .flatMap(([objectId]) => composePart(moments, objectId, level));
}

/** The contents one part goes through: a new piece wherever its content differs from the one before. */
function composePart(moments: readonly PartsOfMoment[], objectId: string, level: Level): Piece[] {
  const pieces: Piece[] = [];
  let current: OpenPart | undefined;
  for (const { moment, parts } of moments) {
    const part = parts.find((candidate) => candidate.objectId === objectId);
    if (current && part && staysTheSame(current, part, moment)) {
      if (!isAt(current.places.at(-1), part))
        current.places.push({
          fromMs: moment.startAtMs,
          ...part.at,
          glideMs: isSudden(moment) ? 0 : GLIDE_MS,
        });
      if (part.content.kind === "group") current.members.push({ moment, parts: part.content.parts });
      continue;
    }
    const before = current;
    const isAtOnce = current !== undefined && part !== undefined && isTooSoon(current, moment, level);
    if (current) {
      if (isAtOnce) for (const [i, piece] of pieces.entries()) pieces[i] = goneBy(piece, moment.startAtMs);
      pieces.push(...closePart(current, objectId, { at: moment, isEnd: false, next: part, isAtOnce }, level));
    }
    current = part ? openPart(part, moment, level, before, isAtOnce) : undefined;
  }
  if (current)
    pieces.push(
      ...closePart(
        current,
        objectId,
        { at: level.end, isEnd: true, next: undefined, isAtOnce: false },
        level,
      ),
    );
  return pieces;
}

/**
 * A value that comes while its part still changes to the one before it is there at once: what changes faster than it moves could
 * not be read behind all that still leaves.
 */
function isTooSoon(
  { part, isFirst, startMs }: OpenPart,
  { startAtMs }: Moment,
  { valuesAtMs }: Level,
): boolean {
  return !isFirst && valuesAtMs.has(startAtMs) && startAtMs - startMs < durationOf(part.motion.change.in);
}

/** Whether a part that was at a place stays there. */
const isAt = (place: Place | undefined, { at }: Part): boolean =>
  place !== undefined && place.x === at.x && place.y === at.y && place.extent === at.extent;

/** The piece, of which nothing is left at a time. */
function goneBy(piece: Piece, atMs: number): Piece {
  const { until } = piece.life;
  if (!until || until.atMs + until.leaving.lengthMs <= atMs) return piece;
  const leaving = { ...until.leaving, lengthMs: Math.max(0, atMs - until.atMs) };
  return { ...piece, life: { ...piece.life, until: { ...until, leaving } } };
}

function openPart(
  part: Part,
  moment: Moment,
  level: Level,
  before: OpenPart | undefined,
  isAtOnce: boolean,
): OpenPart {
  const { content } = part;
  const isFirst = moment === level.first;
  // What lies in a group that is not seen yet comes with it.
  const beganMs = moment.sinceMs + Math.max(level.window.fromMs, part.timeWindow.fromMs);
  const startMs = Math.max(moment.startAtMs, beganMs);
  // What takes the place of a row or bar comes in where that one was, and both glide on together.
  const places: Place[] = [];
  const cameFrom = before?.places.at(-1);
  if (cameFrom && !isSudden(moment)) places.push(...(before?.places ?? []));
  if (!isAt(places.at(-1), part))
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
    beganMs,
    places,
    members: content.kind === "group" ? [{ moment, parts: content.parts }] : [],
    run: content.kind === "strip" ? startRun(content, moment, startMs, before) : null,
    value:
      content.kind === "figures" || content.kind === "gauge"
        ? startValue(content.value, moment, isFirst, before?.value ?? null)
        : null,
    isHandedOver: isAtOnce || (before !== undefined && sharesMotion(before.part.content, content)),
  };
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

function closePart(open: OpenPart, objectId: string, closing: Closing, level: Level): Piece[] {
  const { part, from, isFirst, startMs } = open;
  const { content } = part;
  const continues = closing.isAtOnce || sharesMotion(content, closing.next?.content);
  const arriving = open.isHandedOver ? [] : arrivalOf(part, from, isFirst, level);
  const until = endOf(open, closing, continues, level);
  if (until && until.atMs <= startMs && until.leaving.lengthMs <= 0) return [];
  const life: Life = { fromMs: startMs, arriving, stay: stayOf(open), until };
  const id = `${level.id}/${objectId}/${from.startAtMs}`;
  // What goes out as something new takes its place goes along to where that will be.
  const goesAlong =
    closing.at && closing.next && !isSudden(closing.at) && !isAt(open.places.at(-1), closing.next);
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
      pivot: part.pivot,
      looks: part.looks,
      life: content.kind === "cells" ? frameOf(life, content) : life,
      places,
      content: pieceContent(open, id, life, closing, level),
    },
  ];
}

function pieceContent(open: OpenPart, id: string, life: Life, closing: Closing, level: Level): PieceContent {
  const { content } = open.part;
  switch (content.kind) {
    case "plate":
    case "shape":
    case "program":
      return content;
    case "video":
    case "sound":
      return { ...content, sinceMs: open.beganMs };
    case "gauge":
    case "figures": {
      const value = open.value ?? content.value;
      const paused = level.paused.findLast(({ sinceMs }) => sinceMs === open.from.sinceMs);
      return {
        ...content,
        value,
        sinceMs: value.kind === "number" ? open.startMs : open.from.sinceMs,
        paused: paused?.spans ?? [],
      };
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
        box: content.box,
        cells: content.cells.map((cell) => ({ ...cell, life: delayLife(life, cell.delayMs) })),
      };
    case "group": {
      const leaves = life.until?.leaving.lengthMs ?? 0;
      return {
        kind: "group",
        blend: content.blend,
        clip: content.clip,
        rect: content.rect,
        pieces: composeParts(open.members, {
          id,
          first: open.isFirst ? level.first : undefined,
          end: closing.at,
          mirrorMs: level.mirrorMs,
          holdMs: Math.max(level.holdMs, leaves),
          window: windowWithin(level.window, open.part.timeWindow),
          paused: level.paused,
          valuesAtMs: level.valuesAtMs,
          isCarried: true,
        }),
      };
    }
  }
}

/** When what lies in a group can be seen at all: while both can. */
function windowWithin(around: Level["window"], own: Level["window"]): Level["window"] {
  const untilMs = Math.min(
    around.untilMs ?? Number.POSITIVE_INFINITY,
    own.untilMs ?? Number.POSITIVE_INFINITY,
  );
  return {
    fromMs: Math.max(around.fromMs, own.fromMs),
    untilMs: untilMs === Number.POSITIVE_INFINITY ? null : untilMs,
  };
}
