import type { Template } from "../../core/scene/template.ts";
import { fading, rising, sliding, uncovering } from "../moves.ts";
import {
  box,
  color,
  crawl,
  ellipse,
  figures,
  glow,
  linear,
  onCanvas,
  picture,
  radial,
  rectangle,
  solid,
  text,
  video,
} from "../parts.ts";

/** A thin ribbon, 1920 × 360: one line is large, two are many. */
const template = onCanvas(1920, 360);

export const backdrop = template("Ribbon ground", "backdrop", [
  rectangle("ground", box(0, 0, 1920, 360), linear(90, [0, "ground"], [0.5, "rise"], [1, "ground"]), {
    motion: fading(900),
  }),
  rectangle("rule", box(0, 352, 1920, 8), linear(90, [0, "second"], [0.5, "accent"], [1, "second"]), {
    motion: uncovering(1400, 200),
  }),
]);

export const loop = template("Ribbon, moving", "loop", [
  video("clip", "clip", box(0, 0, 1920, 360), { motion: fading(800) }),
  rectangle("veil", box(0, 0, 1920, 360), solid("ground", 0.5), { motion: fading(800) }),
]);

export const lyrics = template("Words, ribbon", "words", [
  text(
    "words",
    "words",
    box(96, 34, 1728, 262),
    { min: 40, max: 128, readable: 72 },
    { leading: 1.18, keepLines: true, motion: rising(24, 420) },
  ),
  text(
    "credit",
    "credit",
    box(96, 302, 1728, 36),
    { min: 18, max: 26 },
    { font: "plain", fill: solid("quiet"), motion: fading(360) },
  ),
]);
/** Title at the left, who made it at the right. */
export const credit = template("Credit, ribbon", "credit", [
  text(
    "title",
    "title",
    box(96, 100, 760, 160),
    { min: 32, max: 64 },
    { italic: true, align: "start", motion: rising(16, 420) },
  ),
  text(
    "writers",
    "writers",
    box(920, 90, 904, 64),
    { min: 22, max: 36 },
    { font: "plain", align: "end", motion: fading(420, 60) },
  ),
  text(
    "publisher",
    "publisher",
    box(920, 160, 904, 50),
    { min: 18, max: 30 },
    { font: "plain", fill: solid("quiet"), align: "end", motion: fading(420, 120) },
  ),
  text(
    "licence",
    "licence",
    box(920, 216, 904, 44),
    { min: 18, max: 28 },
    { font: "plain", fill: solid("quiet"), align: "end", motion: fading(420, 180) },
  ),
]);

export const reading = template("Reading, ribbon", "reading", [
  text(
    "words",
    "words",
    box(96, 34, 1728, 222),
    { min: 36, max: 84, readable: 60 },
    {
      leading: 1.2,
      keepLines: true,
      balance: false,
      motion: rising(24, 420),
    },
  ),
  text(
    "reference",
    "reference",
    box(96, 270, 1000, 60),
    { min: 28, max: 44 },
    {
      font: "titles",
      align: "start",
      fill: solid("accent"),
      motion: fading(360),
    },
  ),
  text(
    "translation",
    "translation",
    box(1120, 278, 704, 44),
    { min: 18, max: 28 },
    {
      font: "plain",
      align: "end",
      fill: solid("quiet"),
      motion: fading(360),
    },
  ),
]);

export const title = template("Title, ribbon", "title", [
  text(
    "title",
    "title",
    box(96, 40, 1728, 178),
    { min: 56, max: 150 },
    {
      font: "titles",
      weight: "bold",
      leading: 1,
      mode: "condense",
      motion: rising(30, 560),
    },
  ),
  text(
    "subtitle",
    "subtitle",
    box(96, 228, 1728, 90),
    { min: 32, max: 58 },
    {
      font: "plain",
      fill: solid("quiet"),
      motion: rising(20, 560, 120),
    },
  ),
]);

export const crawlRibbon = template("Crawl, ribbon", "crawl", [
  rectangle("ground", box(0, 0, 1920, 360), linear(90, [0, "rise"], [0.4, "ground"], [1, "ground"]), {
    motion: fading(400),
  }),
  ellipse("lampGlow", box(20, 20, 320, 320), radial(0.5, 0.5, 0.5, [0, "accent", 0.6], [1, "accent", 0]), {
    motion: fading(600),
  }),
  ellipse("lamp", box(140, 140, 80, 80), solid("accent"), {
    shadows: glow("accent", 60),
    motion: fading(600),
  }),
  crawl("items", "items", box(360, 60, 1520, 240), 120, {
    speed: { kind: "pxPerFrame", px: 4 },
    itemGapPx: 220,
    fill: solid("words"),
    divider: { kind: "glyph", text: "•", color: color("accent") },
    motion: fading(400, 200),
  }),
]);

export const countdown = template("Countdown, ribbon", "countdown", [
  text(
    "label",
    "label",
    box(96, 60, 900, 240),
    { min: 40, max: 92 },
    {
      font: "plain",
      fill: solid("quiet"),
      align: "start",
      motion: sliding("left", 40, 480),
    },
  ),
  figures(
    "figures",
    { kind: "countdown", field: "to", atZero: "hold" },
    box(1040, 40, 784, 280),
    { min: 80, max: 240 },
    {
      weight: "bold",
      align: "end",
      motion: sliding("right", 40, 480, 80),
    },
  ),
]);

export const corner = template("Corner mark, ribbon", "corner", [
  picture("picture", "picture", box(1760, 20, 120, 120), {
    mode: "fit",
    motion: fading(600),
    showWhen: { kind: "notEmpty", field: "picture" },
  }),
]);

export const standby = template("Stand-by, ribbon", "standby", [
  rectangle("ground", box(0, 0, 1920, 360), linear(90, [0, "ground"], [0.5, "rise"], [1, "ground"]), {
    motion: fading(600),
  }),
  text(
    "title",
    "title",
    box(96, 50, 1728, 180),
    { min: 50, max: 130 },
    {
      font: "titles",
      weight: "bold",
      mode: "condense",
      motion: fading(600, 200),
    },
  ),
  text(
    "subtitle",
    "subtitle",
    box(96, 236, 1728, 80),
    { min: 30, max: 54 },
    {
      font: "plain",
      fill: solid("quiet"),
      motion: fading(600, 300),
    },
  ),
]);

export const RIBBON_TEMPLATES: readonly Template[] = [
  backdrop,
  loop,
  lyrics,
  credit,
  reading,
  title,
  crawlRibbon,
  countdown,
  corner,
  standby,
];
