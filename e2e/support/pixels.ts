import type { Locator, Page } from "@playwright/test";
import { PNG } from "pngjs";

export interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export async function shoot(what: Page | Locator): Promise<PNG> {
  const options = { omitBackground: true, animations: "allow", caret: "initial" } as const;
  return PNG.sync.read(await what.screenshot(options));
}

/**
 * How far two windows with the same elements may lie apart, of 255: a browser lays translucent plates together in
 * one layer or in several, by what moved there before, and rounds once for each.
 */
export const LAYER_ROUNDING = 1;

/** The largest difference of any channel of any pixel within an area; 255 when the sizes differ. */
export function largestDifference(
  a: PNG,
  b: PNG,
  area: Area = { x: 0, y: 0, width: a.width, height: a.height },
): number {
  if (a.width !== b.width || a.height !== b.height) return 255;
  let largest = 0;
  for (let y = area.y; y < area.y + area.height; y++)
    for (let x = area.x; x < area.x + area.width; x++)
      for (let channel = 0; channel < 4; channel++) {
        const i = (y * a.width + x) * 4 + channel;
        largest = Math.max(largest, Math.abs((a.data[i] as number) - (b.data[i] as number)));
      }
  return largest;
}

/** Mean of red, green and blue, 0 to 255, weighted by alpha. */
export function brightness(png: PNG): number {
  let sum = 0;
  for (let i = 0; i < png.data.length; i += 4) {
    const alpha = (png.data[i + 3] as number) / 255;
    sum += alpha * ((png.data[i] as number) + (png.data[i + 1] as number) + (png.data[i + 2] as number));
  }
  return sum / (png.data.length / 4) / 3;
}

/** A picture without its outermost pixels: a small one on the desk shares them with its frame. */
export function withoutEdge(png: PNG, edgePx: number): PNG {
  const width = png.width - 2 * edgePx;
  const height = png.height - 2 * edgePx;
  const inner = new PNG({ width, height });
  PNG.bitblt(png, inner, edgePx, edgePx, width, height, 0, 0);
  return inner;
}

export function pixel(png: PNG, x: number, y: number): number[] {
  const i = (y * png.width + x) * 4;
  return [...png.data.slice(i, i + 4)];
}
