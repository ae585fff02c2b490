import { z } from "zod";
import { charactersOf, widestOf } from "../figures/figures.ts";
import { objectSubject } from "../findings/finding.ts";
import { droppedRows } from "../findings/kinds/droppedRows.ts";
import { t } from "../language/t.ts";
import { measureSchema } from "../names/measure.ts";
import type { PictureItem, Rect } from "../picture/picture.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { layOutText } from "../text/layOutText.ts";
import { linesOf } from "../text/lines.ts";
import type { Adjustment } from "./adjustment.ts";
import { numberValue } from "./figuresValue.ts";
import { adjustedLetters } from "./kinds/objectKind.ts";
import { inCase } from "./letterCase.ts";
import type { FieldValues } from "./lookup.ts";
import { capWords, type ObjectContext, plateAround, type ResolvedPaint } from "./objectContext.ts";
import type { Part } from "./part.ts";
import { placeText } from "./placeText.ts";
import {
  type Align,
  common,
  fieldNameSchema,
  fillSchema,
  type Letters,
  letters,
  NO_FILL,
  named,
  shadowsProperty,
} from "./properties.ts";
import { setFigures } from "./setFigures.ts";

/** What tables and bars have in common. */
export const rowsShape = {
  ...common,
  ...letters,
  /** Rows, one for each line of the field; cells parted by tabs or "|". */
  field: named(fieldNameSchema, "Content", "Rows"),
  mostRows: named(z.number().int().min(1).max(60).default(20), "Content", t`Most rows`),
  rowHeightPx: named(measureSchema(1, 1_000), "Place", t`Height of a row`, "px"),
  rowGapPx: named(measureSchema(0, 400).default(0), "Place", t`Between rows`, "px"),
  fill: named(fillSchema.default(NO_FILL), "Look", t`Colour of the words`),
  shadows: shadowsProperty,
};

export const areRowsBlank = ({ field }: { readonly field: string }, values: FieldValues): boolean =>
  (values[field] ?? "").trim() === "";

/** Rows grow with their words. */
export const adjustedRows = <
  T extends Parameters<typeof adjustedLetters>[0] & { readonly rowHeightPx: number },
>(
  object: T,
  adjustment: Adjustment,
): T => ({ ...adjustedLetters(object, adjustment), rowHeightPx: object.rowHeightPx * adjustment.scale });

export interface Row {
  /** What the row is known by when it changes place. */
  readonly key: string;
  readonly cells: readonly string[];
}

/** Rows of a field: lines, cells parted by tabs or upright strokes. Rows of the same name are told apart by their turn. */
export function parseRows(words: string): Row[] {
  const seen = new Map<string, number>();
  return linesOf(words).map((line) => {
    const cells = line.split(/\t|\|/).map((cell) => cell.trim());
    const name = cells[0] ?? "";
    const times = (seen.get(name) ?? 0) + 1;
    seen.set(name, times);
    return { key: times === 1 ? name : `${name}#${times}`, cells };
  });
}

/** The rows of an object's field. Those that there is no room for are left out, and told. */
export function shownRows<R extends Row>(
  object: { readonly id: string; readonly field: string; readonly mostRows: number },
  room: number,
  rows: readonly R[],
  { report }: ObjectContext,
): R[] {
  const shown = rows.slice(0, Math.max(0, Math.min(object.mostRows, room)));
  if (shown.length < rows.length)
    report(droppedRows(objectSubject(object.id), { shown: shown.length, rows: rows.length }));
  return shown;
}

export const rowsOf = (
  object: { readonly id: string; readonly field: string },
  context: ObjectContext,
): Row[] => parseRows(capWords(context.lookup.value(object.field), object.id, context));

export const platePart = (items: readonly PictureItem[], ink: Rect): Part["content"] => ({
  kind: "plate",
  plate: plateAround(items, ink),
  radiiPx: [0, 0, 0, 0],
  growsFrom: "left",
});

/** How a cell is set. */
type CellLetters = Pick<Letters, "letterCase" | "minSizePx" | "maxSizePx" | "trackingEm">;

/** How wide the words of a cell are at their full size, px. */
export function cellWidth(
  words: string,
  letters: CellLetters,
  fonts: FontChoice,
  { place, shaper }: ObjectContext,
): number {
  const text = inCase(words, letters.letterCase);
  if (text === "") return 0;
  const block = layOutText(text, cellRequest(letters, WIDE, WIDE, fonts, place.scale), shaper);
  return block.lines[0]?.widthPx ?? 0;
}
const WIDE = 100_000;

function cellRequest(
  { minSizePx, maxSizePx, trackingEm }: CellLetters,
  widthPx: number,
  heightPx: number,
  fonts: FontChoice,
  scale: number,
) {
  return {
    widthPx,
    heightPx,
    minSizePx: minSizePx * scale,
    maxSizePx: Math.min(maxSizePx * scale, heightPx),
    leading: 1,
    keepLinesAbovePx: null,
    balance: false,
    paragraphGap: 0,
    fonts,
    mode: "condense" as const,
    condenseTo: 0.55,
    spacing: { trackingEm, hangNumbers: false },
  };
}

/** One line of words in a cell, narrowed where it must be. */
export function cellItems(
  words: string,
  box: Rect,
  align: Align,
  object: CellLetters,
  fonts: FontChoice,
  paint: ResolvedPaint,
  context: ObjectContext,
): PictureItem[] {
  const text = inCase(words, object.letterCase);
  if (text === "" || box.width <= 0) return [];
  const request = cellRequest(object, box.width, box.height, fonts, context.place.scale);
  const block = layOutText(text, request, context.shaper);
  return placeText(
    block,
    box,
    { align, verticalAlign: "middle", by: "whole" },
    { ...paint, shadows: [] },
    context,
  ).flatMap(({ items }) => items);
}

/** A number in a cell that counts up to itself; what is no number stands there as typed. */
export function numberCell(
  typed: string,
  { box, align, delayMs }: { readonly box: Rect; readonly align: Align; readonly delayMs: number },
  object: CellLetters & { readonly id: string; readonly countMs: number },
  fonts: FontChoice,
  paint: ResolvedPaint,
  { place, shaper }: ObjectContext,
): Part["content"] {
  // Who reads the rows tells what is no number.
  const value = numberValue(typed, object.countMs, object.id, { report: () => {} });
  const how = {
    ...{ box, fonts: { ...fonts, regular: fonts.bold }, trackingEm: 0, verticalAlign: "middle" as const },
    minSizePx: object.minSizePx * place.scale,
    maxSizePx: object.maxSizePx * place.scale,
  };
  const { figures } = setFigures(charactersOf(value), widestOf(value), how, paint, shaper);
  return {
    ...{ kind: "figures", figures, align, letterCase: "asTyped", box, widthPx: box.width },
    value: value.kind === "number" ? { ...value, delayMs } : value,
  };
}
