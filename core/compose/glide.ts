import { easeAt } from "../motion/easing.ts";

/** A part's place from a time on. Going from one to the next takes `glideMs`. */
export interface Place {
  readonly fromMs: number;
  readonly x: number;
  readonly y: number;
  /** How much of its width is shown, 0 to 1. */
  readonly extent: number;
  readonly glideMs: number;
}

/** Rows that change place take this long: long enough to be followed by eye. */
export const GLIDE_MS = 700;

type At = Pick<Place, "x" | "y" | "extent">;

/**
 * Where a part is at a time. A glide that begins while another goes on starts from where the part is by then.
 * @param places in order of time, at least one
 */
export function placeAt(places: readonly Place[], atMs: number): At {
  let i = places.length - 1;
  while (i > 0 && (places[i] as Place).fromMs > atMs) i--;
  return reachedAt(places, i, atMs);
}

function reachedAt(places: readonly Place[], i: number, atMs: number): At {
  const to = places[i] as Place;
  const t = to.glideMs <= 0 ? 1 : easeAt("ease-in-out", (atMs - to.fromMs) / to.glideMs);
  if (i === 0 || t >= 1) return to;
  const from = reachedAt(places, i - 1, to.fromMs);
  const mix = (a: number, b: number) => a * (1 - t) + b * t;
  return { x: mix(from.x, to.x), y: mix(from.y, to.y), extent: mix(from.extent, to.extent) };
}
