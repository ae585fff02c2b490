import { LRUCache } from "lru-cache";
import type { FrameBrightness, Measures } from "../core/check/measures.ts";
import { common, type PageOnScreen, type WordsOnPage } from "../core/check/pageFacts.ts";
import { brightnessAt, contrastAround } from "../core/color/contrastAround.ts";
import type { Dress } from "../core/compose/compose.ts";
import { composeSlot } from "../core/compose/compose.ts";
import { type Placement, placementsAt } from "../core/compose/placements.ts";
import { ARRIVED_MS, pageTimeline } from "../core/compose/still.ts";
import { lettersOf } from "../core/design/edit/lettersOf.ts";
import { filesOf, growToPixels, type Rect } from "../core/picture/picture.ts";
import type { LaidOutPage } from "../core/scene/part.ts";
import type { Slot } from "../core/show/slot.ts";
import type { Canvas } from "../core/venue/plan.ts";
import { drawOnCanvas } from "./canvasStage.ts";
import { isAtRest } from "./geometry.ts";
import type { PaintKit } from "./paint.ts";

/** What is read around the words, px of the measured picture. */
const AROUND_PX = 8;
/** Letters larger than this are measured at this size, px. */
const MEASURED_SIZE_PX = 40;
/** Longer texts are measured in parts of this width, and tall ones in their middle, px of the measured picture. */
const WIDEST_PX = 140;
const TALLEST_PX = 160;
/** Over what is not of one colour, words that stand nearly in the same place are measured once: to this part of the height. */
const SAME_PLACE = 1 / 8;
const KEPT = 20_000;

/** Of a page that may flash: so many frames a second, for so long from when it comes, in cells so many across. */
const FRAMES_PER_SECOND = 30;
const WATCHED_MS = 3_000;
const COLUMNS = 24;

/** The frames of a clip over its length, small; "waits" while they are on their way, undefined where there are none. */
export type FramesOf = (hash: string) => readonly CanvasImageSource[] | "waits" | undefined;

export interface MeasuringParts {
  readonly dress: Dress;
  readonly kit: PaintKit;
  readonly framesOf: FramesOf;
}

/** What the check asks of a painter: pages are painted as screens paint them, small, and read back. */
export function checkMeasures({ dress, kit, framesOf }: MeasuringParts): Measures {
  const contrasts = new LRUCache<string, { readonly ratio: number | null }>({ max: KEPT });
  const flashes = new LRUCache<string, { readonly told: FrameBrightness }>({ max: 400 });
  const laidOutOf = ({ cue, hash, anchor, outfitId, output }: PageOnScreen) =>
    dress({ cueId: cue.cueId, content: hash, step: anchor }, outfitId, output)?.laidOut;
  return {
    contrast: (pages, at, words) => {
      const key = contrastKey(pages.slice(0, at + 1), words);
      const known = contrasts.get(key);
      if (known) return known.ratio;
      const laidOut = pages.slice(0, at + 1).flatMap((page) => laidOutOf(page) ?? []);
      const own = pages[at];
      if (!own || laidOut.length < at + 1) return "waits";
      const told = measureContrast(laidOut, own.output, words, { kit, framesOf });
      if (told !== "waits") contrasts.set(key, { ratio: told });
      return told;
    },
    brightness: (page, canvas) => {
      const key = `${page.templateHash}/${page.styleHash}/${page.outfitId}/${canvas.widthPx}x${canvas.heightPx}`;
      const known = flashes.get(key);
      if (known) return known.told;
      const timeline = pageTimeline(
        { cueId: page.cue.cueId, content: page.hash, step: page.anchor },
        page.layerId,
        page.outfitId,
        canvas,
        dress,
        true,
      );
      const scale = COLUMNS / canvas.widthPx;
      const rows = Math.max(1, Math.round(canvas.heightPx * scale));
      const frames: Float32Array[] = [];
      for (let frame = 0; frame < (WATCHED_MS / 1_000) * FRAMES_PER_SECOND; frame++) {
        const placements = placementsAt(timeline, (frame * 1_000) / FRAMES_PER_SECOND, canvas);
        if (isWaiting(placements, kit)) return "waits";
        const data = painted(
          placements,
          canvas,
          { x: 0, y: 0, width: canvas.widthPx, height: canvas.heightPx },
          scale,
          "#000000",
          kit,
        );
        frames.push(brightnessOf(data.data, COLUMNS * rows));
      }
      const told = { columns: COLUMNS, rows, framesPerSecond: FRAMES_PER_SECOND, frames };
      flashes.set(key, { told });
      return told;
    },
  };
}

