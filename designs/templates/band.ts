// Data, and longer than other files for it: one template after another, each standing by itself.
import type { Template } from "../../core/scene/template.ts";
import { fading, growing, rising, sliding, springing, squeezing, staggered, uncovering } from "../moves.ts";
import {
  bars,
  box,
  color,
  crawl,
  ellipse,
  figures,
  group,
  linear,
  list,
  onCanvas,
  PANEL_SHADOW,
  picture,
  program,
  rectangle,
  SOFT_SHADOW,
  solid,
  table,
  text,
  video,
} from "../parts.ts";
import { slideFull } from "./wall.ts";

/** For a picture with people in it: everything keeps to the lower edge, to one side or to one corner. */
const template = onCanvas(1920, 1080);
const PANEL = linear(180, [0, "panel", 0.88], [1, "panel", 0.96]);
/** Bare words over a picture of any brightness. */
const OUTLINE = { color: color("shade", 0.7), widthPx: 4 };
const ON_PANEL = { fill: solid("onPanel") } as const;
const QUIET = { font: "plain", fill: solid("quietPanel") } as const;

const panel = (id: string, x: number, y: number, width: number, height: number, field?: string) =>
  rectangle(id, box(x, y, width, height), PANEL, {
    ...(field !== undefined && { showWhen: { kind: "notEmpty", field } }),
    corners: { measure: "radius" },
    shadows: PANEL_SHADOW,
    motion: sliding("bottom", 60, 420),
  });

