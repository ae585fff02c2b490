import { shareAt } from "../figures/figures.ts";
import { readPaused } from "../figures/paused.ts";
import { lifePoseAt, type Pose, REST } from "../motion/pose.ts";
import type { CornerRadii, Point, Rect } from "../picture/picture.ts";
import { pictureOfGauge } from "../scene/gauge.ts";
import type { ClipShape } from "../scene/part.ts";
import { isReshaped, pictureOfShape } from "../scene/shapeSpec.ts";
import { placeAt } from "./glide.ts";
import { type Effects, effectsIn, NO_EFFECTS, placeMixed, SQUARE } from "./mixedPlate.ts";
import type { Piece, PieceContent, Timeline } from "./piece.ts";
import { placeFigures } from "./placeFigures.ts";
import type { Placement } from "./placement.ts";
import { placeStrip } from "./placeStrip.ts";
import { shutAt } from "./shutterPieces.ts";
import { shareLeft, uncut, wipedRect } from "./wipe.ts";

export type { Placement, PlatePlacement } from "./placement.ts";

interface Size {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** What a piece has of the groups it lies in. */
interface Within {
  readonly output: Size;
  /** How loud what it holds is. */
  readonly gain: number;
  readonly effects: Effects;
}

/** The picture of one instant, from the back to the front. @param output its size, for a program picture that fills it */
export function placementsAt(timeline: Timeline, atMs: number, output: Size): Placement[] {
  const gain = timeline.silence ? 1 - shutAt(timeline.silence, atMs) : 1;
  const within: Within = { output, gain, effects: NO_EFFECTS };
  return timeline.pieces.flatMap((piece) => placePiece(piece, atMs, within));
}

function placePiece(piece: Piece, atMs: number, within: Within): Placement[] {
  const moved = lifePoseAt(piece.life, atMs);
  if (!moved) return [];
  const { id, content } = piece;
  const { x, y, extent } = placeAt(piece.places, atMs);
  const pose = ownPose(piece, moved);
  const pivot: Point = { x: x + piece.pivot.x, y: y + piece.pivot.y };
  const effects = effectsIn(piece.looks, pose, within.effects);
  const gain = within.gain * Math.max(0, Math.min(1, pose.opacity)) * shareLeft(pose);
  const at = (rect: Rect): Rect => ({ ...rect, x: rect.x + x, y: rect.y + y });
  switch (content.kind) {
    case "plate": {
      if (extent <= 0) return [];
      const { plate, radiiPx, growsFrom } = content;
      // A bar shows as much of itself as its value says; its end stays round.
      const edge = growsFrom === "left" ? "clipRight" : "clipTop";
      const shown = extent < 1 ? { ...pose, [edge]: Math.max(pose[edge], 1 - extent) } : pose;
      return [placeMixed({ id, plate, x, y, pose: shown, pivot, radiiPx }, effects)];
    }
    case "shape": {
      const { plate, shape } = content;
      if (isReshaped(pose)) {
        const picture = pictureOfShape(shape, pose, effects.color);
        return [drawn(id, inEffects(picture, effects), x, y, pose, pivot)];
      }
      const radiiPx = shape.shape.kind === "rectangle" ? shape.shape.radiiPx : SQUARE;
      return [placeMixed({ id, plate, x, y, pose, pivot, radiiPx }, effects)];
    }
    case "gauge": {
      const { value, paused, sinceMs, gauge } = content;
      const { share } = readPaused(value, paused, atMs, (ms) =>
        shareAt(value, gauge.fullAt, sinceMs, ms, GAUGE_STEPS),
      );
      // From frame to frame the same picture, until it would look otherwise.
      const picture = pictureOfGauge(gauge, Math.round(share * GAUGE_STEPS) / GAUGE_STEPS);
      return [drawn(id, inEffects(picture, effects), x, y, pose, pivot)];
    }
    case "cells": {
      const children = content.cells.flatMap((cell, i): Placement[] => {
        const cellPose = lifePoseAt(cell.life, atMs);
        if (!cellPose) return [];
        const { bounds } = cell.plate.picture;
        const spot = { x: x + cell.x, y: y + cell.y };
        const middle = {
          x: spot.x + bounds.x + bounds.width / 2,
          y: spot.y + bounds.y + bounds.height / 2,
        };
        const own = { id: `${id}/${i}`, plate: cell.plate, ...spot, pose: cellPose, pivot: middle };
        return [placeMixed({ ...own, radiiPx: SQUARE }, effectsIn(piece.looks, cellPose, within.effects))];
      });
      const frame = { ...REST, opacity: piece.opacity, rotationDeg: piece.rotationDeg };
      return [group(id, children, frame, pivot)];
    }
    case "figures":
      return [
        group(id, placeFigures(id, content, x, y, pivot, effects, atMs), uncut(pose), pivot, {
          clip: wipeOf(pose, at(content.box)),
        }),
      ];
    case "strip":
      return [
        group(id, placeStrip(id, content, x, y, pivot, effects, atMs), uncut(pose), pivot, {
          clip: { kind: "box", rect: wipedRect(pose, at(content.box)), radiiPx: SQUARE },
        }),
      ];
    case "group":
      return [placeGroup(piece, content, { x, y }, pose, pivot, { ...within, gain, effects }, atMs)];
    case "video": {
      const { positionMs, isPlaying } = videoAt(content, atMs);
      const { box, radiiPx } = sized(content.box, content.radiiPx, piece.pivot, pose);
      const { blurPx, tints } = effects;
      return [
        {
          ...{ kind: "video", id, video: content, x, y, pose, pivot, box, radiiPx },
          ...{ blurPx, tints, positionMs, isPlaying, gain },
        },
      ];
    }
    case "sound":
      return [{ kind: "sound", id, pose, pivot, sound: content, ...videoAt(content, atMs), gain }];
    case "program":
      return placeProgram(id, content, x, y, pose, pivot, effects, within.output);
  }
}

/** How finely a gauge tells one share from the next: about a quarter of a pixel on a ring of 300 pixels. */
export const GAUGE_STEPS = 4_000;

const drawn = (
  id: string,
  picture: Extract<Placement, { kind: "drawn" }>["picture"],
  x: number,
  y: number,
  pose: Pose,
  pivot: Point,
): Placement => ({ kind: "drawn", id, picture, x, y, pose, pivot });

/** A picture that is painted every frame takes blur and tint into itself; of several tints the outermost. */
function inEffects(
  picture: Extract<Placement, { kind: "drawn" }>["picture"],
  { blurPx, tints }: Effects,
): typeof picture {
  const tint = tints.at(-1);
  if (blurPx <= 0 && !tint) return picture;
  return {
    ...picture,
    ...(blurPx > 0 ? { blurPx: Math.hypot(picture.blurPx ?? 0, blurPx) } : {}),
    ...(tint ? { tint } : {}),
  };
}

function group(
  id: string,
  children: readonly Placement[],
  pose: Pose,
  pivot: Point,
  more: Partial<Pick<Extract<Placement, { kind: "group" }>, "x" | "y" | "blend" | "clip">> = {},
): Placement {
  return {
    ...{ kind: "group", id, children, x: 0, y: 0, pose, pivot },
    ...{ blend: "normal", clip: null, isIsolated: false },
    ...more,
  };
}

const wipeOf = (pose: Pose, rect: Rect): ClipShape | null => {
  const wiped = wipedRect(pose, rect);
  return wiped === rect ? null : { kind: "box", rect: wiped, radiiPx: SQUARE };
};

function placeGroup(
  piece: Piece,
  content: Extract<PieceContent, { kind: "group" }>,
  { x, y }: { readonly x: number; readonly y: number },
  pose: Pose,
  pivot: Point,
  within: Within,
  atMs: number,
): Placement {
  const { id } = piece;
  const children = content.pieces.flatMap((member) => placePiece(member, atMs, within));
  const { clip, blend } = content;
  const own = uncut(pose);
  if (!clip) return group(id, children, own, pivot, { x, y, blend, clip: wipeOf(pose, content.rect) });
  if (clip.kind === "box") {
    const { box, radiiPx } = sized(clip.rect, clip.radiiPx, piece.pivot, pose);
    const rect = wipedRect(pose, box);
    return group(id, children, own, pivot, { x, y, blend, clip: { kind: "box", rect, radiiPx } });
  }
  // Cut to a shape and wiped as well: one within the other, whether it is being wiped or not.
  const shape = sizedShape(clip, piece.pivot, pose);
  const cut = group(`${id}/cut`, children, REST, pivot, { clip: shape });
  return group(id, [cut], own, pivot, { x, y, blend, clip: wipeOf(pose, content.rect) });
}

/** A box and its corners as tracks of width, height and corners have them. */
function sized(
  box: Rect,
  radiiPx: CornerRadii,
  pivot: Point,
  { width, height, corners }: Pose,
): { readonly box: Rect; readonly radiiPx: CornerRadii } {
  if (width === 1 && height === 1 && corners === 1) return { box, radiiPx };
  const grown = {
    x: pivot.x + (box.x - pivot.x) * Math.max(0, width),
    y: pivot.y + (box.y - pivot.y) * Math.max(0, height),
    width: box.width * Math.max(0, width),
    height: box.height * Math.max(0, height),
  };
  const most = Math.min(grown.width, grown.height) / 2;
  const radii = radiiPx.map((radius) => Math.max(0, Math.min(most, radius * corners)));
  return { box: grown, radiiPx: radii as unknown as CornerRadii };
}

function sizedShape(clip: ClipShape, pivot: Point, pose: Pose): ClipShape {
  if (clip.kind !== "polygon") return { ...clip, rect: sized(clip.rect, SQUARE, pivot, pose).box };
  const { width, height } = pose;
  if (width === 1 && height === 1) return clip;
  const points = clip.points.map(({ x, y }) => ({
    x: pivot.x + (x - pivot.x) * Math.max(0, width),
    y: pivot.y + (y - pivot.y) * Math.max(0, height),
  }));
  return { kind: "polygon", points };
}

function placeProgram(
  id: string,
  { box, radiiPx, border }: Extract<PieceContent, { kind: "program" }>,
  x: number,
  y: number,
  pose: Pose,
  pivot: Point,
  effects: Effects,
  output: Size,
): Placement[] {
  const t = Math.max(0, Math.min(1, pose.squeeze));
  const mix = (a: number, b: number) => a * (1 - t) + b * t;
  const rect = {
    x: mix(0, x + box.x),
    y: mix(0, y + box.y),
    width: mix(output.widthPx, box.width),
    height: mix(output.heightPx, box.height),
  };
  const radii = radiiPx.map((radius) => radius * t) as unknown as CornerRadii;
  const { blurPx, tints } = effects;
  const program: Placement = { kind: "program", id, rect, radiiPx: radii, pose, pivot, blurPx, tints };
  if (!border) return [program];
  // The border belongs to the window: it is there when the window is.
  const framed = { ...pose, opacity: pose.opacity * Math.max(0, t * 4 - 3) };
  const own = { id: `${id}/border`, plate: border, x, y, pose: framed, pivot, radiiPx };
  return [program, placeMixed(own, effects)];
}

function ownPose(piece: Piece, pose: Pose): Pose {
  if (piece.opacity === 1 && piece.rotationDeg === 0) return pose;
  return {
    ...pose,
    opacity: pose.opacity * piece.opacity,
    rotationDeg: pose.rotationDeg + piece.rotationDeg,
  };
}

/** Where a clip or a sound is at a time. The page's own clock, so that all outputs show the same frame. */
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