/** Equal where the same letters lie on the same ground. */
function contrastKey(pages: readonly PageOnScreen[], { objectId, rect }: WordsOnPage): string {
  const own = pages.at(-1);
  if (!own) throw new Error("No page has the words that are measured");
  const { widthPx, heightPx } = own.output;
  const boxes = pages.flatMap((page) => page.boxes).filter((box) => common(box.rect, rect) !== undefined);
  const isPlain = boxes.every((box) => box.isPlain && holds(box.rect, rect));
  const grid = heightPx * SAME_PLACE;
  const place = isPlain
    ? "plain"
    : [rect.x, rect.y, rect.x + rect.width, rect.y + rect.height]
        .map((px) => Math.round(px / grid))
        .join(",");
  const worn = `${own.templateHash}/${own.styleHash}/${JSON.stringify(own.cue.doc.adjust)}/${own.output.backdrop}`;
  return `${worn}/${objectId}/${widthPx}x${heightPx}/${place}/${pages.map(({ groundKey }) => groundKey).join("+")}`;
}

const holds = (box: Rect, inner: Rect): boolean =>
  box.x <= inner.x &&
  box.y <= inner.y &&
  box.x + box.width >= inner.x + inner.width &&
  box.y + box.height >= inner.y + inner.height;

/** A page that has stood for a while. */
const RESTING: Slot = [
  {
    startAtMs: 0,
    sinceMs: 0,
    page: { cueId: "measured", content: "", step: { occurrence: "page", unit: 0 } },
    how: "settled",
    endsAtMs: null,
    lastsMs: 0,
    effectMs: null,
  },
];

const placementsOf = (page: LaidOutPage, canvas: Canvas): Placement[] =>
  placementsAt(
    { pieces: composeSlot(RESTING, "measured", () => ({ templateHash: "one", laidOut: page })) },
    ARRIVED_MS,
    canvas,
  );

function measureContrast(
  pages: readonly LaidOutPage[],
  canvas: Canvas,
  { objectId, rect, sizePx }: WordsOnPage,
  { kit, framesOf }: Pick<MeasuringParts, "kit" | "framesOf">,
): number | null | "waits" {
  const own = pages.at(-1) as LaidOutPage;
  // Large letters are measured small; small ones as they are, or their strokes would be lost.
  const scale = Math.min(1, MEASURED_SIZE_PX / sizePx);
  const placements = pages.flatMap((page) => placementsOf(page, canvas));
  if (isWaiting(placements, kit)) return "waits";
  const ground = canvas.backdrop === "opaque" ? "#000000" : null;
  const bare = placementsOf(lettersOf(own, objectId), canvas);
  const films = videosIn(placements).map(({ video }) => ({ video, frames: framesOf(video.hash) }));
  if (films.some(({ frames }) => frames === "waits")) return "waits";
  const count = Math.max(1, ...films.map(({ frames }) => (frames === "waits" ? 0 : (frames?.length ?? 0))));
  let least: number | null = null;
  for (const tile of tilesOf(rect, scale)) {
    const crop = common(growToPixels(tile, AROUND_PX / scale), {
      ...{ x: 0, y: 0, width: canvas.widthPx, height: canvas.heightPx },
    });
    if (!crop) continue;
    const letters = painted(bare, canvas, crop, scale, null, kit);
    const ofFrame = layersOf(placements, canvas, crop, scale, ground, kit);
    for (let at = 0; at < count; at++) {
      const frameOf = ({ video }: Video) => {
        const frames = films.find((film) => film.video.hash === video.hash)?.frames;
        return frames === "waits" ? undefined : frames?.[at % Math.max(1, frames.length)];
      };
      const ratio = contrastAround(ofFrame(frameOf), letters);
      if (ratio !== null && (least === null || ratio < least)) least = ratio;
    }
  }
  return least;
}

/** A long text is measured at its beginning, in its middle and at its end. */
function tilesOf(rect: Rect, scale: number): Rect[] {
  const widest = WIDEST_PX / scale;
  const tallest = TALLEST_PX / scale;
  const height = Math.min(rect.height, tallest);
  const y = rect.y + (rect.height - height) / 2;
  if (rect.width <= widest * 3) return [{ ...rect, y, height }];
  return [0, 0.5, 1].map((at) => ({ x: rect.x + (rect.width - widest) * at, y, width: widest, height }));
}

type Video = Extract<Placement, { kind: "video" }>;
type FrameOf = (video: Video) => CanvasImageSource | undefined;
type Pixels = { readonly data: ArrayLike<number>; readonly widthPx: number };

/** Paints a part of the picture for one frame of its clips after another: what lies beneath them and over them is painted once. */
function layersOf(
  placements: readonly Placement[],
  canvas: Canvas,
  crop: Rect,
  scale: number,
  ground: string | null,
  kit: PaintKit,
): (frameOf: FrameOf) => Pixels {
  const first = placements.findIndex((placement) => videosIn([placement]).length > 0);
  const last = placements.findLastIndex((placement) => videosIn([placement]).length > 0);
  const over = placements.slice(last + 1);
  if (first < 0 || !over.every(isLaidOver))
    return (frameOf) => painted(placements, canvas, crop, scale, ground, kit, frameOf);
  const layer = (part: readonly Placement[], beneath: string | null) =>
    paintedPart(part, canvas, crop, scale, beneath, kit).image;
  const images = [layer(placements.slice(0, first), ground), layer(over, null)] as const;
  const clips = placements.slice(first, last + 1);
  return (frameOf) => {
    const { context, widthPx, heightPx } = paintedPart(
      ...([clips, canvas, crop, scale, null, kit, frameOf, images[0]] as const),
    );
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.drawImage(images[1], 0, 0, widthPx, heightPx);
    return { data: context.getImageData(0, 0, widthPx, heightPx).data, widthPx };
  };
}

