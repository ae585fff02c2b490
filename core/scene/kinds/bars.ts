import { z } from "zod";
import { parseNumber } from "../../figures/number.ts";
import { objectSubject } from "../../findings/finding.ts";
import { notANumber } from "../../findings/kinds/notANumber.ts";
import { t } from "../../language/t.ts";
import { measureSchema } from "../../names/measure.ts";
import type { PictureItem, Rect } from "../../picture/picture.ts";
import {
  makePart,
  placeBox,
  plateAround,
  resolveCorners,
  resolveFill,
  resolveFonts,
  resolvePaint,
} from "../objectContext.ts";
import type { Part } from "../part.ts";
import { cornersSchema, type Fill, fillSchema, fractionSchema, NO_FILL, named } from "../properties.ts";
import {
  adjustedRows,
  areRowsBlank,
  cellItems,
  numberCell,
  platePart,
  rowsOf,
  rowsShape,
  shownRows,
} from "../rows.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({
  ...rowsShape,
  kind: z.literal("bars"),
  /** Share of the width for labels; bars and values have the rest. */
  labelShare: named(fractionSchema.default(0.3), "Place", t`Share of the labels`),
  valueWidthPx: named(measureSchema(0, 2_000).default(200), "Place", t`Width of the values`, "px"),
  barFill: named(fillSchema, "Look", "Bars"),
  trackFill: named(fillSchema.default(NO_FILL), "Look", "Tracks"),
  corners: cornersSchema,
  /** Null: the largest value fills the track. */
  fullAt: named(measureSchema(0.000_001, 1_000_000_000).nullable().default(null), "Content", t`Full at`),
  /** Sorts from the largest, so that rows change place as values grow. */
  sorted: named(z.boolean().default(false), "Content", t`Largest first`),
  countMs: named(measureSchema(0, 20_000).default(0), "Motion", t`Counts for`, "ms"),
});

/** Bars: a label, a track, a bar as long as its value, and the value counting up. Rows glide when they change place. */
export const barsKind = defineKind({
  name: t`bars`,
  schema,
  fieldOf: ({ field }) => field,
  isBlank: areRowsBlank,
  adjust: adjustedRows,
  layOut: (object, context) => {
    const { place } = context;
    const { scale } = place;
    const all = rowsOf(object, context).map((row) => ({
      ...row,
      typed: row.cells[1] ?? "",
      value: parseNumber(row.cells[1] ?? "")?.value,
    }));
    for (const { typed, value, key } of all)
      if (value === undefined)
        context.report(notANumber(objectSubject(object.id), { text: `${key}: ${typed}`.slice(0, 60) }));
    if (object.sorted)
      all.sort((a, b) => (b.value ?? Number.NEGATIVE_INFINITY) - (a.value ?? Number.NEGATIVE_INFINITY));
    const { at, local } = placeBox(object.box, place);
    const height = Math.round(object.rowHeightPx * scale);
    const pitch = height + Math.round(object.rowGapPx * scale);
    const fonts = resolveFonts(object, context, JSON.stringify(all));
    const paint = resolvePaint({ ...object, stroke: null }, local, context);
    const labelPx = local.width * object.labelShare;
    const valuePx = object.valueWidthPx * scale;
    const trackPx = Math.max(1, Math.round(local.width - labelPx - valuePx));
    const full = object.fullAt ?? Math.max(0, ...all.map(({ value }) => value ?? 0));
    const track: Rect = { x: 0, y: local.y, width: trackPx, height };
    const radiiPx = resolveCorners(object.corners, track, context);
    const trackX = at.x + Math.round(local.x + labelPx);
    const solidRect = (fill: Fill): PictureItem => ({
      kind: "rectangle",
      rect: track,
      radiiPx,
      fill: resolveFill(fill, track, object.id, context),
      stroke: null,
      shadows: [],
    });
    const trackItem = solidRect(object.trackFill);
    const barItem = solidRect(object.barFill);
    const shown = shownRows(object, Math.floor((local.height + pitch - height) / pitch), all, context);
    return shown.flatMap((row, i): Part[] => {
      const y = at.y + i * pitch;
      const delayMs = i * object.motion.staggerMs;
      const labelBox = { x: local.x, y: local.y, width: labelPx - 20 * scale, height };
      const label = cellItems(row.cells[0] ?? "", labelBox, object.align, object, fonts, paint, context);
      const valueBox = { x: 0, y: local.y, width: Math.max(1, valuePx - 20 * scale), height };
      const part = (subId: string, x: number, extent: number, box: Rect, content: Part["content"]) =>
        makePart(object, context, { x, y, extent }, content, { subId: `${subId}:${row.key}`, delayMs, box });
      const extent = full > 0 ? Math.max(0, Math.min(1, (row.value ?? 0) / full)) : 0;
      return [
        part("label", at.x, 1, labelBox, platePart(label, labelBox)),
        ...(trackItem.fill.kind === "none"
          ? []
          : [part("track", trackX, 1, track, platePart([trackItem], track))]),
        part("bar", trackX, extent, track, {
          kind: "plate",
          plate: plateAround([barItem], track),
          radiiPx,
          growsFrom: "left",
        }),
        part(
          "value",
          trackX + trackPx + Math.round(20 * scale),
          1,
          valueBox,
          numberCell(row.typed, { box: valueBox, align: "start", delayMs }, object, fonts, paint, context),
        ),
      ];
    });
  },
});
