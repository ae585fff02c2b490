import { BARS_RGB } from "../../core/venue/testPicture.ts";
import type { SceneCanvas } from "./testScene.ts";

/** Colour bars over all of a canvas. */
export function drawBars(
  context: SceneCanvas,
  { width, height }: { readonly width: number; readonly height: number },
): void {
  for (const [index, [red, green, blue]] of BARS_RGB.entries()) {
    context.fillStyle = `rgb(${red},${green},${blue})`;
    const left = Math.round((index * width) / BARS_RGB.length);
    context.fillRect(left, 0, Math.round(((index + 1) * width) / BARS_RGB.length) - left, height);
  }
}
