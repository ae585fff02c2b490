import { z } from "zod";
import { crawlSpeedSchema, pxPerSecondOf, travelPx } from "../../crawl/rate.ts";
import { t } from "../../language/t.ts";
import { measureSchema, type Resolved } from "../../names/measure.ts";
import { movePaint } from "../../picture/movePaint.ts";
import type { PictureItem } from "../../picture/picture.ts";
import { placeInBox } from "../../picture/place.ts";
import { layOutText, type TextBlockRequest } from "../../text/layOutText.ts";
import { linesOf } from "../../text/lines.ts";
import { prepareText } from "../../text/prepare.ts";
import { type SetRun, setLines } from "../../text/setLines.ts";
import { wrapLines } from "../../text/wrap.ts";
import { colorRefSchema } from "../houseStyle.ts";
import { inCase } from "../letterCase.ts";
import {
  capWords,
  findPicture,
  makePart,
  type ObjectContext,
  placeBox,
  plateAround,
  type ResolvedPaint,
  resolveFonts,
  resolvePaint,
  toHundredths,
} from "../objectContext.ts";
import type { Plate } from "../part.ts";
import { glyphItem, overhang, placeText } from "../placeText.ts";
import {
  common,
  drawn,
  leadingProperty,
  letters,
  mediaSourceSchema,
  named,
  wordSourceSchema,
} from "../properties.ts";
import { areBlank } from "../writtenWords.ts";
import { adjustedLetters, defineKind } from "./objectKind.ts";

const { softEdgePx: _soft, matte: _matte, ...painted } = drawn;
const schema = z.strictObject({
  ...common,
  ...painted,
  ...letters,
  kind: z.literal("crawl"),
  /** One item for each line. */
  words: named(wordSourceSchema, "Content", "Items"),
  /** Where it goes. Left and right are crawls, up and down are rolls. */
  towards: named(z.enum(["left", "right", "up", "down"]).default("left"), "Motion", "Goes"),
  speed: named(crawlSpeedSchema, "Motion", "Speed"),
  /** Null: without end. */
  passes: named(z.number().int().min(1).max(1_000).nullable().default(null), "Motion", "Passes"),
  /** Between one pass and the next. */
  gapPx: named(measureSchema(0, 20_000).default(240), "Motion", t`Between passes`, "px"),
  /** Between items: room, and a mark in its middle. */
  itemGapPx: named(measureSchema(0, 4_000).default(0), "Letters", t`Between items`, "px"),
  divider: named(
    z
      .discriminatedUnion("kind", [
        z.strictObject({ kind: z.literal("none") }),
        z.strictObject({ kind: z.literal("glyph"), text: z.string().min(1).max(8), color: colorRefSchema }),
        z.strictObject({
          kind: z.literal("picture"),
          source: mediaSourceSchema,
          sizePx: measureSchema(1, 400),
        }),
      ])
      .default({ kind: "none" }),
    "Look",
    t`Mark between items`,
  ),
  leading: leadingProperty(1.4),
});
export type CrawlObject = Resolved<z.infer<typeof schema>>;

/** The longest plate of a strip: longer ones are slow to move without a GPU. */
const TILE_PX = 2_048;

export const crawlKind = defineKind({
  name: t`crawl`,
  schema,
  fieldOf: ({ words }) => (words.kind === "field" ? words.field : null),
  isBlank: ({ words }, values) => areBlank(words, values),
  adjust: (object, adjustment) => ({
    ...adjustedLetters(object, adjustment),
    speed: adjustment.speed ?? object.speed,
  }),
  layOut: (object, context) => {
    const items = linesOf(
      inCase(capWords(context.lookup.words(object.words), object.id, context), object.letterCase),
    );
    if (items.length === 0) return [];
    const { at, local } = placeBox(object.box, context.place);
    const isCrawl = object.towards === "left" || object.towards === "right";
    const strip = isCrawl
      ? crawlStrip(object, items, local, context)
      : rollStrip(object, items, local, context);
    const { scale } = context.place;
    const boxPx = isCrawl ? local.width : local.height;
    const speed = ((): CrawlObject["speed"] => {
      switch (object.speed.kind) {
        case "pxPerFrame":
        case "pxPerSecond":
          return { ...object.speed, px: object.speed.px * scale };
        case "passSeconds":
          return object.speed;
      }
    })();
    const pxPerMs = pxPerSecondOf(speed, travelPx(boxPx, strip.lengthPx), context.frameRate) / 1_000;
    context.reportText({ objectId: object.id, sizePx: strip.sizePx, condensed: 1, fits: true });
    return [
      makePart(object, context, at, {
        kind: "strip",
        towards: object.towards,
        tiles: strip.tiles,
        box: local,
        lengthPx: strip.lengthPx,
        gapPx: object.gapPx * scale,
        pxPerMs,
        passes: object.passes,
        words: items.reduce((sum, item) => sum + item.split(/\s+/).length, 0),
        field: object.words.kind === "field" ? object.words.field : null,
        scale,
      }),
    ];
  },
});

