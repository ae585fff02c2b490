import { z } from "zod";
import { parseNumber } from "../../figures/number.ts";
import { objectSubject } from "../../findings/finding.ts";
import { notANumber } from "../../findings/kinds/notANumber.ts";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { measureSchema } from "../../names/measure.ts";
import { type CornerRadii, growToPixels, type PictureItem, type Rect } from "../../picture/picture.ts";
import { toThousandths as n } from "../../picture/shapePath.ts";
import { colorRefSchema } from "../houseStyle.ts";
import { makePart, placeBox, plateAround, plateOf, resolveFonts, resolvePaint } from "../objectContext.ts";
import type { Part } from "../part.ts";
import {
  common,
  fieldNameSchema,
  fillSchema,
  letters,
  NO_FILL,
  named,
  shadowsProperty,
} from "../properties.ts";
import { areRowsBlank, cellItems, numberCell, platePart, rowsOf, shownRows } from "../rows.ts";
import { pictureOfShape, type ShapeSpec } from "../shapeSpec.ts";
import { defineKind } from "./objectKind.ts";

/** Columns or lines over the rows of a field: a label and one number for each series. */
const schema = z.strictObject({
  ...common,
  ...letters,
  kind: z.literal("chart"),
  field: named(fieldNameSchema, "Content", "Rows"),
  form: named(z.enum(["columns", "lines"]), "Look", "Form"),
  mostRows: named(z.number().int().min(1).max(60).default(24), "Content", t`Most rows`),
  /** One for each series, in turn. */
  colors: named(z.array(colorRefSchema).min(1).max(8), "Look", "Colours"),
  fill: named(fillSchema.default(NO_FILL), "Look", t`Colour of the words`),
  shadows: shadowsProperty,
  labelHeightPx: named(measureSchema(0, 400).default(48), "Place", t`Height of the labels`, "px"),
  valueHeightPx: named(measureSchema(0, 400).default(0), "Place", t`Height of the values`, "px"),
  /** Of a column's room, left free. */
  gapShare: named(z.number().min(0).max(0.9).default(0.35), "Look", t`Between columns`),
  cornerPx: named(measureSchema(0, 400).default(0), "Look", t`Corner radius`, "px"),
  lineWidthPx: named(measureSchema(0.5, 100).default(6), "Look", t`Width of lines`, "px"),
  dotPx: named(measureSchema(0, 200).default(0), "Look", t`Dots on lines`, "px"),
  /** Null: the largest value reaches the top. */
  fullAt: named(measureSchema(0.000_001, 1_000_000_000).nullable().default(null), "Content", t`Top at`),
  countMs: named(measureSchema(0, 20_000).default(0), "Motion", t`Counts for`, "ms"),
});

