/**
 * Draws the demo's pictures and clips and encodes them with ffmpeg. Their results are in demo/media; run this
 * (`node --import tsx tools/makeDemoMedia.ts`) only to make them anew.
 */
import { spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createCanvas, type SKRSContext2D } from "@napi-rs/canvas";

const OUT = "demo/media";
const FPS = 25;
mkdirSync(OUT, { recursive: true });

type Draw = (context: SKRSContext2D, t: number, width: number, height: number) => void;

function still(name: string, width: number, height: number, draw: Draw, t = 0): void {
  const canvas = createCanvas(width, height);
  draw(canvas.getContext("2d"), t, width, height);
  writeFileSync(
    join(OUT, name),
    name.endsWith(".jpg") ? canvas.toBuffer("image/jpeg", 86) : canvas.toBuffer("image/png"),
  );
}

/** @param t of each frame goes from 0 to just below 1 */
function clip(
  name: string,
  seconds: number,
  width: number,
  height: number,
  draw: Draw,
  encode: string[],
  sound: string[] = [],
): void {
  const folder = mkdtempSync(join(tmpdir(), "vesko-media-"));
  const frames = Math.round(seconds * FPS);
  for (let i = 0; i < frames; i++) {
    const canvas = createCanvas(width, height);
    draw(canvas.getContext("2d"), i / frames, width, height);
    writeFileSync(join(folder, `${String(i).padStart(4, "0")}.png`), canvas.toBuffer("image/png"));
  }
  const args = [
    "-y",
    "-loglevel",
    "error",
    "-framerate",
    `${FPS}`,
    "-i",
    join(folder, "%04d.png"),
    ...sound,
    ...encode,
    join(OUT, name),
  ];
  const { status } = spawnSync("ffmpeg", args, { stdio: "inherit" });
  rmSync(folder, { recursive: true });
  if (status !== 0) throw new Error(`ffmpeg ended with ${status}`);
}

/** The same numbers every time. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

const glow = (context: SKRSContext2D, x: number, y: number, radius: number, color: string, alpha: number) => {
  const gradient = context.createRadialGradient(x, y, 0, x, y, radius);
  gradient.addColorStop(0, `rgba(${color},${alpha})`);
  gradient.addColorStop(0.3, `rgba(${color},${alpha * 0.35})`);
  gradient.addColorStop(1, `rgba(${color},0)`);
  context.fillStyle = gradient;
  context.fillRect(x - radius, y - radius, radius * 2, radius * 2);
};

/** Lights on the far shore and their slow reflections. */
const harbour: Draw = (context, t, width, height) => {
  const sky = context.createLinearGradient(0, 0, 0, height);
  sky.addColorStop(0, "#0a1424");
  sky.addColorStop(0.55, "#1c3a52");
  sky.addColorStop(0.6, "#0d2233");
  sky.addColorStop(1, "#050b14");
  context.fillStyle = sky;
  context.fillRect(0, 0, width, height);
  const random = seeded(11);
  const shore = height * 0.58;
  context.fillStyle = "#07121d";
  context.beginPath();
  context.moveTo(0, shore);
  for (let x = 0; x <= width; x += width / 24) context.lineTo(x, shore - random() * height * 0.07);
  context.lineTo(width, shore);
  context.fill();
  for (let i = 0; i < 26; i++) {
    const x = random() * width;
    const y = shore - random() * height * 0.05;
    const size = 10 + random() * 40;
    const turn = random();
    const beat = 0.5 + 0.5 * Math.sin(2 * Math.PI * (t * (1 + Math.floor(random() * 2)) + turn));
    glow(context, x, y, size * 1.6, "244,189,104", 0.5 + 0.35 * beat);
    for (let k = 0; k < 8; k++) {
      const wave = Math.sin(2 * Math.PI * (t * 2 + k * 0.21 + turn)) * size * 0.35;
      context.fillStyle = `rgba(244,189,104,${0.16 * (1 - k / 8) * (0.5 + beat / 2)})`;
      context.fillRect(x - size * 0.3 + wave, shore + 8 + k * height * 0.045, size * 0.6, 3 + k);
    }
  }
};

/** Paper lanterns that rise over a clear ground. */
const lanterns: Draw = (context, t, width, height) => {
  const random = seeded(5);
  for (let i = 0; i < 9; i++) {
    const depth = 0.5 + random() * 0.8;
    const x = random() * width + Math.sin(2 * Math.PI * (t + random())) * 18;
    const y = height * 1.2 - ((t + random()) % 1) * height * 1.45;
    const w = 54 * depth;
    const h = 78 * depth;
    glow(context, x, y, w * 2.4, "244,160,80", 0.5);
    const paper = context.createLinearGradient(x, y - h / 2, x, y + h / 2);
    paper.addColorStop(0, "rgba(224,116,74,0.92)");
    paper.addColorStop(1, "rgba(255,222,150,0.98)");
    context.fillStyle = paper;
    context.beginPath();
    context.roundRect(x - w / 2, y - h / 2, w, h, w * 0.32);
    context.fill();
    context.fillStyle = "rgba(60,20,8,0.8)";
    context.fillRect(x - w * 0.3, y - h / 2 - 4, w * 0.6, 6);
    context.fillRect(x - w * 0.3, y + h / 2 - 2, w * 0.6, 6);
  }
};

