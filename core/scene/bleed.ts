import type { ReadableObject } from "./template.ts";

interface WholeScreen {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const made = new WeakMap<ReadableObject, Map<string, ReadableObject>>();

/**
 * What fills the canvas from edge to edge fills the screen, where that has another shape: grounds, gradients, pictures and clips
 * that touch two opposite edges go on to the screen's own. The same object for the same screen, so that what was laid out of it holds.
 * @param canvas the size the template was made for
 * @param screen the whole screen in the template's pixels
 */
export function bled(
  object: ReadableObject,
  canvas: { readonly widthPx: number; readonly heightPx: number },
  screen: WholeScreen,
): ReadableObject {
  if (object.kind !== "rectangle" && object.kind !== "picture" && object.kind !== "video") return object;
  const { box } = object;
  const isWide = box.x <= 0 && box.x + box.width >= canvas.widthPx && screen.width > canvas.widthPx;
  const isHigh = box.y <= 0 && box.y + box.height >= canvas.heightPx && screen.height > canvas.heightPx;
  // What spans the width alone, such as a bar, goes to both sides; a ground goes everywhere.
  if (!isWide && !isHigh) return object;
  const key = JSON.stringify(screen);
  const known = made.get(object) ?? new Map<string, ReadableObject>();
  made.set(object, known);
  let result = known.get(key);
  if (!result) {
    result = {
      ...object,
      box: {
        ...box,
        ...(isWide && { x: screen.x, width: screen.width }),
        ...(isHigh && { y: screen.y, height: screen.height }),
      },
    };
    known.set(key, result);
  }
  return result;
}
