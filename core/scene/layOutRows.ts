import { charactersOf, widestOf } from "../figures/figures.ts";
import { parseNumber } from "../figures/number.ts";
import { objectSubject } from "../findings/finding.ts";
import { notANumber } from "../findings/kinds/notANumber.ts";
import type { PictureItem, Rect } from "../picture/picture.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { layOutText } from "../text/layOutText.ts";
import { linesOf } from "../text/lines.ts";
import { numberValue, setFigures } from "./layOutFigures.ts";
import {
  capWords,
  inCase,
  makePart,
  type ObjectContext,
  type PlacedBox,
  placeBox,
  plateAround,
  type ResolvedPaint,
  resolveCorners,
  resolveFill,
  resolveFonts,
  resolvePaint,
} from "./objectContext.ts";
import type { Part } from "./part.ts";
import { placeText } from "./placeText.ts";
import type { BarsObject, Fill, TableObject, TextObject } from "./template.ts";

interface Row {
  /** What the row is known by when it changes place. */
  readonly key: string;
  readonly cells: readonly string[];
}

/** Rows of a field: lines, cells parted by tabs or upright strokes. Rows of the same name are told apart by their turn. */
export function parseRows(words: string, most: number): Row[] {
  const seen = new Map<string, number>();
  return linesOf(words)
    .slice(0, most)
    .map((line) => {
      const cells = line.split(/\t|\|/).map((cell) => cell.trim());
      const name = cells[0] ?? "";
      const times = (seen.get(name) ?? 0) + 1;
      seen.set(name, times);
      return { key: times === 1 ? name : `${name}#${times}`, cells };
    });
}

/** A table: each row is a part that glides when it changes place; places are numbered by parts that stand still. */
export function layOutTable(object: TableObject, context: ObjectContext): Part[] {
  const { lookup, place } = context;
  const rows = parseRows(capWords(lookup.value(object.field), object.id, context), object.mostRows);
  const { at, local } = placeBox(object.box, place);
  const { scale } = place;
  const fonts = resolveFonts(object, context, JSON.stringify(rows));
  const height = Math.round(object.rowHeightPx * scale);
  const pitch = height + Math.round(object.rowGapPx * scale);
  const padPx = object.padPx * scale;
  const rankPx = object.rankWidthPx * scale;
  const box: Rect = { x: local.x, y: local.y, width: local.width, height };
  const paint = resolvePaint({ ...object, stroke: null }, box, context);
  const radiiPx = resolveCorners(object.corners, box, context);
  const shares = object.columns.reduce((sum, { share }) => sum + share, 0);
  const room = Math.max(1, box.width - rankPx - 2 * padPx);
  const shown = rows.slice(0, Math.max(0, Math.floor((local.height + pitch - height) / pitch)));
  const parts: Part[] = [];
  for (const [i, row] of shown.entries()) {
    const background = resolveFill(
      i === 0 && object.firstRowFill.kind !== "none" ? object.firstRowFill : object.rowFill,
      box,
      object.id,
      context,
    );
    const items: PictureItem[] = [];
    if (background.kind !== "none")
      items.push({
        kind: "rectangle",
        rect: box,
        radiiPx,
        fill: background,
        stroke: null,
        shadows: paint.shadows,
      });
    let x = box.x + rankPx + padPx;
    for (const [column, { share, align }] of object.columns.entries()) {
      const width = (room * share) / shares;
      items.push(
        ...cellItems(
          row.cells[column] ?? "",
          { ...box, x, width: width - scale * 8 },
          align,
          object,
          fonts,
          paint,
          context,
        ),
      );
      x += width;
    }
    parts.push(
      makePart(object, context, { x: at.x, y: at.y + i * pitch }, platePart(items, box), {
        subId: `row:${row.key}`,
        delayMs: i * object.motion.staggerMs,
      }),
    );
  }
  if (rankPx > 0) {
    const color = lookup.color(object.rankColor);
    for (const i of shown.keys()) {
      const rankBox = { ...box, x: box.x + padPx, width: rankPx };
      const rankPaint: ResolvedPaint = { fill: { kind: "solid", color }, stroke: null, shadows: [] };
      const items = cellItems(
        String(i + 1),
        rankBox,
        "start",
        object,
        { ...fonts, regular: fonts.bold },
        rankPaint,
        context,
      );
      parts.push(
        makePart(object, context, { x: at.x, y: at.y + i * pitch }, platePart(items, box), {
          subId: `rank:${i + 1}`,
          delayMs: i * object.motion.staggerMs,
        }),
      );
    }
  }
  return parts;
}

const platePart = (items: readonly PictureItem[], ink: Rect): Part["content"] => ({
  kind: "plate",
  plate: plateAround(items, ink),
  cornerPx: 0,
  blurPx: 0,
  tint: null,
});

