import { type Finding, objectSubject } from "../findings/finding.ts";
import { emptyBox } from "../findings/kinds/emptyBox.ts";
import { fitted } from "../findings/kinds/fitted.ts";
import { unreadableObject } from "../findings/kinds/unreadableObject.ts";
import type { Point, Rect } from "../picture/picture.ts";
import type { Shaper } from "../text/shaper.ts";
import { FRAME_RATES, type FrameRate } from "../time/timecode.ts";
import { type Adjustments, AS_MADE, adjusted, type Whole } from "./adjust.ts";
import { bled } from "./bleed.ts";
import type { HouseStyle } from "./houseStyle.ts";
import { layOutFigures } from "./layOutFigures.ts";
import { layOutProgram, layOutVideo } from "./layOutLive.ts";
import { layOutBars, layOutTable } from "./layOutRows.ts";
import { layOutShape } from "./layOutShape.ts";
import { layOutStrip } from "./layOutStrip.ts";
import { layOutList, layOutWords } from "./layOutWords.ts";
import { type FieldValues, Lookup } from "./lookup.ts";
import { type MediaCatalog, NO_MEDIA } from "./media.ts";
import { makePart, type ObjectContext, type Placing, placeBox, resolveCorners } from "./objectContext.ts";
import type { ClipShape, LaidOutPage, Part, TextSize } from "./part.ts";
import { drawnObjects } from "./showWhen.ts";
import { allObjects, type ReadableObject, type SceneObject, type Template } from "./template.ts";

/** Fonts tried after those of the house style, whatever the script. */
export type FallbackFonts = readonly string[];

/** What laying out takes from outside the page. */
export interface Resources {
  readonly shaper: Shaper;
  readonly fallbackFonts: FallbackFonts;
  readonly media?: MediaCatalog;
  /** IANA zone of the show, for clocks. */
  readonly timeZone?: string;
  /** Texts that this page moves, sizes or leaves out. */
  readonly adjust?: Adjustments;
  /** Where this page stands, and how large; null: as its template was made. */
  readonly whole?: Whole | null;
  /** Keeps laid-out objects from page to page; see LayOutMemory. */
  readonly memory?: LayOutMemory;
}

/** Shapes that differ by less than this part fill one another as good as wholly. */
const SAME_SHAPE = 0.02;

export interface PageSize {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly frameRate?: FrameRate;
  /** Where words and all that does not fill the screen stand, on one screen of a wall of several; the whole when not said. */
  readonly area?: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

interface Remembered {
  readonly placeKey: string;
  readonly asked: ReadonlyMap<string, string>;
  readonly laidOut: LaidOutObject;
}

interface LaidOutObject {
  readonly parts: readonly Part[];
  readonly texts: readonly TextSize[];
  readonly findings: readonly Finding[];
}

/**
 * Objects laid out before, with what they had asked for. One is laid out again only when a token, value or picture
 * that it asked for gives another answer: changing a colour re-lays what wears that colour and nothing else.
 */
export class LayOutMemory {
  readonly #known = new WeakMap<object, Remembered[]>();
  /** Objects laid out since it was made, for tests and measurements. */
  laidOutCount = 0;

  find(object: ReadableObject, placeKey: string, lookup: Lookup): LaidOutObject | undefined {
    return this.#known.get(object)?.find((entry) => entry.placeKey === placeKey && lookup.agrees(entry.asked))
      ?.laidOut;
  }