/** A paper boat before a green cloth, as a camera sees it. */
const boat: Draw = (context, t, width, height) => {
  const cloth = context.createLinearGradient(0, 0, width, height);
  cloth.addColorStop(0, "#19b34a");
  cloth.addColorStop(1, "#12a03f");
  context.fillStyle = cloth;
  context.fillRect(0, 0, width, height);
  context.save();
  context.translate(
    width * (0.5 + 0.18 * Math.sin(2 * Math.PI * t)),
    height * 0.6 + 16 * Math.sin(4 * Math.PI * t),
  );
  context.rotate(0.09 * Math.sin(4 * Math.PI * t + 1));
  const s = height / 6;
  context.fillStyle = "#f7efe0";
  context.beginPath();
  context.moveTo(-2.1 * s, 0);
  context.lineTo(2.1 * s, 0);
  context.lineTo(1.3 * s, 1.1 * s);
  context.lineTo(-1.3 * s, 1.1 * s);
  context.fill();
  context.fillStyle = "#d9cdb8";
  context.beginPath();
  context.moveTo(0, -2.2 * s);
  context.lineTo(1.15 * s, 0);
  context.lineTo(-1.15 * s, 0);
  context.fill();
  context.fillStyle = "#b8322a";
  context.fillRect(-1.5 * s, 0.3 * s, 3 * s, 0.16 * s);
  context.restore();
};

const slip: Draw = (context, _t, width, height) => {
  harbour(context, 0.3, width, height);
  context.fillStyle = "#0b0f14";
  context.beginPath();
  context.moveTo(width * 0.2, height);
  context.lineTo(width * 0.44, height * 0.6);
  context.lineTo(width * 0.56, height * 0.6);
  context.lineTo(width * 0.86, height);
  context.fill();
  const random = seeded(23);
  for (let i = 0; i < 14; i++) {
    const k = i / 14;
    for (const side of [-1, 1]) {
      const y = height * (0.62 + 0.36 * k * k);
      const x = width * (0.5 + side * (0.065 + 0.29 * k * k)) + (random() - 0.5) * 8;
      glow(context, x, y, 16 + 90 * k, "244,189,104", 0.8);
      context.fillStyle = "#ffe3a8";
      context.fillRect(x - 2 - 7 * k, y - 4 - 14 * k, 4 + 14 * k, 6 + 22 * k);
    }
  }
};

const mark: Draw = (context, _t, width) => {
  const s = width / 280;
  context.scale(s, s);
  glow(context, 140, 150, 130, "244,189,104", 0.55);
  context.fillStyle = "#f4bd68";
  context.beginPath();
  context.roundRect(92, 88, 96, 128, 30);
  context.fill();
  context.fillStyle = "#fff4dc";
  context.beginPath();
  context.ellipse(140, 158, 16, 30, 0, 0, 2 * Math.PI);
  context.fill();
  context.fillStyle = "#e0744a";
  context.fillRect(104, 70, 72, 18);
  context.fillRect(104, 216, 72, 16);
  context.lineWidth = 9;
  context.strokeStyle = "#e0744a";
  context.beginPath();
  context.arc(140, 70, 30, Math.PI, 2 * Math.PI);
  context.stroke();
};

const VP9 = ["-c:v", "libvpx-vp9", "-b:v", "0", "-crf", "36", "-row-mt", "1"];
still("upper-slip.jpg", 1920, 1280, slip);
still("lantern-mark.png", 560, 560, mark);
clip("harbour-night.webm", 8, 1280, 720, harbour, [...VP9, "-pix_fmt", "yuv420p"]);
still("harbour-night.jpg", 1280, 720, harbour, 0.3);
clip("lanterns-rise.webm", 6, 960, 540, lanterns, [...VP9, "-pix_fmt", "yuva420p", "-auto-alt-ref", "0"]);
still("lanterns-rise.png", 960, 540, lanterns, 0.4);
const bell = [
  "-f",
  "lavfi",
  "-t",
  "6",
  "-i",
  "sine=frequency=523:duration=6,volume=0.25,afade=t=out:st=1:d=4",
];
clip(
  "paper-boat.webm",
  6,
  960,
  540,
  boat,
  [
    ...VP9,
    "-pix_fmt",
    "yuv420p",
    "-colorspace",
    "bt709",
    "-color_primaries",
    "bt709",
    "-color_trc",
    "bt709",
    "-c:a",
    "libopus",
    "-b:a",
    "40k",
    "-shortest",
  ],
  bell,
);
still("paper-boat.png", 960, 540, boat, 0.1);
