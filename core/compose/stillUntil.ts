import { copiesAt } from "../crawl/strip.ts";
import { figuresAt, shareAt } from "../figures/figures.ts";
import { readPaused } from "../figures/paused.ts";
import { movingSpans } from "../motion/pose.ts";
import type { Piece, PieceContent, Timeline } from "./piece.ts";
import { GAUGE_STEPS } from "./placements.ts";

/** Clips play by themselves; from time to time they are looked after. */
const LOOK_AFTER_MS = 500;

/** Loops that only fade are slow to the eye: so many times a second will do. */
const FADING_LOOP_MS = 1_000 / 15;

/** Until when nothing needs drawing: null when it moves now, Infinity when nothing more is decided. */
export function stillUntil(timeline: Timeline, atMs: number): number | null {
  return stillPieces(timeline.pieces, atMs, false);
}

/** The same, but for what goes on for as long as a page is up: loops, crawls, clocks and clips. */
export function settledUntil(timeline: Timeline, atMs: number): number | null {
  return stillPieces(timeline.pieces, atMs, true);
}

function stillPieces(pieces: readonly Piece[], atMs: number, isChangeOnly: boolean): number | null {
  let next = Number.POSITIVE_INFINITY;
  const soon = (ms: number) => {
    if (ms > atMs) next = Math.min(next, ms);
  };
  for (const piece of pieces) {
    const { life, content } = piece;
    const endMs = life.until ? life.until.atMs + life.until.leaving.lengthMs : Number.POSITIVE_INFINITY;
    if (endMs < atMs) continue;
    const spans = [...movingSpans(life)];
    for (const { fromMs, glideMs } of piece.places) if (glideMs > 0) spans.push([fromMs, fromMs + glideMs]);
    if (content.kind === "cells") for (const cell of content.cells) spans.push(...movingSpans(cell.life));
    for (const [fromMs, toMs] of spans) {
      // One frame is always drawn at the end of a span, so that the last pose is exact.
      if (fromMs <= atMs && atMs <= toMs) return null;
      soon(fromMs);
    }
    if (atMs < life.fromMs) continue;
    const { stay } = life;
    if (stay && stay.tracks.length > 0 && !isChangeOnly && !(life.until && life.until.atMs < atMs)) {
      if (atMs < stay.fromMs) soon(stay.fromMs);
      else if (stay.tracks.every(({ property }) => property === "opacity")) soon(atMs + FADING_LOOP_MS);
      else return null;
    }
    if (isChangeOnly && !canChange(content)) continue;
    switch (content.kind) {
      case "gauge": {
        const { value, paused, sinceMs, gauge } = content;
        const { changesAtMs } = readPaused(value, paused, atMs, (ms) =>
          shareAt(value, gauge.fullAt, sinceMs, ms, GAUGE_STEPS),
        );
        if (changesAtMs <= atMs) return null;
        soon(changesAtMs);
        break;
      }
      case "figures": {
        const { value, paused, sinceMs } = content;
        const { changesAtMs } = readPaused(value, paused, atMs, (ms) => figuresAt(value, sinceMs, ms));
        if (changesAtMs <= atMs) return null;
        soon(changesAtMs);
        break;
      }
      case "strip":
        if (copiesAt(content.run, atMs).length > 0) return null;
        soon(content.run.startMs + 1);
        break;
      case "video":
      case "sound":
        soon(atMs + LOOK_AFTER_MS);
        break;
      case "group": {
        const members = stillPieces(content.pieces, atMs, isChangeOnly);
        if (members === null) return null;
        soon(members);
        break;
      }
    }
  }
  return next;
}

/** Whether a content has more to its coming than its life says: a number counts up to itself. */
function canChange(content: PieceContent): boolean {
  switch (content.kind) {
    case "group":
      return true;
    case "figures":
    case "gauge":
      return content.value.kind === "number";
    default:
      return false;
  }
}
