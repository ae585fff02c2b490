import { type Finding, objectSubject } from "../findings/finding.ts";
import { missingFont } from "../findings/kinds/missingFont.ts";
import { missingMedia } from "../findings/kinds/missingMedia.ts";
import { noGlyph } from "../findings/kinds/noGlyph.ts";
import { tooLongText } from "../findings/kinds/tooLongText.ts";
import { wrongMedia } from "../findings/kinds/wrongMedia.ts";
import { scaleTracks } from "../motion/track.ts";
import { type BoxPaint, paintFor } from "../picture/boxPaint.ts";
import { contentKey } from "../picture/contentKey.ts";
import {
  type CornerRadii,
  growToPixels,
  type Matte,
  type Paint,
  type Picture,
  type PictureItem,
  type Point,
  type Rect,
  type Shadow,
  type Stroke,
  shadowReachPx,
} from "../picture/picture.ts";
import { placeInBox, type ScaleMode } from "../picture/place.ts";
import { chooseFonts, type FontChoice } from "../text/fontChoice.ts";
import type { Shaper } from "../text/shaper.ts";
import type { FrameRate } from "../time/timecode.ts";
import type { Lookup } from "./lookup.ts";
import { withAlpha } from "./lookup.ts";
import type { MediaInfo } from "./media.ts";
import type { Motion } from "./motion.ts";
import type { Looks, Part, PartContent, PartMotion, Plate, TextSize } from "./part.ts";
import type { Box, CommonObject, Corners, Drawn, Fill, Letters, MediaSource } from "./properties.ts";

/** From the template's canvas to the output. */
export interface Placing {
  readonly scale: number;
  readonly originX: number;
  readonly originY: number;
}

/** Everything that laying out one object takes in, and where it says what it found. */
export interface ObjectContext {
  readonly lookup: Lookup;
  readonly place: Placing;
  readonly shaper: Shaper;
  /** Tried after the style's own fonts, for letters those do not have. */
  readonly fallbackFonts: readonly string[];
  readonly timeZone: string;
  readonly frameRate: FrameRate;
  readonly report: (finding: Finding) => void;
  readonly reportText: (size: TextSize) => void;
}

/** A box on the output, with the whole pixel it is counted from. */
export interface PlacedBox {
  readonly at: { readonly x: number; readonly y: number };
  /** From `at`: its x and y are below one pixel. */
  readonly local: Rect;
}

export function placeBox(box: Box, { scale, originX, originY }: Placing): PlacedBox {
  const x = originX + box.x * scale;
  const y = originY + box.y * scale;
  const at = { x: Math.floor(x), y: Math.floor(y) };
  return {
    at,
    local: {
      x: toHundredths(x - at.x),
      y: toHundredths(y - at.y),
      width: box.width * scale,
      height: box.height * scale,
    },
  };
}

/** Keys must not hang on the last bits of a float. */
export const toHundredths = (px: number) => Math.round(px * 100) / 100;

export function plateOf(picture: Picture): Plate {
  return { key: contentKey(picture), picture };
}

/** What is done to a picture once its items are painted. */
export interface Finish {
  readonly clip?: Rect | undefined;
  /** Standard deviation, px. */
  readonly blurPx?: number;
  readonly matte?: Matte | undefined;
}

/** A plate that holds these items, shadows and strokes included. */
export function plateAround(items: readonly PictureItem[], ink: Rect, finish: Finish = {}): Plate {
  const { clip, blurPx = 0, matte } = finish;
  const reachPx = items.reduce(
    (reach, { shadows, stroke }) => Math.max(reach, shadowReachPx(shadows) + (stroke?.widthPx ?? 0) / 2),
    0,
  );
  const bounds = clip && blurPx === 0 ? growToPixels(clip, 0) : growToPixels(ink, reachPx + blurPx * 3);
  return plateOf({
    bounds,
    items,
    ...(clip ? { clip } : {}),
    ...(blurPx > 0 ? { blurPx } : {}),
    ...(matte ? { matte } : {}),
  });
}

/** The same with blur, soft edges and matte as an object says. */
export function drawnPlate(
  object: Pick<Drawn, "blurPx" | "softEdgePx" | "matte"> & { readonly id: string },
  items: readonly PictureItem[],
  ink: Rect,
  box: Rect,
  context: ObjectContext,
  clip?: Rect,
): Plate {
  const { scale } = context.place;
  return plateAround(items, ink, {
    clip,
    blurPx: object.blurPx * scale,
    matte: matteOf(object, box, context),
  });
}

/** What lets an object through: a matte picture, edges that fade out, or both. */
export function matteOf(
  { id, softEdgePx, matte }: Pick<Drawn, "softEdgePx" | "matte"> & { readonly id: string },
  box: Rect,
  context: ObjectContext,
): Matte | undefined {
  const paint = matte ? picturePaint(matte, box, id, context) : null;
  const softPx = softEdgePx * context.place.scale;
  // A matte that is not there hides nothing.
  const picture =
    paint?.kind === "image" && matte ? { paint, by: matte.by, isInverted: matte.isInverted } : null;
  if (!picture && softPx <= 0) return undefined;
  return { picture, softPx };
}