export const lyrics = template("Words, two-line band", "words", [
  panel("panel", 230, 812, 1460, 176, "words"),
  text(
    "words",
    "words",
    box(278, 822, 1364, 156),
    { min: 26, max: 56, readable: 42 },
    {
      ...ON_PANEL,
      leading: 1.26,
      keepLines: true,
      motion: rising(20, 380, 80),
    },
  ),
  text(
    "credit",
    "credit",
    box(430, 998, 1060, 40),
    { min: 18, max: 26, readable: 22 },
    {
      font: "plain",
      fill: solid("quiet"),
      stroke: OUTLINE,
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

export const reading = template("Reading, two-line band", "reading", [
  rectangle("tab", box(230, 750, 400, 74), solid("accent"), {
    corners: { measure: "radius", times: 0.6 },
    showWhen: { kind: "notEmpty", field: "reference" },
    motion: uncovering(420, 140),
  }),
  panel("panel", 230, 812, 1460, 176, "words"),
  text(
    "reference",
    "reference",
    box(254, 756, 352, 52),
    { min: 20, max: 34, readable: 28 },
    {
      font: "titles",
      weight: "bold",
      fill: solid("onAccent"),
      motion: fading(320, 260),
    },
  ),
  text(
    "words",
    "words",
    box(278, 822, 1364, 156),
    { min: 26, max: 52, readable: 42 },
    {
      ...ON_PANEL,
      leading: 1.26,
      align: "start",
      keepLines: true,
      balance: false,
      motion: rising(20, 380, 80),
    },
  ),
  text(
    "translation",
    "translation",
    box(650, 768, 1040, 38),
    { min: 18, max: 26, readable: 20 },
    {
      font: "plain",
      align: "end",
      fill: solid("quiet"),
      stroke: OUTLINE,
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

export const name = template("Name strap", "name", [
  rectangle("bar", box(96, 820, 980, 172), PANEL, {
    corners: { measure: "radius" },
    shadows: PANEL_SHADOW,
    motion: uncovering(480),
  }),
  rectangle("edge", box(96, 862, 10, 88), solid("panelAccent"), {
    corners: [0, 5, 5, 0],
    motion: uncovering(300, 220, "top"),
  }),
  text(
    "name",
    "name",
    box(150, 832, 880, 84),
    { min: 34, max: 66, readable: 50 },
    {
      ...ON_PANEL,
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      mode: "condense",
      motion: sliding("left", 34, 420, 160),
    },
  ),
  text(
    "role",
    "role",
    box(150, 924, 880, 48),
    { min: 22, max: 36, readable: 28 },
    {
      ...QUIET,
      align: "start",
      motion: sliding("left", 34, 420, 230),
    },
  ),
]);

export const title = template("Title, lower left", "title", [
  panel("panel", 96, 800, 1180, 196),
  text(
    "title",
    "title",
    box(146, 818, 1080, 96),
    { min: 34, max: 72, readable: 52 },
    {
      ...ON_PANEL,
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      motion: rising(24, 460, 100),
    },
  ),
  text(
    "subtitle",
    "subtitle",
    box(146, 924, 1080, 50),
    { min: 22, max: 36, readable: 28 },
    {
      ...QUIET,
      align: "start",
      motion: rising(18, 460, 180),
    },
  ),
]);

export const points = template("Points, at the side", "points", [
  rectangle("panel", box(1216, 130, 608, 820), PANEL, {
    corners: { measure: "radius" },
    shadows: PANEL_SHADOW,
    motion: sliding("right", 80, 480),
  }),
  text(
    "heading",
    "heading",
    box(1268, 170, 504, 96),
    { min: 30, max: 54 },
    {
      ...ON_PANEL,
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      motion: fading(320, 200),
    },
  ),
  rectangle("rule", box(1268, 286, 90, 5), solid("panelAccent"), {
    corners: 2,
    motion: uncovering(360, 260),
  }),
  list(
    "points",
    "points",
    box(1268, 326, 504, 580),
    { min: 24, max: 44 },
    {
      ...ON_PANEL,
      markerColor: color("panelAccent"),
      gap: 0.45,
      motion: sliding("right", 30, 380),
    },
  ),
]);

export const corner = template("Corner mark, small", "corner", [
  group(
    "plate",
    box(1560, 54, 264, 52),
    [
      rectangle("ground", box(1560, 54, 264, 52), solid("panel", 0.72), { corners: 26, motion: fading(500) }),
      ellipse("dot", box(1578, 71, 18, 18), solid("accent"), { motion: fading(500) }),
      text(
        "mark",
        "mark",
        box(1608, 58, 200, 44),
        { min: 16, max: 26 },
        {
          ...ON_PANEL,
          font: "titles",
          mode: "condense",
          align: "start",
          motion: fading(500),
        },
      ),
    ],
    { showWhen: { kind: "empty", field: "picture" } },
  ),
  picture("picture", "picture", box(1704, 48, 120, 120), {
    mode: "fit",
    motion: springing(900),
    showWhen: { kind: "notEmpty", field: "picture" },
  }),
]);

export const pictureSide = template("Picture, over the shoulder", "picture", [
  group(
    "card",
    box(1240, 120, 584, 470),
    [
      rectangle("frame", box(1240, 120, 584, 470), PANEL, {
        corners: { measure: "radius" },
        shadows: PANEL_SHADOW,
      }),
      picture("picture", "picture", box(1256, 136, 552, 368), { corners: { measure: "radius", times: 0.6 } }),
      text(
        "caption",
        "caption",
        box(1268, 512, 528, 64),
        { min: 20, max: 32 },
        { ...ON_PANEL, font: "plain" },
      ),
    ],
    { motion: sliding("right", 90, 520) },
  ),
]);

export const clipOver = template("Clip, over the picture", "clip", [
  video("clip", "clip", box(0, 0, 1920, 1080), {
    mode: "fill",
    atEnd: "leave",
    level: 0.9,
    motion: fading(200),
  }),
]);

export const crawlBand = template("Crawl with clock, slim", "crawl", [
  rectangle("bar", box(0, 1012, 1920, 68), solid("panel", 0.92), { motion: sliding("bottom", 68, 480) }),
  rectangle("edge", box(0, 1009, 1920, 3), solid("accent"), { motion: uncovering(600, 160) }),
  crawl("items", "items", box(30, 1014, 1680, 64), 36, { motion: fading(300, 360) }),
  rectangle("clockGround", box(1740, 1012, 180, 68), solid("accent"), {
    motion: sliding("right", 180, 480, 140),
  }),
  figures(
    "clock",
    { kind: "clock", format: "hm" },
    box(1752, 1014, 156, 64),
    { min: 26, max: 42 },
    {
      fill: solid("onAccent"),
      weight: "bold",
      motion: fading(300, 420),
    },
  ),
]);

export const countdown = template("Countdown, small", "countdown", [
  rectangle("panel", box(1440, 830, 384, 160), PANEL, {
    corners: { measure: "radius" },
    shadows: PANEL_SHADOW,
    motion: sliding("right", 60, 480),
  }),
  text(
    "label",
    "label",
    box(1468, 844, 328, 46),
    { min: 20, max: 30 },
    { ...QUIET, motion: fading(320, 180) },
  ),
  figures(
    "figures",
    { kind: "countdown", field: "to", atZero: "hold" },
    box(1468, 886, 328, 92),
    { min: 38, max: 82 },
    {
      ...ON_PANEL,
      weight: "bold",
      motion: fading(320, 240),
    },
  ),
]);

export const clock = template("Clock, small", "clock", [
  rectangle("panel", box(96, 54, 220, 62), solid("panel", 0.78), { corners: 31, motion: fading(420) }),
  figures(
    "clock",
    { kind: "clock", format: "hms" },
    box(112, 58, 188, 54),
    { min: 24, max: 40 },
    {
      ...ON_PANEL,
      weight: "bold",
      motion: fading(420),
    },
  ),
]);

export const nowNext = template("Now and next, lower left", "nowNext", [
  panel("panel", 96, 790, 1000, 204),
  text(
    "nowLabel",
    "=Now",
    box(140, 812, 120, 70),
    { min: 18, max: 28 },
    {
      font: "plain",
      weight: "bold",
      letterCase: "upper",
      trackingEm: 0.08,
      fill: solid("panelAccent"),
      align: "start",
      motion: fading(300, 160),
    },
  ),
  text(
    "now",
    "now",
    box(270, 806, 790, 82),
    { min: 30, max: 56 },
    {
      ...ON_PANEL,
      font: "titles",
      weight: "bold",
      align: "start",
      mode: "condense",
      motion: rising(20, 420, 120),
    },
  ),
  text(
    "nextLabel",
    "=Next",
    box(140, 902, 120, 60),
    { min: 18, max: 28 },
    {
      ...QUIET,
      weight: "bold",
      letterCase: "upper",
      trackingEm: 0.08,
      align: "start",
      showWhen: { kind: "notEmpty", field: "next" },
      motion: fading(300, 220),
    },
  ),
  text(
    "next",
    "next",
    box(270, 902, 790, 60),
    { min: 26, max: 40 },
    {
      ...QUIET,
      align: "start",
      mode: "condense",
      motion: rising(20, 420, 200),
    },
  ),
]);

/** Close to the panel's edge where there is no picture. */
const besidePicture = {
  left: { to: { kind: "box", object: "picture" }, edge: "right", gapPx: 50 },
  right: { to: { kind: "box", object: "panel" }, edge: "right", gapPx: -46 },
} as const;

export const comment = template("Comment, lower left", "comment", [
  panel("panel", 96, 724, 1100, 270),
  rectangle("edge", box(96, 764, 10, 190), solid("panelAccent"), {
    corners: [0, 5, 5, 0],
    motion: uncovering(300, 220, "top"),
  }),
  picture("picture", "picture", box(146, 769, 180, 180), {
    corners: 90,
    motion: growing(420, 160),
    showWhen: { kind: "notEmpty", field: "picture" },
    ties: { left: { to: { kind: "box", object: "panel" }, edge: "left", gapPx: 50 } },
  }),
  text(
    "comment",
    "comment",
    box(146, 744, 1004, 168),
    { min: 26, max: 48, readable: 36 },
    {
      ...ON_PANEL,
      align: "start",
      motion: fading(320, 160),
      ties: besidePicture,
    },
  ),
  text(
    "from",
    "from",
    box(146, 922, 1004, 50),
    { min: 20, max: 32 },
    {
      ...QUIET,
      weight: "bold",
      align: "start",
      motion: fading(320, 240),
      ties: besidePicture,
    },
  ),
]);

const sideHeading = text(
  "heading",
  "heading",
  box(1172, 150, 600, 84),
  { min: 28, max: 50 },
  {
    ...ON_PANEL,
    font: "titles",
    weight: "bold",
    align: "start",
    verticalAlign: "baseline",
    motion: fading(320, 200),
  },
);
const sidePanel = rectangle("panel", box(1120, 120, 704, 800), PANEL, {
  corners: { measure: "radius" },
  shadows: PANEL_SHADOW,
  motion: sliding("right", 80, 480),
});

export const standings = template("Table, at the side", "standings", [
  sidePanel,
  sideHeading,
  table(
    "rows",
    "rows",
    box(1148, 262, 648, 620),
    [
      [5, "start"],
      [2, "end"],
    ],
    { min: 22, max: 40 },
    {
      ...ON_PANEL,
      rowFill: solid("onPanel", 0.08),
      rowHeightPx: 68,
      rowGapPx: 8,
      rankWidthPx: 64,
      padPx: 22,
      motion: staggered(sliding("right", 40, 420, 160), 60),
    },
  ),
]);

export const barChart = template("Bars, at the side", "bars", [
  sidePanel,
  sideHeading,
  bars(
    "rows",
    "rows",
    box(1172, 272, 612, 600),
    { min: 20, max: 34 },
    {
      ...ON_PANEL,
      rowHeightPx: 58,
      rowGapPx: 24,
      labelShare: 0.36,
      valueWidthPx: 130,
      barFill: solid("panelAccent"),
      trackFill: solid("onPanel", 0.12),
      motion: staggered(uncovering(600, 200), 80),
    },
  ),
]);

export const squeeze = template("Squeeze, with words beside", "squeeze", [
  rectangle("ground", box(0, 0, 1920, 1080), linear(160, [0, "rise"], [1, "ground"]), {
    motion: fading(400),
  }),
  program("window", box(72, 72, 1296, 729), {
    corners: { measure: "radius" },
    stroke: { color: color("accent"), widthPx: { measure: "rule" } },
    shadows: PANEL_SHADOW,
    motion: squeezing(800),
  }),
  text(
    "heading",
    "heading",
    box(72, 848, 1776, 104),
    { min: 36, max: 72 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      motion: rising(24, 500, 300),
    },
  ),
  text(
    "body",
    "body",
    box(1424, 150, 424, 651),
    { min: 24, max: 40 },
    {
      font: "plain",
      fill: solid("quiet"),
      align: "start",
      verticalAlign: "top",
      balance: false,
      motion: sliding("right", 60, 560, 380),
    },
  ),
]);

/** Small and pale, at the right: for the stream. */
export const credit = template("Credit, small", "credit", [
  text(
    "title",
    "title",
    box(1020, 836, 804, 44),
    { min: 20, max: 32 },
    {
      italic: true,
      align: "end",
      stroke: OUTLINE,
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
  text(
    "writers",
    "writers",
    box(1020, 880, 804, 38),
    { min: 18, max: 26 },
    {
      font: "plain",
      fill: solid("quiet"),
      align: "end",
      stroke: OUTLINE,
      shadows: SOFT_SHADOW,
      motion: fading(420, 60),
    },
  ),
  text(
    "publisher",
    "publisher",
    box(1020, 918, 804, 34),
    { min: 16, max: 22 },
    {
      font: "plain",
      fill: solid("quiet"),
      align: "end",
      stroke: OUTLINE,
      shadows: SOFT_SHADOW,
      motion: fading(420, 90),
    },
  ),
  text(
    "licence",
    "licence",
    box(1020, 952, 804, 34),
    { min: 16, max: 22 },
    {
      font: "plain",
      fill: solid("quiet"),
      align: "end",
      stroke: OUTLINE,
      shadows: SOFT_SHADOW,
      motion: fading(420, 120),
    },
  ),
]);

export const BAND_TEMPLATES: readonly Template[] = [
  lyrics,
  reading,
  name,
  title,
  points,
  corner,
  pictureSide,
  slideFull,
  clipOver,
  crawlBand,
  countdown,
  clock,
  nowNext,
  comment,
  standings,
  barChart,
  squeeze,
  credit,
];
