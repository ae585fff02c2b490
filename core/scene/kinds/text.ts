import { z } from "zod";
import { objectSubject } from "../../findings/finding.ts";
import { unknownFormat } from "../../findings/kinds/unknownFormat.ts";
import { t } from "../../language/t.ts";
import { measureSchema, type Resolved } from "../../names/measure.ts";
import { movePaint } from "../../picture/movePaint.ts";
import type { PictureItem, Rect } from "../../picture/picture.ts";
import type { FontChoice } from "../../text/fontChoice.ts";
import { layOutText, type TextBlock, type TextBlockRequest } from "../../text/layOutText.ts";
import { readMarks } from "../../text/marks.ts";
import type { Shaper } from "../../text/shaper.ts";
import type { HouseStyle } from "../houseStyle.ts";
import { inCase } from "../letterCase.ts";
import { Lookup } from "../lookup.ts";
import { NO_MEDIA } from "../media.ts";
import {
  capWords,
  drawnPlate,
  makePart,
  type ObjectContext,
  placeBox,
  resolveFonts,
  resolvePaint,
} from "../objectContext.ts";
import type { Plate } from "../part.ts";
import { placedLines, placeText, type WordCell } from "../placeText.ts";
import {
  type Box,
  common,
  drawn,
  leadingProperty,
  letters,
  named,
  REVEALED_BY,
  verticalAlignProperty,
  wordSourceSchema,
} from "../properties.ts";
import { reportFit } from "../reportFit.ts";
import { resolveObject } from "../resolveObject.ts";
import { areBlank, FORMATS, unknownFormatsIn } from "../writtenWords.ts";
import { adjustedLetters, defineKind } from "./objectKind.ts";

const textSchema = z.strictObject({
  ...common,
  ...drawn,
  ...letters,
  kind: z.literal("text"),
  words: named(wordSourceSchema, "Content", "Words"),
  /** No smaller than this can it be read from the last row; division into steps respects it. */
  readableSizePx: named(measureSchema(4, 2_000).default(4), "Letters", t`Readable size`, "px"),
  leading: leadingProperty(1.28),
  verticalAlign: verticalAlignProperty,
  /**
   * fit: wraps and shrinks together, so that any amount stays inside. wrap: keeps its size. condense: keeps its size
   * and its lines and narrows the letters, to `condenseTo` at most. clip: keeps its size and is cut at the box. Whatever does not
   * fit even so stops at the box.
   */
  mode: named(z.enum(["fit", "wrap", "condense", "clip"]).default("fit"), "Letters", t`In its box`),
  condenseTo: named(measureSchema(0.4, 1).default(0.7), "Letters", "Narrowest", "×"),
  /** Keeps typed lines whole down to the readable size, and only then wraps them. */
  keepLines: named(z.boolean().default(false), "Letters", t`Keep typed lines`),
  balance: named(z.boolean().default(true), "Letters", t`Even lines`),
  /** Reads our marks (see core/text/marks.ts). */
  marked: named(z.boolean().default(true), "Letters", t`Read marks`),
  /** A raised number at the head of a line stands in the margin. */
  hangNumbers: named(z.boolean().default(false), "Letters", t`Numbers in the margin`),
  /** What moves as one, one after another by the motion's stagger. */
  revealBy: named(z.enum(REVEALED_BY).default("whole"), "Motion", t`Comes by`),
});
export type TextSpec = z.infer<typeof textSchema>;
export type TextObject = Resolved<TextSpec>;

export const textKind = defineKind({
  name: t`text`,
  schema: textSchema,
  fieldOf: ({ words }) => (words.kind === "field" ? words.field : null),
  isBlank: ({ words }, values) => areBlank(words, values),
  adjust: adjustedLetters,
  layOut: (object, context) => {
    const set = setWords(object, object.box, context);
    if (!set) return [];
    const { at, local, block, request } = set;
    reportFit(object, block, request, context);
    const paint = resolvePaint(object, local, context);
    const how = { ...object, by: object.revealBy, onlyInside: object.mode !== "clip" && !block.fits };
    const cells = placeText(block, local, how, paint, context);
    const clip = clipOf(object, local, block);
    if (object.revealBy === "whole") {
      const [cell] = cells;
      if (!cell) return [];
      const plate = drawnPlate(object, cell.items, cell.ink, local, context, clip);
      return [makePart(object, context, at, { kind: "plate", plate, radiiPx: NO_RADII, growsFrom: "left" })];
    }
    return [
      makePart(object, context, at, {
        kind: "cells",
        box: local,
        cells: cells.map((cell, i) => ({
          ...ownPlate(cell, object, local, clip, context),
          delayMs: i * object.motion.staggerMs,
        })),
      }),
    ];
  },
});

