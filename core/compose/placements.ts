import { copiesAt } from "../crawl/strip.ts";
import { figuresAt } from "../figures/figures.ts";
import { lifePoseAt, movingSpans, type Pose, REST } from "../motion/pose.ts";
import { type CornerRadii, growToPixels, type Point, type Rect } from "../picture/picture.ts";
import type { ClipShape, Plate } from "../scene/part.ts";
import type { Blend } from "../scene/template.ts";
import { placeAt } from "./glide.ts";
import type { Piece, PieceContent, Timeline } from "./piece.ts";
import { shutAt } from "./shutterPieces.ts";

/** What is on screen at one instant, from the back to the front: plates, and what only a window can show. */
export type Placement =
  | {
      readonly kind: "plate";
      /** Stable while the same thing stays on screen. */
      readonly id: string;
      readonly plate: Plate;
      /** Where the picture's origin lies. */
      readonly x: number;
      readonly y: number;
      readonly pose: Pose;
      readonly cornerPx: number;
    }
  | {
      readonly kind: "group";
      readonly id: string;
      readonly children: readonly Placement[];
      readonly x: number;
      readonly y: number;
      readonly pose: Pose;
      readonly blend: Blend;
      readonly clip: ClipShape | null;
      readonly center: Point;
    }
  | {
      readonly kind: "video";
      readonly id: string;
      readonly video: Extract<PieceContent, { kind: "video" }>;
      readonly x: number;
      readonly y: number;
      readonly pose: Pose;
      /** Where in the clip. */
      readonly positionMs: number;
      readonly isPlaying: boolean;
      /** Of its level: what it lies in fades, or the screen is shut. */
      readonly gain: number;
    }
  | {
      readonly kind: "program";
      readonly id: string;
      /** On the output, by how far it is squeezed. */
      readonly rect: Rect;
      readonly radiiPx: CornerRadii;
      readonly pose: Pose;
    };

/** The picture of one instant. @param output its size, for a program picture that fills it */
export function placementsAt(
  timeline: Timeline,
  atMs: number,
  output: { readonly widthPx: number; readonly heightPx: number },
): Placement[] {
  const gain = timeline.silence ? 1 - shutAt(timeline.silence, atMs) : 1;
  return timeline.pieces.flatMap((piece) => placePiece(piece, atMs, output, gain));
}

function placePiece(
  piece: Piece,
  atMs: number,
  output: { readonly widthPx: number; readonly heightPx: number },
  gain: number,
): Placement[] {
  const pose = lifePoseAt(piece.life, atMs);
  if (!pose) return [];
  const { id, content } = piece;
  const at = placeAt(piece.places, atMs);
  const own = ownPose(piece, pose);
  const { x, y } = at;
  switch (content.kind) {
    case "plate": {
      const plate = variantOf(content, own);
      // A bar shows as much of its width as its value says; its end stays round.
      const clipped = at.extent < 1 ? { ...own, clipRight: Math.max(own.clipRight, 1 - at.extent) } : own;
      if (at.extent <= 0) return [];
      return [{ kind: "plate", id, plate, x, y, pose: clipped, cornerPx: content.cornerPx }];
    }
    case "cells": {
      const children = content.cells.flatMap((cell, i): Placement[] => {
        const cellPose = lifePoseAt(cell.life, atMs);
        return cellPose
          ? [
              {
                kind: "plate",
                id: `${id}/${i}`,
                plate: cell.plate,
                x: x + cell.x,
                y: y + cell.y,
                pose: cellPose,
                cornerPx: 0,
              },
            ]
          : [];
      });
      const center = { x, y };
      return [
        {
          kind: "group",
          id,
          children,
          x: 0,
          y: 0,
          pose: { ...REST, opacity: piece.opacity, rotationDeg: piece.rotationDeg },
          blend: "normal",
          clip: null,
          center,
        },
      ];
    }
    case "figures":
      return [placeFigures(id, content, x, y, own, atMs)];
    case "strip":
      return [placeStrip(id, content, x, y, own, atMs)];
    case "group":
      return [
        {
          kind: "group",
          id,
          children: content.pieces.flatMap((member) => placePiece(member, atMs, output, gain * own.opacity)),
          x,
          y,
          pose: own,
          blend: content.blend,
          clip: content.clip,
          center: content.center,
        },
      ];
    case "video": {
      const { positionMs, isPlaying } = videoAt(content, atMs);
      return [{ kind: "video", id, video: content, x, y, pose: own, positionMs, isPlaying, gain }];
    }
    case "program": {
      const { box, radiiPx, border } = content;
      const t = Math.max(0, Math.min(1, own.squeeze));
      const mix = (a: number, b: number) => a * (1 - t) + b * t;
      const rect = {
        x: mix(0, x + box.x),
        y: mix(0, y + box.y),
        width: mix(output.widthPx, box.width),
        height: mix(output.heightPx, box.height),
      };
      const radii = radiiPx.map((radius) => radius * t) as unknown as CornerRadii;
      const program: Placement = { kind: "program", id, rect, radiiPx: radii, pose: own };
      // The border belongs to the window: it is there when the window is.
      const framed: Placement[] = border
        ? [
            {
              kind: "plate",
              id: `${id}/border`,
              plate: border,
              x,
              y,
              pose: { ...own, opacity: own.opacity * Math.max(0, t * 4 - 3) },
              cornerPx: 0,
            },
          ]
        : [];
      return [program, ...framed];
    }
  }
}

