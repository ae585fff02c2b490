import type { Glyphs, PictureItem, Rect } from "../picture/picture.ts";
import type { TextBlock } from "../text/layOutText.ts";
import type { PlacedGlyph, SetRun } from "../text/setLines.ts";
import { isTracked } from "../text/spacing.ts";
import { type ObjectContext, type ResolvedPaint, toHundredths } from "./objectContext.ts";
import type { Align, RevealedBy, VerticalAlign } from "./properties.ts";

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
    readonly align: Align;
    readonly verticalAlign: VerticalAlign;
    readonly by: RevealedBy | "paragraph";
    readonly extraY?: (line: number) => number;
    /** Lines that do not stand in the box as a whole are left out; the first stays whatever it is. */
    readonly onlyInside?: boolean;
  },
  paint: ResolvedPaint,
  context: ObjectContext,
): WordCell[] {
  const cells = new Map<string, OpenCell>();
  const wordAt = block.paragraphs.map(how.by === "word" || how.by === "character" ? wordStarts : () => []);
  for (const { index, x, top: lineTop } of placedLines(block, box, how)) {
    const line = block.lines[index] as TextBlock["lines"][number];
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

/** Where each line of a set text begins: its left end and the top of its letters' room, in the coordinates of the box. */
export function placedLines(
  block: TextBlock,
  box: Rect,
  how: {
    readonly align: Align;
    readonly verticalAlign: VerticalAlign;
    readonly extraY?: (line: number) => number;
    readonly onlyInside?: boolean;
  },
): { readonly index: number; readonly x: number; readonly top: number; readonly widthPx: number }[] {
  const extraY = how.extraY ?? (() => 0);
  const lineBoxPx = block.ascentPx + block.descentPx;
  const bottomOf = (index: number) => index * block.leadingPx + extraY(index) + lineBoxPx;
  const all = block.lines.length;
  let count = all;
  if (how.onlyInside) while (count > 1 && bottomOf(count - 1) > box.height + 0.01) count--;
  const spare = box.height - (count === all ? block.heightPx : bottomOf(count - 1));
  const top =
    box.y +
    { top: 0, middle: spare / 2, bottom: spare, baseline: spare + block.descentPx }[how.verticalAlign];
  return block.lines.slice(0, count).map((line, index) => {
    const widthPx = line.widthPx * block.condensed;
    const room = box.width - widthPx;
    const atEnd = (how.align === "end") !== (block.rightToLeft[index] === true);
    return {
      index,
      x: box.x + (how.align === "center" ? room / 2 : atEnd ? room : 0),
      top: top + index * block.leadingPx + extraY(index),
      widthPx,
    };
  });
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
  by: RevealedBy | "paragraph",
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
