// Data, and longer than other files for it: one template after another, each standing by itself.

import { SLIDE_TEMPLATE } from "../../core/rundown/slides.ts";
import type { SceneObject } from "../../core/scene/objectKinds.ts";
import type { Template } from "../../core/scene/template.ts";
import {
  breathing,
  fading,
  focusing,
  growing,
  looping,
  rising,
  sliding,
  springing,
  squeezing,
  staggered,
  uncovering,
} from "../moves.ts";
import {
  bars,
  box,
  color,
  crawl,
  ellipse,
  figures,
  glow,
  group,
  linear,
  list,
  onCanvas,
  PANEL_SHADOW,
  picture,
  program,
  radial,
  rectangle,
  SOFT_SHADOW,
  solid,
  table,
  text,
  video,
} from "../parts.ts";

/** Full frame, 16:9, opaque: read from the last row. Margins of 160 px at the sides, 96 above and below. */
const template = onCanvas(1920, 1080);
const PLAIN = { font: "plain", fill: solid("quiet") } as const;

/** A lantern seen from afar: a small bright disc in a wide, soft one. */
const lantern = (id: string, x: number, y: number, size: number, isAlive = false): SceneObject[] => [
  ellipse(
    `${id}-halo`,
    box(x - size * 4, y - size * 4, size * 8, size * 8),
    radial(0.5, 0.5, 0.5, [0, "accent", 0.34], [0.35, "accent", 0.09], [1, "accent", 0]),
    { motion: isAlive ? breathing(fading(1600), 5_000, 0.6) : fading(1600) },
  ),
  ellipse(`${id}-flame`, box(x - size / 2, y - size / 2, size, size), solid("accent", 0.95), {
    motion: fading(1600),
  }),
];

const horizon: SceneObject[] = [
  rectangle(
    "sky",
    box(0, 0, 1920, 1080),
    linear(180, [0, "ground"], [0.84, "rise"], [0.842, "ground"], [1, "ground"]),
    {
      motion: fading(900),
    },
  ),
  rectangle("glow", box(0, 0, 1920, 1080), radial(0.5, 0.84, 0.42, [0, "rise", 0.9], [1, "rise", 0]), {
    motion: fading(1200),
  }),
  rectangle(
    "waterline",
    box(0, 907, 1920, 3),
    linear(90, [0, "accent", 0], [0.5, "accent", 0.4], [1, "accent", 0]),
    {
      motion: uncovering(1800, 300),
    },
  ),
];

export const backdrop = template("Harbour horizon", "backdrop", [
  ...horizon,
  ...[
    [204, 896, 15],
    [596, 898, 12],
    [1124, 899, 11],
    [1566, 895, 16],
  ].flatMap(([x = 0, y = 0, size = 0], i) => lantern(`lantern${i + 1}`, x, y, size)),
]);

export const loop = template("Moving backdrop", "loop", [
  rectangle("ground", box(0, 0, 1920, 1080), solid("ground"), { motion: fading(600) }),
  video("clip", "clip", box(0, 0, 1920, 1080), { motion: fading(800) }),
  rectangle(
    "veil",
    box(0, 0, 1920, 1080),
    linear(180, [0, "ground", 0.55], [0.5, "ground", 0.25], [1, "ground", 0.7]),
    {
      motion: fading(800),
    },
  ),
]);

export const title = template("Title, centred", "title", [
  text(
    "title",
    "title",
    box(160, 270, 1600, 340),
    { min: 60, max: 176, readable: 96 },
    {
      font: "titles",
      weight: "bold",
      leading: 1.02,
      trackingEm: -0.012,
      verticalAlign: "bottom",
      shadows: SOFT_SHADOW,
      revealBy: "word",
      motion: staggered(rising(46, 720), 90),
    },
  ),
  rectangle("rule", box(860, 658, 200, 6), solid("accent"), { corners: 3, motion: uncovering(620, 260) }),
  text(
    "subtitle",
    "subtitle",
    box(260, 700, 1400, 130),
    { min: 32, max: 58, readable: 44 },
    {
      ...PLAIN,
      verticalAlign: "top",
      shadows: SOFT_SHADOW,
      motion: rising(30, 700, 200),
    },
  ),
]);

