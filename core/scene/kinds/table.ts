import { z } from "zod";
import { t } from "../../language/t.ts";
import { measureSchema, type Resolved } from "../../names/measure.ts";
import type { PictureItem, Point, Rect } from "../../picture/picture.ts";
import { placeInBox } from "../../picture/place.ts";
import type { FontChoice } from "../../text/fontChoice.ts";
import { colorRefSchema } from "../houseStyle.ts";
import {
  findPicture,
  makePart,
  type ObjectContext,
  placeBox,
  type ResolvedPaint,
  resolveCorners,
  resolveFill,
  resolveFonts,
  resolvePaint,
} from "../objectContext.ts";
import type { Part } from "../part.ts";
import { ALIGNS, cornersSchema, fillSchema, NO_FILL, named } from "../properties.ts";
import {
  adjustedRows,
  areRowsBlank,
  cellItems,
  cellWidth,
  platePart,
  type Row,
  rowsOf,
  rowsShape,
  shownRows,
} from "../rows.ts";
import { defineKind } from "./objectKind.ts";

const columnSchema = z.strictObject({
  /** What stands above it, where the table has a heading. */
  title: z.string().max(80).default(""),
  /** Share of the width; null: as wide as its longest words. */
  share: z.number().positive().max(100).nullable().default(1),
  align: z.enum(ALIGNS).default("start"),
  weight: z.enum(["regular", "bold"]).nullable().default(null),
  color: colorRefSchema.nullable().default(null),
  /** Its words; a picture of the library by its name; or a mark for "up", "down", "same", "yes". */
  shows: z.enum(["words", "picture", "mark"]).default("words"),
});

const schema = z.strictObject({
  ...rowsShape,
  kind: z.literal("table"),
  /** The first is what a row is known by when it changes place. */
  columns: named(z.array(columnSchema).min(1).max(12), "Content", "Columns"),
  heading: named(
    z
      .strictObject({
        heightPx: measureSchema(1, 1_000),
        fill: fillSchema.default(NO_FILL),
        color: colorRefSchema,
        weight: z.enum(["regular", "bold"]).default("bold"),
      })
      .nullable()
      .default(null),
    "Look",
    "Heading",
  ),
  /** Numbers places from 1, standing still while rows move; width of that column, 0 for none. */
  rankWidthPx: named(measureSchema(0, 1_000).default(0), "Place", t`Width of places`, "px"),
  rankColor: named(colorRefSchema, "Look", t`Colour of places`),
  rowFill: named(fillSchema.default(NO_FILL), "Look", "Rows"),
  firstRowFill: named(fillSchema.default(NO_FILL), "Look", t`First row`),
  /** Every second row, where it is not as the others. */
  otherRowFill: named(fillSchema.default(NO_FILL), "Look", t`Every second row`),
  corners: cornersSchema,
  padPx: named(measureSchema(0, 400).default(0), "Place", t`Room at the sides`, "px"),
});
export type TableSpec = z.infer<typeof schema>;
type TableObject = Resolved<TableSpec>;

interface Column {
  readonly x: number;
  readonly width: number;
  readonly of: TableObject["columns"][number];
}