export const chartKind = defineKind({
  name: t`chart`,
  schema,
  moves: SHAPE_MOVES,
  fieldOf: ({ field }) => field,
  isBlank: areRowsBlank,
  layOut: (object, context) => {
    const { lookup, place } = context;
    const { scale } = place;
    const rows = shownRows(object, object.mostRows, rowsOf(object, context), context);
    if (rows.length === 0) return [];
    const series = Math.max(1, ...rows.map(({ cells }) => cells.length - 1));
    const numbers = rows.map(({ key, cells }) =>
      Array.from({ length: series }, (_, s) => {
        const typed = cells[s + 1] ?? "";
        const value = parseNumber(typed)?.value;
        if (value === undefined && typed !== "")
          context.report(notANumber(objectSubject(object.id), { text: `${key}: ${typed}`.slice(0, 60) }));
        return { typed, value: Math.max(0, value ?? 0) };
      }),
    );
    const full = object.fullAt ?? Math.max(1e-9, ...numbers.flatMap((row) => row.map(({ value }) => value)));
    const { at, local } = placeBox(object.box, place);
    const labelPx = Math.round(object.labelHeightPx * scale);
    const valuePx = Math.round(object.valueHeightPx * scale);
    const plot: Rect = {
      x: local.x,
      y: local.y + valuePx,
      width: local.width,
      height: Math.max(1, Math.round(local.height - labelPx - valuePx)),
    };
    const paint = resolvePaint({ ...object, stroke: null }, local, context);
    const fonts = resolveFonts(object, context, JSON.stringify(rows));
    const colors = object.colors.map((color) => lookup.color(color));
    const colorOf = (s: number) => colors[s % colors.length] as string;
    const pitch = plot.width / rows.length;
    const parts: Part[] = [];
    const share = (value: number) => Math.max(0, Math.min(1, value / full));

    if (object.form === "columns") {
      const wide = Math.max(1, Math.floor((pitch * (1 - object.gapShare)) / series));
      const radius = Math.min(object.cornerPx * scale, wide / 2, plot.height / 2);
      const radiiPx: CornerRadii = [radius, radius, 0, 0];
      for (const [i, row] of rows.entries())
        for (const [s, { value }] of (numbers[i] ?? []).entries()) {
          const rect: Rect = { x: 0, y: plot.y, width: wide, height: plot.height };
          const x = Math.round(at.x + plot.x + pitch * i + (pitch - wide * series) / 2 + wide * s);
          const item: PictureItem = {
            kind: "rectangle",
            rect,
            radiiPx: [0, 0, 0, 0],
            fill: { kind: "solid", color: colorOf(s) },
            stroke: null,
            shadows: [],
          };
          parts.push(
            makePart(
              object,
              context,
              { x, y: at.y, extent: share(value) },
              { kind: "plate", plate: plateAround([item], rect), radiiPx, growsFrom: "bottom" },
              { subId: `column:${row.key}:${s}`, delayMs: i * object.motion.staggerMs, box: rect },
            ),
          );
        }
    } else
      for (let s = 0; s < series; s++) {
        const points = numbers.map((row, i) => ({
          x: plot.x + pitch * (i + 0.5),
          y: plot.y + plot.height * (1 - share(row[s]?.value ?? 0)),
        }));
        const data = points.map(({ x, y }, i) => `${i === 0 ? "M" : "L"}${n(x)} ${n(y)}`).join("");
        const shape: ShapeSpec = {
          shape: { kind: "path", data },
          box: local,
          pivot: { x: local.x + local.width * object.pivot.x, y: local.y + local.height * object.pivot.y },
          fills: [],
          stroke: { color: colorOf(s), widthPx: object.lineWidthPx * scale },
          shadows: paint.shadows,
          blurPx: 0,
          matte: null,
        };
        parts.push(
          makePart(
            object,
            context,
            at,
            { kind: "shape", plate: plateOf(pictureOfShape(shape)), shape },
            { subId: `line:${s}`, delayMs: s * object.motion.staggerMs },
          ),
        );
        const dot = object.dotPx * scale;
        if (dot > 0)
          for (const [i, { x, y }] of points.entries()) {
            const rect = { x: 0, y: 0, width: dot, height: dot };
            const item: PictureItem = {
              kind: "ellipse",
              rect,
              fill: { kind: "solid", color: colorOf(s) },
              stroke: null,
              shadows: [],
            };
            const spot = { x: Math.round(at.x + x - dot / 2), y: Math.round(at.y + y - dot / 2) };
            parts.push(
              makePart(object, context, spot, platePart([item], growToPixels(rect, 0)), {
                subId: `dot:${rows[i]?.key}:${s}`,
                delayMs: i * object.motion.staggerMs,
                box: rect,
              }),
            );
          }
      }

    for (const [i, row] of rows.entries()) {
      const delayMs = i * object.motion.staggerMs;
      const x = plot.x + pitch * i;
      if (labelPx > 0) {
        const box = { x, y: plot.y + plot.height, width: pitch, height: labelPx };
        const items = cellItems(row.cells[0] ?? "", box, "center", object, fonts, paint, context);
        parts.push(
          makePart(object, context, at, platePart(items, box), { subId: `label:${row.key}`, delayMs, box }),
        );
      }
      // One series has its values over it; of several they would stand in one another.
      const first = numbers[i]?.[0];
      if (valuePx <= 0 || series !== 1 || !first) continue;
      const box = { x: 0, y: 0, width: Math.max(1, pitch), height: valuePx };
      const y = Math.round(at.y + plot.y + plot.height * (1 - share(first.value)) - valuePx);
      parts.push(
        makePart(
          object,
          context,
          { x: Math.round(at.x + x), y },
          numberCell(first.typed, { box, align: "center", delayMs }, object, fonts, paint, context),
          { subId: `value:${row.key}`, delayMs, box },
        ),
      );
    }
    return parts;
  },
});
