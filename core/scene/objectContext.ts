import { type Finding, objectSubject } from "../findings/finding.ts";
import { missingFont } from "../findings/kinds/missingFont.ts";
import { missingMedia } from "../findings/kinds/missingMedia.ts";
import { noGlyph } from "../findings/kinds/noGlyph.ts";
import { tooLongText } from "../findings/kinds/tooLongText.ts";
import { wrongMedia } from "../findings/kinds/wrongMedia.ts";
import { scaleTracks } from "../motion/track.ts";
import { contentKey } from "../picture/contentKey.ts";
import {
  type CornerRadii,
  growToPixels,
  type Paint,
  type Picture,
  type PictureItem,
  type Rect,
  type Shadow,
  type Stroke,
  shadowReachPx,
} from "../picture/picture.ts";
import { placeInBox } from "../picture/place.ts";
import { chooseFonts, type FontChoice } from "../text/fontChoice.ts";
import type { Shaper } from "../text/shaper.ts";
import type { FrameRate } from "../time/timecode.ts";
import type { Lookup } from "./lookup.ts";
import { withAlpha } from "./lookup.ts";
import type { Motion } from "./motion.ts";
import type { Part, PartContent, PartMotion, Plate, TextSize } from "./part.ts";
import type { Box, Corners, Fill, ReadableObject, TextObject } from "./template.ts";

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

/** A plate that holds these items, shadows and strokes included. */
export function plateAround(items: readonly PictureItem[], ink: Rect, clip?: Rect, blurPx = 0): Plate {
  const reachPx = items.reduce(
    (reach, { shadows, stroke }) => Math.max(reach, shadowReachPx(shadows) + (stroke?.widthPx ?? 0) / 2),
    0,
  );
  const bounds = clip && blurPx === 0 ? growToPixels(clip, 0) : growToPixels(ink, reachPx + blurPx * 3);
  return plateOf({ bounds, items, ...(clip ? { clip } : {}), ...(blurPx > 0 ? { blurPx } : {}) });
}

export function makePart(
  object: ReadableObject,
  context: ObjectContext,
  at: { readonly x: number; readonly y: number; readonly extent?: number },
  content: PartContent,
  more: { readonly subId?: string; readonly delayMs?: number } = {},
): Part {
  return {
    objectId: more.subId === undefined ? object.id : `${object.id}/${more.subId}`,
    z: 0,
    key: keyOf(content),
    at: { x: at.x, y: at.y, extent: at.extent ?? 1 },
    opacity: object.opacity,
    rotationDeg: object.rotationDeg,
    motion: partMotion(object.motion, context, more.delayMs ?? 0),
    timeWindow: object.timeWindow,
    content,
  };
}