/** A table: each row is a part that glides when it changes place; places are numbered by parts that stand still. */
export const tableKind = defineKind({
  name: t`table`,
  schema,
  fieldOf: ({ field }) => field,
  isBlank: areRowsBlank,
  adjust: adjustedRows,
  layOut: (object, context) => {
    const { lookup, place } = context;
    const all = rowsOf(object, context);
    const { at, local } = placeBox(object.box, place);
    const { scale } = place;
    const fonts = resolveFonts(object, context, JSON.stringify(all));
    const height = Math.round(object.rowHeightPx * scale);
    const pitch = height + Math.round(object.rowGapPx * scale);
    const padPx = object.padPx * scale;
    const rankPx = object.rankWidthPx * scale;
    const headPx = object.heading ? Math.round(object.heading.heightPx * scale) : 0;
    const box: Rect = { x: local.x, y: local.y, width: local.width, height };
    const paint = resolvePaint({ ...object, stroke: null }, box, context);
    const radiiPx = resolveCorners(object.corners, box, context);
    const rows = shownRows(
      object,
      Math.floor((local.height - headPx + pitch - height) / pitch),
      all,
      context,
    );
    const columns = placeColumns(object, rows, box, padPx, rankPx, fonts, context);
    const parts: Part[] = [];
    const ground = (fill: TableObject["rowFill"], rect: Rect): PictureItem[] => {
      const resolved = resolveFill(fill, rect, object.id, context);
      return resolved.kind === "none"
        ? []
        : [{ kind: "rectangle", rect, radiiPx, fill: resolved, stroke: null, shadows: paint.shadows }];
    };
    if (object.heading && rows.length > 0) {
      const { color, weight, fill } = object.heading;
      const rect = { ...box, height: headPx };
      const headFonts = weight === "bold" ? { ...fonts, regular: fonts.bold } : fonts;
      const own: ResolvedPaint = { ...paint, fill: { kind: "solid", color: lookup.color(color) } };
      const items = columns.flatMap(({ x, width, of }) =>
        cellItems(of.title, { ...rect, x, width }, of.align, object, headFonts, own, context),
      );
      parts.push(
        makePart(object, context, at, platePart([...ground(fill, rect), ...items], rect), {
          subId: "heading",
          box: rect,
        }),
      );
    }
    const fillOf = (i: number) => {
      if (i === 0 && object.firstRowFill.kind !== "none") return object.firstRowFill;
      return i % 2 === 1 && object.otherRowFill.kind !== "none" ? object.otherRowFill : object.rowFill;
    };
    for (const [i, row] of rows.entries()) {
      const items = ground(fillOf(i), box);
      for (const [n, { x, width, of }] of columns.entries()) {
        const words = row.cells[n] ?? "";
        const cell = { ...box, x, width };
        if (of.shows === "picture") items.push(...cellPicture(words, cell, of.align, object.id, context));
        else if (of.shows === "mark") items.push(...cellMark(words, cell, of, paint, context));
        else {
          const own = of.color
            ? { ...paint, fill: { kind: "solid", color: lookup.color(of.color) } as const }
            : paint;
          const ownFonts = of.weight === "bold" ? { ...fonts, regular: fonts.bold } : fonts;
          items.push(...cellItems(words, cell, of.align, object, ownFonts, own, context));
        }
      }
      parts.push(
        makePart(object, context, { x: at.x, y: at.y + headPx + i * pitch }, platePart(items, box), {
          subId: `row:${row.key}`,
          delayMs: i * object.motion.staggerMs,
          box,
        }),
      );
    }
    if (rankPx > 0) {
      const rankPaint: ResolvedPaint = {
        fill: { kind: "solid", color: lookup.color(object.rankColor) },
        stroke: null,
        shadows: [],
      };
      const rankBox = { ...box, x: box.x + padPx, width: rankPx };
      for (const i of rows.keys()) {
        const bold = { ...fonts, regular: fonts.bold };
        const items = cellItems(String(i + 1), rankBox, "start", object, bold, rankPaint, context);
        parts.push(
          makePart(object, context, { x: at.x, y: at.y + headPx + i * pitch }, platePart(items, box), {
            subId: `rank:${i + 1}`,
            delayMs: i * object.motion.staggerMs,
            box,
          }),
        );
      }
    }
    return parts;
  },
});

