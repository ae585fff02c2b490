import type { Track } from "../motion/track.ts";
import type { Picture, PictureItem } from "../picture/picture.ts";
import { plateOf } from "../scene/objectContext.ts";
import type { Shutter } from "../show/shutter.ts";
import type { Output } from "../venue/plan.ts";
import type { Piece } from "./piece.ts";

/** How long black or the stand-by takes to come and to go. */
export const SHUTTER_MS = 600;

/** How far an output is shut at a time: 0 open, 1 shut. Sound goes with it. */
export function shutAt({ sinceMs, untilMs }: Pick<Shutter, "sinceMs" | "untilMs">, atMs: number): number {
  const part = (ms: number) => Math.max(0, Math.min(1, ms / SHUTTER_MS));
  const shut = part(atMs - sinceMs);
  return untilMs === null ? shut : Math.min(shut, 1 - part(atMs - untilMs));
}

const fade = (from: number, to: number): readonly Track[] => [
  {
    property: "opacity",
    keyframes: [
      { atMs: 0, value: from, easing: "linear" },
      { atMs: SHUTTER_MS, value: to, easing: "linear" },
    ],
  },
];
const FADE_IN = fade(0, 1);
const FADE_OUT = fade(1, 0);
const LEAVING = { kind: "tracks", tracks: FADE_OUT, lengthMs: SHUTTER_MS } as const;

/**
 * The pieces of an output with its shutter: black or the stand-by picture over all of them, fading in and out; an output
 * that lies over another picture fades away instead.
 */
export function withShutter(pieces: readonly Piece[], shutter: Shutter | undefined, output: Output): Piece[] {
  if (!shutter) return [...pieces];
  const { sinceMs, untilMs } = shutter;
  if (output.backdrop === "transparent" || output.signal !== "picture") {
    const group = (id: string, life: Piece["life"]): Piece => ({
      ...STILL,
      id: `shutter/${id}/${sinceMs}`,
      key: id,
      life,
      content: {
        kind: "group",
        pieces,
        blend: "normal",
        clip: null,
        rect: { x: 0, y: 0, width: output.widthPx, height: output.heightPx },
      },
    });
    const before = { fromMs: 0, arriving: [], stay: null, until: { atMs: sinceMs, leaving: LEAVING } };
    const after = untilMs !== null && { fromMs: untilMs, arriving: FADE_IN, stay: null, until: null };
    return [group("before", before), ...(after ? [group("after", after)] : [])];
  }
  const picture = pictureOf(shutter, output);
  const plate = plateOf(picture);
  const over: Piece = {
    ...STILL,
    id: `shutter/${sinceMs}`,
    key: plate.key,
    life: {
      fromMs: sinceMs,
      arriving: FADE_IN,
      stay: null,
      until: untilMs === null ? null : { atMs: untilMs, leaving: LEAVING },
    },
    content: { kind: "plate", plate, radiiPx: [0, 0, 0, 0], growsFrom: "left" },
  };
  return [...pieces, over];
}

const STILL = {
  opacity: 1,
  rotationDeg: 0,
  pivot: { x: 0, y: 0 },
  looks: { blurPx: 0, tint: null, color: null },
  places: [{ fromMs: 0, x: 0, y: 0, extent: 1, glideMs: 0 }],
} as const;

function pictureOf(shutter: Shutter, { widthPx, heightPx, standBy: own }: Output): Picture {
  const standBy = own.show === "picture" ? own : shutter.standBy;
  const bounds = { x: 0, y: 0, width: widthPx, height: heightPx };
  const rectangle = {
    kind: "rectangle",
    rect: bounds,
    radiiPx: [0, 0, 0, 0],
    stroke: null,
    shadows: [],
  } as const;
  const items: PictureItem[] = [{ ...rectangle, fill: { kind: "solid", color: "#000000" } }];
  if (shutter.picture === "standBy" && standBy) {
    // Covers the output, cut evenly where the shapes differ.
    const scale = Math.max(widthPx / standBy.widthPx, heightPx / standBy.heightPx);
    const [width, height] = [standBy.widthPx * scale, standBy.heightPx * scale];
    const dest = { x: (widthPx - width) / 2, y: (heightPx - height) / 2, width, height };
    items.push({ ...rectangle, fill: { kind: "image", file: standBy.file, dest } });
  }
  return { bounds, items };
}
