import { wordsPerMinute } from "../crawl/rate.ts";
import type { Finding } from "../findings/finding.ts";
import type { Picture, Rect } from "../picture/picture.ts";
import type { Anchor } from "../rundown/anchor.ts";
import type { FieldValues } from "../scene/lookup.ts";
import type { LaidOutPage, Part } from "../scene/part.ts";
import type { Template } from "../scene/template.ts";
import type { Canvas } from "../venue/plan.ts";
import type { CheckedCue } from "./checkedCue.ts";
import { objectKindOf } from "./objectKindOf.ts";

/** Words as they stand on a page. */
export interface WordsOnPage {
  readonly objectId: string;
  /** The field they come from; null: the template's own. */
  readonly field: string | null;
  /** About their letters, px of the canvas. */
  readonly rect: Rect;
  readonly sizePx: number;
  /** The share of their width that narrowed letters have. */
  readonly condensed: number;
  readonly fits: boolean;
  /** CSS hex of its letters, where they are of one colour. */
  readonly color: string | null;
}

/** What of a page is no words: a bed, a picture, a window. */
export interface BoxOnPage {
  readonly objectId: string;
  readonly kind: "shape" | "video" | "window";
  readonly rect: Rect;
  /** Of one colour all over: words read the same anywhere on it. */
  readonly isPlain: boolean;
}

export interface CrawlOnPage {
  readonly objectId: string;
  readonly field: string | null;
  readonly box: Rect;
  readonly wordsPerMinute: number;
  readonly passes: number | null;
}

export interface VideoOnPage {
  readonly objectId: string;
  readonly hash: string;
  readonly box: Rect;
  readonly hasAlpha: boolean;
  readonly level: number;
}

export interface SoundOnPage {
  readonly objectId: string;
  readonly hash: string;
  readonly level: number;
}

/** A step of a cue as one screen shows it: all that checks ask of it. */
export interface PageOnScreen {
  readonly cue: CheckedCue;
  readonly hash: string;
  readonly anchor: Anchor;
  readonly layerId: string;
  readonly outfitId: string;
  readonly output: Canvas;
  readonly template: Template;
  readonly templateHash: string;
  readonly styleHash: string;
  readonly values: FieldValues;
  readonly words: readonly WordsOnPage[];
  readonly boxes: readonly BoxOnPage[];
  readonly crawls: readonly CrawlOnPage[];
  readonly videos: readonly VideoOnPage[];
  readonly sounds: readonly SoundOnPage[];
  /** What laying it out met with. */
  readonly findings: readonly Finding[];
  /** How many words are read on it. */
  readonly wordCount: number;
  /** Equal for pages whose beds, pictures and places are equal, whatever their words. */
  readonly groundKey: string;
  /** Something moves again and again while it stays, or comes in many changes: it may flash. */
  readonly mayFlash: boolean;
  /** Where something of it is not seen through. */
  readonly isBare: boolean;
}

type Facts = Pick<
  PageOnScreen,
  "words" | "boxes" | "crawls" | "videos" | "sounds" | "groundKey" | "mayFlash" | "isBare"
>;

/** So many turns of a track within a second, and it may flash. */
const TURNS_OF_FLASHING = 6;

/** What a laid-out page is made of, without its pictures. */
export function factsOf(page: LaidOutPage, template: Template): Facts {
  const words: WordsOnPage[] = [];
  const boxes: BoxOnPage[] = [];
  const crawls: CrawlOnPage[] = [];
  const videos: VideoOnPage[] = [];
  const sounds: SoundOnPage[] = [];
  const ground: string[] = [];
  let mayFlash = false;
  const sizeOf = new Map(page.texts.map((text) => [text.objectId, text]));
  const fieldOf = (objectId: string) => objectKindOf(template, objectId)?.field ?? null;

  const walk = (parts: readonly Part[], dx: number, dy: number) => {
    for (const part of parts) {
      const { content } = part;
      const x = part.at.x + dx;
      const y = part.at.y + dy;
      const on = (rect: Rect): Rect => ({ ...rect, x: rect.x + x, y: rect.y + y });
      const objectId = part.objectId.split("/")[0] as string;
      mayFlash ||= flashes(part);
      const addWords = (picture: Picture, left: number, top: number): boolean => {
        const rect = lettersRect(picture);
        if (!rect) return false;
        const size = sizeOf.get(objectId);
        words.push({
          objectId,
          field: fieldOf(objectId),
          rect: on({ ...rect, x: rect.x + left, y: rect.y + top }),
          sizePx: size?.sizePx ?? lettersSize(picture),
          condensed: size?.condensed ?? 1,
          fits: size?.fits ?? true,
          color: lettersColor(picture),
        });
        return true;
      };
      const addBox = (rect: Rect, kind: BoxOnPage["kind"] = "shape", isPlain = false) => {
        boxes.push({ objectId, kind, rect: on(rect), isPlain });
        ground.push(`${part.key}@${x},${y}`);
      };
      switch (content.kind) {
        case "plate":
          if (!addWords(content.plate.picture, 0, 0))
            addBox(boxOf(content.plate.picture), "shape", isPlain(content.plate.picture));
          break;
        case "shape":
          addBox(boxOf(content.plate.picture), "shape", isPlain(content.plate.picture));
          break;
        case "cells":
          for (const cell of content.cells) addWords(cell.plate.picture, cell.x, cell.y);
          break;
        case "figures": {
          const size = sizeOf.get(objectId);
          const sizePx = size?.sizePx ?? content.box.height;
          const rect = figuresRect(content.box, content.widthPx, content.align, sizePx);
          words.push({
            ...{ objectId, field: fieldOf(objectId), rect: on(rect), sizePx },
            condensed: 1,
            fits: true,
            color: null,
          });
          break;
        }
        case "gauge":
          addBox(content.gauge.box);
          break;
        case "strip":
          crawls.push({
            objectId,
            field: content.field,
            box: on(content.box),
            wordsPerMinute: wordsPerMinute(content.words, content.lengthPx, content.pxPerMs * 1_000),
            passes: content.passes,
          });
          break;
        case "video":
          videos.push({
            objectId,
            hash: content.hash,
            box: on(content.box),
            hasAlpha: content.hasAlpha,
            level: content.level,
          });
          addBox(content.box, "video");
          break;
        case "sound":
          sounds.push({ objectId, hash: content.hash, level: content.level });
          break;
        case "program":
          addBox(content.box, "window");
          break;
        case "group":
          walk(content.parts, x, y);
          break;
      }
    }
  };
  walk(page.parts, 0, 0);
  const isBare = boxes.every(
    ({ rect }) => rect.width < page.widthPx * 0.98 || rect.height < page.heightPx * 0.98,
  );
  return {
    words: joined(words),
    boxes,
    crawls,
    videos,
    sounds,
    groundKey: ground.join("|"),
    mayFlash,
    isBare,
  };
}