function ownPose(piece: Piece, pose: Pose): Pose {
  if (piece.opacity === 1 && piece.rotationDeg === 0) return pose;
  return {
    ...pose,
    opacity: pose.opacity * piece.opacity,
    rotationDeg: pose.rotationDeg + piece.rotationDeg,
  };
}

/** Steps of blur and tint that are prepared: a bounded set. */
const VARIANT_STEPS = 6;
const variants = new WeakMap<Plate, Map<string, Plate>>();

/** The prepared plate for a pose: blurred and tinted by the nearest step. */
function variantOf(content: Extract<PieceContent, { kind: "plate" }>, pose: Pose): Plate {
  const blur = content.blurPx > 0 ? stepOf(pose.blur) : 0;
  const tint = content.tint === null ? 0 : stepOf(pose.tint);
  return blur === 0 && tint === 0 ? content.plate : getVariant(content, blur, tint);
}

const stepOf = (value: number) => Math.round(Math.max(0, Math.min(1, value)) * VARIANT_STEPS);

function getVariant(
  { plate, blurPx, tint }: Extract<PieceContent, { kind: "plate" }>,
  blurStep: number,
  tintStep: number,
): Plate {
  const name = `~b${blurStep}t${tintStep}`;
  const made = variants.get(plate) ?? new Map<string, Plate>();
  variants.set(plate, made);
  const known = made.get(name);
  if (known) return known;
  const blur = (blurPx * blurStep) / VARIANT_STEPS;
  const { picture } = plate;
  const variant: Plate = {
    key: plate.key + name + (tint ?? "") + blurPx,
    picture: {
      ...picture,
      bounds: blur > 0 ? growToPixels(picture.bounds, blur * 3) : picture.bounds,
      ...(blur > 0 ? { blurPx: Math.hypot(picture.blurPx ?? 0, blur) } : {}),
      ...(tintStep > 0 && tint ? { tint: { color: tint, amount: tintStep / VARIANT_STEPS } } : {}),
    },
  };
  made.set(name, variant);
  return variant;
}

function placeFigures(
  id: string,
  content: Extract<PieceContent, { kind: "figures" }>,
  x: number,
  y: number,
  pose: Pose,
  atMs: number,
): Placement {
  const { text } = figuresAt(content.value, content.sinceMs, atMs);
  const figures = [...text].flatMap((character) => content.figures[character] ?? []);
  const widthPx = figures.reduce((sum, { advancePx }) => sum + advancePx, 0);
  const room = content.widthPx - widthPx;
  let pen = content.align === "center" ? room / 2 : content.align === "end" ? room : 0;
  const children = figures.map(({ plate, advancePx }, i): Placement => {
    // Whole pixels: digits must not shiver.
    const placed: Placement = {
      kind: "plate",
      // From the right, so that the seconds stay the same things when the text grows.
      id: `${id}/${figures.length - i}`,
      plate,
      x: x + Math.round(pen),
      y,
      pose: REST,
      cornerPx: 0,
    };
    pen += advancePx;
    return placed;
  });
  return {
    kind: "group",
    id,
    children,
    x: 0,
    y: 0,
    pose,
    blend: "normal",
    clip: null,
    center: { x: x + content.widthPx / 2, y },
  };
}

function placeStrip(
  id: string,
  content: Extract<PieceContent, { kind: "strip" }>,
  x: number,
  y: number,
  pose: Pose,
  atMs: number,
): Placement {
  const { box, towards, run, tiles, lengthPx } = content;
  const children: Placement[] = [];
  for (const { copy, headPx } of copiesAt(run, atMs)) {
    // Where the strip's left (top) end stands, from the box's place.
    const end = {
      left: box.x + box.width - headPx,
      right: box.x + headPx - lengthPx,
      up: box.y + box.height - headPx,
      down: box.y + headPx - lengthPx,
    }[towards];
    const moved = evenly(end, run.pxPerMs);
    const isCrawl = towards === "left" || towards === "right";
    for (const [i, tile] of tiles.entries()) {
      const along = moved + (isCrawl ? tile.x : tile.y);
      const length = isCrawl ? tile.plate.picture.bounds : tile.plate.picture.bounds;
      const from = along + (isCrawl ? length.x : length.y);
      const to = from + (isCrawl ? length.width : length.height);
      const [boxFrom, boxTo] = isCrawl ? [box.x, box.x + box.width] : [box.y, box.y + box.height];
      if (to <= boxFrom || from >= boxTo) continue;
      const whole = Math.floor(along);
      const part = along - whole;
      children.push({
        kind: "plate",
        id: `${id}/${copy}.${i}`,
        plate: tile.plate,
        x: x + (isCrawl ? whole : tile.x),
        y: y + (isCrawl ? tile.y : whole),
        pose: part === 0 ? REST : { ...REST, [isCrawl ? "offsetXPx" : "offsetYPx"]: part },
        cornerPx: 0,
      });
    }
  }
  const rect = { ...box, x: box.x + x, y: box.y + y };
  return {
    kind: "group",
    id,
    children,
    x: 0,
    y: 0,
    pose,
    blend: "normal",
    clip: { kind: "box", rect, radiiPx: [0, 0, 0, 0] },
    center: { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 },
  };
}

