import { type Finding, objectSubject } from "../findings/finding.ts";
import { emptyBox } from "../findings/kinds/emptyBox.ts";
import { fitted } from "../findings/kinds/fitted.ts";
import { unknownToken } from "../findings/kinds/unknownToken.ts";
import { unreadableObject } from "../findings/kinds/unreadableObject.ts";
import type { Resolved } from "../names/measure.ts";
import type { Rect } from "../picture/picture.ts";
import type { Shaper } from "../text/shaper.ts";
import { FRAME_RATES, type FrameRate } from "../time/timecode.ts";
import { adjusted, changedOnce, findAdjustment } from "./adjust.ts";
import { type Adjustments, AS_MADE, type Whole } from "./adjustment.ts";
import { bled } from "./bleed.ts";
import { findReferenceFaults, findUnknownFields } from "./findReferenceFaults.ts";
import type { HouseStyle } from "./houseStyle.ts";
import { type TextObject, wordsRect } from "./kinds/text.ts";
import { type FieldValues, Lookup } from "./lookup.ts";
import { type MediaCatalog, NO_MEDIA } from "./media.ts";
import { STILL } from "./motion.ts";
import { makePart, type ObjectContext, type Placing, placeBox, resolveCorners } from "./objectContext.ts";
import {
  type GroupSpec,
  groupSchema,
  kindOf,
  type LeafObject,
  type LeafSpec,
  type ReadableObject,
  type SceneObject,
} from "./objectKinds.ts";
import type { ClipShape, LaidOutPage, Part, TextSize } from "./part.ts";
import type { Box } from "./properties.ts";
import { resolveObject } from "./resolveObject.ts";
import { shapeFor } from "./shapes.ts";
import { drawnObjects } from "./showWhen.ts";
import { allObjects, type Template } from "./template.ts";
import { isTied, tieBoxes } from "./ties.ts";

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
  /** The fields that pages of this kind have; where given, a template that shows another is told. */
  readonly fields?: readonly string[];
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

  find(object: object, placeKey: string, lookup: Lookup): LaidOutObject | undefined {
    return this.#known.get(object)?.find((entry) => entry.placeKey === placeKey && lookup.agrees(entry.asked))
      ?.laidOut;
  }

  keep(object: object, placeKey: string, lookup: Lookup, laidOut: LaidOutObject): void {
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
 * A template filled with values and dressed in a style, as parts in output pixels: of its shapes the one that is nearest to the
 * output's, scaled to it and centred. Pure; runs when content changes, never per frame. What cannot be drawn is left out and named
 * in a finding: a page never goes blank for one object.
 */
export function layOut(
  wanted: Template,
  values: FieldValues,
  style: HouseStyle,
  output: PageSize,
  resources: Resources,
): LaidOutPage {
  const { xPercent, yPercent, scale: size } = resources.whole ?? AS_MADE;
  const area = output.area ?? { x: 0, y: 0, width: output.widthPx, height: output.heightPx };
  const template = shapeFor(wanted, { widthPx: area.width, heightPx: area.height });
  const { canvas } = template;
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
  const shown = drawnObjects(
    all.map(({ object }) => object),
    values,
    parents,
    new Set(all.filter(({ object }) => isBlank(object, values)).map(({ object }) => object.id)),
    new Set(
      all
        .filter(({ object }) => findAdjustment(object, resources.adjust)?.isShown)
        .map(({ object }) => object.id),
    ),
  );
  const texts: TextSize[] = [];
  const findings: Finding[] = [
    ...findReferenceFaults(template),
    ...(resources.fields ? findUnknownFields(template, resources.fields) : []),
  ];
  const stretch = output.widthPx / output.heightPx / (canvas.widthPx / canvas.heightPx);
  if (Math.abs(Math.log(stretch)) > SAME_SHAPE)
    findings.push(
      fitted({ kind: "page", id: "" }, { madeForWidthPx: canvas.widthPx, madeForHeightPx: canvas.heightPx }),
    );

  const begin = (objectId: string, placed: Placing): Begun => {
    const found = { texts: [] as TextSize[], findings: [] as Finding[] };
    const report = (finding: Finding) => {
      const isKnown = found.findings.some((other) => JSON.stringify(other) === JSON.stringify(finding));
      if (!isKnown) found.findings.push(finding);
    };
    const lookup = new Lookup(style, values, resources.media ?? NO_MEDIA, (what, name) =>
      report(unknownToken(objectSubject(objectId), { what, name })),
    );
    const context: ObjectContext = {
      lookup,
      place: placed,
      shaper: resources.shaper,
      fallbackFonts: resources.fallbackFonts.filter((id) => resources.shaper.hasFont(id)),
      timeZone: resources.timeZone ?? "UTC",
      frameRate: output.frameRate ?? FRAME_RATES["60"],
      report,
      reportText: (text) => found.texts.push(text),
    };
    return { found, context };
  };

  // Each object as the style and the page have it, before any follows another.
  const ready = new Map<string, Ready>();
  for (const { object } of all) {
    const adjustment = findAdjustment(object, resources.adjust);
    if (!shown.has(object.id) || adjustment?.isHidden) continue;
    const begun = begin(object.id, place);
    const resolved = resolve(object, begun.context);
    if (!resolved) {
      findings.push(...begun.found.findings);
      continue;
    }
    const isGroup = resolved.kind === "group";
    ready.set(object.id, {
      object: !adjustment || isGroup ? resolved : adjusted(resolved, adjustment),
      begun,
      move: isGroup && adjustment ? { x: adjustment.xPx, y: adjustment.yPx, scale: adjustment.scale } : null,
    });
  }
  const boxes = followTies(all, ready, canvas, () => begin("", place).context);

  const layOutAll = (
    objects: readonly SceneObject[],
    placed: Placing,
    delayEachMs: number,
    isTop = false,
  ): Part[] => {
    const parts: Part[] = [];
    for (const spec of objects) {
      if (spec.kind === "unreadable") {
        findings.push(unreadableObject(objectSubject(spec.id), { why: spec.why }));
        continue;
      }
      const one = ready.get(spec.id);
      if (!one) continue;
      const own = one.object;
      const laidOut =
        own.kind === "group" && spec.kind === "group"
          ? layOutGroup(spec, own, one, placed)
          : layOutLeaf(own as LeafObject, one, placed, isTop && !isPlaced);
      texts.push(...laidOut.texts);
      findings.push(...laidOut.findings);
      for (const part of laidOut.parts) {
        const delayMs = part.motion.delayMs + parts.length * delayEachMs;
        parts.push({ ...part, z: parts.length, motion: { ...part.motion, delayMs } });
      }
    }
    return parts;
  };

  const layOutGroup = (
    spec: GroupSpec,
    own: GroupObject,
    { begun, move }: Ready,
    placed: Placing,
  ): LaidOutObject => {
    const box = boxes.get(own.id);
    const tied = { x: box ? box.x - own.box.x : 0, y: box ? box.y - own.box.y : 0 };
    // Members go along with a group that follows something, or that its page moves and sizes around its pivot.
    const inner = movedPlace(placed, own, move, tied);
    const context = { ...begun.context, place: inner };
    const members = layOutAll(spec.objects, inner, own.motion.staggerMs);
    return { parts: groupParts(own, members, context), ...begun.found };
  };

  const layOutLeaf = (
    own: LeafObject,
    { begun }: Ready,
    placed: Placing,
    mayBleed: boolean,
  ): LaidOutObject => {
    const kind = kindOf(own as { kind: LeafSpec["kind"] });
    const box = boxes.get(own.id);
    const tied = box ? changedOnce(own, `tied ${JSON.stringify(box)}`, () => ({ ...own, box })) : own;
    const object = mayBleed && kind.bleeds && !box ? bled(tied, canvas, screen) : tied;
    const { found } = begun;
    const context: ObjectContext = placed === place ? begun.context : { ...begun.context, place: placed };
    const placeKey = `${placed.scale}/${placed.originX}/${placed.originY}/${context.timeZone}`;
    const known = resources.memory?.find(object, placeKey, context.lookup);
    if (known) return known;
    const laidOut = { parts: layOutObject(object, context), ...found };
    resources.memory?.keep(object, placeKey, context.lookup, laidOut);
    return laidOut;
  };

  const parts = layOutAll(template.objects, place, 0, true);
  const places = new Map([...ready].map(([id, { object }]) => [id, boxes.get(id) ?? object.box]));
  return { widthPx: output.widthPx, heightPx: output.heightPx, parts, texts, findings, places };
}

type GroupObject = Resolved<GroupSpec>;

interface Begun {
  readonly found: { readonly texts: TextSize[]; readonly findings: Finding[] };
  readonly context: ObjectContext;
}

interface Ready {
  readonly object: LeafObject | GroupObject;
  readonly begun: Begun;
  /** How its page moves a group, and sizes it. */
  readonly move: { readonly x: number; readonly y: number; readonly scale: number } | null;
}

const isBlank = (object: ReadableObject, values: FieldValues): boolean =>
  object.kind !== "group" && kindOf(object).isBlank(object as never, values);

/** An object as the style has it. A group's members are resolved for themselves. */
const resolve = (object: ReadableObject, context: ObjectContext): LeafObject | GroupObject | undefined =>
  object.kind === "group"
    ? (resolveObject(object, groupSchema, context) as GroupObject | undefined)
    : (resolveObject(object as never, kindOf(object).schema, context) as LeafObject | undefined);

/** Boxes of the objects that follow others, on the canvas. */
function followTies(
  all: ReturnType<typeof allObjects>,
  ready: ReadonlyMap<string, Ready>,
  canvas: Template["canvas"],
  quiet: () => ObjectContext,
): ReadonlyMap<string, Rect> {
  if (![...ready.values()].some(({ object }) => isTied(object.ties))) return NO_BOXES;
  const tied = all.map(({ object }) => {
    const one = ready.get(object.id)?.object;
    // What is not drawn stands where it was written; what it follows is followed all the same.
    const { box, ties } = one ?? (object as LeafObject);
    return { id: object.id, box: one ? box : numbersOf(box), ties, isDrawn: one !== undefined };
  });
  return tieBoxes(tied, canvas, (id, box) => {
    const one = ready.get(id)?.object;
    return one?.kind === "text" ? wordsRect(one as TextObject, box, quiet()) : undefined;
  });
}

const NO_BOXES: ReadonlyMap<string, Rect> = new Map();
const numbersOf = (box: Box): Box => ({
  x: Number(box.x) || 0,
  y: Number(box.y) || 0,
  width: Number(box.width) || 0,
  height: Number(box.height) || 0,
});

function movedPlace(
  place: Placing,
  { box, pivot }: GroupObject,
  move: Ready["move"],
  tied: { readonly x: number; readonly y: number },
): Placing {
  if (!move && tied.x === 0 && tied.y === 0) return place;
  const { x, y, scale } = move ?? { x: 0, y: 0, scale: 1 };
  const about = { x: box.x + box.width * pivot.x, y: box.y + box.height * pivot.y };
  return {
    scale: place.scale * scale,
    originX: place.originX + (x + tied.x + about.x * (1 - scale)) * place.scale,
    originY: place.originY + (y + tied.y + about.y * (1 - scale)) * place.scale,
  };
}

function layOutObject(object: LeafObject, context: ObjectContext): Part[] {
  const kind = kindOf(object as { kind: LeafSpec["kind"] });
  const { width, height } = object.box;
  // A line may be level or upright: one side of its box may be nothing.
  const isEmpty = kind.mayBeFlat
    ? width <= 0 && height <= 0 && object.kind !== "sound"
    : width <= 0 || height <= 0;
  if (isEmpty) {
    context.report(emptyBox(objectSubject(object.id), {}));
    return [];
  }
  const parts = kind.layOut(object as never, context);
  return parts.length > 1 && object.rotationDeg !== 0 ? turnedTogether(object, parts, context) : parts;
}

/** What comes in several parts is turned as one. */
function turnedTogether(object: LeafObject, parts: readonly Part[], context: ObjectContext): Part[] {
  const { at, local } = placeBox(object.box, context.place);
  const rect: Rect = { ...local, x: local.x + at.x, y: local.y + at.y };
  const members = parts.map((part, z) => ({ ...part, z, rotationDeg: 0 }));
  const whole = { ...object, motion: STILL, opacity: 1, timeWindow: ALWAYS };
  return [
    makePart(
      whole,
      context,
      { x: 0, y: 0 },
      { kind: "group", parts: members, blend: "normal", clip: null, rect },
    ),
  ];
}
const ALWAYS = { fromMs: 0, untilMs: null } as const;

function groupParts(object: GroupObject, parts: readonly Part[], context: ObjectContext): Part[] {
  if (parts.length === 0) return [];
  const { at, local } = placeBox(object.box, context.place);
  const rect: Rect = { ...local, x: local.x + at.x, y: local.y + at.y };
  return [
    makePart(
      object,
      context,
      { x: 0, y: 0 },
      { kind: "group", parts, blend: object.blend, clip: clipShape(object, rect, context), rect },
    ),
  ];
}

function clipShape({ clip }: GroupObject, rect: Rect, context: ObjectContext): ClipShape | null {
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