/** Whether what it gives is the same when it is painted by itself and then laid over what is beneath. */
function isLaidOver(placement: Placement): boolean {
  if (placement.kind === "plate") return !placement.isAdded;
  if (placement.kind === "group") return placement.blend === "normal" && placement.children.every(isLaidOver);
  return true;
}

function painted(
  placements: readonly Placement[],
  canvas: Canvas,
  crop: Rect,
  scale: number,
  ground: string | null,
  kit: PaintKit,
  frameOf?: FrameOf,
): Pixels {
  const part = paintedPart(placements, canvas, crop, scale, ground, kit, frameOf);
  const { context, widthPx, heightPx } = part;
  return { data: context.getImageData(0, 0, widthPx, heightPx).data, widthPx };
}

/** @param beneath a picture of the same part, painted first */
function paintedPart(
  placements: readonly Placement[],
  canvas: Canvas,
  crop: Rect,
  scale: number,
  ground: string | null,
  kit: PaintKit,
  frameOf?: FrameOf,
  beneath?: CanvasImageSource,
) {
  const widthPx = Math.max(1, Math.round(crop.width * scale));
  const heightPx = Math.max(1, Math.round(crop.height * scale));
  const { image, context } = kit.makeCanvas(widthPx, heightPx);
  if (ground !== null) {
    context.fillStyle = ground;
    context.fillRect(0, 0, widthPx, heightPx);
  }
  if (beneath) context.drawImage(beneath, 0, 0, widthPx, heightPx);
  const from = { xPx: crop.x, yPx: crop.y };
  drawOnCanvas(context, cropped(placements, crop), {
    ...{ kit, scale, widthPx: canvas.widthPx, heightPx: canvas.heightPx, from },
    ...(frameOf && { frameOf }),
  });
  return { image, context, widthPx, heightPx };
}

/** What of the placements lies in a part of the picture: plates at rest are painted no further than that. */
function cropped(placements: readonly Placement[], crop: Rect): Placement[] {
  return placements.flatMap((placement): Placement[] => {
    if (!("pose" in placement) || !isAtRest(placement.pose)) return [placement];
    if (placement.kind === "group" && placement.x === 0 && placement.y === 0)
      return [{ ...placement, children: cropped(placement.children, crop) }];
    if (placement.kind !== "plate") return [placement];
    const { plate, x, y } = placement;
    const { picture } = plate;
    const seen = common({ ...crop, x: crop.x - x, y: crop.y - y }, picture.bounds);
    if (!seen) return [];
    // What is blurred or fades out at its edges is painted whole: it hangs on them.
    if (picture.blurPx !== undefined || picture.matte !== undefined) return [placement];
    const bounds = common(growToPixels(seen, 1), picture.bounds) ?? seen;
    const items = picture.items.map((item) =>
      item.kind === "glyphs"
        ? { ...item, glyphs: item.glyphs.filter((glyph) => isNear(glyph, item.sizePx, bounds)) }
        : item,
    );
    return [{ ...placement, plate: { ...plate, picture: { ...picture, bounds, items } } }];
  });
}

/** Whether a letter, or the shadow it casts, reaches into a part of the picture. */
const isNear = (
  { x, y }: { readonly x: number; readonly y: number },
  sizePx: number,
  { x: left, y: top, width, height }: Rect,
): boolean =>
  x > left - sizePx * 2 && x < left + width + sizePx && y > top - sizePx && y < top + height + sizePx * 2;

function* allIn(placements: readonly Placement[]): Generator<Placement> {
  for (const placement of placements) {
    yield placement;
    if (placement.kind === "group") yield* allIn(placement.children);
  }
}

const videosIn = (placements: readonly Placement[]): Video[] =>
  [...allIn(placements)].flatMap((placement) => (placement.kind === "video" ? [placement] : []));

/** Whether a picture file of them is on its way. */
const isWaiting = (placements: readonly Placement[], kit: PaintKit): boolean =>
  [...allIn(placements)].some(
    (placement) =>
      placement.kind === "plate" &&
      filesOf(placement.plate.picture).some((file) => kit.findImage(file) === "loading"),
  );

/** Relative luminance of each pixel. */
function brightnessOf(data: ArrayLike<number>, pixels: number): Float32Array {
  const light = new Float32Array(pixels);
  for (let pixel = 0; pixel < pixels; pixel++) light[pixel] = brightnessAt(data, pixel);
  return light;
}
