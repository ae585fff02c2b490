import type { Output } from "../../core/venue/plan.ts";
import { FLASH_MS, type TestPictureName, testPicture } from "../../core/venue/testPicture.ts";

const SVG = "http://www.w3.org/2000/svg";
const TURN_MS = 1_000;

/** Draws a test picture over all of an element, or takes it away. @param nowMs server time */
export function drawTestPicture(
  cover: HTMLElement,
  output: Output,
  name: TestPictureName | null,
  number: number,
  nowMs: () => number,
): void {
  const key = name === null ? "" : `${name} ${number} ${output.name} ${output.widthPx} ${output.heightPx}`;
  if (cover.dataset.shows === key) {
    for (const motion of cover.getAnimations({ subtree: true })) keepTime(motion, nowMs);
    return;
  }
  cover.dataset.shows = key;
  cover.replaceChildren();
  if (name === null) return;
  const svg = document.createElementNS(SVG, "svg");
  set(svg, {
    viewBox: `0 0 ${output.widthPx} ${output.heightPx}`,
    width: "100%",
    height: "100%",
    preserveAspectRatio: "none",
  });
  svg.setAttribute("shape-rendering", "crispEdges");
  svg.style.display = "block";
  for (const shape of testPicture(output, name, number)) {
    switch (shape.kind) {
      case "rect":
        svg.append(
          make("rect", {
            x: shape.x,
            y: shape.y,
            width: shape.width,
            height: shape.height,
            fill: shape.fill,
            ...(shape.stroke && { stroke: shape.stroke, "stroke-width": shape.strokePx ?? 1 }),
          }),
        );
        break;
      case "circle":
        svg.append(
          make("circle", {
            cx: shape.x,
            cy: shape.y,
            r: shape.r,
            fill: "none",
            stroke: shape.stroke,
            "stroke-width": shape.strokePx,
            "shape-rendering": "auto",
          }),
        );
        break;
      case "text": {
        const words = make("text", {
          x: shape.x,
          y: shape.y,
          fill: shape.fill,
          "font-size": shape.sizePx,
          "font-family": "Atkinson Hyperlegible Next, sans-serif",
          "font-weight": 700,
          "text-anchor": "middle",
          "dominant-baseline": "central",
        });
        words.textContent = shape.words;
        svg.append(words);
        break;
      }
      case "flash": {
        const { x, y, width, height } = shape;
        const lit = make("rect", { x, y, width, height, fill: "#ffffff" });
        const offset = FLASH_MS / TURN_MS;
        everySecond(
          lit,
          [{ opacity: 1 }, { opacity: 1, offset }, { opacity: 0, offset }, { opacity: 0 }],
          nowMs,
        );
        svg.append(lit);
        break;
      }
      case "mark": {
        const hand = make("line", {
          x1: shape.x,
          y1: shape.y,
          x2: shape.x,
          y2: shape.y - shape.r,
          stroke: "#ffffff",
          "stroke-width": Math.max(2, shape.r / 8),
          "shape-rendering": "auto",
        });
        hand.style.transformOrigin = `${shape.x}px ${shape.y}px`;
        everySecond(hand, [{ transform: "rotate(0deg)" }, { transform: "rotate(360deg)" }], nowMs);
        svg.append(
          make("circle", {
            cx: shape.x,
            cy: shape.y,
            r: shape.r,
            fill: "#000000",
            stroke: "#ffffff",
            "stroke-width": 2,
          }),
          hand,
        );
      }
    }
  }
  cover.append(svg);
}

/** Runs with the server's seconds, so that all outputs show the same at once. */
function everySecond(element: SVGElement, keyframes: Keyframe[], nowMs: () => number): void {
  const motion = element.animate(keyframes, { duration: TURN_MS, iterations: Number.POSITIVE_INFINITY });
  keepTime(motion, nowMs);
}

/** Off by more than this, a motion is set right: clocks are known better as time goes. */
const OUT_OF_TIME_MS = 3;

function keepTime(motion: Animation, nowMs: () => number): void {
  const frameMs = Number(document.timeline.currentTime);
  const serverAtFrameMs = nowMs() - (performance.now() - frameMs);
  const off = (frameMs - Number(motion.startTime ?? 0) - serverAtFrameMs) % TURN_MS;
  if (motion.startTime === null || Math.abs(off) > OUT_OF_TIME_MS)
    motion.startTime = frameMs - (serverAtFrameMs % TURN_MS);
}

function make(name: string, attributes: Readonly<Record<string, string | number>>): SVGElement {
  const element = document.createElementNS(SVG, name);
  set(element, attributes);
  return element;
}

function set(element: SVGElement, attributes: Readonly<Record<string, string | number>>): void {
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
}
