import { charactersOf, type FiguresValue, widestOf } from "../figures/figures.ts";
import { parseNumber } from "../figures/number.ts";
import { objectSubject } from "../findings/finding.ts";
import { notANumber } from "../findings/kinds/notANumber.ts";
import type { Rect } from "../picture/picture.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { findScript } from "../text/itemise.ts";
import type { Shaper } from "../text/shaper.ts";
import {
  inCase,
  makePart,
  type ObjectContext,
  placeBox,
  plateAround,
  type ResolvedPaint,
  resolveFonts,
  resolvePaint,
} from "./objectContext.ts";
import type { Figure, Part } from "./part.ts";
import { glyphItem, overhang } from "./placeText.ts";
import type { FiguresObject } from "./template.ts";

export function layOutFigures(object: FiguresObject, context: ObjectContext): Part[] {
  const { at, local } = placeBox(object.box, context.place);
  const value = figuresValue(object, context);
  const { scale } = context.place;
  const fonts = resolveFonts(object, context);
  const trackingEm = context.lookup.number(object.trackingEm);
  const set = setFigures(
    inCase(charactersOf(value), object.letterCase),
    inCase(widestOf(value), object.letterCase),
    {
      box: local,
      fonts,
      trackingEm,
      minSizePx: object.minSizePx * scale,
      maxSizePx: object.maxSizePx * scale,
      verticalAlign: object.verticalAlign,
    },
    resolvePaint(object, local, context),
    context.shaper,
  );
  context.reportText({ objectId: object.id, sizePx: set.sizePx, fits: true });
  return [
    makePart(object, context, at, {
      kind: "figures",
      value,
      figures: set.figures,
      widthPx: local.width,
      align: object.align,
    }),
  ];
}

function figuresValue(object: FiguresObject, context: ObjectContext): FiguresValue {
  const { shows } = object;
  const { timeZone, lookup } = context;
  switch (shows.kind) {
    case "clock":
      return { kind: "clock", format: shows.format, timeZone };
    case "countdown":
      return { kind: "countdown", to: lookup.value(shows.field).trim(), timeZone, atZero: shows.atZero };
    case "countUp":
      return { kind: "countUp" };
    case "number":
      return numberValue(lookup.value(shows.field), shows.durationMs, object.id, context);
  }
}

/** A field's number, counted up from nothing; what is no number is shown as typed, and told. */
export function numberValue(
  typed: string,
  durationMs: number,
  objectId: string,
  context: ObjectContext,
): FiguresValue {
  const number = parseNumber(typed);
  if (!number) {
    if (typed.trim() !== "")
      context.report(notANumber(objectSubject(objectId), { text: typed.trim().slice(0, 60) }));
    return { kind: "fixed", text: typed.trim() };
  }
  const { value, decimals, before, after } = number;
  return {
    kind: "number",
    from: 0,
    to: value,
    decimals,
    before,
    after,
    easing: "ease-out",
    delayMs: 0,
    durationMs,
  };
}

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
    readonly verticalAlign: FiguresObject["verticalAlign"];
  },
  paint: ResolvedPaint,
  shaper: Shaper,
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
    figures[character] = { plate: plateAround([item], ink), advancePx };
  }
  return { figures, sizePx };
}
