import { SLIDE_TEMPLATE } from "../../core/rundown/slides.ts";
import type { Template } from "../../core/scene/template.ts";
import { fading, focusing, growing, rising, sliding, staggered, uncovering } from "../moves.ts";
import {
  bars,
  box,
  crawl,
  ellipse,
  figures,
  glow,
  linear,
  list,
  onCanvas,
  picture,
  radial,
  rectangle,
  SOFT_SHADOW,
  solid,
  table,
  text,
  video,
} from "../parts.ts";

/** Portrait, 1080 × 1920: seen in passing, at a door. */
const template = onCanvas(1080, 1920);
const QUIET = { font: "plain", fill: solid("quiet"), shadows: SOFT_SHADOW } as const;

export const backdrop = template("Porch ground", "backdrop", [
  rectangle("ground", box(0, 0, 1080, 1920), linear(180, [0, "ground"], [0.7, "rise"], [1, "ground"]), {
    motion: fading(900),
  }),
  ellipse(
    "halo",
    box(140, 60, 800, 800),
    radial(0.5, 0.5, 0.5, [0, "accent", 0.42], [0.4, "accent", 0.1], [1, "accent", 0]),
    {
      motion: fading(1400),
    },
  ),
  ellipse("lamp", box(480, 400, 120, 120), solid("accent"), {
    shadows: glow("accent", 90),
    motion: fading(1400),
  }),
]);

export const loop = template("Porch, moving", "loop", [
  video("clip", "clip", box(0, 0, 1080, 1920), { motion: fading(800) }),
  rectangle("veil", box(0, 0, 1080, 1920), linear(180, [0, "ground", 0.35], [1, "ground", 0.75]), {
    motion: fading(800),
  }),
]);

