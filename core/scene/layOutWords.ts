import { objectSubject } from "../findings/finding.ts";
import { overflow } from "../findings/kinds/overflow.ts";
import { smallestSize } from "../findings/kinds/smallestSize.ts";
import type { PictureItem, Rect } from "../picture/picture.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { layOutText, type TextBlockRequest } from "../text/layOutText.ts";
import { linesOf } from "../text/lines.ts";
import { readMarks } from "../text/marks.ts";
import type { Shaper } from "../text/shaper.ts";
import type { HouseStyle } from "./houseStyle.ts";
import { Lookup } from "./lookup.ts";
import { NO_MEDIA } from "./media.ts";
import {
  capWords,
  inCase,
  makePart,
  type ObjectContext,
  placeBox,
  plateAround,
  resolveFonts,
  resolvePaint,
} from "./objectContext.ts";
import type { Part, Plate } from "./part.ts";
import { placeText, type WordCell } from "./placeText.ts";
import type { ListObject, TextObject } from "./template.ts";

export function layOutWords(object: TextObject, context: ObjectContext): Part[] {
  const typed = capWords(context.lookup.words(object.words), object.id, context);
  const words = inCase(typed, object.letterCase);
  if (words.trim() === "") return [];
  const { at, local } = placeBox(object.box, context.place);
  const request = textRequest(
    object,
    local,
    context.place.scale,
    resolveFonts(object, context, words),
    context.lookup,
  );
  const block = layOutText(object.marked ? readMarks(words) : words, request, context.shaper);
  reportFit(object, block, request, context);
  const paint = resolvePaint(object, local, context);
  const cells = placeText(block, local, { ...object, by: object.revealBy }, paint, context);
  const clip = object.mode === "clip" ? local : undefined;
  const { scale } = context.place;
  const blurPx = object.blurPx * scale;
  if (object.revealBy === "whole") {
    const [cell] = cells;
    if (!cell) return [];
    return [
      makePart(object, context, at, {
        kind: "plate",
        plate: plateAround(cell.items, cell.ink, clip, blurPx),
        cornerPx: 0,
        blurPx: object.motion.blurPx * scale,
        tint: object.motion.tint === null ? null : context.lookup.color(object.motion.tint),
      }),
    ];
  }
  return [
    makePart(object, context, at, {
      kind: "cells",
      cells: cells.map((cell, i) => ({
        ...ownPlate(cell, clip, blurPx),
        delayMs: i * object.motion.staggerMs,
      })),
    }),
  ];
}

/** A cell as a plate with an origin of its own, so that the same word elsewhere is the same plate. */
function ownPlate(
  cell: WordCell,
  clip: Rect | undefined,
  blurPx: number,
): { plate: Plate; x: number; y: number } {
  const x = Math.floor(cell.ink.x);
  const y = Math.floor(cell.ink.y);
  const moved = (rect: Rect) => ({ ...rect, x: rect.x - x, y: rect.y - y });
  const items = cell.items.map(
    (item): PictureItem =>
      item.kind === "glyphs"
        ? {
            ...item,
            fill: movedFill(item.fill, x, y),
            glyphs: item.glyphs.map((g) => ({ id: g.id, x: g.x - x, y: g.y - y })),
          }
        : item,
  );
  return { plate: plateAround(items, moved(cell.ink), clip && moved(clip), blurPx), x, y };
}

function movedFill(fill: PictureItem["fill"], x: number, y: number): PictureItem["fill"] {
  switch (fill.kind) {
    case "none":
    case "solid":
      return fill;
    case "linear":
      return { ...fill, x0: fill.x0 - x, x1: fill.x1 - x, y0: fill.y0 - y, y1: fill.y1 - y };
    case "radial":
      return { ...fill, x: fill.x - x, y: fill.y - y };
    case "image":
      return { ...fill, dest: { ...fill.dest, x: fill.dest.x - x, y: fill.dest.y - y } };
  }
}

/** What a text object asks of the fitter, in output pixels. */
export function textRequest(
  object: TextObject,
  box: { readonly width: number; readonly height: number },
  scale: number,
  fonts: FontChoice,
  lookup: Lookup,
): TextBlockRequest {
  return {
    widthPx: box.width,
    heightPx: box.height,
    minSizePx: object.minSizePx * scale,
    maxSizePx: object.maxSizePx * scale,
    leading: Math.max(0.7, lookup.number(object.leading, 1.3)),
    keepLinesAbovePx: object.keepLines ? object.readableSizePx * scale : null,
    balance: object.balance,
    paragraphGap: 0,
    fonts,
    mode: object.mode,
    condenseTo: object.condenseTo,
    spacing: { trackingEm: lookup.number(object.trackingEm), hangNumbers: object.hangNumbers },
  };
}

/** The fonts and leading a text object has in a style: for what measures words before there is a page. */
export function measureRequest(
  object: TextObject,
  style: HouseStyle,
  fallbackFonts: readonly string[],
  shaper: Shaper,
): TextBlockRequest {
  const lookup = new Lookup(style, {}, NO_MEDIA);
  const context = { lookup, fallbackFonts, shaper, report: () => {} } as unknown as ObjectContext;
  return textRequest(object, object.box, 1, resolveFonts(object, context), lookup);
}

