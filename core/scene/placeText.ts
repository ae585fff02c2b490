import type { Glyphs, PictureItem, Rect } from "../picture/picture.ts";
import type { TextBlock } from "../text/layOutText.ts";
import type { PlacedGlyph, SetRun } from "../text/setLines.ts";
import { isTracked } from "../text/spacing.ts";
import { type ObjectContext, type ResolvedPaint, toHundredths } from "./objectContext.ts";
import type { TextObject } from "./template.ts";

/** A stretch of set words with the room it takes: a whole text, a line, a word or a letter. */
export interface WordCell {
  readonly items: readonly PictureItem[];
  /** The room of its letters, in the coordinates of the box; they may reach past it. */
  readonly ink: Rect;
}

interface OpenCell {
  readonly order: number;
  readonly glyphs: Map<string, { run: SetRun; glyphs: { id: number; x: number; y: number }[] }>;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/**
 * Where a set text lies in its box, as cells in reading order.
 * @param extraY px added before line `i`, for gaps between points
 */
export function placeText(
  block: TextBlock,
  box: Rect,
  how: {
    readonly align: TextObject["align"];
    readonly verticalAlign: TextObject["verticalAlign"];
    readonly by: TextObject["revealBy"] | "paragraph";
    readonly extraY?: (line: number) => number;
    readonly heightPx?: number;
  },
  paint: ResolvedPaint,
  context: ObjectContext,
): WordCell[] {
  const heightPx = how.heightPx ?? block.heightPx;
  const spare = box.height - heightPx;
  const top =
    box.y +
    { top: 0, middle: spare / 2, bottom: spare, baseline: spare + block.descentPx }[how.verticalAlign];
  const cells = new Map<string, OpenCell>();
  const wordAt = block.paragraphs.map(how.by === "word" || how.by === "character" ? wordStarts : () => []);
  for (const [index, line] of block.lines.entries()) {
    const room = box.width - line.widthPx * block.condensed;
    const atEnd = (how.align === "end") !== (block.rightToLeft[index] === true);
    const x = box.x + (how.align === "center" ? room / 2 : atEnd ? room : 0);
    const lineTop = top + index * block.leadingPx + (how.extraY?.(index) ?? 0);
    const baseline = lineTop + block.ascentPx;
    for (const run of line.runs)
      for (const glyph of run.glyphs) {
        const order = orderOf(how.by, index, line.paragraph, run, glyph, wordAt[line.paragraph] ?? []);
        const key = String(order);
        const cell = cells.get(key) ?? openCell(order);
        cells.set(key, cell);
        const itemKey = `${run.fontId}/${run.sizePx}/${run.color}`;
        const item = cell.glyphs.get(itemKey) ?? { run, glyphs: [] };
        cell.glyphs.set(itemKey, item);
        const glyphX = x + glyph.xPx * block.condensed;
        item.glyphs.push({ id: glyph.id, x: toHundredths(glyphX), y: toHundredths(baseline + glyph.yPx) });
        cell.left = Math.min(cell.left, glyphX);
        cell.right = Math.max(cell.right, glyphX + glyph.advancePx * block.condensed);
        cell.top = Math.min(cell.top, lineTop);
        cell.bottom = Math.max(cell.bottom, lineTop + block.ascentPx + block.descentPx);
      }
  }
  return [...cells.values()]
    .sort((a, b) => a.order - b.order)
    .map((cell) => ({
      items: [...cell.glyphs.values()].map(
        ({ run, glyphs }): PictureItem => ({
          ...glyphItem(run, glyphs, block.condensed),
          ...paint,
          ...(run.color === null
            ? {}
            : { fill: { kind: "solid", color: context.lookup.color({ token: run.color }) } }),
        }),
      ),
      ink: overhang(
        { x: cell.left, y: cell.top, width: cell.right - cell.left, height: cell.bottom - cell.top },
        block.sizePx,
      ),
    }));
}

export function glyphItem(
  run: { readonly fontId: string; readonly sizePx: number },
  glyphs: Glyphs["glyphs"],
  scaleX = 1,
): Glyphs {
  return { kind: "glyphs", fontId: run.fontId, sizePx: run.sizePx, scaleX, glyphs };
}

/** Letters may reach past their advances, up and to the sides. */
export function overhang(room: Rect, sizePx: number): Rect {
  const by = sizePx * 0.35;
  return { x: room.x - by, y: room.y - by, width: room.width + 2 * by, height: room.height + 2 * by };
}

const openCell = (order: number): OpenCell => ({
  order,
  glyphs: new Map(),
  left: Number.POSITIVE_INFINITY,
  right: Number.NEGATIVE_INFINITY,
  top: Number.POSITIVE_INFINITY,
  bottom: Number.NEGATIVE_INFINITY,
});

/** Reading order as one number: line first, then the place in the paragraph. */
function orderOf(
  by: TextObject["revealBy"] | "paragraph",
  line: number,
  paragraph: number,
  run: SetRun,
  glyph: PlacedGlyph,
  words: readonly number[],
): number {
  switch (by) {
    case "whole":
      return 0;
    case "paragraph":
      return paragraph;
    case "line":
      return line;
    case "character":
      // Letters that join cannot come one by one.
      if (isTracked(run.script)) return line * 100_000 + glyph.cluster;
      return line * 100_000 + wordStart(words, glyph.cluster);
    case "word":
      return line * 100_000 + wordStart(words, glyph.cluster);
  }
}

function wordStarts(text: string): number[] {
  return [...text.matchAll(/\S+/gu)].map(({ index }) => index);
}

function wordStart(starts: readonly number[], cluster: number): number {
  let found = 0;
  for (const start of starts) {
    if (start > cluster) break;
    found = start;
  }
  return found;
}
