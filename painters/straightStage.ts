import type { Placement } from "../core/compose/placements.ts";
import { drawOnCanvas, toStraightFill } from "./canvasStage.ts";
import { type ClipUser, HiddenClips } from "./hiddenClips.ts";
import { LentPlates } from "./lentPlates.ts";
import type { PlateCache } from "./plateCache.ts";
import type { Stage } from "./stage.ts";
import type { VideoMaker } from "./videoPlate.ts";

/**
 * The straight fill: colours undimmed by their alpha, which no stack of elements can show. The picture is composed on a
 * canvas, read back and written out opaque, frame by frame: it costs what a still costs, and nothing while nothing moves. A clip is
 * drawn anew for each of its frames.
 */
export class StraightStage implements Stage {
  readonly #plates: PlateCache;
  readonly #scale: number;
  readonly #shown: CanvasRenderingContext2D;
  readonly #composed: CanvasRenderingContext2D;
  readonly #clips: ClipUser;
  #last: readonly Placement[] = [];
  #request = 0;
  readonly #lent: LentPlates;

  /** @param root an element the size of the picture; the stage owns what is in it */
  constructor(
    root: HTMLElement,
    plates: PlateCache,
    scale: number,
    size: { readonly widthPx: number; readonly heightPx: number },
    videos: VideoMaker,
  ) {
    this.#clips = new HiddenClips(root, videos).open(scale, () => this.#paintSoon());
    this.#plates = plates;
    this.#lent = new LentPlates(plates);
    this.#scale = scale;
    const widthPx = Math.round(size.widthPx * scale);
    const heightPx = Math.round(size.heightPx * scale);
    this.#shown = contextOf(widthPx, heightPx);
    this.#composed = contextOf(widthPx, heightPx);
    const { canvas } = this.#shown;
    Object.assign(canvas.style, { position: "absolute", inset: "0", width: "100%", height: "100%" });
    root.append(canvas);
  }

  draw(placements: readonly Placement[]): void {
    this.#last = placements;
    this.#clips.play(placements);
    this.#paint();
  }

  #paint(): void {
    const { canvas } = this.#composed;
    this.#composed.setTransform(1, 0, 0, 1, 0, 0);
    this.#composed.clearRect(0, 0, canvas.width, canvas.height);
    drawOnCanvas(this.#composed, this.#last, {
      kit: this.#plates.kit,
      frameOf: (placement) => this.#clips.frameOf(placement),
      scale: this.#scale,
      widthPx: canvas.width / this.#scale,
      heightPx: canvas.height / this.#scale,
      painted: this.#lent.painted,
    });
    this.#lent.giveBack();
    const picture = this.#composed.getImageData(0, 0, canvas.width, canvas.height);
    toStraightFill(picture.data);
    this.#shown.putImageData(picture, 0, 0);
  }

  #paintSoon(): void {
    this.#request ||= requestAnimationFrame(() => {
      this.#request = 0;
      this.#paint();
    });
  }

  discard(): void {
    cancelAnimationFrame(this.#request);
    this.draw([]);
    this.#shown.canvas.remove();
  }
}

/** A canvas that is read back every frame lives in memory, not on a graphics processor. */
function contextOf(widthPx: number, heightPx: number): CanvasRenderingContext2D {
  const canvas = document.createElement("canvas");
  canvas.width = widthPx;
  canvas.height = heightPx;
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error(`No canvas of ${widthPx}×${heightPx}`);
  return context;
}
