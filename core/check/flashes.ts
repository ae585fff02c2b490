import type { FrameBrightness } from "./measures.ts";

/** A change of light that counts: a tenth of the greatest brightness, where the darker of both is below 0.8. */
const LEAST_CHANGE = 0.1;
const DARKER_BELOW = 0.8;
/** It matters where it is seen on a quarter of a field of a third of the picture's width and height. */
const FIELD = 3;
const LEAST_SHARE = 0.25;

/**
 * The most flashes that are seen in any one second on a large part of the picture. A flash is a pair of opposing changes.
 * Source: WCAG 2.2, 2.3.1 (general flash; an area of 25 % of any 341 × 256 of 1024 × 768); ITU-R BT.1702 has the same pair, from memory.
 */
export function mostFlashes({ columns, rows, framesPerSecond, frames }: FrameBrightness): number {
  const cells = columns * rows;
  /** For each cell the frames at which its light turned. */
  const turns: number[][] = Array.from({ length: cells }, () => []);
  for (let cell = 0; cell < cells; cell++) turnsOf(frames, cell, turns[cell] as number[]);
  const fieldColumns = Math.max(1, Math.round(columns / FIELD));
  const fieldRows = Math.max(1, Math.round(rows / FIELD));
  let most = 0;
  const last = Math.max(0, frames.length - Math.round(framesPerSecond));
  for (let from = 0; from <= last; from++) {
    const until = from + framesPerSecond;
    const flashesIn = turns.map((at) =>
      Math.floor(at.filter((frame) => frame >= from && frame < until).length / 2),
    );
    for (let y = 0; y + fieldRows <= rows; y++)
      for (let x = 0; x + fieldColumns <= columns; x++) {
        const inField: number[] = [];
        for (let dy = 0; dy < fieldRows; dy++)
          for (let dx = 0; dx < fieldColumns; dx++)
            inField.push(flashesIn[(y + dy) * columns + x + dx] as number);
        inField.sort((a, b) => b - a);
        // As many as a quarter of the field shows, or more.
        most = Math.max(most, inField[Math.ceil(inField.length * LEAST_SHARE) - 1] as number);
      }
  }
  return most;
}

/** The frames at which the light of a cell has come as far as counts, up and down in turn. */
function turnsOf(frames: FrameBrightness["frames"], cell: number, turns: number[]): void {
  const at = (frame: number) => frames[frame]?.[cell] as number;
  if (frames.length === 0) return;
  let low = at(0);
  let high = at(0);
  let goes: "up" | "down" | null = null;
  for (let frame = 1; frame < frames.length; frame++) {
    const light = at(frame);
    low = Math.min(low, light);
    high = Math.max(high, light);
    if (goes !== "up" && light - low >= LEAST_CHANGE && low < DARKER_BELOW) {
      turns.push(frame);
      goes = "up";
      high = light;
    } else if (goes !== "down" && high - light >= LEAST_CHANGE && light < DARKER_BELOW) {
      turns.push(frame);
      goes = "down";
      low = light;
    }
    if (goes === "up" && light >= high) low = light;
    if (goes === "down" && light <= low) high = light;
  }
}