/** Columns as wide as their words have what they need; the others share what is left. */
function placeColumns(
  object: TableObject,
  rows: readonly Row[],
  box: Rect,
  padPx: number,
  rankPx: number,
  fonts: FontChoice,
  context: ObjectContext,
): Column[] {
  const gapPx = 8 * context.place.scale;
  const room = Math.max(1, box.width - rankPx - 2 * padPx);
  const needs = object.columns.map(({ share, shows, title, weight }, n) => {
    if (share !== null) return null;
    if (shows !== "words") return box.height;
    const cut = weight === "bold" ? { ...fonts, regular: fonts.bold } : fonts;
    const widths = rows.map(({ cells }) => cellWidth(cells[n] ?? "", object, cut, context));
    const head = object.heading ? cellWidth(title, object, { ...fonts, regular: fonts.bold }, context) : 0;
    // Some room to the next column.
    return Math.max(head, ...widths, 0) + gapPx * 3;
  });
  const needed = needs.reduce<number>((sum, px) => sum + (px ?? 0), 0);
  // Words that need more than there is share it by what they need.
  const squeeze = needed > room ? room / needed : 1;
  const shares = object.columns.reduce((sum, { share }) => sum + (share ?? 0), 0);
  const left = Math.max(0, room - needed * squeeze);
  let x = box.x + rankPx + padPx;
  return object.columns.map((of, n) => {
    const need = needs[n] ?? null;
    const width = need === null ? (left * (of.share ?? 0)) / Math.max(shares, 1e-9) : need * squeeze;
    const column = { x, width: width - gapPx, of };
    x += width;
    return column;
  });
}

function cellPicture(
  hash: string,
  cell: Rect,
  align: Column["of"]["align"],
  objectId: string,
  context: ObjectContext,
): PictureItem[] {
  if (hash === "") return [];
  const { info } = findPicture({ kind: "media", hash }, objectId, context);
  if (!info) return [];
  const inner = { ...cell, y: cell.y + cell.height * 0.12, height: cell.height * 0.76 };
  const whole = placeInBox(info, inner, "fit", { x: 0.5, y: 0.5 });
  const x = { start: inner.x, center: whole.x, end: inner.x + inner.width - whole.width }[align];
  const dest = { ...whole, x };
  return [
    {
      kind: "rectangle",
      rect: dest,
      radiiPx: [0, 0, 0, 0],
      fill: { kind: "image", file: info.file, dest },
      stroke: null,
      shadows: [],
    },
  ];
}

/** Marks as points of a square, by what may be typed for them. */
const MARKS: readonly { readonly typed: RegExp; readonly points: readonly Point[] }[] = [
  {
    typed: /^(up|\+|▲|↑)$/i,
    points: [
      { x: 0.5, y: 0.18 },
      { x: 0.92, y: 0.82 },
      { x: 0.08, y: 0.82 },
    ],
  },
  {
    typed: /^(down|-|−|▼|↓)$/i,
    points: [
      { x: 0.08, y: 0.18 },
      { x: 0.92, y: 0.18 },
      { x: 0.5, y: 0.82 },
    ],
  },
  {
    typed: /^(same|=|→|–)$/i,
    points: [
      { x: 0.1, y: 0.42 },
      { x: 0.9, y: 0.42 },
      { x: 0.9, y: 0.58 },
      { x: 0.1, y: 0.58 },
    ],
  },
  {
    typed: /^(yes|true|x|✓|✔)$/i,
    points: [
      { x: 0.06, y: 0.52 },
      { x: 0.2, y: 0.38 },
      { x: 0.4, y: 0.58 },
      { x: 0.8, y: 0.14 },
      { x: 0.94, y: 0.28 },
      { x: 0.4, y: 0.86 },
    ],
  },
];

function cellMark(
  typed: string,
  cell: Rect,
  { align, color }: Column["of"],
  paint: ResolvedPaint,
  context: ObjectContext,
): PictureItem[] {
  const mark = MARKS.find((candidate) => candidate.typed.test(typed));
  if (!mark) return [];
  const side = cell.height * 0.36;
  const spare = cell.width - side;
  const x = cell.x + { start: 0, center: spare / 2, end: spare }[align];
  const y = cell.y + (cell.height - side) / 2;
  return [
    {
      kind: "polygon",
      points: mark.points.map((point) => ({ x: x + point.x * side, y: y + point.y * side })),
      fill: color ? { kind: "solid", color: context.lookup.color(color) } : paint.fill,
      stroke: null,
      shadows: [],
    },
  ];
}
