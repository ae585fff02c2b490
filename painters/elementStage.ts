import type { Placement } from "../core/compose/placements.ts";
import { clipOf } from "../core/compose/wipe.ts";
import type { Pose } from "../core/motion/pose.ts";
import type { CornerRadii, Picture, Point, Rect } from "../core/picture/picture.ts";
import { withAlpha } from "../core/scene/lookup.ts";
import type { ClipShape } from "../core/scene/part.ts";
import { boundsOf, isAtRest, opacityOf } from "./geometry.ts";
import type { PlateCache } from "./plateCache.ts";
import { SoundPlate } from "./soundPlate.ts";
import type { Stage } from "./stage.ts";
import { type VideoMaker, VideoPlate } from "./videoPlate.ts";

interface Shown {
  readonly element: HTMLElement;
  /** Equal marks mean that the element can stay. */
  readonly mark: string;
  readonly children: Map<string, Shown> | null;
  readonly discard: () => void;
  readonly video?: VideoPlate;
  readonly sound?: SoundPlate;
  /** What is painted on its canvas now, of what is painted anew from frame to frame. */
  drawn?: Picture;
}

export interface StageParts {
  readonly plates: PlateCache;
  /** Device pixels to each output pixel; the plates must have the same. */
  readonly scale: number;
  readonly pixelRatio: number;
  /** Makes clips play; without it their posters are shown. */
  readonly videos?: VideoMaker;
  /** An element that shows the program picture and fills whatever box it is given. */
  readonly makeProgram?: () => HTMLElement;
}

/**
 * Composes plates as stacked elements: each plate is a canvas that the compositor moves, fades and clips. What
 * does not move costs nothing.
 */
export class ElementStage implements Stage {
  readonly #root: HTMLElement;
  readonly #parts: StageParts;
  readonly #css: (outputPx: number) => string;
  readonly #shown = new Map<string, Shown>();

  /** @param root an element the size of the picture; the stage owns what is in it */
  constructor(root: HTMLElement, parts: StageParts) {
    this.#root = root;
    this.#parts = parts;
    this.#css = (outputPx) => `${(outputPx * parts.scale) / parts.pixelRatio}px`;
  }

  /** Shows exactly these placements, from the back to the front. */
  draw(placements: readonly Placement[]): void {
    this.#drawInto(this.#root, this.#shown, placements);
  }

  /** Lets go of clips that play. */
  discard(): void {
    this.draw([]);
  }