interface Strip {
  readonly tiles: readonly { readonly plate: Plate; readonly x: number; readonly y: number }[];
  readonly lengthPx: number;
  readonly sizePx: number;
}

/** One line of items with the divider between them, cut into tiles. Positions are from the strip's left end. */
function crawlStrip(
  object: CrawlObject,
  items: readonly string[],
  box: { x: number; y: number; width: number; height: number },
  context: ObjectContext,
): Strip {
  const { shaper, place } = context;
  const fonts = resolveFonts(object, context, items.join(" "));
  const { ascentEm, descentEm } = shaper.metrics(fonts.regular[0] as string);
  const byHeight = Math.floor((box.height / (ascentEm + descentEm)) * 4) / 4;
  const sizePx = Math.max(4, Math.min(object.maxSizePx * place.scale, byHeight));
  const spacing = { trackingEm: object.trackingEm, hangNumbers: false };
  const baseline = box.y + (box.height - (ascentEm + descentEm) * sizePx) / 2 + ascentEm * sizePx;
  const gapPx = object.itemGapPx * place.scale;
  const set = (words: string) => {
    const paragraphs = prepareText(words, fonts, shaper, spacing);
    const [line] = setLines(
      paragraphs,
      wrapLines(paragraphs, Number.POSITIVE_INFINITY),
      sizePx,
      shaper,
      spacing,
    );
    return line ?? { runs: [], widthPx: 0 };
  };
  const pieces: Piece[] = [];
  let pen = 0;
  const addWords = (words: string, own: ResolvedPaint) => {
    const line = set(words);
    for (const run of line.runs)
      for (const glyph of run.glyphs)
        pieces.push({
          kind: "glyph",
          run,
          paint: own,
          id: glyph.id,
          x: toHundredths(pen + glyph.xPx),
          y: toHundredths(baseline + glyph.yPx),
        });
    return line.widthPx;
  };
  // Towards the right the first item goes first: it is the strip's right end.
  const ordered = object.towards === "right" ? [...items].reverse() : items;
  const wordsPx = items.reduce((sum, words) => sum + set(words).widthPx, 0);
  // A gradient goes along the whole strip, from its first letter to its last.
  const whole = { ...box, x: 0, width: wordsPx + gapPx * (items.length - 1) };
  const paint = resolvePaint(object, whole, context);
  for (const [i, words] of ordered.entries()) {
    if (i > 0) {
      pen += addDivider(object, pen, gapPx, baseline, sizePx, pieces, addWords, set, context);
    }
    pen += addWords(words, paint);
  }
  return {
    tiles: splitIntoTiles(pieces, box, sizePx, object.blurPx * place.scale),
    lengthPx: Math.ceil(pen),
    sizePx,
  };
}

type Piece =
  | {
      readonly kind: "glyph";
      readonly run: SetRun;
      readonly paint: ResolvedPaint;
      readonly id: number;
      readonly x: number;
      readonly y: number;
    }
  | { readonly kind: "item"; readonly item: PictureItem; readonly x: number };

/** @returns the room between two items */
function addDivider(
  object: CrawlObject,
  pen: number,
  gapPx: number,
  baseline: number,
  sizePx: number,
  pieces: Piece[],
  addWords: (words: string, paint: ResolvedPaint) => number,
  measure: (words: string) => { readonly widthPx: number },
  context: ObjectContext,
): number {
  const { divider } = object;
  switch (divider.kind) {
    case "none":
      return gapPx;
    case "glyph": {
      const fill = { kind: "solid", color: context.lookup.color(divider.color) } as const;
      const { widthPx } = measure(divider.text);
      const before = pieces.length;
      addWords(divider.text, { fill, stroke: null, shadows: [] });
      const room = Math.max(gapPx, widthPx);
      for (let i = before; i < pieces.length; i++) {
        const piece = pieces[i] as Piece;
        pieces[i] = { ...piece, x: toHundredths(piece.x + (room - widthPx) / 2) };
      }
      return room;
    }
    case "picture": {
      const { info } = findPicture(divider.source, object.id, context);
      const side = divider.sizePx * context.place.scale;
      const room = Math.max(gapPx, side);
      if (!info) return room;
      const rect = {
        x: pen + (room - side) / 2,
        y: baseline - sizePx * 0.36 - side / 2,
        width: side,
        height: side,
      };
      const dest = placeInBox(info, rect, "fit", { x: 0.5, y: 0.5 });
      pieces.push({
        kind: "item",
        x: rect.x,
        item: {
          kind: "rectangle",
          rect,
          radiiPx: [0, 0, 0, 0],
          fill: { kind: "image", file: info.file, dest },
          stroke: null,
          shadows: [],
        },
      });
      return room;
    }
  }
}