const NO_RADII = [0, 0, 0, 0] as const;

/** Words that keep their size, or reached their smallest and still do not fit, end at the box. */
function clipOf({ mode }: TextObject, box: Rect, block: TextBlock): Rect | undefined {
  if (mode === "clip") return box;
  if (block.fits) return undefined;
  // Lines that stand in the box are whole; only their length is cut.
  const above = block.sizePx * 0.35;
  return { ...box, y: box.y - above, height: box.height + 2 * above };
}

/** The words of a text set in a box; undefined when there are none. */
function setWords(object: TextObject, box: Box, context: ObjectContext) {
  const { words: source } = object;
  if (source.kind === "written")
    for (const format of unknownFormatsIn(source.text))
      context.report(
        unknownFormat(objectSubject(object.id), { format, formats: FORMATS.map((f) => `“${f}”`).join(", ") }),
      );
  const typed = capWords(context.lookup.words(source), object.id, context);
  const words = inCase(typed, object.letterCase);
  if (words.trim() === "") return undefined;
  const { at, local } = placeBox(box, context.place);
  const fonts = resolveFonts(object, context, words);
  const request = textRequest(object, local, context.place.scale, fonts);
  const block = layOutText(object.marked ? readMarks(words) : words, request, context.shaper);
  return { at, local, block, request };
}

/** Where the words of a text stand when its box is this, on the template's canvas; undefined when there are none. */
export function wordsRect(object: TextObject, box: Box, context: ObjectContext): Box | undefined {
  const set = setWords(object, box, { ...context, report: () => {}, reportText: () => {} });
  if (!set) return undefined;
  const { scale } = context.place;
  const { at, local, block } = set;
  const lines = placedLines(block, local, object);
  const from = Math.min(...lines.map(({ x }) => x));
  const to = Math.max(...lines.map(({ x, widthPx }) => x + widthPx));
  const top = Math.min(...lines.map(({ top: y }) => y));
  const bottom = Math.max(...lines.map(({ top: y }) => y + block.ascentPx + block.descentPx));
  const onCanvas = (px: number, origin: number) => (px - origin) / scale;
  return {
    x: onCanvas(at.x + from, context.place.originX),
    y: onCanvas(at.y + top, context.place.originY),
    width: (to - from) / scale,
    height: (bottom - top) / scale,
  };
}

/** A cell as a plate with an origin of its own, so that the same word elsewhere is the same plate. */
function ownPlate(
  cell: WordCell,
  object: TextObject,
  box: Rect,
  clip: Rect | undefined,
  context: ObjectContext,
): { plate: Plate; x: number; y: number } {
  const x = Math.floor(cell.ink.x);
  const y = Math.floor(cell.ink.y);
  const moved = (rect: Rect) => ({ ...rect, x: rect.x - x, y: rect.y - y });
  const items = cell.items.map(
    (item): PictureItem =>
      item.kind === "glyphs"
        ? {
            ...item,
            fill: movePaint(item.fill, x, y),
            glyphs: item.glyphs.map((g) => ({ id: g.id, x: g.x - x, y: g.y - y })),
          }
        : item,
  );
  return {
    plate: drawnPlate(object, items, moved(cell.ink), moved(box), context, clip && moved(clip)),
    x,
    y,
  };
}

/** What a text object asks of the fitter, in output pixels. */
function textRequest(
  object: TextObject,
  box: { readonly width: number; readonly height: number },
  scale: number,
  fonts: FontChoice,
): TextBlockRequest {
  return {
    widthPx: box.width,
    heightPx: box.height,
    minSizePx: object.minSizePx * scale,
    maxSizePx: object.maxSizePx * scale,
    leading: object.leading,
    keepLinesAbovePx: object.keepLines ? object.readableSizePx * scale : null,
    balance: object.balance,
    paragraphGap: 0,
    fonts,
    mode: object.mode,
    condenseTo: object.condenseTo,
    spacing: { trackingEm: object.trackingEm, hangNumbers: object.hangNumbers },
  };
}

/** A text as a style has it, with its fonts and leading: for what measures words before there is a page. */
export function measureRequest(
  spec: TextSpec,
  style: HouseStyle,
  fallbackFonts: readonly string[],
  shaper: Shaper,
): { readonly object: TextObject; readonly request: TextBlockRequest } | undefined {
  const lookup = new Lookup(style, {}, NO_MEDIA);
  const context = { lookup, fallbackFonts, shaper, report: () => {} } as unknown as ObjectContext;
  const object = resolveObject(spec, textSchema, context);
  return object && { object, request: textRequest(object, object.box, 1, resolveFonts(object, context)) };
}
