import type { Rect } from "../picture/picture.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { findScript } from "../text/itemise.ts";
import type { Shaper } from "../text/shaper.ts";
import { plateAround, type ResolvedPaint } from "./objectContext.ts";
import type { Figure } from "./part.ts";
import { glyphItem, overhang } from "./placeText.ts";
import type { VerticalAlign } from "./properties.ts";

/** Plates of every character a changing text can show, at the size at which its widest fits. Digits are equally wide. */
export function setFigures(
  characters: string,
  widest: string,
  how: {
    readonly box: Rect;
    readonly fonts: FontChoice;
    readonly trackingEm: number;
    readonly minSizePx: number;
    readonly maxSizePx: number;
    readonly verticalAlign: VerticalAlign;
  },
  paint: ResolvedPaint,
  shaper: Shaper,
  blurPx = 0,
): { readonly figures: Record<string, Figure>; readonly sizePx: number } {
  const { box, fonts, trackingEm } = how;
  const stack = fonts.regular;
  const shaped = new Map<
    string,
    { fontId: string; glyphs: ReturnType<Shaper["shape"]>; advanceEm: number }
  >();
  for (const character of new Set(characters + widest)) {
    const codePoint = character.codePointAt(0) as number;
    const fontId = stack.find((id) => shaper.hasGlyph(id, codePoint)) ?? (stack[0] as string);
    const glyphs = shaper.shape(
      fontId,
      character,
      0,
      character.length,
      "ltr",
      findScript(character) ?? "Latn",
      ["tnum"],
    );
    const advanceEm = glyphs.reduce((sum, glyph) => sum + glyph.advanceEm, 0);
    shaped.set(character, { fontId, glyphs, advanceEm });
  }
  const digitEm = Math.max(0, ...[..."0123456789"].map((digit) => shaped.get(digit)?.advanceEm ?? 0));
  const advanceOf = (character: string) => {
    const own = shaped.get(character)?.advanceEm ?? 0;
    return (/\d/.test(character) ? digitEm : own) + trackingEm;
  };
  const widthEm = [...widest].reduce((sum, character) => sum + advanceOf(character), 0) - trackingEm;
  const { ascentEm, descentEm } = shaper.metrics(stack[0] as string);
  const byWidth = widthEm > 0 ? box.width / widthEm : how.maxSizePx;
  const byHeight = box.height / (ascentEm + descentEm);
  const fitting = Math.min(how.maxSizePx, byWidth, byHeight);
  const sizePx = Math.max(how.minSizePx, Math.floor(fitting * 4) / 4);
  const spare = box.height - (ascentEm + descentEm) * sizePx;
  const top =
    box.y +
    { top: 0, middle: spare / 2, bottom: spare, baseline: spare + descentEm * sizePx }[how.verticalAlign];
  const baseline = top + ascentEm * sizePx;
  const figures: Record<string, Figure> = {};
  for (const [character, { fontId, glyphs, advanceEm }] of shaped) {
    const advancePx = advanceOf(character) * sizePx;
    // A narrow digit stands in the middle of its room.
    let pen = /\d/.test(character) ? ((digitEm - advanceEm) / 2) * sizePx : 0;
    const placed = glyphs.map((glyph) => {
      const x = pen + glyph.offsetXEm * sizePx;
      pen += glyph.advanceEm * sizePx;
      return { id: glyph.id, x, y: baseline + glyph.offsetYEm * sizePx };
    });
    const ink = overhang({ x: 0, y: top, width: advancePx, height: (ascentEm + descentEm) * sizePx }, sizePx);
    const item = { ...glyphItem({ fontId, sizePx }, placed), ...paint };
    figures[character] = { plate: plateAround([item], ink, { blurPx }), advancePx };
  }
  return { figures, sizePx };
}