/** From one pixel a frame on, steps are whole pixels: letters stay sharp. Slower ones move by fractions. */
const evenly = (px: number, pxPerMs: number) => (pxPerMs * (1_000 / 60) >= 0.999 ? Math.round(px) : px);

/** Where a clip is at a time. The page's own clock, so that all outputs show the same frame. */
export function videoAt(
  {
    sinceMs,
    durationMs,
    atEnd,
  }: { readonly sinceMs: number; readonly durationMs: number; readonly atEnd: string },
  atMs: number,
): { readonly positionMs: number; readonly isPlaying: boolean } {
  const playedMs = Math.max(0, atMs - sinceMs);
  if (atEnd === "loop") return { positionMs: playedMs % durationMs, isPlaying: true };
  return { positionMs: Math.min(playedMs, durationMs), isPlaying: playedMs < durationMs };
}

/** Clips play by themselves; from time to time they are looked after. */
const LOOK_AFTER_MS = 500;

/** Loops that only fade are slow to the eye: so many times a second will do. */
const FADING_LOOP_MS = 1_000 / 15;

/** Until when nothing needs drawing: null when it moves now, Infinity when nothing more is decided. */
export function stillUntil(timeline: Timeline, atMs: number): number | null {
  return stillPieces(timeline.pieces, atMs, false);
}

/** The same, but for what goes on for as long as a page is up: loops, crawls, clocks and clips. */
export function settledUntil(timeline: Timeline, atMs: number): number | null {
  return stillPieces(timeline.pieces, atMs, true);
}

function stillPieces(pieces: readonly Piece[], atMs: number, isChangeOnly: boolean): number | null {
  let next = Number.POSITIVE_INFINITY;
  const soon = (ms: number) => {
    if (ms > atMs) next = Math.min(next, ms);
  };
  for (const piece of pieces) {
    const { life, content } = piece;
    const endMs = life.until ? life.until.atMs + life.until.leaving.lengthMs : Number.POSITIVE_INFINITY;
    if (endMs < atMs) continue;
    const spans = [...movingSpans(life)];
    for (const { fromMs, glideMs } of piece.places) if (glideMs > 0) spans.push([fromMs, fromMs + glideMs]);
    if (content.kind === "cells") for (const cell of content.cells) spans.push(...movingSpans(cell.life));
    for (const [fromMs, toMs] of spans) {
      // One frame is always drawn at the end of a span, so that the last pose is exact.
      if (fromMs <= atMs && atMs <= toMs) return null;
      soon(fromMs);
    }
    if (atMs < life.fromMs) continue;
    const { stay } = life;
    if (stay && stay.tracks.length > 0 && !isChangeOnly && !(life.until && life.until.atMs < atMs)) {
      if (atMs < stay.fromMs) soon(stay.fromMs);
      else if (stay.tracks.every(({ property }) => property === "opacity")) soon(atMs + FADING_LOOP_MS);
      else return null;
    }
    if (isChangeOnly && content.kind !== "group") continue;
    switch (content.kind) {
      case "figures": {
        const { changesAtMs } = figuresAt(content.value, content.sinceMs, atMs);
        if (changesAtMs <= atMs) return null;
        soon(changesAtMs);
        break;
      }
      case "strip":
        if (copiesAt(content.run, atMs).length > 0) return null;
        soon(content.run.startMs + 1);
        break;
      case "video":
        soon(atMs + LOOK_AFTER_MS);
        break;
      case "group": {
        const members = stillPieces(content.pieces, atMs, isChangeOnly);
        if (members === null) return null;
        soon(members);
        break;
      }
    }
  }
  return next;
}

/** Every plate that pieces may show, variants and characters included: what to paint ahead. */
export const platesOf = (pieces: readonly Piece[]): Plate[] => pieces.flatMap(platesOfPiece);

function platesOfPiece({ content }: Piece): Plate[] {
  switch (content.kind) {
    case "plate": {
      const prepared = [content.plate];
      for (let step = 1; step <= VARIANT_STEPS; step++) {
        if (content.blurPx > 0) prepared.push(getVariant(content, step, 0));
        if (content.tint !== null) prepared.push(getVariant(content, 0, step));
      }
      return prepared;
    }
    case "cells":
      return content.cells.map(({ plate }) => plate);
    case "figures":
      return Object.values(content.figures).map(({ plate }) => plate);
    case "strip":
      return content.tiles.map(({ plate }) => plate);
    case "group":
      return platesOf(content.pieces);
    case "program":
      return content.border ? [content.border] : [];
    case "video":
      return [];
  }
}
