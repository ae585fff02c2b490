import type { Placement } from "../core/compose/placements.ts";
import { type CanvasStageParts, drawOnCanvas } from "./canvasStage.ts";
import { FrameWait } from "./frameWait.ts";
import type { ClipUser, HiddenClips } from "./hiddenClips.ts";
import { LentPlates } from "./lentPlates.ts";
import type { PlateCache } from "./plateCache.ts";
import type { Stage } from "./stage.ts";

export interface FlatParts extends Pick<CanvasStageParts, "from" | "widthPx" | "heightPx"> {
  readonly plates: PlateCache;
  /** The program picture as it is now, for what shows it in a window. */
  readonly program?: () => CanvasStageParts["program"];
  /** Device pixels to each CSS pixel: the canvas is shown pixel by pixel. Without it, it is stretched over its root. */
  readonly pixelRatio?: number;
  /** What moves by itself is drawn anew in the frames of a clock; without it clips are shown by their posters. */
  readonly live?: {
    readonly clips?: HiddenClips;
    readonly now: () => number;
    readonly frameMs: number;
  };
}

/** A window on the program picture has a new frame of it this often. */
const PROGRAM_EVERY_MS = 500;

/**
 * Composes everything on one canvas: a browser keeps a layer for each canvas that it shows, and many small pictures of many
 * objects would be hundreds.
 */
export class FlatStage implements Stage {
  readonly #context: CanvasRenderingContext2D;
  readonly #parts: FlatParts;
  readonly #lent: LentPlates;
  readonly #clips: ClipUser | undefined;
  readonly #wait = new FrameWait(() => this.redraw());
  #last: readonly Placement[] = [];

  /** @param root an element the size of the picture; the stage adds a canvas to it */
  constructor(root: HTMLElement, parts: FlatParts) {
    const { widthPx, heightPx, plates, pixelRatio, live } = parts;
    this.#parts = parts;
    this.#lent = new LentPlates(plates);
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.round(widthPx * plates.scale));
    canvas.height = Math.max(1, Math.round(heightPx * plates.scale));
    const context = canvas.getContext("2d");
    if (!context) throw new Error(`No canvas of ${canvas.width}×${canvas.height}`);
    this.#context = context;
    const css = (px: number) => (pixelRatio === undefined ? "100%" : `${px / pixelRatio}px`);
    Object.assign(canvas.style, {
      ...{ position: "absolute", inset: "0" },
      ...{ width: css(canvas.width), height: css(canvas.height) },
    });
    root.append(canvas);
    this.#clips = live?.clips?.open(plates.scale, () => this.#wait.in(untilFrame(live)));
  }

  draw(placements: readonly Placement[]): void {
    this.#last = placements;
    this.#clips?.play(placements);
    this.redraw();
  }

  /** The same, with what came for it since. */
  redraw(): void {
    const { canvas } = this.#context;
    const { program, plates, live, ...parts } = this.#parts;
    const { kit, scale } = plates;
    const image = program && showsProgram(this.#last) ? program() : undefined;
    this.#context.setTransform(1, 0, 0, 1, 0, 0);
    this.#context.clearRect(0, 0, canvas.width, canvas.height);
    drawOnCanvas(this.#context, this.#last, {
      ...{ ...parts, kit, scale, painted: this.#lent.painted },
      ...(this.#clips && { frameOf: (placement) => this.#clips?.frameOf(placement) }),
      ...(image && { program: image }),
    });
    this.#lent.giveBack();
    if (image && live) this.#wait.in(PROGRAM_EVERY_MS);
  }

  discard(): void {
    this.draw([]);
    this.#clips?.discard();
    this.#wait.stop();
    this.#context.canvas.remove();
  }
}

const untilFrame = ({ now, frameMs }: NonNullable<FlatParts["live"]>): number => frameMs - (now() % frameMs);

const showsProgram = (placements: readonly Placement[]): boolean =>
  placements.some(
    (placement) =>
      placement.kind === "program" || (placement.kind === "group" && showsProgram(placement.children)),
  );