export const lyrics = template("Words, portrait", "words", [
  text(
    "words",
    "words",
    box(80, 820, 920, 760),
    { min: 36, max: 78, readable: 56 },
    {
      leading: 1.34,
      keepLines: true,
      shadows: SOFT_SHADOW,
      motion: rising(22, 460),
    },
  ),
  text(
    "credit",
    "credit",
    box(90, 1734, 900, 84),
    { min: 20, max: 32 },
    {
      font: "plain",
      fill: solid("quiet"),
      verticalAlign: "top",
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

export const credit = template("Credit, portrait", "credit", [
  text(
    "title",
    "title",
    box(90, 1180, 900, 150),
    { min: 40, max: 72 },
    { italic: true, verticalAlign: "bottom", shadows: SOFT_SHADOW, motion: rising(20, 460) },
  ),
  rectangle("rule", box(460, 1362, 160, 6), solid("accent"), { corners: 3, motion: uncovering(420, 120) }),
  text(
    "writers",
    "writers",
    box(90, 1400, 900, 110),
    { min: 26, max: 42 },
    { font: "plain", verticalAlign: "top", shadows: SOFT_SHADOW, motion: fading(420, 120) },
  ),
  text(
    "publisher",
    "publisher",
    box(90, 1520, 900, 60),
    { min: 22, max: 34 },
    { font: "plain", fill: solid("quiet"), shadows: SOFT_SHADOW, motion: fading(420, 180) },
  ),
  text(
    "licence",
    "licence",
    box(90, 1584, 900, 56),
    { min: 20, max: 30 },
    { font: "plain", fill: solid("quiet"), shadows: SOFT_SHADOW, motion: fading(420, 240) },
  ),
]);

export const reading = template("Reading, portrait", "reading", [
  text(
    "words",
    "words",
    box(90, 760, 900, 860),
    { min: 34, max: 66, readable: 52 },
    {
      leading: 1.36,
      align: "start",
      keepLines: true,
      balance: false,
      shadows: SOFT_SHADOW,
      motion: rising(22, 460),
    },
  ),
  text(
    "reference",
    "reference",
    box(90, 1650, 900, 80),
    { min: 30, max: 48 },
    {
      font: "titles",
      fill: solid("accent"),
      align: "start",
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
  text(
    "translation",
    "translation",
    box(90, 1734, 900, 50),
    { min: 20, max: 32 },
    {
      font: "plain",
      align: "start",
      fill: solid("quiet"),
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

export const title = template("Title, portrait", "title", [
  text(
    "title",
    "title",
    box(80, 860, 920, 470),
    { min: 60, max: 150 },
    {
      font: "titles",
      weight: "bold",
      leading: 1.02,
      verticalAlign: "bottom",
      shadows: SOFT_SHADOW,
      revealBy: "word",
      motion: staggered(rising(40, 640), 90),
    },
  ),
  rectangle("rule", box(460, 1378, 160, 6), solid("accent"), { corners: 3, motion: uncovering(520, 240) }),
  text(
    "subtitle",
    "subtitle",
    box(100, 1420, 880, 190),
    { min: 34, max: 58 },
    {
      ...QUIET,
      verticalAlign: "top",
      motion: rising(24, 560, 220),
    },
  ),
]);

export const points = template("Points, portrait", "points", [
  text(
    "heading",
    "heading",
    box(90, 640, 900, 130),
    { min: 44, max: 84 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      shadows: SOFT_SHADOW,
      motion: rising(24, 480),
    },
  ),
  list(
    "points",
    "points",
    box(90, 820, 900, 900),
    { min: 32, max: 62 },
    {
      shadows: SOFT_SHADOW,
      motion: sliding("left", 30, 420),
    },
  ),
]);

export const pictureCard = template("Picture, portrait", "picture", [
  rectangle("ground", box(0, 0, 1080, 1920), solid("ground"), { motion: fading(500) }),
  picture("picture", "picture", box(60, 240, 960, 1200), {
    mode: "fit",
    corners: { measure: "radius" },
    motion: growing(700, 80),
  }),
  text(
    "caption",
    "caption",
    box(80, 1480, 920, 180),
    { min: 32, max: 56 },
    { font: "plain", motion: rising(20, 460, 240) },
  ),
]);

export const slideCard = template(SLIDE_TEMPLATE, "picture", [
  rectangle("ground", box(0, 0, 1080, 1920), solid("ground"), { motion: fading(300) }),
  picture("picture", "picture", box(0, 0, 1080, 1920), { mode: "fit", motion: fading(300) }),
]);

export const countdown = template("Countdown, portrait", "countdown", [
  text("label", "label", box(80, 900, 920, 160), { min: 40, max: 76 }, { ...QUIET, motion: rising(24, 520) }),
  figures(
    "figures",
    { kind: "countdown", field: "to", atZero: "hold" },
    box(80, 1080, 920, 340),
    { min: 90, max: 300 },
    {
      weight: "bold",
      shadows: [...glow("accent", 60, 0.28), ...SOFT_SHADOW],
      motion: rising(36, 620, 100),
    },
  ),
]);

export const crawlBar = template("Crawl, portrait", "crawl", [
  rectangle("bar", box(0, 1790, 1080, 130), solid("panel", 0.95), { motion: sliding("bottom", 130, 500) }),
  rectangle("edge", box(0, 1785, 1080, 5), solid("accent"), { motion: uncovering(600, 180) }),
  crawl("items", "items", box(20, 1800, 1040, 110), 54, {
    speed: { kind: "pxPerFrame", px: 2 },
    motion: fading(300, 380),
  }),
]);

export const roll = template("Roll, portrait", "roll", [
  crawl("lines", "lines", box(80, 640, 920, 1100), 52, {
    towards: "up",
    speed: { kind: "pxPerSecond", px: 90 },
    passes: 1,
    itemGapPx: 18,
    divider: { kind: "none" },
    font: "words",
    align: "center",
    fill: solid("words"),
    shadows: SOFT_SHADOW,
  }),
]);

export const nowNext = template("Now and next, portrait", "nowNext", [
  text(
    "nowLabel",
    "=Now",
    box(90, 860, 900, 56),
    { min: 24, max: 38 },
    {
      font: "plain",
      weight: "bold",
      letterCase: "upper",
      trackingEm: 0.08,
      fill: solid("accent"),
      align: "start",
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
  text(
    "now",
    "now",
    box(90, 920, 900, 210),
    { min: 44, max: 92 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "top",
      leading: 1.04,
      shadows: SOFT_SHADOW,
      motion: rising(24, 480, 60),
    },
  ),
  text(
    "nextLabel",
    "=Next",
    box(90, 1190, 900, 52),
    { min: 22, max: 34 },
    {
      ...QUIET,
      weight: "bold",
      letterCase: "upper",
      trackingEm: 0.08,
      align: "start",
      showWhen: { kind: "notEmpty", field: "next" },
      motion: fading(420, 120),
    },
  ),
  text(
    "next",
    "next",
    box(90, 1244, 900, 150),
    { min: 36, max: 66 },
    {
      font: "titles",
      align: "start",
      verticalAlign: "top",
      leading: 1.08,
      shadows: SOFT_SHADOW,
      motion: rising(24, 480, 180),
    },
  ),
]);

export const standings = template("Table, portrait", "standings", [
  text(
    "heading",
    "heading",
    box(80, 560, 920, 120),
    { min: 40, max: 76 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      shadows: SOFT_SHADOW,
      motion: rising(24, 480),
    },
  ),
  table(
    "rows",
    "rows",
    box(80, 730, 920, 1000),
    [
      [5, "start"],
      [2, "end"],
    ],
    { min: 26, max: 50 },
    {
      fill: solid("onPanel"),
      rowHeightPx: 96,
      padPx: 26,
      motion: staggered(sliding("left", 40, 440), 70),
    },
  ),
]);

export const barChart = template("Bars, portrait", "bars", [
  text(
    "heading",
    "heading",
    box(80, 560, 920, 120),
    { min: 40, max: 76 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      shadows: SOFT_SHADOW,
      motion: rising(24, 480),
    },
  ),
  bars(
    "rows",
    "rows",
    box(80, 740, 920, 980),
    { min: 24, max: 42 },
    {
      rowHeightPx: 76,
      rowGapPx: 34,
      labelShare: 0.36,
      valueWidthPx: 150,
      barFill: solid("accent"),
      motion: staggered(uncovering(640), 90),
    },
  ),
]);

export const standby = template("Stand-by, portrait", "standby", [
  rectangle("ground", box(0, 0, 1080, 1920), linear(180, [0, "ground"], [0.7, "rise"], [1, "ground"]), {
    motion: fading(600),
  }),
  text(
    "title",
    "title",
    box(80, 760, 920, 300),
    { min: 60, max: 130 },
    { font: "titles", weight: "bold", motion: focusing(14, 800, 150) },
  ),
  text(
    "subtitle",
    "subtitle",
    box(100, 1090, 880, 180),
    { min: 34, max: 56 },
    { ...QUIET, verticalAlign: "top", motion: fading(600, 350) },
  ),
]);

export const PORCH_TEMPLATES: readonly Template[] = [
  backdrop,
  loop,
  lyrics,
  credit,
  reading,
  title,
  points,
  pictureCard,
  slideCard,
  countdown,
  crawlBar,
  roll,
  nowNext,
  standings,
  barChart,
  standby,
];
