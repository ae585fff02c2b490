import type { CanvasStageParts } from "../canvasStage.ts";

const WIDTH_PX = 320;
const HEIGHT_PX = 180;

/** The program picture as it is now, on a canvas, for pictures that are drawn on one. */
export class ProgramFrame {
  readonly #element: HTMLElement;
  readonly #standIn: HTMLImageElement;
  readonly #context: CanvasRenderingContext2D;

  /**
   * @param element shows the program picture, and stands in the page, where nobody need see it
   * @param standIn a picture of what fills it while nothing is known to be on program
   */
  constructor(element: HTMLElement, standIn: string) {
    this.#element = element;
    this.#standIn = Object.assign(new Image(), { src: standIn });
    const canvas = document.createElement("canvas");
    canvas.width = WIDTH_PX;
    canvas.height = HEIGHT_PX;
    const context = canvas.getContext("2d", { alpha: false });
    if (!context) throw new Error(`No canvas of ${WIDTH_PX}×${HEIGHT_PX}`);
    this.#context = context;
  }

  now(): NonNullable<CanvasStageParts["program"]> {
    const context = this.#context;
    context.globalAlpha = 1;
    if (this.#standIn.complete) context.drawImage(this.#standIn, 0, 0, WIDTH_PX, HEIGHT_PX);
    for (const source of this.#element.children) {
      context.globalAlpha = Number((source as HTMLElement).style.opacity || 1);
      if (source instanceof HTMLCanvasElement) drawCovering(context, source, source.width, source.height);
      else if (source instanceof HTMLImageElement)
        drawCovering(context, source, source.naturalWidth, source.naturalHeight);
      else if (source instanceof HTMLVideoElement) {
        if (source.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA)
          drawCovering(context, source, source.videoWidth, source.videoHeight);
      } else {
        context.fillStyle = "#000";
        context.fillRect(0, 0, WIDTH_PX, HEIGHT_PX);
      }
    }
    return { image: context.canvas, widthPx: WIDTH_PX, heightPx: HEIGHT_PX };
  }
}

/** Fills the canvas from the middle of a picture. A picture without a size is not there yet. */
function drawCovering(
  context: CanvasRenderingContext2D,
  image: CanvasImageSource,
  widthPx: number,
  heightPx: number,
): void {
  if (widthPx === 0 || heightPx === 0) return;
  const grown = Math.max(WIDTH_PX / widthPx, HEIGHT_PX / heightPx);
  const [width, height] = [WIDTH_PX / grown, HEIGHT_PX / grown];
  context.drawImage(
    image,
    (widthPx - width) / 2,
    (heightPx - height) / 2,
    ...([width, height, 0, 0, WIDTH_PX, HEIGHT_PX] as const),
  );
}
