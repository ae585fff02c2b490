import type { Output } from "./plan.ts";

/** What an output can show in place of its picture, to prove the chain behind it. */
export const TEST_PICTURES = ["bars", "grid", "ramp", "safe", "identify", "sync"] as const;
export type TestPictureName = (typeof TEST_PICTURES)[number];

export type TestShape =
  | {
      readonly kind: "rect";
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly fill: string;
      readonly stroke?: string;
      readonly strokePx?: number;
    }
  | {
      readonly kind: "circle";
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly stroke: string;
      readonly strokePx: number;
    }
  | {
      readonly kind: "text";
      readonly x: number;
      readonly y: number;
      readonly sizePx: number;
      readonly words: string;
      readonly fill: string;
    }
  /** Lights up for a moment at each full second of the server's time: what is heard as a tick is seen with it. */
  | {
      readonly kind: "flash";
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
    }
  /** Goes round once a second: a picture that stands still is seen to. */
  | { readonly kind: "mark"; readonly x: number; readonly y: number; readonly r: number };

const grey = (value: number) => `rgb(${value},${value},${value})`;

/**
 * Eight bars, 100/0/75/0: white at full level, colours at 75 %, black.
 * Source: ITU-R BT.471 nomenclature (100/0/75/0), from memory; 75 % of 255 is 191.
 */
export const BARS_RGB: readonly (readonly [number, number, number])[] = [
  [255, 255, 255],
  [191, 191, 0],
  [0, 191, 191],
  [0, 191, 0],
  [191, 0, 191],
  [191, 0, 0],
  [0, 0, 191],
  [0, 0, 0],
];

/** Parts of width and height that are safe. SMPTE ST 2046-1: action 93 %, title 90 %. EBU R 95: 96.5 %, 95 % (from memory). */
export const SAFE_AREAS = {
  smpte: { action: 0.93, title: 0.9 },
  ebu: { action: 0.965, title: 0.95 },
} as const;

/** A centred part of a picture, to whole pixels. */
export function safeRect(widthPx: number, heightPx: number, part: number) {
  const width = Math.round(widthPx * part);
  const height = Math.round(heightPx * part);
  return { x: Math.round((widthPx - width) / 2), y: Math.round((heightPx - height) / 2), width, height };
}

/** How long a flash is lit and a tick heard, ms. */
export const FLASH_MS = 50;

/** The shapes of a test picture at an output's size, from the back to the front. */
export function testPicture(output: Output, name: TestPictureName, number: number): TestShape[] {
  const { widthPx: w, heightPx: h } = output;
  const rect = (x: number, y: number, width: number, height: number, fill: string): TestShape => ({
    kind: "rect",
    x,
    y,
    width,
    height,
    fill,
  });
  const unit = Math.min(w, h);
  const label = (y: number, sizePx: number, words: string, fill = "#ffffff"): TestShape => ({
    kind: "text",
    x: w / 2,
    y,
    sizePx,
    words,
    fill,
  });
  const says = `${output.name} · ${w}×${h} · ${output.frameRate} fps`;
  switch (name) {
    case "bars":
      return [
        ...BARS_RGB.map(([r, g, b], i) => {
          const from = Math.round((w * i) / 8);
          return rect(from, 0, Math.round((w * (i + 1)) / 8) - from, h, `rgb(${r},${g},${b})`);
        }),
        rect(Math.round(w * 0.2), Math.round(h * 0.84), Math.round(w * 0.6), Math.round(h * 0.1), "#000000"),
        label(h * 0.89, unit * 0.05, says),
        { kind: "mark", x: w * 0.9, y: h * 0.89, r: unit * 0.04 },
      ];
    case "ramp":
      return [
        ...Array.from({ length: 256 }, (_, value) => {
          const from = Math.round((w * value) / 256);
          return rect(from, 0, Math.round((w * (value + 1)) / 256) - from, h, grey(value));
        }),
        label(h * 0.5, unit * 0.05, says, "#c00000"),
      ];
    case "grid": {
      const step = Math.max(20, Math.round(unit / 18));
      const lines: TestShape[] = [rect(0, 0, w, h, "#101010")];
      for (let x = Math.round(w / 2) % step; x < w; x += step) lines.push(rect(x, 0, 1, h, "#9a9a9a"));
      for (let y = Math.round(h / 2) % step; y < h; y += step) lines.push(rect(0, y, w, 1, "#9a9a9a"));
      return [
        ...lines,
        { kind: "circle", r: unit / 2 - 2, x: w / 2, y: h / 2, stroke: "#ffffff", strokePx: 3 },
        {
          kind: "rect",
          x: 1,
          y: 1,
          width: w - 2,
          height: h - 2,
          fill: "none",
          stroke: "#ffffff",
          strokePx: 2,
        },
        label(h * 0.5, unit * 0.06, says),
        { kind: "mark", x: w / 2, y: h * 0.65, r: unit * 0.04 },
      ];
    }
    case "safe": {
      const { action, title } = SAFE_AREAS[output.safeArea];
      const frame = (part: number, stroke: string): TestShape => ({
        kind: "rect",
        ...safeRect(w, h, part),
        fill: "none",
        stroke,
        strokePx: 2,
      });
      return [
        rect(0, 0, w, h, "#202020"),
        frame(action, "#ffffff"),
        frame(title, "#ffd166"),
        label(h * 0.45, unit * 0.05, says),
        label(h * 0.55, unit * 0.04, `action ${action * 100} %, title ${title * 100} %`, "#ffd166"),
      ];
    }
    case "sync": {
      const side = Math.round(unit * 0.4);
      return [
        rect(0, 0, w, h, "#101010"),
        {
          kind: "flash",
          x: Math.round((w - side) / 2),
          y: Math.round(h * 0.5 - side / 2),
          width: side,
          height: side,
        },
        { kind: "mark", x: w / 2, y: h * 0.5, r: unit * 0.16 },
        label(h * 0.84, unit * 0.05, "flash and tick at each full second"),
        label(h * 0.92, unit * 0.04, says),
      ];
    }
    case "identify":
      return [
        rect(0, 0, w, h, "#102a43"),
        label(h * 0.44, unit * 0.5, `${number}`),
        label(h * 0.84, unit * 0.09, output.name),
      ];
  }
}