  keep(object: ReadableObject, placeKey: string, lookup: Lookup, laidOut: LaidOutObject): void {
    this.laidOutCount++;
    const entries = this.#known.get(object) ?? [];
    entries.unshift({ placeKey, asked: lookup.asked, laidOut });
    entries.length = Math.min(entries.length, MOST_REMEMBERED);
    this.#known.set(object, entries);
  }
}

/** Layouts kept for one object: a few values on a few outputs. */
const MOST_REMEMBERED = 24;

/**
 * A template filled with values and dressed in a style, as parts in output pixels. The canvas is scaled to the
 * output and centred. Pure; runs when content changes, never per frame. What cannot be drawn is left out and named
 * in a finding: a page never goes blank for one object.
 */
export function layOut(
  template: Template,
  values: FieldValues,
  style: HouseStyle,
  output: PageSize,
  resources: Resources,
): LaidOutPage {
  const { xPercent, yPercent, scale: size } = resources.whole ?? AS_MADE;
  const { canvas } = template;
  const area = output.area ?? { x: 0, y: 0, width: output.widthPx, height: output.heightPx };
  const scale = size * Math.min(area.width / canvas.widthPx, area.height / canvas.heightPx);
  const place: Placing = {
    scale,
    originX: area.x + (area.width - canvas.widthPx * scale) / 2 + (output.widthPx * xPercent) / 100,
    originY: area.y + (area.height - canvas.heightPx * scale) / 2 + (output.heightPx * yPercent) / 100,
  };
  // A page that was placed by hand stands as it is; others fill a screen of another shape to its edges.
  const isPlaced = size !== 1 || xPercent !== 0 || yPercent !== 0;
  const screen = {
    x: -place.originX / scale,
    y: -place.originY / scale,
    width: output.widthPx / scale,
    height: output.heightPx / scale,
  };
  const all = allObjects(template);
  const parents = new Map(
    all.flatMap(({ object, parentId }) => (parentId === null ? [] : [[object.id, parentId]])),
  );
  const drawn = drawnObjects(
    all.map(({ object }) => object),
    values,
    parents,
  );
  const texts: TextSize[] = [];
  const findings: Finding[] = [];
  const stretch = output.widthPx / output.heightPx / (canvas.widthPx / canvas.heightPx);
  if (Math.abs(Math.log(stretch)) > SAME_SHAPE)
    findings.push(
      fitted({ kind: "page", id: "" }, { madeForWidthPx: canvas.widthPx, madeForHeightPx: canvas.heightPx }),
    );
  const layOutAll = (objects: readonly SceneObject[], delayEachMs: number, isTop = false): Part[] => {
    const parts: Part[] = [];
    for (const object of objects) {
      if (object.kind === "unreadable") {
        findings.push(unreadableObject(objectSubject(object.id), { why: object.why }));
        continue;
      }
      if (!drawn.has(object.id)) continue;
      const wanted = adjusted(object, resources.adjust);
      if (!wanted) continue;
      const laidOut = remember(isPlaced || !isTop ? wanted : bled(wanted, canvas, screen));
      texts.push(...laidOut.texts);
      findings.push(...laidOut.findings);
      for (const part of laidOut.parts) {
        const delayMs = part.motion.delayMs + parts.length * delayEachMs;
        parts.push({ ...part, z: parts.length, motion: { ...part.motion, delayMs } });
      }
    }
    return parts;
  };
  const remember = (object: ReadableObject): LaidOutObject => {
    if (object.kind === "group") {
      const { found, context } = begin();
      return {
        parts: groupParts(object, layOutAll(object.objects, object.motion.staggerMs), context),
        ...found,
      };
    }
    const placeKey = `${place.scale}/${place.originX}/${place.originY}/${resources.timeZone ?? ""}`;
    const { lookup, found, context } = begin();
    const known = resources.memory?.find(object, placeKey, lookup);
    if (known) return known;
    const laidOut = { parts: layOutObject(object, context), ...found };
    resources.memory?.keep(object, placeKey, lookup, laidOut);
    return laidOut;
  };
  const begin = () => {
    const lookup = new Lookup(style, values, resources.media ?? NO_MEDIA);
    const found = { texts: [] as TextSize[], findings: [] as Finding[] };
    const context: ObjectContext = {
      lookup,
      place,
      shaper: resources.shaper,
      fallbackFonts: resources.fallbackFonts.filter((id) => resources.shaper.hasFont(id)),
      timeZone: resources.timeZone ?? "UTC",
      frameRate: output.frameRate ?? FRAME_RATES["60"],
      report: (finding) => {
        const isKnown = found.findings.some((other) => JSON.stringify(other) === JSON.stringify(finding));
        if (!isKnown) found.findings.push(finding);
      },
      reportText: (size) => found.texts.push(size),
    };
    return { lookup, found, context };
  };
  const parts = layOutAll(template.objects, 0, true);
  return { widthPx: output.widthPx, heightPx: output.heightPx, parts, texts, findings };
}

function layOutObject(object: Exclude<ReadableObject, { kind: "group" }>, context: ObjectContext): Part[] {
  if (isEmpty(object)) {
    context.report(emptyBox(objectSubject(object.id), {}));
    return [];
  }
  switch (object.kind) {
    case "rectangle":
    case "ellipse":
    case "line":
    case "polygon":
    case "picture":
      return layOutShape(object, context);
    case "text":
      return layOutWords(object, context);
    case "list":
      return layOutList(object, context);
    case "crawl":
      return layOutStrip(object, context);
    case "figures":
      return layOutFigures(object, context);
    case "table":
      return layOutTable(object, context);
    case "bars":
      return layOutBars(object, context);
    case "video":
      return layOutVideo(object, context);
    case "program":
      return layOutProgram(object, context);
  }
}

/** A line may be level or upright: one side of its box may be nothing. */
function isEmpty({ kind, box }: ReadableObject): boolean {
  return kind === "line" ? box.width <= 0 && box.height <= 0 : box.width <= 0 || box.height <= 0;
}

function groupParts(
  object: Extract<ReadableObject, { kind: "group" }>,
  parts: readonly Part[],
  context: ObjectContext,
): Part[] {
  if (parts.length === 0) return [];
  const { at, local } = placeBox(object.box, context.place);
  const rect: Rect = { ...local, x: local.x + at.x, y: local.y + at.y };
  const center: Point = { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 };
  return [
    makePart(
      object,
      context,
      { x: 0, y: 0 },
      {
        kind: "group",
        parts,
        blend: object.blend,
        clip: clipShape(object, rect, context),
        center,
      },
    ),
  ];
}

function clipShape(
  { clip }: Extract<ReadableObject, { kind: "group" }>,
  rect: Rect,
  context: ObjectContext,
): ClipShape | null {
  switch (clip.kind) {
    case "none":
      return null;
    case "box":
      return { kind: "box", rect, radiiPx: resolveCorners(clip.corners, rect, context) };
    case "ellipse":
      return { kind: "ellipse", rect };
    case "polygon":
      return {
        kind: "polygon",
        points: clip.points.map(({ x, y }) => ({ x: rect.x + x * rect.width, y: rect.y + y * rect.height })),
      };
  }
}

export type { FieldValues, LaidOutPage };