export const points = template("Points", "points", [
  text(
    "heading",
    "heading",
    box(160, 110, 1600, 120),
    { min: 44, max: 92, readable: 64 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      shadows: SOFT_SHADOW,
      motion: rising(30, 520),
    },
  ),
  rectangle("rule", box(160, 258, 120, 6), solid("accent"), { corners: 3, motion: uncovering(420, 120) }),
  list(
    "points",
    "points",
    box(160, 330, 1600, 640),
    { min: 34, max: 72 },
    {
      shadows: SOFT_SHADOW,
      gap: 0.42,
      motion: sliding("left", 40, 420),
    },
  ),
]);

export const lyrics = template("Words, full frame", "words", [
  text(
    "words",
    "words",
    box(130, 110, 1660, 820),
    { min: 36, max: 96, readable: 60 },
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
    box(260, 972, 1400, 48),
    { min: 20, max: 30, readable: 24 },
    {
      ...PLAIN,
      shadows: SOFT_SHADOW,
      motion: fading(500),
    },
  ),
]);

export const reading = template("Reading, full frame", "reading", [
  rectangle("margin", box(128, 190, 6, 640), solid("accent", 0.9), {
    corners: 3,
    motion: uncovering(500, 0, "top"),
  }),
  text(
    "words",
    "words",
    box(236, 150, 1500, 720),
    { min: 36, max: 76, readable: 60 },
    {
      leading: 1.38,
      align: "start",
      keepLines: true,
      balance: false,
      hangNumbers: true,
      shadows: SOFT_SHADOW,
      motion: rising(22, 460),
    },
  ),
  text(
    "reference",
    "reference",
    box(236, 944, 960, 64),
    { min: 26, max: 44, readable: 36 },
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
    box(1196, 950, 540, 52),
    { min: 20, max: 30, readable: 24 },
    {
      ...PLAIN,
      align: "end",
      shadows: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

/** Name straps: one bare, one on a bar, one with a tab. */
export const nameBare = template("Name, bare", "name", [
  rectangle("accent", box(160, 800, 10, 160), solid("second"), {
    corners: 5,
    motion: uncovering(360, 0, "bottom"),
  }),
  text(
    "name",
    "name",
    box(206, 784, 1500, 106),
    { min: 44, max: 92, readable: 64 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      leading: 1.1,
      stroke: { color: color("shade", 0.5), widthPx: 5 },
      shadows: SOFT_SHADOW,
      motion: rising(30, 520, 120),
    },
  ),
  text(
    "role",
    "role",
    box(206, 902, 1500, 60),
    { min: 28, max: 46, readable: 36 },
    {
      ...PLAIN,
      align: "start",
      stroke: { color: color("shade", 0.5), widthPx: 4 },
      shadows: SOFT_SHADOW,
      motion: rising(24, 520, 200),
    },
  ),
]);

export const nameBar = template("Name, on a bar", "name", [
  rectangle(
    "bar",
    box(160, 784, 1180, 196),
    linear(90, [0, "panel", 0.96], [0.7, "panel", 0.92], [1, "panel", 0.78]),
    {
      corners: { measure: "radius" },
      shadows: PANEL_SHADOW,
      motion: uncovering(520),
    },
  ),
  rectangle("edge", box(160, 826, 10, 112), solid("panelAccent"), {
    corners: [0, 5, 5, 0],
    motion: uncovering(300, 240, "top"),
  }),
  text(
    "name",
    "name",
    box(216, 800, 1060, 96),
    { min: 40, max: 76, readable: 60 },
    {
      font: "titles",
      weight: "bold",
      fill: solid("onPanel"),
      align: "start",
      verticalAlign: "baseline",
      mode: "condense",
      motion: sliding("left", 36, 460, 160),
    },
  ),
  text(
    "role",
    "role",
    box(216, 906, 1060, 52),
    { min: 26, max: 40, readable: 32 },
    {
      font: "plain",
      fill: solid("quietPanel"),
      align: "start",
      motion: sliding("left", 36, 460, 240),
    },
  ),
]);

export const nameTab = template("Name, with a tab", "name", [
  rectangle("body", box(160, 836, 1120, 132), solid("panel", 0.95), {
    corners: { measure: "radius", times: 0.6 },
    shadows: PANEL_SHADOW,
    motion: sliding("bottom", 60, 480, 80),
  }),
  text(
    "name",
    "name",
    box(206, 846, 1028, 108),
    { min: 40, max: 72, readable: 56 },
    {
      font: "titles",
      weight: "bold",
      fill: solid("onPanel"),
      align: "start",
      motion: rising(22, 420, 220),
    },
  ),
  rectangle("tab", box(200, 778, 760, 70), solid("accent"), {
    corners: { measure: "radius", times: 0.4 },
    motion: uncovering(420, 260),
    showWhen: { kind: "notEmpty", field: "role" },
  }),
  text(
    "role",
    "role",
    box(226, 786, 708, 54),
    { min: 24, max: 36, readable: 30 },
    {
      font: "plain",
      weight: "bold",
      fill: solid("onAccent"),
      align: "start",
      motion: fading(320, 420),
    },
  ),
]);

const cornerMark = (name: string, isAlive: boolean) =>
  template(name, "corner", [
    picture("picture", "picture", box(1716, 36, 150, 150), {
      mode: "fit",
      motion: isAlive ? looping(springing(900), 6_000, GLINT, 2_000) : springing(900),
      showWhen: { kind: "notEmpty", field: "picture" },
    }),
    group(
      "lamp",
      box(1812, 46, 52, 52),
      [
        ellipse("halo", box(1798, 32, 80, 80), radial(0.5, 0.5, 0.5, [0, "accent", 0.5], [1, "accent", 0]), {
          motion: isAlive ? breathing(fading(700), 4_200, 0.3) : fading(700),
        }),
        ellipse("dot", box(1826, 60, 24, 24), solid("accent"), { motion: fading(700) }),
      ],
      { showWhen: { kind: "empty", field: "picture" } },
    ),
    text(
      "mark",
      "mark",
      box(1280, 46, 526, 52),
      { min: 20, max: 34, readable: 26 },
      {
        font: "titles",
        align: "end",
        shadows: SOFT_SHADOW,
        motion: fading(700),
        showWhen: {
          kind: "all",
          of: [
            { kind: "notEmpty", field: "mark" },
            { kind: "empty", field: "picture" },
          ],
        },
      },
    ),
  ]);

/** A quarter of a turn and back, now and then. */
const GLINT = [
  {
    property: "rotationDeg" as const,
    keyframes: [
      { atMs: 0, value: 0, easing: "ease-in-out" as const },
      { atMs: 500, value: 14, easing: "ease-in-out" as const },
      { atMs: 1_100, value: -10, easing: "ease-in-out" as const },
      { atMs: 1_600, value: 0, easing: "linear" as const },
    ],
  },
];

export const corner = cornerMark("Corner mark", false);
/** The lamp breathes; a picture swings now and then. */
export const cornerAlive = cornerMark("Corner mark, alive", true);

export const pictureFull = template("Picture, full frame", "picture", [
  rectangle("ground", box(0, 0, 1920, 1080), solid("ground"), { motion: fading(500) }),
  picture("soft", "picture", box(-60, -60, 2040, 1200), { blurPx: 40, opacity: 0.5, motion: fading(500) }),
  picture("picture", "picture", box(160, 96, 1600, 800), {
    mode: "fit",
    corners: { measure: "radius" },
    motion: growing(700, 100),
  }),
  text(
    "caption",
    "caption",
    box(160, 922, 1600, 76),
    { min: 28, max: 48, readable: 40 },
    {
      font: "plain",
      shadows: SOFT_SHADOW,
      motion: rising(20, 480, 300),
    },
  ),
]);

/** A speaker's slide as it was made, with nothing of ours beside it. */
export const slideFull = template(SLIDE_TEMPLATE, "picture", [
  rectangle("ground", box(0, 0, 1920, 1080), solid("ground"), { motion: fading(300) }),
  picture("picture", "picture", box(0, 0, 1920, 1080), { mode: "fit", motion: fading(300) }),
]);

export const clipFull = template("Clip, full frame", "clip", [
  rectangle("ground", box(0, 0, 1920, 1080), solid("ground"), { motion: fading(400) }),
  video("clip", "clip", box(160, 90, 1600, 900), {
    mode: "fit",
    atEnd: "hold",
    level: 0.9,
    corners: { measure: "radius" },
    motion: fading(600, 100),
  }),
  text(
    "caption",
    "caption",
    box(160, 1004, 1600, 56),
    { min: 24, max: 40, readable: 32 },
    {
      ...PLAIN,
      motion: fading(420, 300),
    },
  ),
]);

export const crawlBar = template("Crawl with clock", "crawl", [
  rectangle("bar", box(0, 996, 1920, 84), solid("panel", 0.94), { motion: sliding("bottom", 84, 500) }),
  rectangle("edge", box(0, 992, 1920, 4), linear(90, [0, "accent"], [0.6, "second"], [1, "accent"]), {
    motion: uncovering(700, 200),
  }),
  crawl("items", "items", box(40, 1000, 1620, 76), 42, { motion: fading(300, 400) }),
  rectangle("clockGround", box(1690, 996, 230, 84), solid("accent"), {
    motion: sliding("right", 230, 500, 160),
  }),
  figures(
    "clock",
    { kind: "clock", format: "hm" },
    box(1706, 1000, 198, 76),
    { min: 30, max: 50 },
    {
      fill: solid("onAccent"),
      weight: "bold",
      motion: fading(300, 500),
    },
  ),
]);

export const roll = template("Roll", "roll", [
  group(
    "window",
    box(260, 200, 1400, 780),
    [
      {
        ...crawl("lines", "lines", box(260, 200, 1400, 780), 56),
        towards: "up",
        speed: { kind: "pxPerSecond", px: 90 },
        passes: 1,
        itemGapPx: 18,
        divider: { kind: "none" },
        font: "words",
        align: "center",
        fill: solid("words"),
        shadows: SOFT_SHADOW,
      },
    ],
    {},
  ),
  text(
    "heading",
    "heading",
    box(260, 84, 1400, 92),
    { min: 36, max: 64 },
    {
      font: "titles",
      fill: solid("accent"),
      shadows: SOFT_SHADOW,
      motion: fading(500),
    },
  ),
]);

export const countdown = template("Countdown, large", "countdown", [
  text(
    "label",
    "label",
    box(260, 250, 1400, 110),
    { min: 40, max: 72 },
    { ...PLAIN, shadows: SOFT_SHADOW, motion: rising(24, 520) },
  ),
  figures(
    "figures",
    { kind: "countdown", field: "to", atZero: "hold" },
    box(260, 380, 1400, 400),
    { min: 100, max: 360 },
    {
      weight: "bold",
      shadows: [...glow("accent", 60, 0.28), ...SOFT_SHADOW],
      motion: rising(40, 640, 120),
    },
  ),
  rectangle("rule", box(860, 822, 200, 6), solid("accent"), { corners: 3, motion: uncovering(620, 260) }),
]);

export const countdownSmall = template("Countdown, small", "countdown", [
  rectangle("panel", box(1400, 840, 400, 170), solid("panel", 0.92), {
    corners: { measure: "radius" },
    shadows: PANEL_SHADOW,
    motion: sliding("right", 60, 480),
  }),
  text(
    "label",
    "label",
    box(1432, 856, 336, 50),
    { min: 22, max: 32 },
    {
      font: "plain",
      fill: solid("quietPanel"),
      motion: fading(320, 200),
    },
  ),
  figures(
    "figures",
    { kind: "countdown", field: "to", atZero: "hold" },
    box(1432, 902, 336, 96),
    { min: 40, max: 86 },
    {
      weight: "bold",
      fill: solid("onPanel"),
      motion: fading(320, 260),
    },
  ),
]);

export const clock = template("Clock", "clock", [
  rectangle("panel", box(96, 54, 360, 96), solid("panel", 0.9), {
    corners: { measure: "radius", times: 0.7 },
    shadows: PANEL_SHADOW,
    motion: sliding("left", 60, 480),
  }),
  figures(
    "clock",
    { kind: "clock", format: "hms" },
    box(124, 62, 304, 80),
    { min: 30, max: 60 },
    {
      weight: "bold",
      fill: solid("onPanel"),
      motion: fading(320, 200),
    },
  ),
  text(
    "label",
    "label",
    box(480, 62, 700, 80),
    { min: 24, max: 40 },
    {
      font: "plain",
      align: "start",
      shadows: SOFT_SHADOW,
      motion: sliding("left", 24, 420, 220),
    },
  ),
]);

const nowNextRow = (
  id: string,
  label: string,
  y: number,
  size: number,
  isNow: boolean,
  delayMs: number,
): SceneObject[] => [
  text(
    `${id}Label`,
    `=${label}`,
    box(160, y, 240, size * 1.3),
    { min: 20, max: 34 },
    {
      font: "plain",
      weight: "bold",
      letterCase: "upper",
      trackingEm: 0.08,
      fill: solid(isNow ? "accent" : "quiet"),
      align: "start",
      shadows: SOFT_SHADOW,
      showWhen: { kind: "notEmpty", field: id },
      motion: fading(420, delayMs),
    },
  ),
  text(
    id,
    id,
    box(410, y, 1350, size * 1.3),
    { min: 34, max: size },
    {
      font: "titles",
      weight: isNow ? "bold" : "regular",
      align: "start",
      mode: "condense",
      shadows: SOFT_SHADOW,
      motion: rising(24, 480, delayMs + 60),
    },
  ),
];

export const nowNext = template("Now, next, later", "nowNext", [
  ...nowNextRow("now", "Now", 330, 104, true, 0),
  rectangle("rule", box(160, 500, 1600, 3), solid("words", 0.22), { motion: uncovering(600, 120) }),
  ...nowNextRow("next", "Next", 540, 72, false, 160),
  ...nowNextRow("later", "Later", 680, 60, false, 260),
]);

/** After the quotation mark; after the picture, where one stands in its place. */
const afterMark = {
  left: { to: { kind: "box", object: "mark" }, edge: "right", gapPx: 40 },
  right: { to: { kind: "box", object: "panel" }, edge: "right", gapPx: -80 },
} as const;

export const comment = template("Comment", "comment", [
  rectangle("panel", box(260, 300, 1400, 520), solid("panel", 0.95), {
    corners: { measure: "radius", times: 1.4 },
    shadows: PANEL_SHADOW,
    motion: springing(760),
  }),
  picture("picture", "picture", box(320, 452, 220, 220), {
    corners: 110,
    motion: growing(520, 240),
    showWhen: { kind: "notEmpty", field: "picture" },
    ties: { left: { to: { kind: "box", object: "panel" }, edge: "left", gapPx: 60 } },
  }),
  text(
    "mark",
    "=“",
    box(300, 318, 100, 180),
    { min: 120, max: 220 },
    {
      font: "titles",
      weight: "bold",
      fill: solid("panelAccent"),
      align: "start",
      verticalAlign: "top",
      leading: 0.8,
      motion: fading(300, 260),
      showWhen: { kind: "empty", field: "picture" },
      ties: { left: { to: { kind: "box", object: "picture" }, edge: "right", gapPx: 40 } },
    },
  ),
  text(
    "comment",
    "comment",
    box(440, 350, 1140, 330),
    { min: 34, max: 72, readable: 48 },
    {
      fill: solid("onPanel"),
      align: "start",
      motion: fading(360, 240),
      ties: afterMark,
    },
  ),
  text(
    "from",
    "from",
    box(440, 704, 1140, 70),
    { min: 26, max: 44 },
    {
      font: "plain",
      weight: "bold",
      fill: solid("quietPanel"),
      align: "start",
      motion: fading(360, 340),
      ties: afterMark,
    },
  ),
]);

const heading = (width = 1600) =>
  text(
    "heading",
    "heading",
    box(160, 92, width, 110),
    { min: 40, max: 80 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "baseline",
      shadows: SOFT_SHADOW,
      motion: rising(30, 520),
    },
  );

export const standings = template("Table", "standings", [
  heading(),
  table(
    "rows",
    "rows",
    box(160, 244, 1600, 740),
    [
      [6, "start"],
      [2, "end"],
    ],
    { min: 26, max: 52 },
    {
      fill: solid("onPanel"),
      rowHeightPx: 84,
      motion: staggered(sliding("left", 60, 460), 70),
    },
  ),
]);

export const barChart = template("Bars", "bars", [
  heading(),
  bars(
    "rows",
    "rows",
    box(160, 256, 1600, 720),
    { min: 26, max: 46 },
    {
      shadows: [],
      barFill: solid("accent"),
      motion: staggered(uncovering(640), 90),
    },
  ),
]);

export const squeeze = template("Squeeze", "squeeze", [
  rectangle("ground", box(0, 0, 1920, 1080), linear(160, [0, "rise"], [1, "ground"]), {
    motion: fading(500),
  }),
  program("window", box(96, 180, 1140, 641), {
    corners: { measure: "radius" },
    stroke: { color: color("accent"), widthPx: { measure: "rule" } },
    shadows: PANEL_SHADOW,
    motion: squeezing(800),
  }),
  text(
    "heading",
    "heading",
    box(1300, 180, 524, 230),
    { min: 36, max: 72 },
    {
      font: "titles",
      weight: "bold",
      align: "start",
      verticalAlign: "top",
      leading: 1.06,
      motion: sliding("right", 60, 560, 300),
    },
  ),
  rectangle("rule", box(1300, 430, 120, 6), solid("accent"), { corners: 3, motion: uncovering(420, 420) }),
  text(
    "body",
    "body",
    box(1300, 466, 524, 420),
    { min: 26, max: 42 },
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

/** Large and warm, at the left: for the room. */
export const credit = template("Credit, large", "credit", [
  rectangle("accent", box(160, 800, 8, 176), solid("accent"), {
    corners: 4,
    motion: uncovering(420, 0, "top"),
  }),
  text(
    "title",
    "title",
    box(196, 792, 1300, 78),
    { min: 34, max: 58 },
    {
      italic: true,
      fill: solid("accent"),
      align: "start",
      shadows: SOFT_SHADOW,
      motion: rising(20, 460, 60),
    },
  ),
  text(
    "writers",
    "writers",
    box(196, 872, 1300, 52),
    { min: 24, max: 38 },
    {
      font: "plain",
      align: "start",
      shadows: SOFT_SHADOW,
      motion: rising(20, 460, 130),
    },
  ),
  text(
    "publisher",
    "publisher",
    box(196, 928, 900, 44),
    { min: 20, max: 30 },
    {
      ...PLAIN,
      align: "start",
      shadows: SOFT_SHADOW,
      motion: fading(420, 200),
    },
  ),
  text(
    "licence",
    "licence",
    box(1110, 928, 650, 44),
    { min: 20, max: 30 },
    {
      ...PLAIN,
      align: "end",
      shadows: SOFT_SHADOW,
      motion: fading(420, 240),
    },
  ),
]);

export const standby = template("Stand-by", "standby", [
  ...horizon,
  ...lantern("lantern", 960, 330, 44, true),
  text(
    "title",
    "title",
    box(160, 460, 1600, 240),
    { min: 60, max: 150 },
    {
      font: "titles",
      weight: "bold",
      leading: 1.02,
      verticalAlign: "middle",
      shadows: SOFT_SHADOW,
      motion: focusing(14, 900, 200),
    },
  ),
  text(
    "subtitle",
    "subtitle",
    box(260, 720, 1400, 100),
    { min: 32, max: 56 },
    {
      ...PLAIN,
      verticalAlign: "top",
      shadows: SOFT_SHADOW,
      motion: fading(700, 500),
    },
  ),
]);

export const WALL_TEMPLATES: readonly Template[] = [
  backdrop,
  loop,
  title,
  points,
  lyrics,
  reading,
  nameBare,
  nameBar,
  nameTab,
  corner,
  cornerAlive,
  pictureFull,
  slideFull,
  clipFull,
  crawlBar,
  roll,
  countdown,
  countdownSmall,
  clock,
  nowNext,
  comment,
  standings,
  barChart,
  squeeze,
  credit,
  standby,
];