/** Every piece goes to the tile its origin lies in, so that none is painted twice. */
function splitIntoTiles(
  pieces: readonly Piece[],
  box: { y: number; height: number },
  sizePx: number,
  blurPx: number,
): Strip["tiles"] {
  const tiles = new Map<number, Piece[]>();
  for (const piece of pieces) {
    const tile = Math.floor(piece.x / TILE_PX);
    const list = tiles.get(tile) ?? [];
    tiles.set(tile, list);
    list.push(piece);
  }
  return [...tiles].map(([tile, list]) => {
    const left = tile * TILE_PX;
    const items: PictureItem[] = [];
    const byRun = new Map<
      string,
      { run: SetRun; paint: ResolvedPaint; glyphs: { id: number; x: number; y: number }[] }
    >();
    for (const piece of list) {
      if (piece.kind === "item") {
        if (piece.item.kind !== "rectangle" || piece.item.fill.kind !== "image") continue;
        const { rect, fill } = piece.item;
        items.push({
          ...piece.item,
          rect: { ...rect, x: rect.x - left },
          fill: movePaint(fill, left, 0),
        });
        continue;
      }
      const key = `${piece.run.fontId}/${piece.run.sizePx}/${JSON.stringify(piece.paint.fill)}`;
      const open = byRun.get(key) ?? { run: piece.run, paint: piece.paint, glyphs: [] };
      byRun.set(key, open);
      open.glyphs.push({ id: piece.id, x: piece.x - left, y: piece.y });
    }
    for (const { run, paint, glyphs } of byRun.values())
      items.push({ ...glyphItem(run, glyphs), ...paint, fill: movePaint(paint.fill, left, 0) });
    const xs = list.map(({ x }) => x - left);
    const from = Math.min(...xs);
    // The last piece reaches on by its own width: a generous letter.
    const ink = overhang(
      { x: from, y: box.y, width: Math.max(...xs) - from + sizePx * 1.4, height: box.height },
      sizePx,
    );
    return { plate: plateAround(items, ink, { blurPx }), x: left, y: 0 };
  });
}

/** A block of lines going up or down, in tiles of whole lines. Positions are from the strip's top. */
function rollStrip(
  object: CrawlObject,
  items: readonly string[],
  box: { x: number; y: number; width: number; height: number },
  context: ObjectContext,
): Strip {
  const { shaper, place } = context;
  const fonts = resolveFonts(object, context, items.join(" "));
  const request: TextBlockRequest = {
    widthPx: box.width,
    heightPx: Number.MAX_SAFE_INTEGER,
    minSizePx: object.minSizePx * place.scale,
    maxSizePx: object.maxSizePx * place.scale,
    leading: object.leading,
    keepLinesAbovePx: null,
    balance: true,
    paragraphGap: 0,
    fonts,
    mode: "wrap",
    condenseTo: 1,
    spacing: { trackingEm: object.trackingEm, hangNumbers: false },
  };
  const block = layOutText(items.join("\n"), request, shaper);
  const gap = object.itemGapPx * place.scale || 0;
  const paragraphOf = (line: number) => block.lines[line]?.paragraph ?? 0;
  const lengthPx = Math.ceil(block.heightPx + paragraphOf(block.lines.length - 1) * gap);
  const paint = resolvePaint(object, { x: box.x, y: 0, width: box.width, height: lengthPx }, context);
  const cells = placeText(
    block,
    { x: box.x, y: 0, width: box.width, height: lengthPx },
    { align: object.align, verticalAlign: "top", by: "line", extraY: (line) => paragraphOf(line) * gap },
    paint,
    context,
  );
  const tiles: { plate: Plate; x: number; y: number }[] = [];
  let waiting: typeof cells = [];
  const close = () => {
    const [first] = waiting;
    if (!first) return;
    const top = Math.floor(first.ink.y);
    const left = Math.min(...waiting.map(({ ink }) => ink.x));
    const right = Math.max(...waiting.map(({ ink }) => ink.x + ink.width));
    const bottom = Math.max(...waiting.map(({ ink }) => ink.y + ink.height));
    const moved = waiting.flatMap(({ items: list }) =>
      list.map(
        (item): PictureItem =>
          item.kind === "glyphs"
            ? {
                ...item,
                fill: movePaint(item.fill, 0, top),
                glyphs: item.glyphs.map((g) => ({ ...g, y: toHundredths(g.y - top) })),
              }
            : item,
      ),
    );
    tiles.push({
      plate: plateAround(
        moved,
        { x: left, y: 0, width: right - left, height: bottom - top },
        { blurPx: object.blurPx * place.scale },
      ),
      x: 0,
      y: top,
    });
    waiting = [];
  };
  for (const cell of cells) {
    const [first] = waiting;
    if (first && cell.ink.y + cell.ink.height - first.ink.y > TILE_PX) close();
    waiting = [...waiting, cell];
  }
  close();
  return { tiles, lengthPx, sizePx: block.sizePx };
}