function reportFit(
  object: TextObject | ListObject,
  block: { readonly sizePx: number; readonly fits: boolean },
  { minSizePx, maxSizePx }: { readonly minSizePx: number; readonly maxSizePx: number },
  context: ObjectContext,
): void {
  context.reportText({ objectId: object.id, sizePx: block.sizePx, fits: block.fits });
  if (!block.fits) context.report(overflow(objectSubject(object.id), {}));
  else if (block.sizePx < minSizePx + 0.25 && minSizePx + 0.25 < maxSizePx)
    context.report(smallestSize(objectSubject(object.id), { sizePx: block.sizePx }));
}

/** Where the words of a point begin, in sizes of its letters. */
const INDENT = { none: 0, bar: 0.75, dot: 0.85, number: 1.35 } as const;

/** Points: all are set, so that their size and places stay; those shown become parts, one each. */
export function layOutList(object: ListObject, context: ObjectContext): Part[] {
  const { lookup, place, shaper } = context;
  const points = linesOf(inCase(capWords(lookup.words(object.words), object.id, context), object.letterCase));
  if (points.length === 0) return [];
  const { at, local } = placeBox(object.box, place);
  const indentPx = INDENT[object.marker] * object.maxSizePx * place.scale;
  const inner = { ...local, x: local.x + indentPx, width: Math.max(1, local.width - indentPx) };
  const fonts = resolveFonts(object, context, points.join(" "));
  const leading = Math.max(0.7, lookup.number(object.leading, 1.2));
  const request: TextBlockRequest = {
    widthPx: inner.width,
    heightPx: inner.height,
    minSizePx: object.minSizePx * place.scale,
    maxSizePx: object.maxSizePx * place.scale,
    leading,
    keepLinesAbovePx: null,
    balance: true,
    paragraphGap: object.gap * leading,
    fonts,
    mode: "fit",
    condenseTo: 1,
    spacing: { trackingEm: lookup.number(object.trackingEm), hangNumbers: false },
  };
  const block = layOutText(points.join("\n"), request, shaper);
  reportFit(object, block, request, context);
  const paint = resolvePaint(object, local, context);
  const gapPx = object.gap * leading * block.sizePx;
  const cells = placeText(
    block,
    inner,
    {
      align: object.align,
      verticalAlign: "top",
      by: "paragraph",
      extraY: (line) => (block.lines[line]?.paragraph ?? 0) * gapPx,
    },
    paint,
    context,
  );
  const shown = shownCount(object.shownField === null ? "" : lookup.value(object.shownField), points.length);
  const markerColor = lookup.color(object.markerColor);
  return cells.slice(0, shown).map((cell, i) => {
    const items = [...markerItems(object, i, cell, block, local, markerColor, fonts, context), ...cell.items];
    const ink = { ...cell.ink, x: local.x, width: cell.ink.x + cell.ink.width - local.x };
    const plate = plateAround(items, ink);
    return makePart(
      object,
      context,
      at,
      { kind: "plate", plate, cornerPx: 0, blurPx: object.motion.blurPx * place.scale, tint: null },
      { subId: String(i + 1), delayMs: i * object.motion.staggerMs },
    );
  });
}

function shownCount(typed: string, all: number): number {
  const count = typed.trim() === "" ? Number.NaN : Number(typed);
  return Number.isInteger(count) ? Math.max(0, Math.min(all, count)) : all;
}

function markerItems(
  object: ListObject,
  index: number,
  cell: WordCell,
  block: { readonly sizePx: number; readonly ascentPx: number; readonly descentPx: number },
  box: Rect,
  color: string,
  fonts: FontChoice,
  context: ObjectContext,
): PictureItem[] {
  const size = block.sizePx;
  const paint = { fill: { kind: "solid", color }, stroke: null, shadows: [] } as const;
  // The cell's ink reaches past its letters by the overhang.
  const top = cell.ink.y + size * 0.35;
  const middle = top + (block.ascentPx + block.descentPx) / 2;
  switch (object.marker) {
    case "none":
      return [];
    case "bar": {
      const height = cell.ink.height - size * 0.7 - (block.descentPx + block.ascentPx - size);
      const y = top + (block.ascentPx + block.descentPx - size) / 2;
      const width = Math.max(2, size * 0.1);
      const radius = width / 2;
      return [
        {
          kind: "rectangle",
          rect: { x: box.x, y, width, height },
          radiiPx: [radius, radius, radius, radius],
          ...paint,
        },
      ];
    }
    case "dot": {
      const side = size * 0.28;
      return [
        {
          kind: "ellipse",
          rect: { x: box.x + size * 0.1, y: middle - side / 2, width: side, height: side },
          ...paint,
        },
      ];
    }
    case "number": {
      const number = layOutText(
        String(index + 1),
        {
          widthPx: size * 3,
          heightPx: size * 3,
          minSizePx: 4,
          maxSizePx: size,
          leading: 1,
          keepLinesAbovePx: null,
          balance: false,
          paragraphGap: 0,
          fonts: { ...fonts, regular: fonts.bold },
          mode: "wrap",
          condenseTo: 1,
        },
        context.shaper,
      );
      const at = { ...box, y: top, height: number.heightPx };
      return placeText(
        number,
        at,
        { align: "start", verticalAlign: "top", by: "whole" },
        { fill: paint.fill, stroke: null, shadows: [] },
        context,
      ).flatMap(({ items }) => items);
    }
  }
}
