import { contentKey } from "../picture/contentKey.ts";
import {
  growToPixels,
  type Paint,
  type Picture,
  type PictureItem,
  type Rect,
  type Shadow,
  type Stroke,
  shadowReachPx,
} from "../picture/picture.ts";
import { layOutText, type TextBlock } from "../text/layOutText.ts";
import type { Shaper } from "../text/shaper.ts";
import { type HouseStyle, resolveColor } from "./houseStyle.ts";
import type { Fill, ObjectMotion, SceneObject, ShowWhen, Template, TextObject } from "./template.ts";

/** What moves as one and is drawn once. */
export interface Part {
  readonly objectId: string;
  /** Place of the object in its template, from the back. */
  readonly z: number;
  /** Equal keys mean equal pictures: an unchanged part is not touched, and plates are cached by it. */
  readonly key: string;
  readonly picture: Picture;
  readonly motion: ObjectMotion;
  /** Size and fit of a text part; null for shapes. */
  readonly text: { readonly sizePx: number; readonly fits: boolean } | null;
}

export interface LaidOutPage {
  readonly widthPx: number;
  readonly heightPx: number;
  /** From the back to the front. */
  readonly parts: readonly Part[];
}

/** Field name → words. */
export type FieldValues = Readonly<Record<string, string>>;

/** Fonts tried after those of the house style, whatever the script. */
export type FallbackFonts = readonly string[];

/**
 * A template filled with values and dressed in a style, as parts in output pixels. The canvas is scaled to the
 * output and centred. Pure; runs when content changes, never per frame.
 */
export function layOut(
  template: Template,
  values: FieldValues,
  style: HouseStyle,
  output: { readonly widthPx: number; readonly heightPx: number },
  fallbackFonts: FallbackFonts,
  shaper: Shaper,
): LaidOutPage {
  const scale = Math.min(
    output.widthPx / template.canvas.widthPx,
    output.heightPx / template.canvas.heightPx,
  );
  const place: Placing = {
    scale,
    originX: (output.widthPx - template.canvas.widthPx * scale) / 2,
    originY: (output.heightPx - template.canvas.heightPx * scale) / 2,
  };
  const parts: Part[] = [];
  for (const [z, object] of template.objects.entries()) {
    if (!shows(object.showWhen, values)) continue;
    const part = layOutObject(object, z, values, style, place, fallbackFonts, shaper);
    if (part) parts.push(part);
  }
  return { widthPx: output.widthPx, heightPx: output.heightPx, parts };
}

interface Placing {
  readonly scale: number;
  readonly originX: number;
  readonly originY: number;
}

function shows(rule: ShowWhen, values: FieldValues): boolean {
  switch (rule.kind) {
    case "always":
      return true;
    case "notEmpty":
      return (values[rule.field] ?? "").trim() !== "";
  }
}

function layOutObject(
  object: SceneObject,
  z: number,
  values: FieldValues,
  style: HouseStyle,
  place: Placing,
  fallbackFonts: FallbackFonts,
  shaper: Shaper,
): Part | undefined {
  const box: Rect = {
    x: place.originX + object.box.x * place.scale,
    y: place.originY + object.box.y * place.scale,
    width: object.box.width * place.scale,
    height: object.box.height * place.scale,
  };
  const stroke: Stroke | null = object.stroke && {
    color: resolveColor(object.stroke.color, style),
    widthPx: object.stroke.widthPx * place.scale,
  };
  const shadow: Shadow | null = object.shadow && {
    color: resolveColor(object.shadow.color, style),
    blurPx: object.shadow.blurPx * place.scale,
    offsetXPx: object.shadow.offsetXPx * place.scale,
    offsetYPx: object.shadow.offsetYPx * place.scale,
  };
  const looks = { fill: resolveFill(object.fill, box, style), stroke, shadow };
  const reachPx = shadowReachPx(shadow) + (stroke?.widthPx ?? 0) / 2;
  const finish = (picture: Picture, text: Part["text"]): Part => ({
    objectId: object.id,
    z,
    key: contentKey(picture),
    picture,
    motion: object.motion,
    text,
  });

  switch (object.kind) {
    case "rectangle": {
      const radius = object.radiusPx === "style" ? style.radiusPx : object.radiusPx;
      const radiusPx = Math.min(radius * place.scale, box.width / 2, box.height / 2);
      const item: PictureItem = { kind: "roundedRect", rect: box, radiusPx, ...looks };
      return finish({ bounds: growToPixels(box, reachPx), items: [item] }, null);
    }
    case "text": {
      const words = inCase(values[object.field] ?? "", object.letterCase);
      if (words.trim() === "") return undefined;
      const block = layOutText(words, textRequest(object, box, place.scale, style, fallbackFonts), shaper);
      const { items, ink } = placeText(block, object, box);
      // Glyphs may reach past their advances, up and to the sides.
      const overhangPx = block.sizePx * 0.35;
      const bounds = growToPixels(ink, reachPx + overhangPx);
      return finish(
        { bounds, items: items.map((item) => ({ ...item, ...looks })) },
        { sizePx: block.sizePx, fits: block.fits },
      );
    }
  }
}