/** One line of words in a cell, narrowed where it must be. */
function cellItems(
  words: string,
  box: Rect,
  align: TextObject["align"],
  object: TableObject | BarsObject,
  fonts: FontChoice,
  paint: ResolvedPaint,
  context: ObjectContext,
): PictureItem[] {
  const text = inCase(words, object.letterCase);
  if (text === "" || box.width <= 0) return [];
  const { scale } = context.place;
  const block = layOutText(
    text,
    {
      widthPx: box.width,
      heightPx: box.height,
      minSizePx: object.minSizePx * scale,
      maxSizePx: Math.min(object.maxSizePx * scale, box.height),
      leading: 1,
      keepLinesAbovePx: null,
      balance: false,
      paragraphGap: 0,
      fonts,
      mode: "condense",
      condenseTo: 0.55,
      spacing: { trackingEm: context.lookup.number(object.trackingEm), hangNumbers: false },
    },
    context.shaper,
  );
  return placeText(
    block,
    box,
    { align, verticalAlign: "middle", by: "whole" },
    { ...paint, shadows: [] },
    context,
  ).flatMap(({ items }) => items);
}

/** Bars: a label, a track, a bar as long as its value, and the value counting up. Rows glide when they change place. */
export function layOutBars(object: BarsObject, context: ObjectContext): Part[] {
  const { lookup, place } = context;
  const { scale } = place;
  const rows = parseRows(capWords(lookup.value(object.field), object.id, context), object.mostRows).map(
    (row) => ({
      ...row,
      typed: row.cells[1] ?? "",
      value: parseNumber(row.cells[1] ?? "")?.value,
    }),
  );
  for (const { typed, value, key } of rows)
    if (value === undefined)
      context.report(notANumber(objectSubject(object.id), { text: `${key}: ${typed}`.slice(0, 60) }));
  if (object.sorted)
    rows.sort((a, b) => (b.value ?? Number.NEGATIVE_INFINITY) - (a.value ?? Number.NEGATIVE_INFINITY));
  const placed: PlacedBox = placeBox(object.box, place);
  const { at, local } = placed;
  const height = Math.round(object.rowHeightPx * scale);
  const pitch = height + Math.round(object.rowGapPx * scale);
  const fonts = resolveFonts(object, context, JSON.stringify(rows));
  const paint = resolvePaint({ ...object, stroke: null }, local, context);
  const labelPx = local.width * object.labelShare;
  const valuePx = object.valueWidthPx * scale;
  const trackPx = Math.max(1, Math.round(local.width - labelPx - valuePx));
  const full = object.fullAt ?? Math.max(0, ...rows.map(({ value }) => value ?? 0));
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
  const shown = rows.slice(0, Math.max(0, Math.floor((local.height + pitch - height) / pitch)));
  return shown.flatMap((row, i): Part[] => {
    const y = at.y + i * pitch;
    const delayMs = i * object.motion.staggerMs;
    const labelBox = { x: local.x, y: local.y, width: labelPx - 20 * scale, height };
    const label = cellItems(row.cells[0] ?? "", labelBox, object.align, object, fonts, paint, context);
    const value = numberValue(row.typed, object.countMs, object.id, { ...context, report: () => {} });
    const valueBox = { x: 0, y: local.y, width: Math.max(1, valuePx - 20 * scale), height };
    const set = setFigures(
      charactersOf(value),
      widestOf(value),
      {
        box: valueBox,
        fonts: { ...fonts, regular: fonts.bold },
        trackingEm: 0,
        minSizePx: object.minSizePx * scale,
        maxSizePx: object.maxSizePx * scale,
        verticalAlign: "middle",
      },
      paint,
      context.shaper,
    );
    const part = (subId: string, x: number, extent: number, content: Part["content"]) =>
      makePart(object, context, { x, y, extent }, content, { subId: `${subId}:${row.key}`, delayMs });
    const extent = full > 0 ? Math.max(0, Math.min(1, (row.value ?? 0) / full)) : 0;
    return [
      part("label", at.x, 1, platePart(label, labelBox)),
      ...(trackItem.fill.kind === "none" ? [] : [part("track", trackX, 1, platePart([trackItem], track))]),
      part("bar", trackX, extent, {
        kind: "plate",
        plate: plateAround([barItem], track),
        cornerPx: Math.max(...radiiPx),
        blurPx: 0,
        tint: null,
      }),
      part("value", trackX + trackPx + Math.round(20 * scale), 1, {
        kind: "figures",
        value: value.kind === "number" ? { ...value, delayMs } : value,
        figures: set.figures,
        widthPx: valueBox.width,
        align: "start",
      }),
    ];
  });
}