  #drawInto(root: HTMLElement, shown: Map<string, Shown>, placements: readonly Placement[]): void {
    const wanted = new Set(placements.map(({ id }) => id));
    for (const [id, item] of shown)
      if (!wanted.has(id)) {
        shown.delete(id);
        item.discard();
      }
    let before: Element | null = null;
    for (const placement of placements) {
      const item = this.#getShown(shown, placement);
      const expected: Element | null = before ? before.nextElementSibling : root.firstElementChild;
      if (expected !== item.element) root.insertBefore(item.element, expected);
      this.#update(item, placement);
      before = item.element;
    }
  }

  #getShown(shown: Map<string, Shown>, placement: Placement): Shown {
    const mark = markOf(placement);
    const known = shown.get(placement.id);
    if (known?.mark === mark) return known;
    known?.discard();
    const made = this.#make(placement, mark);
    made.element.dataset.piece = placement.id;
    made.element.style.position = "absolute";
    shown.set(placement.id, made);
    return made;
  }

  #make(placement: Placement, mark: string): Shown {
    const { plates, videos, makeProgram } = this.#parts;
    switch (placement.kind) {
      case "plate": {
        const { plate } = placement;
        const element = plates.acquire(plate);
        const discard = () => {
          element.remove();
          plates.release(plate.key, element);
        };
        return { element, mark, children: null, discard };
      }
      case "drawn": {
        const element = document.createElement("canvas");
        return { element, mark, children: null, discard: () => element.remove() };
      }
      case "group": {
        const element = document.createElement("div");
        element.style.inset = "0";
        if (placement.blend !== "normal") element.style.mixBlendMode = placement.blend;
        else if (placement.clip || placement.isIsolated) element.style.isolation = "isolate";
        const children = new Map<string, Shown>();
        const discard = () => {
          for (const child of children.values()) child.discard();
          element.remove();
        };
        return { element, mark, children, discard };
      }
      case "video": {
        if (videos) {
          const video = new VideoPlate(placement.video, videos, plates.signal);
          return { element: video.element, mark, children: null, discard: () => video.discard(), video };
        }
        const { poster } = placement.video;
        const element = poster ? plates.acquire(poster) : document.createElement("div");
        const discard = () => {
          element.remove();
          if (poster) plates.release(poster.key, element as HTMLCanvasElement);
        };
        return { element, mark, children: null, discard };
      }
      case "sound": {
        if (!videos?.sound) {
          const element = document.createElement("span");
          return { element, mark, children: null, discard: () => element.remove() };
        }
        const sound = new SoundPlate(placement, videos);
        return { element: sound.element, mark, children: null, discard: () => sound.discard(), sound };
      }
      case "program": {
        const element = makeProgram?.() ?? document.createElement("div");
        element.style.overflow = "hidden";
        return { element, mark, children: null, discard: () => element.remove() };
      }
    }
  }

  #update(item: Shown, placement: Placement): void {
    if (placement.kind === "sound") {
      item.sound?.update(placement);
      return;
    }
    const { style } = item.element;
    const { pose, pivot } = placement;
    set(style, "opacity", `${opacityOf(pose)}`);
    switch (placement.kind) {
      case "plate": {
        const bounds = boundsOf(placement);
        this.#box(style, bounds, item.element);
        this.#transform(style, pose, pivot, bounds);
        set(style, "clipPath", this.#inset(clipOf(pose, bounds), bounds, placement.radiiPx));
        set(style, "mixBlendMode", placement.isAdded ? "plus-lighter" : "normal");
        return;
      }
      case "drawn": {
        const { picture, x, y } = placement;
        const canvas = item.element as HTMLCanvasElement;
        if (item.drawn !== picture) {
          this.#parts.plates.paintOn(canvas, picture);
          item.drawn = picture;
        }
        const { bounds } = picture;
        const on = { ...bounds, x: x + bounds.x, y: y + bounds.y };
        this.#box(style, on, canvas);
        this.#transform(style, pose, pivot, on);
        set(style, "clipPath", this.#inset(clipOf(pose, on), on, SHARP));
        return;
      }
      case "group": {
        const { x, y } = placement;
        const moved = { ...pose, offsetXPx: pose.offsetXPx + x, offsetYPx: pose.offsetYPx + y };
        this.#transform(style, moved, pivot, { x: 0, y: 0 });
        set(style, "clipPath", placement.clip ? this.#shape(placement.clip) : "none");
        this.#drawInto(item.element, item.children as Map<string, Shown>, placement.children);
        return;
      }
      case "video": {
        const { video, x, y, radiiPx } = placement;
        const box = { ...placement.box, x: x + placement.box.x, y: y + placement.box.y };
        let on = box;
        if (item.video) {
          this.#box(style, box);
          item.video.update(placement, (px) => this.#css(px));
        } else if (video.poster) {
          const { bounds } = video.poster.picture;
          on = { ...bounds, x: x + bounds.x, y: y + bounds.y };
          this.#box(style, on, item.element);
        }
        this.#transform(style, pose, pivot, on);
        const clip = clipOf(pose, on);
        set(style, "clipPath", clip ? this.#inset(clip, on, radiiPx) : this.#round(radiiPx));
        return;
      }
      case "program": {
        const { rect, radiiPx, blurPx, tints } = placement;
        this.#box(style, rect);
        this.#transform(style, pose, pivot, rect);
        const clip = clipOf(pose, rect);
        set(style, "clipPath", clip ? this.#inset(clip, rect, radiiPx) : this.#round(radiiPx));
        set(style, "filter", blurPx > 0 ? `blur(${this.#css(blurPx)})` : "none");
        const tint = tints.at(-1);
        // A veil over the whole of it, so that what shows the program need not know.
        set(style, "boxShadow", tint ? `inset 0 0 0 100vmax ${withAlpha(tint.color, tint.amount)}` : "none");
      }
    }
  }

  /** A plate's canvas is as large as it was painted; other elements are as large as their box. */
  #box(style: CSSStyleDeclaration, box: Rect, painted?: HTMLElement): void {
    const { pixelRatio } = this.#parts;
    set(style, "left", this.#css(box.x));
    set(style, "top", this.#css(box.y));
    const isPlate = painted instanceof HTMLCanvasElement;
    set(style, "width", isPlate ? `${painted.width / pixelRatio}px` : this.#css(box.width));
    set(style, "height", isPlate ? `${painted.height / pixelRatio}px` : this.#css(box.height));
  }

  /** @param from the top left of the element, from which CSS counts the point it turns around */
  #transform(
    style: CSSStyleDeclaration,
    pose: Pose,
    pivot: Point,
    from: { readonly x: number; readonly y: number },
  ): void {
    if (isAtRest(pose)) {
      set(style, "transform", "none");
      return;
    }
    set(style, "transformOrigin", `${this.#css(pivot.x - from.x)} ${this.#css(pivot.y - from.y)}`);
    const turn = pose.rotationDeg === 0 ? "" : ` rotate(${pose.rotationDeg}deg)`;
    const grow = ` scale(${pose.scale * pose.scaleX}, ${pose.scale * pose.scaleY})`;
    set(
      style,
      "transform",
      `translate(${this.#css(pose.offsetXPx)}, ${this.#css(pose.offsetYPx)})${turn}${grow}`,
    );
  }

  #inset(
    clip: Rect | undefined,
    box: { readonly width: number; readonly height: number },
    radiiPx: CornerRadii,
  ): string {
    if (!clip) return "none";
    const right = box.width - clip.x - clip.width;
    const bottom = box.height - clip.y - clip.height;
    const most = Math.min(clip.width, clip.height) / 2;
    const radii = radiiPx.map((radius) => this.#css(Math.min(radius, most)));
    const round = radiiPx.some((radius) => radius > 0) ? ` round ${radii.join(" ")}` : "";
    return `inset(${this.#css(clip.y)} ${this.#css(right)} ${this.#css(bottom)} ${this.#css(clip.x)}${round})`;
  }

  #round(radiiPx: CornerRadii): string {
    return radiiPx.every((radius) => radius === 0)
      ? "none"
      : `inset(0 round ${radiiPx.map((radius) => this.#css(radius)).join(" ")})`;
  }

  /** A group covers the whole output: its clip is in output pixels. */
  #shape(clip: ClipShape): string {
    const css = this.#css;
    switch (clip.kind) {
      case "polygon":
        return `polygon(${clip.points.map(({ x, y }) => `${css(x)} ${css(y)}`).join(", ")})`;
      case "ellipse": {
        const { x, y, width, height } = clip.rect;
        return `ellipse(${css(width / 2)} ${css(height / 2)} at ${css(x + width / 2)} ${css(y + height / 2)})`;
      }
      case "box": {
        const { x, y, width, height } = clip.rect;
        const round = clip.radiiPx.map((radius) => css(radius)).join(" ");
        // Edges of the clip as distances from the output's edges, which are those of the group's element.
        return `inset(${css(y)} calc(100% - ${css(x + width)}) calc(100% - ${css(y + height)}) ${css(x)} round ${round})`;
      }
    }
  }
}

function markOf(placement: Placement): string {
  switch (placement.kind) {
    case "plate":
      return placement.plate.key;
    case "group":
      return `group ${placement.blend} ${placement.isIsolated}`;
    case "drawn":
      return "drawn";
    case "sound":
      return `sound ${placement.sound.hash}`;
    case "video":
      return `video ${placement.video.hash}`;
    case "program":
      return "program";
  }
}

const SHARP: CornerRadii = [0, 0, 0, 0];

type Written =
  | "filter"
  | "boxShadow"
  | "mixBlendMode"
  | "transform"
  | "transformOrigin"
  | "opacity"
  | "clipPath"
  | "left"
  | "top"
  | "width"
  | "height";

/** Writing a style that stands already would still cost a style pass. */
function set(style: CSSStyleDeclaration, name: Written, value: string): void {
  if (style[name] !== value) style[name] = value;
}
