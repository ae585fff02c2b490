import type { PieceContent } from "../core/compose/piece.ts";
import type { Placement } from "../core/compose/placements.ts";
import type { ChromaKey } from "../core/picture/chromaKey.ts";
import { ChromaKeyer } from "./chromaKeyer.ts";
import { fetchPatiently } from "./fetchPatiently.ts";

/** What clips need to know of the window they play in. */
export interface VideoMaker {
  readonly addressOf: (file: string) => string;
  readonly keyOf: (hash: string) => ChromaKey | null;
  /** Whether clips are heard in this window. */
  readonly sound: boolean;
}

type Video = Extract<PieceContent, { kind: "video" }>;

/** Off by less than this, a clip is left alone; up to the next, it runs a little faster or slower; beyond, it jumps. */
const IN_STEP_S = 0.02;
const JUMP_S = 0.25;
const NUDGE = 0.06;

/** A clip on screen: plays by the page's clock, cut to its box, keyed where its settings say so. */
export class VideoPlate {
  readonly element: HTMLElement;
  readonly #video: HTMLVideoElement;
  readonly #picture: HTMLElement;
  readonly #content: Video;
  readonly #sound: boolean;
  readonly #keyer: ChromaKeyer | undefined;
  readonly #end = new AbortController();

  constructor(content: Video, maker: VideoMaker) {
    this.#content = content;
    this.#sound = maker.sound && content.level > 0;
    this.#video = document.createElement("video");
    this.#video.src = maker.addressOf(content.file);
    this.#loadAnewOnError();
    this.#video.muted = !this.#sound;
    this.#video.playsInline = true;
    this.#video.preload = "auto";
    this.#video.loop = content.atEnd === "loop";
    const key = maker.keyOf(content.hash);
    this.#keyer = key ? new ChromaKeyer(this.#video, key) : undefined;
    this.#picture = this.#keyer?.canvas ?? this.#video;
    this.#picture.style.position = "absolute";
    this.#picture.style.objectFit = "fill";
    this.element = document.createElement("div");
    this.element.style.overflow = "hidden";
    this.element.append(this.#picture);
  }

  update(placement: Extract<Placement, { kind: "video" }>, css: (px: number) => string): void {
    const { box, frame } = this.#content;
    const { style } = this.#picture;
    style.left = css(frame.x - box.x);
    style.top = css(frame.y - box.y);
    style.width = css(frame.width);
    style.height = css(frame.height);
    if (this.#sound)
      this.#video.volume = Math.max(
        0,
        Math.min(1, this.#content.level * placement.pose.opacity * placement.gain),
      );
    this.#keepInStep(placement.positionMs / 1_000, placement.isPlaying);
  }

  discard(): void {
    this.#end.abort();
    this.#keyer?.discard();
    this.#video.pause();
    this.#video.removeAttribute("src");
    this.#video.load();
    this.element.remove();
  }

  #keepInStep(positionS: number, isPlaying: boolean): void {
    const video = this.#video;
    if (video.readyState < HTMLMediaElement.HAVE_METADATA) {
      if (isPlaying && video.paused) void this.#play();
      return;
    }
    const lengthS = this.#content.durationMs / 1_000;
    let off = positionS - video.currentTime;
    // On a loop the shorter way around counts.
    if (this.#content.atEnd === "loop") {
      if (off > lengthS / 2) off -= lengthS;
      if (off < -lengthS / 2) off += lengthS;
    }
    if (!isPlaying) {
      if (!video.paused) video.pause();
      const last = Math.max(0, Math.min(positionS, video.duration - 0.01));
      if (Math.abs(video.currentTime - last) > IN_STEP_S) video.currentTime = last;
      return;
    }
    if (Math.abs(off) > JUMP_S && !video.seeking)
      video.currentTime = Math.min(positionS, video.duration || positionS);
    video.playbackRate = Math.abs(off) < IN_STEP_S || Math.abs(off) > JUMP_S ? 1 : 1 + Math.sign(off) * NUDGE;
    if (video.paused) void this.#play();
  }

  #loadAnewOnError(): void {
    const video = this.#video;
    const { signal } = this.#end;
    const load = async () => {
      // Loading takes the last frame off: only once the file is there again.
      const { ok, status } = await fetch(video.src, { method: "HEAD", signal });
      if (!ok) throw new Error(`${status} for ${video.src}`);
      await new Promise((resolve, reject) => {
        video.onloadeddata = resolve;
        video.onerror = reject;
        video.load();
      });
    };
    video.onerror = () =>
      void fetchPatiently(load, signal).then(
        () => this.#loadAnewOnError(),
        () => undefined,
      );
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
