import type { PieceContent } from "../core/compose/piece.ts";
import type { Placement } from "../core/compose/placements.ts";
import type { ChromaKey } from "../core/picture/chromaKey.ts";
import { ChromaKeyer } from "./chromaKeyer.ts";
import { keepInStep, loadAnewOnError } from "./keepInStep.ts";
import type { Signal } from "./paint.ts";
import { playAloud } from "./playAloud.ts";
import { watchFrames } from "./watchFrames.ts";

/** What clips need to know of the window they play in. */
export interface VideoMaker {
  readonly addressOf: (file: string) => string;
  readonly keyOf: (hash: string) => ChromaKey | null;
  /** Whether clips are heard in this window. */
  readonly sound: boolean;
}

type Video = Extract<PieceContent, { kind: "video" }>;
type VideoPlacement = Extract<Placement, { kind: "video" }>;

/**
 * A clip on screen: plays by the page's clock, cut to its box, keyed where its settings say so. In a key's window it is its alpha in
 * white, frame by frame; a tint lies over its alpha too, and over all of what nothing is seen through.
 */
export class VideoPlate {
  readonly element: HTMLElement;
  readonly #video: HTMLVideoElement;
  readonly #picture: HTMLElement;
  readonly #content: Video;
  readonly #signal: Signal;
  readonly #sound: boolean;
  readonly #onFrame: (() => void) | undefined;
  readonly #keyer: ChromaKeyer | undefined;
  /** Of what is seen through. */
  readonly #alpha: AlphaOf | undefined;
  /** Takes the colour of a tint. */
  readonly #cover: HTMLElement;
  readonly #end = new AbortController();
  #unwatch: (() => void) | undefined;
  #alphaColor = "";

  /** @param onFrame called for each new frame of it, for whoever draws them on a canvas */
  constructor(content: Video, maker: VideoMaker, signal: Signal = "fill", onFrame?: () => void) {
    this.#content = content;
    this.#signal = signal;
    this.#onFrame = onFrame;
    this.#sound = maker.sound && content.level > 0;
    this.#video = document.createElement("video");
    this.#video.muted = !this.#sound;
    this.#video.playsInline = true;
    this.#video.preload = "auto";
    this.#video.loop = content.atEnd === "loop";
    const key = maker.keyOf(content.hash);
    this.#keyer = key ? new ChromaKeyer(this.#video, key, () => this.#drawn()) : undefined;
    this.#alpha = content.hasAlpha || key ? new AlphaOf() : undefined;
    const inKey = signal === "key";
    this.#picture = (inKey ? this.#alpha?.canvas : undefined) ?? this.#keyer?.canvas ?? this.#video;
    this.#cover = this.#alpha?.canvas ?? document.createElement("div");
    for (const { style } of [this.#picture, this.#cover])
      Object.assign(style, {
        position: "absolute",
        objectFit: "fill",
        // The page's own style would have it no wider than its box.
        maxWidth: "none",
        maxHeight: "none",
      });
    this.element = document.createElement("div");
    this.element.style.overflow = "hidden";
    if (this.#isWhite) this.element.style.background = "#fff";
    else this.element.append(this.#picture);
    if (!inKey) {
      this.#cover.style.opacity = "0";
      this.element.append(this.#cover);
    }
    if (inKey && this.#alpha) this.#alphaColor = "#ffffff";
    if (onFrame || this.#alphaColor) this.#watch();
    if (!this.#plays) return;
    this.#video.src = maker.addressOf(content.file);
    loadAnewOnError(this.#video, this.#end.signal);
  }

  /** In a key's window what nothing is seen through is white all over. */
  get #isWhite(): boolean {
    return this.#signal === "key" && !this.#alpha;
  }

  get #plays(): boolean {
    return !this.#isWhite || this.#sound;
  }

  /** The frame it shows now; undefined before there is one. */
  get frame(): CanvasImageSource | undefined {
    if (this.#keyer) return this.#keyer.canvas.dataset.frames ? this.#keyer.canvas : undefined;
    return this.#video.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA ? this.#video : undefined;
  }

  update(placement: VideoPlacement, css: (px: number) => string): void {
    const { box, blurPx, tints } = placement;
    const { frame } = this.#content;
    const filter = blurPx > 0 ? `blur(${css(blurPx)})` : "none";
    const placed = {
      left: css(frame.x - box.x),
      top: css(frame.y - box.y),
      width: css(frame.width),
      height: css(frame.height),
    };
    Object.assign(this.#picture.style, placed);
    if (this.#picture.style.filter !== filter) this.#picture.style.filter = filter;
    const tint = tints.at(-1);
    // Most clips are never tinted: what cannot be seen is left alone.
    if (this.#signal === "fill" && (tint || this.#cover.style.opacity !== "0")) {
      const { style } = this.#cover;
      Object.assign(style, placed, { opacity: `${tint?.amount ?? 0}` });
      if (style.filter !== filter) style.filter = filter;
      if (this.#alpha) this.#tintAlpha(tint?.color ?? "");
      else style.background = tint?.color ?? "none";
    }
    if (this.#sound) this.#video.volume = Math.max(0, Math.min(1, this.#content.level * placement.gain));
    if (this.#plays) keepInStep(this.#video, placement, this.#content, () => void this.#play());
  }

  discard(): void {
    this.#end.abort();
    this.#keyer?.discard();
    this.#unwatch?.();
    this.#video.pause();
    this.#video.removeAttribute("src");
    this.#video.load();
    this.element.remove();
  }

  /** @param color empty: it is not drawn */
  #tintAlpha(color: string): void {
    if (color === this.#alphaColor) return;
    this.#alphaColor = color;
    this.#drawAlpha();
    if (color !== "") this.#watch();
  }

  /** A keyer tells of its frames itself. */
  #watch(): void {
    if (!this.#keyer) this.#unwatch ??= watchFrames(this.#video, () => this.#drawn());
  }

  #drawn(): void {
    this.#drawAlpha();
    this.#onFrame?.();
  }

  #drawAlpha(): void {
    const { frame } = this;
    if (!frame || this.#alphaColor === "") return;
    this.#alpha?.draw(frame, this.#video.videoWidth, this.#video.videoHeight, this.#alphaColor);
  }

  async #play(): Promise<void> {
    if (await playAloud(this.#video)) this.element.dataset.silenced = "yes";
  }
}

/** The alpha of frames in one colour. */
class AlphaOf {
  readonly canvas: HTMLCanvasElement = document.createElement("canvas");

  draw(frame: CanvasImageSource, widthPx: number, heightPx: number, color: string): void {
    const context = this.canvas.getContext("2d");
    if (!context || widthPx === 0) return;
    if (this.canvas.width !== widthPx) this.canvas.width = widthPx;
    if (this.canvas.height !== heightPx) this.canvas.height = heightPx;
    context.globalCompositeOperation = "copy";
    context.drawImage(frame, 0, 0, widthPx, heightPx);
    context.globalCompositeOperation = "source-in";
    context.fillStyle = color;
    context.fillRect(0, 0, widthPx, heightPx);
    this.canvas.dataset.frames = String(Number(this.canvas.dataset.frames ?? 0) + 1);
  }
}
