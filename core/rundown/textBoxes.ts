import { measureRequest } from "../scene/kinds/text.ts";
import { shapesOf } from "../scene/shapes.ts";
import { findTextOf, type Template } from "../scene/template.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { prepareText } from "../text/prepare.ts";
import type { Shaper } from "../text/shaper.ts";
import type { FillOf } from "../words/divide.ts";
import { type FlowUnit, joinUnits } from "../words/flow.ts";
import { fillOfBox, type MeasuredUnits, type TextBox } from "../words/measure.ts";
import { halveUnit } from "../words/sense.ts";
import type { CompileContext, OfferedTemplate } from "./compileContext.ts";

/** The box that a field's words stand in, at the size that can be read from the last row. */
interface WordsBox {
  readonly box: TextBox;
  readonly fonts: FontChoice;
  /** Verse numbers stand in the margin. */
  readonly hangs: boolean;
}

/** Where an outfit shows the words, and the second language where it shows one. */
export interface OutfitBoxes {
  readonly words: WordsBox | undefined;
  readonly second: WordsBox | undefined;
}

export function boxesOf(
  context: CompileContext,
  worn: ReadonlyMap<string, OfferedTemplate>,
): Map<string, OutfitBoxes> {
  return new Map(
    [...worn].map(([outfitId, { template }]) => [
      outfitId,
      { words: findBox(context, template, "words"), second: findBox(context, template, "second") },
    ]),
  );
}

/** Of a template of several shapes the box that holds least: a slide fits every shape. */
function findBox(context: CompileContext, template: Template, field: string): WordsBox | undefined {
  const boxes = shapesOf(template).flatMap((shape) => boxIn(context, shape, field) ?? []);
  const [first] = boxes;
  if (!first) return undefined;
  const widthEm = Math.min(...boxes.map(({ box }) => box.widthEm));
  return { ...first, box: { widthEm, maxLines: Math.min(...boxes.map(({ box }) => box.maxLines)) } };
}

function boxIn(context: CompileContext, template: Template, field: string): WordsBox | undefined {
  const spec = findTextOf(template, field);
  const measured = spec && measureRequest(spec, context.style.style, context.fallbackFonts, context.shaper);
  if (!measured) return undefined;
  const { object, request } = measured;
  const fonts = request.fonts as FontChoice;
  const { ascentEm, descentEm } = context.shaper.metrics(fonts.regular[0] as string);
  const heightEm = object.box.height / object.readableSizePx;
  return {
    fonts,
    hangs: object.hangNumbers,
    box: {
      // Half a hundredth is left for kerning that changes where a line ends.
      widthEm: (object.box.width / object.readableSizePx) * 0.995,
      maxLines: Math.max(1, Math.floor((heightEm - (ascentEm + descentEm)) / request.leading + 1)),
    },
  };
}

type Lines = MeasuredUnits[number]["lines"];
export type Measure = (text: string, fonts: FontChoice) => Lines;

/** Shapes each piece of text once for each font stack. */
export function createMeasure(shaper: Shaper): Measure {
  const known = new Map<string, Lines>();
  return (text, fonts) => {
    const key = `${fonts.regular.join()}|${text}`;
    let lines = known.get(key);
    if (!lines) {
      lines = prepareText(text, fonts, shaper).map(({ segments }) => segments);
      known.set(key, lines);
    }
    return lines;
  };
}

/**
 * How full a slide of an outfit is with a stretch of units: the fuller of its two languages.
 * @param numbers whether verse numbers stand in the words; one that does not hang takes room in its line, and
 *   measured at full size it is never too little
 */
export function fillIn(
  { words, second }: OutfitBoxes,
  units: readonly FlowUnit[],
  measure: Measure,
  numbers: boolean,
): FillOf {
  if (!words) return () => 1;
  const inLine = numbers && !words.hangs;
  const first: MeasuredUnits = units.map((unit, i) => ({
    join: unit.join,
    lines: measure(inLine ? joinUnits(units, i, i + 1, true).replaceAll("^", "") : unit.text, words.fonts),
  }));
  const other: MeasuredUnits | undefined =
    second &&
    units.map((unit) => ({
      join: unit.join,
      lines: measure((unit.second ?? "").replaceAll("^", ""), second.fonts),
    }));
  return (from, to) => {
    const fill = fillOfBox(first, words.box, from, to);
    if (fill === undefined || !other || !second) return fill;
    const otherFill = fillOfBox(other, second.box, from, to);
    return otherFill === undefined ? undefined : Math.max(fill, otherFill);
  };
}

/** Halves the units that not every outfit's slide could hold alone, until they all can (or are one word). */
export function halveWhatNeverFits(
  units: readonly FlowUnit[],
  boxes: Iterable<OutfitBoxes>,
  measure: Measure,
): FlowUnit[] {
  const all = [...boxes];
  const fitting: FlowUnit[] = [];
  const waiting = [...units].reverse();
  for (let unit = waiting.pop(); unit; unit = waiting.pop()) {
    const alone = [unit];
    const fitsAll = all.every((outfit) => fillIn(outfit, alone, measure, false)(0, 1) !== undefined);
    const halves = fitsAll ? undefined : halveUnit(unit);
    if (halves) waiting.push(halves[1], halves[0]);
    else fitting.push(unit);
  }
  return fitting;
}