/** What makes a part differ from the others of its object. */
interface PartOf {
  readonly subId?: string;
  readonly delayMs?: number;
  /** Its own box, from its place: what of an object moves for itself turns around its own pivot. */
  readonly box?: Rect;
}

export function makePart(
  object: CommonObject,
  context: ObjectContext,
  at: { readonly x: number; readonly y: number; readonly extent?: number },
  content: PartContent,
  more: PartOf = {},
): Part {
  return {
    objectId: more.subId === undefined ? object.id : `${object.id}/${more.subId}`,
    z: 0,
    key: keyOf(content),
    at: { x: at.x, y: at.y, extent: at.extent ?? 1 },
    opacity: object.opacity,
    rotationDeg: object.rotationDeg,
    pivot: more.box
      ? {
          x: toHundredths(more.box.x + more.box.width * object.pivot.x),
          y: toHundredths(more.box.y + more.box.height * object.pivot.y),
        }
      : pivotOf(object, context, at),
    looks: looksOf(object.motion, context),
    motion: partMotion(object.motion, context, more.delayMs ?? 0),
    timeWindow: object.timeWindow,
    content,
  };
}

/** What an object turns and grows around, from the place of its part. */
function pivotOf(
  { box, pivot }: CommonObject,
  { place: { scale, originX, originY } }: ObjectContext,
  at: { readonly x: number; readonly y: number },
): Point {
  return {
    x: toHundredths(originX + (box.x + box.width * pivot.x) * scale - at.x),
    y: toHundredths(originY + (box.y + box.height * pivot.y) * scale - at.y),
  };
}

/** What tracks of blur, tint and colour bring a part to. */
function looksOf({ blurPx, tint, color }: Motion, { lookup, place }: ObjectContext): Looks {
  return {
    blurPx: blurPx * place.scale,
    tint: tint === null ? null : lookup.color(tint),
    color: color === null ? null : lookup.color(color),
  };
}

/** Plates are known by their keys already; the rest is small. */
function keyOf(content: PartContent): string {
  switch (content.kind) {
    case "plate":
      return content.plate.key;
    case "shape":
      return content.plate.key;
    case "gauge":
      return contentKey([content.gauge, content.value]);
    case "cells":
      return contentKey(content.cells.map(({ plate, x, y }) => `${plate.key}@${x},${y}`).join());
    case "figures":
      return contentKey([
        content.value,
        Object.entries(content.figures).map(([c, f]) => c + f.plate.key),
        content.widthPx,
      ]);
    case "strip":
      return contentKey(
        content.tiles.map(({ plate }) => plate.key).join() + content.pxPerMs + content.passes,
      );
    case "video":
      return contentKey([content.hash, content.box, content.frame, content.atEnd, content.level]);
    case "sound":
      return contentKey([content.hash, content.atEnd, content.level]);
    case "program":
      return contentKey([content.box, content.radiiPx, content.border?.key]);
    case "group":
      // A group is the same whatever lies in it: its members change for themselves.
      return contentKey([content.blend, content.clip]);
  }
}

export function partMotion(motion: Motion, { place: { scale } }: ObjectContext, delayMs: number): PartMotion {
  const { enter, exit, change, stay } = motion;
  return {
    enter: scaleTracks(enter, scale),
    exit: exit === "mirror" ? exit : scaleTracks(exit, scale),
    change: { in: scaleTracks(change.in, scale), out: scaleTracks(change.out, scale) },
    stay: stay && { ...stay, tracks: scaleTracks(stay.tracks, scale) },
    delayMs,
  };
}

export interface ResolvedPaint {
  readonly fill: Paint;
  readonly stroke: Stroke | null;
  readonly shadows: readonly Shadow[];
}

/** @param box where gradients and pictures lie, in the coordinates of the picture */
export function resolvePaint(
  object: Pick<Drawn, "fill" | "stroke" | "shadows"> & { readonly id: string },
  box: Rect,
  context: ObjectContext,
): ResolvedPaint {
  return {
    fill: resolveFill(object.fill, box, object.id, context),
    stroke: resolveStroke(object.stroke, context),
    shadows: resolveShadows(object.shadows, context),
  };
}

export function resolveStroke(stroke: Drawn["stroke"], { lookup, place }: ObjectContext): Stroke | null {
  return stroke && { color: lookup.color(stroke.color), widthPx: stroke.widthPx * place.scale };
}

export function resolveShadows(shadows: Drawn["shadows"], { lookup, place }: ObjectContext): Shadow[] {
  const strength = shadows.length > 0 ? lookup.shadowStrength() : 1;
  if (strength <= 0) return [];
  return shadows.map(({ color, blurPx, offsetXPx, offsetYPx }) => ({
    color: withAlpha(lookup.color(color), strength),
    blurPx: blurPx * place.scale,
    offsetXPx: offsetXPx * place.scale,
    offsetYPx: offsetYPx * place.scale,
  }));
}