/** Words that come letter by letter or row by row are one text. */
function joined(words: readonly WordsOnPage[]): WordsOnPage[] {
  const byObject = new Map<string, WordsOnPage>();
  for (const one of words) {
    const known = byObject.get(one.objectId);
    byObject.set(one.objectId, known ? { ...known, rect: union(known.rect, one.rect) } : one);
  }
  return [...byObject.values()];
}

export function union(a: Rect, b: Rect): Rect {
  const x = Math.min(a.x, b.x);
  const y = Math.min(a.y, b.y);
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
}

/** What two have in common; undefined: nothing. */
export function common(a: Rect, b: Rect): Rect | undefined {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  const width = Math.min(a.x + a.width, b.x + b.width) - x;
  const height = Math.min(a.y + a.height, b.y + b.height) - y;
  return width > 0 && height > 0 ? { x, y, width, height } : undefined;
}

/** Of the size of letters: how far capitals rise, and how far the lowest letters go down. */
const RISE = 0.74;
const FALL = 0.22;
/** How wide the last letter of a line is taken to be. */
const LAST_LETTER = 0.55;

/** About the letters of a picture, from their baselines; undefined where it has none. */
function lettersRect({ items, clip }: Picture): Rect | undefined {
  let rect: Rect | undefined;
  for (const item of items) {
    if (item.kind !== "glyphs") continue;
    for (const { x, y } of item.glyphs) {
      const one = {
        x,
        y: y - item.sizePx * RISE,
        width: item.sizePx * LAST_LETTER * item.scaleX,
        height: item.sizePx * (RISE + FALL),
      };
      rect = rect ? union(rect, one) : one;
    }
  }
  return rect && clip ? (common(rect, clip) ?? rect) : rect;
}

const lettersSize = ({ items }: Picture): number =>
  Math.max(0, ...items.map((item) => (item.kind === "glyphs" ? item.sizePx : 0)));

function lettersColor({ items }: Picture): string | null {
  const letters = items.find((item) => item.kind === "glyphs");
  return letters?.fill.kind === "solid" ? letters.fill.color : null;
}

/** What is painted itself, without the shadow it casts. */
function boxOf(picture: Picture): Rect {
  let rect: Rect | undefined;
  for (const item of picture.items) {
    const one = item.kind === "rectangle" || item.kind === "ellipse" ? item.rect : picture.bounds;
    rect = rect ? union(rect, one) : one;
  }
  return rect ?? picture.bounds;
}

const isPlain = ({ items, matte, blurPx }: Picture): boolean =>
  matte === undefined &&
  blurPx === undefined &&
  items.every(({ fill }) => fill.kind === "solid" || fill.kind === "none");

function figuresRect(box: Rect, widthPx: number, align: "start" | "center" | "end", sizePx: number): Rect {
  const room = box.width - widthPx;
  const before = align === "start" ? 0 : align === "center" ? room / 2 : room;
  const height = Math.min(box.height, sizePx);
  return { x: box.x + before, y: box.y + (box.height - height) / 2, width: widthPx, height };
}

/** Whether light may come and go on it again and again. */
function flashes({ motion, looks }: Part): boolean {
  const isLight = (property: string) =>
    property === "opacity" ||
    (property === "tint" && looks.tint !== null) ||
    (property === "color" && looks.color !== null);
  const turns = (keyframes: readonly { readonly value: number }[]) => {
    let count = 0;
    for (let i = 2; i < keyframes.length; i++) {
      const [a, b, c] = [keyframes[i - 2], keyframes[i - 1], keyframes[i]].map((key) => key?.value ?? 0) as [
        number,
        number,
        number,
      ];
      if ((b - a) * (c - b) < 0) count++;
    }
    return count;
  };
  const { stay, enter, exit } = motion;
  if (stay && stay.periodMs <= 1_000)
    if (stay.tracks.some(({ property, keyframes }) => isLight(property) && keyframes.length > 1)) return true;
  const once = [...enter, ...(exit === "mirror" ? [] : exit), ...(stay?.tracks ?? [])];
  return once.some(
    ({ property, keyframes }) => isLight(property) && turns(keyframes) >= TURNS_OF_FLASHING - 1,
  );
}

/** Words as people read them: what is parted by spaces. */
export const countWords = (text: string): number =>
  text.split(/[\s|]+/u).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
