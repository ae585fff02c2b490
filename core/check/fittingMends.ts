import { t } from "../language/t.ts";
import type { Rect } from "../picture/picture.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import { findChunk } from "../rundown/steps.ts";
import { AS_MADE, NO_ADJUSTMENT } from "../scene/adjustment.ts";
import { allObjects, templateKey } from "../scene/template.ts";
import { SAFE_AREAS } from "../venue/testPicture.ts";
import { breakAt, withBreak } from "../words/manualBreaks.ts";
import type { EveningToCheck } from "./evening.ts";
import { changing, type Mend } from "./mend.ts";
import { objectKindOf } from "./objectKindOf.ts";
import type { PageOnScreen } from "./pageFacts.ts";

/** How far letters may be made smaller on one page. */
const SMALLER = 0.8;
/** Wider by less than this helps nobody. */
const LEAST_GAIN = 0.08;

/** What gives words more room: parting the slide, another template, smaller letters on this page. */
export function fittingMends(
  page: PageOnScreen,
  evening: Pick<EveningToCheck, "outfits">,
  objectId: string,
): Mend[] {
  return [
    ...partingSlide(page),
    ...wider(page, objectId),
    ...otherTemplates(page, evening),
    ...smaller(page, objectId),
  ];
}

/** The slide in two, in its middle, for the outfit that it is too long for. */
function partingSlide({ cue, anchor, outfitId }: PageOnScreen): Mend[] {
  const { doc, made } = cue;
  if ((doc.kind !== "song" && doc.kind !== "reading") || !made?.content.flow) return [];
  const chunk = findChunk(made.content.flow, outfitId, anchor);
  if (!chunk || chunk.to - chunk.from < 2) return [];
  const middle = Math.round((chunk.from + chunk.to) / 2);
  const section = chunk.occurrence.key.split("#")[0] as string;
  const manual = breakAt("split", section, chunk.occurrence.units, middle, [outfitId]);
  const breaks = withBreak(doc.breaks, manual);
  return [changing(cue, t`Part the slide here`, { breaks } as Partial<CueDoc>)];
}

/** Templates that the outfit offers besides the one that is worn. */
export function otherTemplates(
  { cue, outfitId, template }: PageOnScreen,
  { outfits }: Pick<EveningToCheck, "outfits">,
): Mend[] {
  const offered = outfits.find(({ id }) => id === outfitId)?.templates[template.fieldSet] ?? [];
  return offered
    .filter(({ key }) => key !== templateKey(template))
    .slice(0, 3)
    .map(({ key, name }) => changing(cue, t`Wear “${name}”`, { template: key } as Partial<CueDoc>));
}

const nameFor = (page: PageOnScreen, objectId: string): string =>
  objectKindOf(page.template, objectId)?.field ?? `#${objectId}`;

/** The box as wide as the picture's title area lets it be. */
function wider(page: PageOnScreen, objectId: string): Mend[] {
  const { cue, template } = page;
  const object = allObjects(template).find(({ object: each }) => each.id === objectId)?.object;
  const box = object && "box" in object ? object.box : undefined;
  const [x, width] = [Number(box?.x), Number(box?.width)];
  if (!(width > 0) || !object || !("pivot" in object)) return [];
  const { widthPx } = template.canvas;
  const margin = (widthPx * (1 - SAFE_AREAS.smpte.title)) / 2;
  const pivot = object.pivot.x;
  const toLeft = pivot === 0 ? Number.POSITIVE_INFINITY : (x - margin) / (width * pivot);
  const toRight =
    pivot === 1 ? Number.POSITIVE_INFINITY : (widthPx - margin - x - width) / (width * (1 - pivot));
  const times = Math.floor(Math.min(toLeft, toRight, 3) * 100) / 100;
  if (times < LEAST_GAIN) return [];
  const name = nameFor(page, objectId);
  const own = cue.doc.adjust[name] ?? NO_ADJUSTMENT;
  const adjust = { ...cue.doc.adjust, [name]: { ...own, wide: 1 + times } };
  return [changing(cue, t`Make its box wider on this page`, { adjust } as Partial<CueDoc>)];
}

/** A soft shade behind the letters: dark behind light ones, light behind dark ones. */
export function shading(page: PageOnScreen, objectId: string, isLight: boolean): Mend[] {
  const { cue } = page;
  const name = nameFor(page, objectId);
  const own = cue.doc.adjust[name] ?? NO_ADJUSTMENT;
  if (own.shade !== undefined) return [];
  const adjust = { ...cue.doc.adjust, [name]: { ...own, shade: isLight ? "#000000" : "#ffffff" } };
  return [changing(cue, t`Put a shade behind its letters`, { adjust } as Partial<CueDoc>)];
}

function smaller(page: PageOnScreen, objectId: string): Mend[] {
  const { cue } = page;
  const name = nameFor(page, objectId);
  const own = cue.doc.adjust[name] ?? NO_ADJUSTMENT;
  const scale = Math.round(own.scale * SMALLER * 100) / 100;
  if (scale < 0.2) return [];
  const adjust = { ...cue.doc.adjust, [name]: { ...own, scale } };
  return [changing(cue, t`Make its letters smaller on this page`, { adjust } as Partial<CueDoc>)];
}

/** What brings words inside an area: back by as much as they were moved there, else with all of their page. */
export function movingInside(page: PageOnScreen, objectId: string, words: Rect, area: Rect): Mend[] {
  const { cue, template, output } = page;
  if (words.width > area.width || words.height > area.height) return [];
  const right = Math.max(0, area.x - words.x) - Math.max(0, words.x + words.width - (area.x + area.width));
  const down = Math.max(0, area.y - words.y) - Math.max(0, words.y + words.height - (area.y + area.height));
  const name = nameFor(page, objectId);
  const own = cue.doc.adjust[name] ?? NO_ADJUSTMENT;
  if (own.xPx * right < 0 || own.yPx * down < 0) {
    // Adjustments are said on the template's canvas.
    const scale = Math.min(
      output.widthPx / template.canvas.widthPx,
      output.heightPx / template.canvas.heightPx,
    );
    const away = (px: number) => Math.sign(px) * Math.ceil(Math.abs(px) / scale + (px === 0 ? 0 : 1));
    const moved = { ...own, xPx: Math.round(own.xPx + away(right)), yPx: Math.round(own.yPx + away(down)) };
    return [
      changing(cue, t`Move it inside`, { adjust: { ...cue.doc.adjust, [name]: moved } } as Partial<CueDoc>),
    ];
  }
  const whole = cue.doc.whole ?? AS_MADE;
  const percent = (px: number, of: number) =>
    Math.sign(px) * (Math.ceil((Math.abs(px) / of) * 1_000) / 10 + (px === 0 ? 0 : 0.1));
  const moved = {
    ...whole,
    xPercent: toTenths(whole.xPercent + percent(right, output.widthPx)),
    yPercent: toTenths(whole.yPercent + percent(down, output.heightPx)),
  };
  if (Math.abs(moved.xPercent) > 100 || Math.abs(moved.yPercent) > 100) return [];
  return [changing(cue, t`Move the page inside`, { whole: moved } as Partial<CueDoc>)];
}

const toTenths = (value: number): number => Math.round(value * 10) / 10;
