import type { ChromaKey } from "../core/picture/chromaKey.ts";
import { createGpuKeyer, type FrameKeyer } from "./gpuKeyer.ts";
import type { KeyedFrame, KeyRequest } from "./keyWorker.ts";
import { watchFrames } from "./watchFrames.ts";

/** Cuts a clip out frame by frame, on the GPU where there is a real one, else in a worker. */
export class ChromaKeyer {
  readonly canvas: HTMLCanvasElement = document.createElement("canvas");
  readonly #video: HTMLVideoElement;
  readonly #keyer: FrameKeyer;
  readonly #onDrawn: () => void;
  readonly #unwatch: () => void;
  #isStopped = false;
  #isDrawing = false;
  #isBehind = false;

  constructor(video: HTMLVideoElement, key: ChromaKey, onDrawn: () => void) {
    this.#video = video;
    this.#onDrawn = onDrawn;
    this.#keyer = createGpuKeyer(this.canvas, key) ?? createWorkerKeyer(this.canvas, key);
    this.canvas.dataset.keyedBy = this.#keyer.name;
    this.#unwatch = watchFrames(video, () => void this.#draw());
  }

  discard(): void {
    this.#isStopped = true;
    this.#unwatch();
    this.#keyer.discard();
  }

  /** One frame at a time: one that falls behind leaves frames out instead of queueing them, never the newest. */
  async #draw(): Promise<void> {
    this.#isBehind = this.#isDrawing;
    if (this.#isDrawing) return;
    this.#isDrawing = true;
    const isDrawn = await this.#keyer.draw(this.#video).then(
      () => true,
      // No frame of it can be read now: the last one stays.
      () => false,
    );
    this.#isDrawing = false;
    if (this.#isStopped) return;
    if (isDrawn) {
      this.canvas.dataset.frames = String(Number(this.canvas.dataset.frames ?? 0) + 1);
      this.#onDrawn();
    }
    if (this.#isBehind) void this.#draw();
  }
}

function createWorkerKeyer(canvas: HTMLCanvasElement, key: ChromaKey): FrameKeyer {
  const worker = new Worker(new URL("./keyWorker.ts", import.meta.url), { type: "module" });
  const context = canvas.getContext("bitmaprenderer");
  if (!context) throw new Error("No bitmap context for a keyed clip");
  return {
    name: "worker",
    async draw(video) {
      if (video.videoWidth === 0) return;
      const frame = await createImageBitmap(video);
      const keyed = await new Promise<KeyedFrame>((resolve) => {
        worker.onmessage = (event: MessageEvent<KeyedFrame>) => resolve(event.data);
        const request: KeyRequest = { frame, key };
        worker.postMessage(request, [frame]);
      });
      canvas.width = keyed.bitmap.width;
      canvas.height = keyed.bitmap.height;
      context.transferFromImageBitmap(keyed.bitmap);
    },
    discard: () => worker.terminate(),
  };
}
