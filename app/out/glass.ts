import { cssOf, fittingMap, glassSize, IDENTITY, scaled } from "../../core/venue/fitting.ts";
import { canvasOf, type Output, pictureSize } from "../../core/venue/plan.ts";
import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import { type Stage, sideBySide } from "../../painters/stage.ts";
import { StraightStage } from "../../painters/straightStage.ts";
import type { Drawing } from "../live/drawing.ts";

const SVG = "http://www.w3.org/2000/svg";

/** An output's picture in a window: its elements, stages and plates. */
export interface Glass {
  readonly element: HTMLElement;
  readonly stage: Stage;
  readonly caches: readonly PlateCache[];
  /** One over each half; a test picture or a stand-by stands in it. */
  readonly covers: readonly HTMLElement[];
}

/** The program picture on an output. */
export interface ProgramHere {
  /** It lies beneath everything. */
  readonly isOver: boolean;
  /** Makes an element of it, for windows of pages too; null: this output has none. */
  readonly make: (() => HTMLElement) | null;
}

/**
 * Builds an output's picture for the window's present size, centred and as large as it goes: turned, mirrored, pinned and
 * trimmed as the output asks, its canvas moved to the part it shows, fill and key beside one another.
 */
export function makeGlass(root: HTMLElement, output: Output, drawing: Drawing, program: ProgramHere): Glass {
  const ratio = window.devicePixelRatio;
  const windowWidthPx = Math.round(window.innerWidth * ratio);
  const windowHeightPx = Math.round(window.innerHeight * ratio);
  const whole = pictureSize(output);
  const glass = glassSize(whole.widthPx, whole.heightPx, output.fitting);
  const scale = Math.min(windowWidthPx / glass.widthPx, windowHeightPx / glass.heightPx);
  const css = (px: number) => `${px / ratio}px`;
  const map = fittingMap(whole.widthPx, whole.heightPx, output.fitting) ?? IDENTITY;
  const element = makeBox({
    overflow: "hidden",
    width: css(whole.widthPx * scale),
    height: css(whole.heightPx * scale),
    left: css(Math.floor((windowWidthPx - glass.widthPx * scale) / 2)),
    top: css(Math.floor((windowHeightPx - glass.heightPx * scale) / 2)),
    transformOrigin: "0 0",
    transform: cssOf(scaled(map, scale / ratio)),
  });
  const { brightness, gamma } = output.trim;
  if (brightness !== 1 || gamma !== 1) {
    element.append(makeTrim(brightness, gamma));
    element.style.filter = "url(#trim)";
  }
  const signals = output.signal === "both" ? (["fill", "key"] as const) : [output.signal];
  const halves = signals.map((signal, at) => {
    const half = makeBox({
      overflow: "hidden",
      width: css(output.widthPx * scale),
      height: css(output.heightPx * scale),
      left: css(at * output.widthPx * scale),
      top: "0",
    });
    // A part of a larger canvas is that canvas, moved.
    const canvas = canvasOf(output);
    const picture = makeBox({
      width: css(canvas.widthPx * scale),
      height: css(canvas.heightPx * scale),
      left: css(-(output.region?.xPx ?? 0) * scale),
      top: css(-(output.region?.yPx ?? 0) * scale),
    });
    const cover = makeBox({ inset: "0", zIndex: "2147483647" });
    if (program.isOver && program.make) {
      const beneath = program.make();
      Object.assign(beneath.style, { position: "absolute", inset: "0" });
      half.append(beneath);
    }
    half.append(picture, cover);
    element.append(half);
    const isKey = signal === "key";
    const plates = new PlateCache(drawing.kit, scale, isKey ? "key" : "fill");
    const videos = drawing.videos(output.sound && at === 0);
    const stage =
      signal === "fill" && output.fillAlpha === "straight"
        ? new StraightStage(picture, plates, scale, canvas, videos)
        : new ElementStage(picture, {
            plates,
            scale,
            pixelRatio: ratio,
            videos,
            ...(program.make && { makeProgram: program.make }),
          });
    return { plates, stage, cover };
  });
  root.append(element);
  return {
    element,
    stage: sideBySide(halves.map(({ stage }) => stage)),
    caches: halves.map(({ plates }) => plates),
    covers: halves.map(({ cover }) => cover),
  };
}

function makeBox(style: Partial<CSSStyleDeclaration>): HTMLElement {
  const box = document.createElement("div");
  Object.assign(box.style, { position: "absolute" }, style);
  return box;
}

/** Brightness is a factor of the light, gamma the power 1 / gamma of it, on sRGB values. */
function makeTrim(brightness: number, gamma: number): SVGElement {
  const svg = document.createElementNS(SVG, "svg");
  Object.assign(svg.style, { position: "absolute", width: "0", height: "0" });
  const filter = document.createElementNS(SVG, "filter");
  filter.id = "trim";
  filter.setAttribute("color-interpolation-filters", "sRGB");
  const transfer = document.createElementNS(SVG, "feComponentTransfer");
  for (const channel of ["R", "G", "B"]) {
    const curve = document.createElementNS(SVG, `feFunc${channel}`);
    curve.setAttribute("type", "gamma");
    curve.setAttribute("amplitude", String(brightness));
    curve.setAttribute("exponent", String(1 / gamma));
    transfer.append(curve);
  }
  filter.append(transfer);
  svg.append(filter);
  return svg;
}