function inCase(words: string, letterCase: TextObject["letterCase"]): string {
  return letterCase === "upper" ? words.toUpperCase() : words;
}

/** The request a text object makes of the fitter, in output pixels. */
export function textRequest(
  object: TextObject,
  box: { readonly width: number; readonly height: number },
  scale: number,
  style: HouseStyle,
  fallbackFonts: FallbackFonts,
) {
  return {
    widthPx: box.width,
    heightPx: box.height,
    minSizePx: object.minSizePx * scale,
    maxSizePx: object.maxSizePx * scale,
    leading: object.leading,
    keepLinesAbovePx: object.keepLines ? object.readableSizePx * scale : null,
    balance: object.balance,
    fontStack: [...(style.fonts[object.font] ?? []), ...fallbackFonts],
  };
}

type GlyphItem = Omit<Extract<PictureItem, { kind: "glyphs" }>, "fill" | "stroke" | "shadow">;

/** One item per font: one path each when painted, so that strokes and shadows of neighbours join. */
function placeText(block: TextBlock, object: TextObject, box: Rect): { items: GlyphItem[]; ink: Rect } {
  const spare = box.height - block.heightPx;
  const top = box.y + { top: 0, middle: spare / 2, bottom: spare }[object.verticalAlign];
  const byFont = new Map<string, { id: number; x: number; y: number }[]>();
  let left = box.x + box.width;
  let right = box.x;
  for (const [index, line] of block.lines.entries()) {
    const room = box.width - line.widthPx;
    const atEnd = (object.align === "end") !== (block.rightToLeft[index] === true);
    const x = box.x + (object.align === "center" ? room / 2 : atEnd ? room : 0);
    const y = top + block.ascentPx + index * block.leadingPx;
    left = Math.min(left, x);
    right = Math.max(right, x + line.widthPx);
    for (const run of line.runs) {
      const glyphs = byFont.get(run.fontId) ?? [];
      byFont.set(run.fontId, glyphs);
      for (const glyph of run.glyphs)
        glyphs.push({ id: glyph.id, x: toHundredths(x + glyph.xPx), y: toHundredths(y + glyph.yPx) });
    }
  }
  return {
    items: [...byFont].map(([fontId, glyphs]) => ({ kind: "glyphs", fontId, sizePx: block.sizePx, glyphs })),
    ink: { x: left, y: top, width: right - left, height: block.heightPx },
  };
}

/** Keys must not hang on the last bits of a float. */
const toHundredths = (px: number) => Math.round(px * 100) / 100;

/** The gradient line of CSS: through the box's centre, as long as needed for the corners to get the end colours. */
function resolveFill(fill: Fill, box: Rect, style: HouseStyle): Paint {
  if (fill.kind === "solid") return { kind: "solid", color: resolveColor(fill.color, style) };
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
    stops: fill.stops.map(({ at, color }) => ({ at, color: resolveColor(color, style) })),
  };
}
