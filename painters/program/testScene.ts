import type { TestScene } from "../../core/venue/source.ts";

/** What drawing a scene needs of a canvas. */
export type SceneCanvas = Pick<
  CanvasRenderingContext2D,
  | "fillStyle"
  | "font"
  | "textAlign"
  | "textBaseline"
  | "fillRect"
  | "fillText"
  | "beginPath"
  | "ellipse"
  | "fill"
  | "save"
  | "restore"
  | "scale"
>;

/** Frames of a stand-in camera: 25 in a second, counted from the beginning of the day by UTC. */
export const SCENE_FRAME_MS = 40;
const DAY_MS = 24 * 60 * 60 * 1_000;
export const frameAt = (atMs: number): number => Math.floor((atMs % DAY_MS) / SCENE_FRAME_MS);

/** A scene is drawn as if it were this large, and scaled. */
const WIDTH = 640;
const HEIGHT = 360;

/**
 * What a stand-in camera sees at a time: an invented scene that moves, with the camera's name and its count of frames. The same on
 * every screen, since it hangs on the time alone.
 */
export function drawTestScene(
  context: SceneCanvas,
  scene: TestScene,
  name: string,
  size: { readonly width: number; readonly height: number },
  atMs: number,
): void {
  const frame = frameAt(atMs);
  // Of the frame and not of the time: two screens that draw at other moments show the same.
  const seconds = (frame * SCENE_FRAME_MS) / 1_000;
  context.save();
  context.scale(size.width / WIDTH, size.height / HEIGHT);
  SCENES[scene](context, seconds);
  context.fillStyle = "rgba(15, 12, 10, 0.72)";
  context.fillRect(0, 0, WIDTH, 30);
  context.fillStyle = "#f4ebdd";
  context.font = "600 17px sans-serif";
  context.textBaseline = "middle";
  context.textAlign = "left";
  context.fillText(name, 12, 16);
  context.textAlign = "right";
  context.fillText(`frame ${String(frame).padStart(7, "0")}`, WIDTH - 12, 16);
  context.restore();
}

type Draw = (context: SceneCanvas, seconds: number) => void;

const box = (context: SceneCanvas, color: string, x: number, y: number, width: number, height: number) => {
  context.fillStyle = color;
  context.fillRect(x, y, width, height);
};

const disc = (context: SceneCanvas, color: string, x: number, y: number, width: number, height = width) => {
  context.fillStyle = color;
  context.beginPath();
  context.ellipse(x, y, width, height, 0, 0, 2 * Math.PI);
  context.fill();
};

/** Somebody from the front: head and shoulders. */
function person(context: SceneCanvas, x: number, y: number, scale: number, coat: string, skin: string): void {
  disc(context, coat, x, y + 74 * scale, 46 * scale, 58 * scale);
  disc(context, skin, x, y, 23 * scale, 28 * scale);
  disc(context, "#2c221c", x, y - 12 * scale, 24 * scale, 18 * scale);
}

const swing = (seconds: number, everySeconds: number, phase = 0): number =>
  Math.sin((seconds / everySeconds + phase) * 2 * Math.PI);

const SCENES: Readonly<Record<TestScene, Draw>> = {
  lectern: (context, seconds) => {
    box(context, "#54463b", 0, 0, WIDTH, HEIGHT);
    box(context, "#6b594a", 40, 50, 150, 210);
    box(context, "#8ea3ad", 58, 68, 114, 174);
    disc(context, "#dfe7ea", 110 + swing(seconds, 9) * 30, 130, 9);
    box(context, "#3b3029", 0, 300, WIDTH, 60);
    person(context, 350 + swing(seconds, 5) * 10, 140 + swing(seconds, 1.7) * 2, 1.15, "#31505a", "#c99a77");
    box(context, "#7a4a2a", 290, 232, 130, 128);
    box(context, "#94603a", 280, 222, 150, 14);
    disc(context, "#e9b44c", 556, 96 + swing(seconds, 3) * 3, 16, 20);
  },
  singers: (context, seconds) => {
    box(context, "#2d3440", 0, 0, WIDTH, HEIGHT);
    box(context, "#3c4554", 0, 60, WIDTH, 130);
    for (let i = 0; i < 6; i++) {
      const sway = swing(seconds, 2.4, i * 0.07) * 7;
      const coats = ["#7a3b36", "#31505a", "#6d5a2c"] as const;
      person(context, 70 + i * 100 + sway, 150 + (i % 2) * 14, 0.9, coats[i % 3] as string, "#c99a77");
      // Mouths open and shut.
      disc(
        context,
        "#3a1d1a",
        70 + i * 100 + sway,
        160 + (i % 2) * 14,
        5,
        2 + 2 * Math.abs(swing(seconds, 1.2, i * 0.13)),
      );
    }
    box(context, "#1d222b", 0, 300, WIDTH, 60);
  },
  room: (context, seconds) => {
    box(context, "#231c18", 0, 0, WIDTH, HEIGHT);
    box(context, "#b9c7cf", 190, 48, 260, 120);
    for (let row = 0; row < 4; row++)
      for (let seat = 0; seat < 11; seat++) {
        const x = 20 + seat * 62 + (row % 2) * 28;
        const y = 200 + row * 44 + swing(seconds, 3 + (seat % 3), seat * 0.31 + row * 0.17) * 2;
        disc(context, row % 2 === 0 ? "#4b3d33" : "#403429", x, y + 28, 24, 22);
        disc(context, "#8a6a52", x, y, 12, 14);
      }
    for (let i = 0; i < 5; i++)
      disc(context, "#e9b44c", 60 + i * 130, 30 + 18 + swing(seconds, 4, i * 0.2) * 5, 7, 9);
  },
  quay: (context, seconds) => {
    box(context, "#16212e", 0, 0, WIDTH, HEIGHT);
    box(context, "#203549", 0, 190, WIDTH, 170);
    for (let i = 0; i < 12; i++)
      box(context, "#2d4a63", ((i * 61 + seconds * 22) % (WIDTH + 80)) - 80, 208 + i * 12, 60, 2);
    disc(context, "#efe6cf", 540, 84, 26);
    // The ferry goes over and comes again.
    const ferry = ((seconds * 26) % (WIDTH + 220)) - 180;
    const bob = swing(seconds, 2.2) * 2;
    box(context, "#d9d2c4", ferry, 168 + bob, 150, 24);
    box(context, "#8a3f34", ferry + 10, 192 + bob, 130, 16);
    for (let i = 0; i < 5; i++) box(context, "#e9b44c", ferry + 16 + i * 26, 174 + bob, 12, 9);
    box(context, "#3a2d24", 0, 300, WIDTH, 60);
    for (let i = 0; i < 7; i++) {
      box(context, "#241b15", 40 + i * 94, 250, 6, 60);
      disc(context, Math.floor(seconds * 2 + i) % 7 === 0 ? "#fff2c9" : "#e9b44c", 43 + i * 94, 246, 8, 10);
    }
  },
};
