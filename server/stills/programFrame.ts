import { createCanvas, type Image } from "@napi-rs/canvas";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { CanvasStageParts } from "../../painters/canvasStage.ts";
import { drawBars } from "../../painters/program/drawBars.ts";
import { type ShownSource, shareOf } from "../../painters/program/shownSource.ts";
import { drawTestScene, type SceneCanvas } from "../../painters/program/testScene.ts";

const WIDTH_PX = 960;
const HEIGHT_PX = 540;

/** The file of a source that a still can show: a picture, or the still of a clip. */
export const fileOfSource = ({ media }: Pick<ShownSource, "media">): string | null =>
  media && fileOfMedia(media);

/** The file of a thing of the library that a still can show. */
export const fileOfMedia = ({ type, poster, file }: MediaInfo): string | null =>
  type === "video" ? poster : file;

/** What is on program at a time, as one picture; undefined: nothing is known to be. Cameras of other machines are black here. */
export function programFrame(
  shown: readonly ShownSource[],
  images: ReadonlyMap<string, Image>,
  atMs: number,
): CanvasStageParts["program"] {
  if (shown.length === 0) return undefined;
  const canvas = createCanvas(WIDTH_PX, HEIGHT_PX);
  const context = canvas.getContext("2d");
  for (const [index, source] of shown.entries()) {
    context.globalAlpha = shareOf(index);
    context.fillStyle = "#000";
    context.fillRect(0, 0, WIDTH_PX, HEIGHT_PX);
    const { picture, name } = source.source;
    const scene = context as unknown as SceneCanvas;
    if (picture.kind === "scene") drawTestScene(scene, picture.scene, name, canvas, atMs);
    if (picture.kind === "bars") drawBars(scene, canvas);
    const file = fileOfSource(source);
    const image = file === null ? undefined : images.get(file);
    if (!image) continue;
    const grown = Math.max(WIDTH_PX / image.width, HEIGHT_PX / image.height);
    const [width, height] = [image.width * grown, image.height * grown];
    context.drawImage(image, (WIDTH_PX - width) / 2, (HEIGHT_PX - height) / 2, width, height);
  }
  return { image: canvas as unknown as CanvasImageSource, widthPx: WIDTH_PX, heightPx: HEIGHT_PX };
}
