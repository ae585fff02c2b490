import type { Output } from "../../core/venue/plan.ts";

/** Between two cards and between the rows of them, px. */
const GAP_X_PX = 16;
const GAP_Y_PX = 10;
/** The line with the name above the pictures, and their frames. */
const CARD_EXTRA_PX = 38;
/** Between a picture and the one of what is next, with both frames. */
const BESIDE_PX = 10;
/** The narrowest card: its name and how it does stand in one line. */
const LEAST_CARD_PX = 165;
const LEAST_HEIGHT_PX = 44;
/** The first screen is the one most people see: its size counts more. */
const FIRST_WEIGHT = 1.6;
/** What it costs that another picture is larger than the first. */
const LARGER_THAN_FIRST = 8;
/** With more screens than this not every way to part them into rows is tried. */
const MOST_TRIED = 9;

/** How wide the picture of each output is, and that of what is next beside it. */
export interface PictureRoom {
  readonly widths: readonly number[];
  /** They fit without scrolling. */
  readonly fits: boolean;
}

type Shape = Pick<Output, "widthPx" | "heightPx">;

/**
 * The largest pictures of all outputs that fill a room, each with the one of what is next beside it: rows of outputs in their order,
 * each as high as fills its width, all together no higher than the room.
 */
export function fillRoom(outputs: readonly Shape[], widthPx: number, heightPx: number): PictureRoom {
  let best: (PictureRoom & { readonly worth: number }) | undefined;
  for (const rows of partings(outputs)) {
    const room = layRows(rows, widthPx, heightPx);
    if (
      !best ||
      Number(room.fits) > Number(best.fits) ||
      (room.fits === best.fits && room.worth > best.worth)
    )
      best = room;
  }
  return best ?? { widths: [], fits: true };
}

/** The width of a card with two pictures of a width. */
export const cardWidth = (pictureWidthPx: number): number =>
  Math.max(LEAST_CARD_PX, pictureWidthPx * 2 + BESIDE_PX);

/** The ways to part outputs into rows. */
function* partings(outputs: readonly Shape[]): Generator<readonly (readonly Shape[])[]> {
  const { length } = outputs;
  if (length === 0) return;
  if (length > MOST_TRIED) {
    for (let perRow = 1; perRow <= length; perRow++)
      yield Array.from({ length: Math.ceil(length / perRow) }, (_, row) =>
        outputs.slice(row * perRow, (row + 1) * perRow),
      );
    return;
  }
  for (let breaks = 0; breaks < 2 ** (length - 1); breaks++) {
    const rows: Shape[][] = [[]];
    for (const [index, output] of outputs.entries()) {
      if (index > 0 && breaks & (1 << (index - 1))) rows.push([]);
      rows.at(-1)?.push(output);
    }
    yield rows;
  }
}

function layRows(
  rows: readonly (readonly Shape[])[],
  widthPx: number,
  heightPx: number,
): PictureRoom & { readonly worth: number } {
  const heights = rows.map((row) => rowHeight(row, widthPx));
  const fixed = rows.length * CARD_EXTRA_PX + (rows.length - 1) * GAP_Y_PX;
  const wanted = heights.reduce((sum, height) => sum + height, 0);
  const scale = Math.min(1, (heightPx - fixed) / wanted);
  const widths: number[] = [];
  let worth = 0;
  let firstArea: number | undefined;
  let fits = scale > 0;
  for (const [index, row] of rows.entries()) {
    const height = Math.max(LEAST_HEIGHT_PX, (heights[index] ?? 0) * scale);
    // A ribbon is low wherever it is wide.
    if (
      height > (heights[index] ?? 0) * scale + 0.5 &&
      row.some((shape) => shape.widthPx < shape.heightPx * 3)
    )
      fits = false;
    for (const shape of row) {
      const width = Math.min((height * shape.widthPx) / shape.heightPx, (widthPx - BESIDE_PX) / 2);
      // Doubling a small picture is worth as much as doubling a large one.
      const area = width * height;
      firstArea ??= area;
      worth += Math.log(area) * (widths.length === 0 ? FIRST_WEIGHT : 1);
      worth -= LARGER_THAN_FIRST * Math.max(0, Math.log(area / firstArea));
      widths.push(Math.floor(width));
    }
  }
  return { widths, fits, worth };
}

/** How high the pictures of a row are when its cards fill the width. */
function rowHeight(row: readonly Shape[], widthPx: number): number {
  const shapes = row.map((output) => output.widthPx / output.heightPx);
  let free = widthPx - (row.length - 1) * GAP_X_PX;
  let open = shapes;
  // Cards that would be narrower than their name take what that needs; the others share the rest.
  for (;;) {
    const sum = open.reduce((total, shape) => total + shape, 0);
    const height = (free - open.length * BESIDE_PX) / (2 * sum);
    const narrow = open.filter((shape) => 2 * height * shape + BESIDE_PX < LEAST_CARD_PX);
    if (narrow.length === 0 || narrow.length === open.length) return Math.max(1, height);
    free -= narrow.length * LEAST_CARD_PX;
    open = open.filter((shape) => !narrow.includes(shape));
  }
}
