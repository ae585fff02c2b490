import { atSpeed, endsAtMs, joinBehind, type StripRun } from "../crawl/strip.ts";
import type { PartContent } from "../scene/part.ts";
import type { Moment } from "../show/slot.ts";
import type { Closing, OpenPart } from "./openPart.ts";
import type { ContentOf } from "./piece.ts";

/** A strip that takes the place of another joins behind what can be seen of it; the same one only changes its speed. */
export function startRun(
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
export function isSameStrip(a: PartContent, b: PartContent | undefined): boolean {
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

/** Whether a strip goes on to its end before another that comes behind it. */
export const joinsBehind = (content: PartContent, { at, next }: Closing) =>
  next?.content.kind === "strip" && at?.how !== "cut" && !at?.resumes && !isSameStrip(content, next.content);

export const stripLeavesAt = (run: StripRun, at: Moment) => endsAtMs(joinBehind(run, 0, at.startAtMs).old);