export const resolveFill = (fill: Fill, box: Rect, objectId: string, context: ObjectContext): Paint =>
  paintFor(boxPaintOf(fill, box, objectId, context), box);

/** A fill with its colours looked up, for whatever box it will lie in. @param box for a picture, which keeps its place */
export function boxPaintOf(fill: Fill, box: Rect, objectId: string, context: ObjectContext): BoxPaint {
  const { lookup } = context;
  const stops = (list: Extract<Fill, { kind: "linear" }>["stops"]) =>
    list.map(({ at, color }) => ({ at, color: lookup.color(color) }));
  switch (fill.kind) {
    case "none":
      return { kind: "none" };
    case "solid":
      return { kind: "solid", color: lookup.color(fill.color) };
    case "linear":
      return { kind: "linear", angleDeg: fill.angleDeg, stops: stops(fill.stops) };
    case "radial":
      return { kind: "radial", center: fill.center, radius: fill.radius, stops: stops(fill.stops) };
    case "picture":
      return picturePaint(fill, box, objectId, context);
  }
}

/** Corner radii in output pixels, no larger than the box allows. */
export function resolveCorners(corners: Corners, box: Rect, { place }: ObjectContext): CornerRadii {
  const most = Math.min(box.width, box.height) / 2;
  const one = (radius: number) => Math.max(0, Math.min(most, radius * place.scale));
  if (typeof corners === "number") return [one(corners), one(corners), one(corners), one(corners)];
  return [one(corners[0]), one(corners[1]), one(corners[2]), one(corners[3])];
}

/** The picture that a source names; one that is gone, or is none, is told. */
export function findPicture(
  source: MediaSource,
  objectId: string,
  context: ObjectContext,
): { readonly hash: string; readonly info: MediaInfo | undefined } {
  const { hash, info } = context.lookup.media(source);
  if (hash === "" || info?.type === "picture") return { hash, info };
  context.report(
    (info ? wrongMedia : missingMedia)(objectSubject(objectId), { name: info?.name ?? hash.slice(0, 12) }),
  );
  return { hash, info: undefined };
}

/** A picture as paint for a box; a named one that is gone gets the painter's stand-in, none leaves it clear. */
export function picturePaint(
  { source, mode, focus }: { readonly source: MediaSource; readonly mode: ScaleMode; readonly focus: Point },
  box: Rect,
  objectId: string,
  context: ObjectContext,
): Extract<Paint, { kind: "none" | "image" }> {
  const { hash, info } = findPicture(source, objectId, context);
  if (info)
    return {
      kind: "image",
      file: info.file,
      dest: placeInBox(info, box, mode, focus, context.place.scale),
    };
  return hash === "" ? { kind: "none" } : { kind: "image", file: hash, dest: box };
}

/**
 * The fonts of an object's typeface role; what is missing is told and replaced.
 * @param words that it sets: letters that none of its fonts has are told
 */
export function resolveFonts(
  object: Pick<Letters, "font" | "weight" | "italic"> & { readonly id: string },
  context: ObjectContext,
  words = "",
): FontChoice {
  const { lookup, fallbackFonts, shaper, report } = context;
  const { fonts, missing } = chooseFonts(lookup.typeface(object.font), object, fallbackFonts, shaper);
  const own = lookup.typeface(object.font);
  const asked = new Set(own ? [...own.regular, ...own.bold, ...own.italic, ...own.boldItalic] : []);
  for (const fontId of missing)
    if (asked.has(fontId)) report(missingFont(objectSubject(object.id), { fontId }));
  const letters = lettersWithout(words, fonts.regular, shaper);
  if (letters.length > 0)
    report(noGlyph(objectSubject(object.id), { letters: letters.slice(0, MOST_TOLD_LETTERS).join(" ") }));
  return fonts;
}

const MOST_TOLD_LETTERS = 8;
/** Marks that say how letters join and are never drawn themselves. */
const UNSEEN = /[\s\p{C}\p{Variation_Selector}]/u;

/** The letters of words that none of the fonts has, each once. */
function lettersWithout(words: string, fonts: readonly string[], shaper: ObjectContext["shaper"]): string[] {
  return [...new Set(words)].filter(
    (letter) =>
      (letter.codePointAt(0) as number) > 0x7e &&
      !UNSEEN.test(letter) &&
      !fonts.some((id) => shaper.hasGlyph(id, letter.codePointAt(0) as number)),
  );
}

/** The most characters one object sets; more is cut, and told. */
const MOST_CHARACTERS = 6_000;

export function capWords(words: string, objectId: string, context: ObjectContext): string {
  if (words.length <= MOST_CHARACTERS) return words;
  context.report(tooLongText(objectSubject(objectId), { characters: words.length }));
  return words.slice(0, MOST_CHARACTERS);
}
