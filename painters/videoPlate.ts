import type { PieceContent } from "../core/compose/piece.ts";
import type { Placement } from "../core/compose/placements.ts";
import type { ChromaKey } from "../core/picture/chromaKey.ts";
import { ChromaKeyer } from "./chromaKeyer.ts";
import { keepInStep, loadAnewOnError } from "./keepInStep.ts";
import type { Signal } from "./paint.ts";

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
 * white, frame by frame.
 */
export class VideoPlate {
  readonly element: HTMLElement;
  readonly #video: HTMLVideoElement;
  readonly #picture: HTMLElement;
  readonly #content: Video;
  readonly #sound: boolean;
  readonly #keyer: ChromaKeyer | undefined;
  readonly #white: WhiteOf | undefined;
  readonly #tint: HTMLElement | undefined;
  readonly #end = new AbortController();
  #frameRequest = 0;

  /** @param onFrame called for each new frame of it, for whoever draws them on a canvas */
  constructor(content: Video, maker: VideoMaker, signal: Signal = "fill", onFrame?: () => void) {
    this.#content = content;
    this.#sound = maker.sound && content.level > 0;
    this.#video = document.createElement("video");
    this.#video.src = maker.addressOf(content.file);
    loadAnewOnError(this.#video, this.#end.signal);
    this.#video.muted = !this.#sound;
    this.#video.playsInline = true;
    this.#video.preload = "auto";
    this.#video.loop = content.atEnd === "loop";
    const key = maker.keyOf(content.hash);
    this.#keyer = key ? new ChromaKeyer(this.#video, key, () => this.#drawn(onFrame)) : undefined;
    const isSeenThrough = content.hasAlpha || key !== null;
    this.#white = signal === "key" && isSeenThrough ? new WhiteOf() : undefined;
    if (!this.#keyer && (this.#white || onFrame)) this.#watchFrames(onFrame);
    this.#picture = this.#white?.canvas ?? this.#keyer?.canvas ?? this.#video;
    Object.assign(this.#picture.style, {
      position: "absolute",
      objectFit: "fill",
      // The page's own style would have it no wider than its box.
      maxWidth: "none",
      maxHeight: "none",
    });
    this.element = document.createElement("div");
    this.element.style.overflow = "hidden";
    // What nothing is seen through is white all over.
    if (signal === "key" && !isSeenThrough) this.element.style.background = "#fff";
    else this.element.append(this.#picture);
    if (signal === "fill" && !isSeenThrough) {
      this.#tint = document.createElement("div");
      Object.assign(this.#tint.style, { position: "absolute", inset: "0", opacity: "0" });
      this.element.append(this.#tint);
    }
  }

  /** The frame it shows now; undefined before there is one. */
  get frame(): CanvasImageSource | undefined {
    if (this.#keyer) return this.#keyer.canvas.dataset.frames ? this.#keyer.canvas : undefined;
    return this.#video.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA ? this.#video : undefined;
  }

  update(placement: VideoPlacement, css: (px: number) => string): void {
    const { box, blurPx, tints } = placement;
    const { frame } = this.#content;
    const { style } = this.#picture;
    style.left = css(frame.x - box.x);
    style.top = css(frame.y - box.y);
    style.width = css(frame.width);
    style.height = css(frame.height);
    const blur = blurPx > 0 ? `blur(${css(blurPx)})` : "none";
    if (style.filter !== blur) style.filter = blur;
    const tint = tints.at(-1);
    if (this.#tint)
      Object.assign(this.#tint.style, { background: tint?.color ?? "none", opacity: `${tint?.amount ?? 0}` });
    if (this.#sound) this.#video.volume = Math.max(0, Math.min(1, this.#content.level * placement.gain));
    keepInStep(this.#video, placement, this.#content, () => void this.#play());
  }

  discard(): void {
    this.#end.abort();
    this.#keyer?.discard();
    this.#video.cancelVideoFrameCallback(this.#frameRequest);
    this.#video.pause();
    this.#video.removeAttribute("src");
    this.#video.load();
    this.element.remove();
  }

  #watchFrames(onFrame: (() => void) | undefined): void {
    this.#frameRequest = this.#video.requestVideoFrameCallback(() => {
      if (this.#end.signal.aborted) return;
      this.#drawn(onFrame);
      this.#watchFrames(onFrame);
    });
  }

  #drawn(onFrame: (() => void) | undefined): void {
    const { frame } = this;
    if (frame && this.#white) this.#white.draw(frame, this.#video.videoWidth, this.#video.videoHeight);
    onFrame?.();
  }

  async #play(): Promise<void> {
    try {
      await this.#video.play();
    } catch (error) {
      // A browser that wants a click before it lets sound out still shows the picture.
      if (error instanceof DOMException && error.name === "NotAllowedError" && !this.#video.muted) {
        this.#video.muted = true;
        this.element.dataset.silenced = "yes";
        await this.#video.play().catch(() => undefined);
      }
    }
  }
}

/** The alpha of frames as white. */
class WhiteOf {
  readonly canvas: HTMLCanvasElement = document.createElement("canvas");

  draw(frame: CanvasImageSource, widthPx: number, heightPx: number): void {
    const context = this.canvas.getContext("2d");
    if (!context || widthPx === 0) return;
    if (this.canvas.width !== widthPx) this.canvas.width = widthPx;
    if (this.canvas.height !== heightPx) this.canvas.height = heightPx;
    context.globalCompositeOperation = "copy";
    context.drawImage(frame, 0, 0, widthPx, heightPx);
    context.globalCompositeOperation = "source-in";
    context.fillStyle = "#ffffff";
    context.fillRect(0, 0, widthPx, heightPx);
    this.canvas.dataset.frames = String(Number(this.canvas.dataset.frames ?? 0) + 1);
  }
}
