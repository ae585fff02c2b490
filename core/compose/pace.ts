import { durationOf, stretchTracks, type Track } from "../motion/track.ts";
import type { Part, PartContent, PartMotion } from "../scene/part.ts";

/**
 * The parts of a page with all their motions stretched or pressed together, so that it takes this long to arrive; null, or a
 * page that comes at once: as they are. Loops while it is up keep their period.
 * @param effectMs from the first movement of its arrival to the last
 */
export function pacedParts(parts: readonly Part[], effectMs: number | null): readonly Part[] {
  const lengthMs = effectMs === null ? 0 : arrivalMs(parts);
  return effectMs === null || lengthMs === 0 || effectMs === lengthMs
    ? parts
    : parts.map((part) => paced(part, effectMs / lengthMs));
}

/**
 * How long parts take to arrive, the last letter and member of a group included, ms.
 * @param counts the parts that are looked at; all when not given
 */
export const arrivalMs = (
  parts: readonly Part[],
  counts: (motion: PartMotion) => boolean = () => true,
): number => longestMs(parts, (motion) => (counts(motion) ? motion.enter : null));

/**
 * How long some of the motions of parts take, the last letter and member of a group included, ms.
 * @param tracksOf those of a part that are looked at; null: the part counts for nothing
 */
export function longestMs(
  parts: readonly Part[],
  tracksOf: (motion: PartMotion) => readonly Track[] | null,
): number {
  return parts.reduce((longest, { motion, content }) => {
    const members = content.kind === "group" ? longestMs(content.parts, tracksOf) : 0;
    const tracks = tracksOf(motion);
    if (!tracks) return Math.max(longest, members);
    const last = content.kind === "cells" ? Math.max(0, ...content.cells.map(({ delayMs }) => delayMs)) : 0;
    return Math.max(longest, members, motion.delayMs + durationOf(tracks) + last);
  }, 0);
}

const paced = (part: Part, by: number): Part => ({
  ...part,
  motion: pacedMotion(part.motion, by),
  content: pacedContent(part.content, by),
});

const pacedMotion = ({ enter, exit, change, stay, delayMs }: PartMotion, by: number): PartMotion => ({
  enter: stretchTracks(enter, by),
  exit: exit === "mirror" ? exit : stretchTracks(exit, by),
  change: { in: stretchTracks(change.in, by), out: stretchTracks(change.out, by) },
  stay,
  delayMs: delayMs * by,
});

function pacedContent(content: PartContent, by: number): PartContent {
  switch (content.kind) {
    case "cells":
      return { ...content, cells: content.cells.map((cell) => ({ ...cell, delayMs: cell.delayMs * by })) };
    case "group":
      return { ...content, parts: content.parts.map((member) => paced(member, by)) };
    default:
      return content;
  }
}