/** Plates are known by their keys already; the rest is small. */
function keyOf(content: PartContent): string {
  switch (content.kind) {
    case "plate":
      return content.plate.key;
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

interface Drawn {
  readonly fill: Fill;
  readonly stroke: {
    readonly color: Parameters<Lookup["color"]>[0];
    readonly widthPx: Parameters<Lookup["number"]>[0];
  } | null;
  readonly shadows: readonly {
    readonly color: Parameters<Lookup["color"]>[0];
    readonly blurPx: number;
    readonly offsetXPx: number;
    readonly offsetYPx: number;
  }[];
}

export interface ResolvedPaint {
  readonly fill: Paint;
  readonly stroke: Stroke | null;
  readonly shadows: readonly Shadow[];
}

/** @param box where gradients and pictures lie, in the coordinates of the picture */
export function resolvePaint(
  object: Drawn & { readonly id: string },
  box: Rect,
  context: ObjectContext,
): ResolvedPaint {
  const { lookup, place } = context;
  const strength = object.shadows.length > 0 ? lookup.shadowStrength() : 1;
  return {
    fill: resolveFill(object.fill, box, object.id, context),
    stroke: object.stroke && {
      color: lookup.color(object.stroke.color),
      widthPx: lookup.number(object.stroke.widthPx) * place.scale,
    },
    shadows:
      strength <= 0
        ? []
        : object.shadows.map(({ color, blurPx, offsetXPx, offsetYPx }) => ({
            color: withAlpha(lookup.color(color), strength),
            blurPx: blurPx * place.scale,
            offsetXPx: offsetXPx * place.scale,
            offsetYPx: offsetYPx * place.scale,
          })),
  };
}

export function resolveFill(fill: Fill, box: Rect, objectId: string, context: ObjectContext): Paint {
  const { lookup } = context;
  const stops = (list: Extract<Fill, { kind: "linear" }>["stops"]) =>
    list.map(({ at, color }) => ({ at, color: lookup.color(color) }));
  switch (fill.kind) {
    case "none":
      return { kind: "none" };
    case "solid":
      return { kind: "solid", color: lookup.color(fill.color) };
    case "linear": {
      // The gradient line of CSS: through the box's centre, as long as needed for the corners to get the end colours.
      const angle = (fill.angleDeg * Math.PI) / 180;
      const dx = Math.sin(angle);
      const dy = -Math.cos(angle);
      const half = (Math.abs(box.width * dx) + Math.abs(box.height * dy)) / 2;
      const centerX = box.x + box.width / 2;
      const centerY = box.y + box.height / 2;
      return {
        kind: "linear",
        x0: centerX - dx * half,
        y0: centerY - dy * half,
        x1: centerX + dx * half,
        y1: centerY + dy * half,
        stops: stops(fill.stops),
      };
    }
    case "radial":
      return {
        kind: "radial",
        x: box.x + box.width * fill.center.x,
        y: box.y + box.height * fill.center.y,
        radius: Math.max(box.width, box.height) * fill.radius,
        stops: stops(fill.stops),
      };
    case "picture": {
      const { hash, info } = lookup.media(fill.source);
      if (info?.type === "picture")
        return {
          kind: "image",
          file: info.file,
          dest: placeInBox(info, box, fill.mode, fill.focus, context.place.scale),
        };
      if (hash !== "")
        context.report(
          (info ? wrongMedia : missingMedia)(objectSubject(objectId), {
            name: info?.name ?? hash.slice(0, 12),
          }),
        );
      // Clear, so that what lies beneath is seen; a named picture that is gone gets the painter's stand-in.
      return hash === "" ? { kind: "none" } : { kind: "image", file: hash, dest: box };
    }
  }
}

/** Corner radii in output pixels, no larger than the box allows. */
export function resolveCorners(corners: Corners, box: Rect, { lookup, place }: ObjectContext): CornerRadii {
  const most = Math.min(box.width, box.height) / 2;
  const one = (ref: Parameters<Lookup["number"]>[0]) =>
    Math.max(0, Math.min(most, lookup.number(ref) * place.scale));
  if (Array.isArray(corners)) return [one(corners[0]), one(corners[1]), one(corners[2]), one(corners[3])];
  const radius = one(corners as Parameters<Lookup["number"]>[0]);
  return [radius, radius, radius, radius];
}

export type Letters = Pick<TextObject, "font" | "weight" | "italic" | "letterCase">;

/**
 * The fonts of an object's typeface role; what is missing is told and replaced.
 * @param words that it sets: letters that none of its fonts has are told
 */
export function resolveFonts(
  object: Letters & { readonly id: string },
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

export function inCase(words: string, letterCase: Letters["letterCase"]): string {
  switch (letterCase) {
    case "asTyped":
      return words;
    case "upper":
      return words.toUpperCase();
    case "lower":
      return words.toLowerCase();
    case "title":
      return words.replace(
        /(^|[^\p{L}\p{M}’'])(\p{L})/gu,
        (_, before: string, letter: string) => before + letter.toUpperCase(),
      );
  }
}

/** The most characters one object sets; more is cut, and told. */
const MOST_CHARACTERS = 6_000;

export function capWords(words: string, objectId: string, context: ObjectContext): string {
  if (words.length <= MOST_CHARACTERS) return words;
  context.report(tooLongText(objectSubject(objectId), { characters: words.length }));
  return words.slice(0, MOST_CHARACTERS);
}
