import { z } from "zod";
import { t } from "../../language/t.ts";
import type { Resolved } from "../../names/measure.ts";
import { measureSchema } from "../../names/measure.ts";
import type { PictureItem, Rect } from "../../picture/picture.ts";
import type { FontChoice } from "../../text/fontChoice.ts";
import { layOutText, type TextBlockRequest } from "../../text/layOutText.ts";
import { linesOf } from "../../text/lines.ts";
import { colorRefSchema } from "../houseStyle.ts";
import { inCase } from "../letterCase.ts";
import {
  capWords,
  drawnPlate,
  makePart,
  type ObjectContext,
  placeBox,
  resolveFonts,
  resolvePaint,
} from "../objectContext.ts";
import { placeText, type WordCell } from "../placeText.ts";
import {
  common,
  drawn,
  fieldNameSchema,
  leadingProperty,
  letters,
  named,
  wordSourceSchema,
} from "../properties.ts";
import { reportFit } from "../reportFit.ts";
import { areBlank } from "../writtenWords.ts";
import { adjustedLetters, defineKind } from "./objectKind.ts";

/** Points, one for each line of a field; those not yet shown keep their room. */
const schema = z.strictObject({
  ...common,
  ...drawn,
  ...letters,
  kind: z.literal("list"),
  words: named(wordSourceSchema, "Content", "Words"),
  /** Field that says how many are shown; empty shows all. */
  shownField: named(fieldNameSchema.nullable().default(null), "Content", t`Number shown`),
  marker: named(z.enum(["none", "bar", "dot", "number"]).default("bar"), "Look", "Mark"),
  markerColor: named(colorRefSchema, "Look", t`Colour of the mark`),
  leading: leadingProperty(1.2),
  /** Between one point and the next, in line heights. */
  gap: named(measureSchema(0, 4).default(0.5), "Letters", t`Between points`, "×"),
});
export type ListObject = Resolved<z.infer<typeof schema>>;

/** Where the words of a point begin, in sizes of its letters. */
const INDENT = { none: 0, bar: 0.75, dot: 0.85, number: 1.35 } as const;

export const listKind = defineKind({
  name: t`list`,
  schema,
  fieldOf: ({ words }) => (words.kind === "field" ? words.field : null),
  isBlank: ({ words }, values) => areBlank(words, values),
  adjust: adjustedLetters,
  // All are set, so that their size and places stay; those shown become parts, one each.
  layOut: (object, context) => {
    const { lookup, place, shaper } = context;
    const points = linesOf(
      inCase(capWords(lookup.words(object.words), object.id, context), object.letterCase),
    );
    if (points.length === 0) return [];
    const { at, local } = placeBox(object.box, place);
    const indentPx = INDENT[object.marker] * object.maxSizePx * place.scale;
    const inner = { ...local, x: local.x + indentPx, width: Math.max(1, local.width - indentPx) };
    const fonts = resolveFonts(object, context, points.join(" "));
    const request: TextBlockRequest = {
      widthPx: inner.width,
      heightPx: inner.height,
      minSizePx: object.minSizePx * place.scale,
      maxSizePx: object.maxSizePx * place.scale,
      leading: object.leading,
      keepLinesAbovePx: null,
      balance: true,
      paragraphGap: object.gap * object.leading,
      fonts,
      mode: "fit",
      condenseTo: 1,
      spacing: { trackingEm: object.trackingEm, hangNumbers: false },
    };
    const block = layOutText(points.join("\n"), request, shaper);
    reportFit(object, block, request, context);
    const paint = resolvePaint(object, local, context);
    const gapPx = object.gap * object.leading * block.sizePx;
    const cells = placeText(
      block,
      inner,
      {
        align: object.align,
        verticalAlign: "top",
        by: "paragraph",
        extraY: (line) => (block.lines[line]?.paragraph ?? 0) * gapPx,
        onlyInside: !block.fits,
      },
      paint,
      context,
    );
    const clip = block.fits ? undefined : local;
    const shown = shownCount(
      object.shownField === null ? "" : lookup.value(object.shownField),
      points.length,
    );
    const markerColor = lookup.color(object.markerColor);
    return cells.slice(0, shown).map((cell, i) => {
      const items = [
        ...markerItems(object, i, cell, block, local, markerColor, fonts, context),
        ...cell.items,
      ];
      const ink = { ...cell.ink, x: local.x, width: cell.ink.x + cell.ink.width - local.x };
      const plate = drawnPlate(object, items, ink, local, context, clip);
      return makePart(
        object,
        context,
        at,
        { kind: "plate", plate, radiiPx: [0, 0, 0, 0], growsFrom: "left" },
        { subId: String(i + 1), delayMs: i * object.motion.staggerMs, box: ink },
      );
    });
  },
});

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
