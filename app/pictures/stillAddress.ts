import type { Anchor } from "../../core/rundown/anchor.ts";
import type { Output } from "../../core/venue/plan.ts";

interface PageOfStill {
  readonly cueId: string;
  readonly content: string;
  readonly step: Anchor;
}

/** What else decides how a still looks. */
export interface StillMore {
  readonly also?: readonly PageOfStill[];
  readonly outfitId?: string;
  readonly isWholeWall?: boolean;
  readonly minute?: number | null;
  readonly values?: string;
  /** An instant of its life, ms since it came: when it leaves, and the server time at which it came. */
  readonly life?: { readonly atMs: number; readonly leavesAfterMs: number; readonly cameAtMs: number };
  /** For the inputs of a keyer. */
  readonly signal?: "fill" | "key";
  /** The link that asks; a desk when it is not said. */
  readonly link?: string;
}

/**
 * Where the server's picture of a page on a screen is. The same address is the same picture for good.
 * @param widthPx of the picture
 * @param more what else decides how it looks: other pages that lie there, the outfit, the whole wall, what fills it and the minute
 */
export function stillAddress(
  { cueId, content, step }: PageOfStill,
  { id, widthPx: screenWidthPx, heightPx }: Pick<Output, "id" | "widthPx" | "heightPx">,
  widthPx: number,
  more: StillMore = {},
): string {
  const { also = [], outfitId, isWholeWall, minute, values, life, signal, link = "desk" } = more;
  const query = new URLSearchParams({
    ...{ cue: cueId, content, occurrence: step.occurrence, unit: String(step.unit) },
    ...{ output: id, screen: `${screenWidthPx}x${heightPx}`, width: String(widthPx) },
    ...(also.length > 0 && {
      also: JSON.stringify(also.map((page) => ({ cue: page.cueId, content: page.content, ...page.step }))),
    }),
    ...(outfitId !== undefined && { outfit: outfitId }),
    ...(isWholeWall && { of: "wall" }),
    ...(minute != null && { minute: String(minute) }),
    ...(values !== undefined && { values }),
    ...(life && { t: `${life.atMs}`, leaves: `${life.leavesAfterMs}`, came: `${Math.round(life.cameAtMs)}` }),
    ...(signal && { signal }),
  });
  return `/still/${link}?${query}`;
}
