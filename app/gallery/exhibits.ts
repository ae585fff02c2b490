import type { SceneObject } from "../../core/scene/objectKinds.ts";
import type { Template } from "../../core/scene/template.ts";
import {
  breathing,
  fading,
  focusing,
  looping,
  move,
  rising,
  sliding,
  springing,
  squeezing,
  staggered,
  uncovering,
} from "../../designs/moves.ts";
import {
  bars,
  box,
  color,
  crawl,
  ellipse,
  figures,
  gauge,
  glow,
  group,
  linear,
  list,
  make,
  onCanvas,
  PANEL_SHADOW,
  polygon,
  program,
  radial,
  rectangle,
  SOFT_SHADOW,
  solid,
  table,
  text,
} from "../../designs/parts.ts";

export interface Exhibit {
  readonly name: string;
  readonly template: Template;
  readonly values: Readonly<Record<string, string>>;
}

const template = onCanvas(640, 240);
const WORDS = "The tide has gone to fetch the moon, the slip is dark with rain";
const sizes = { min: 14, max: 44 };
const FRAME = box(20, 20, 600, 200);
const FIELD = rectangle("field", FRAME, solid("words", 0.08));

const show = (name: string, objects: SceneObject[], values: Record<string, string> = {}): Exhibit => ({
  name,
  template: template(name, "gallery", objects),
  values,
});
const words = (name: string, more: Parameters<typeof text>[4], value = WORDS): Exhibit =>
  show(name, [FIELD, text("words", "words", FRAME, sizes, more)], { words: value });

const line = (
  id: string,
  y: number,
  more: Partial<Pick<Extract<SceneObject, { kind: "line" }>, "dashPx" | "stroke">> = {},
): SceneObject =>
  make("line", {
    id,
    box: box(40, y, 560, 0),
    stroke: { color: color("accent"), widthPx: 8 },
    motion: uncovering(500),
    ...more,
  });

/** Every object, mode and move, each by itself. */
export const EXHIBITS: readonly Exhibit[] = [
  show("rectangle, four corners", [
    rectangle("r", FRAME, linear(120, [0, "accent"], [1, "second"]), {
      corners: [80, 10, 80, 10],
      shadows: PANEL_SHADOW,
      motion: uncovering(600),
    }),
  ]),
  show("rectangle that grows, true corners", [
    rectangle("r", box(20, 70, 600, 100), solid("accent"), { corners: 50, motion: uncovering(900) }),
  ]),
  show("ellipse, radial, glow", [
    ellipse("e", box(220, 30, 200, 180), radial(0.4, 0.35, 0.6, [0, "accent"], [1, "second"]), {
      shadows: glow("accent", 40),
      motion: springing(700),
    }),
  ]),
  show("line, dashes", [
    line("a", 60),
    line("b", 120, { dashPx: [30, 22] }),
    line("c", 180, { stroke: { color: color("second"), widthPx: 16 } }),
  ]),
  show("polygon, outline, turning", [
    polygon(
      "p",
      box(240, 30, 160, 180),
      [
        [0.5, 0],
        [1, 0.38],
        [0.81, 1],
        [0.19, 1],
        [0, 0.38],
      ],
      solid("second"),
      {
        stroke: { color: color("words"), widthPx: 6 },
        motion: looping(fading(300), 4_000, [move("rotationDeg", 0, 360, 4_000, 0, "linear")]),
      },
    ),
  ]),
  show("blur of the whole", [
    rectangle("r", box(120, 60, 400, 120), solid("accent"), { corners: 30, blurPx: 14, motion: fading(300) }),
  ]),
  words("text: fits", { motion: fading(500) }, `${WORDS}; ${WORDS}; ${WORDS}`),
  words("text: keeps its size, wraps", { mode: "wrap", maxSizePx: 34, motion: rising(20, 500) }),
  words(
    "text: narrowed to 0.7",
    { mode: "condense", motion: fading(500) },
    "The tide has gone to fetch the moon",
  ),
  words("text: cut at the box", { mode: "clip", maxSizePx: 60, verticalAlign: "top", motion: fading(500) }),
  words("text: word by word", { revealBy: "word", motion: staggered(rising(30, 400), 60) }),
  words("text: letter by letter", { revealBy: "character", motion: staggered(fading(120), 14) }),
  words("text: line by line", { revealBy: "line", motion: staggered(sliding("left", 60, 400), 160) }),
  words("text: out of a blur", { motion: focusing(18, 700) }),
  words("text: changes colour", {
    motion: { ...fading(200), tint: color("second"), enter: [move("tint", 1, 0, 900)] },
  }),
  words("text: outline, shadow, tracking", {
    stroke: { color: color("shade"), widthPx: 8 },
    shadows: SOFT_SHADOW,
    trackingEm: 0.12,
    letterCase: "upper",
    maxSizePx: 30,
    motion: fading(400),
  }),
  words("text: marks", { motion: fading(400) }, "*Italic*, **bold**, [accent|coloured] and ^23^ raised"),
  words(
    "text: numbers hang",
    {
      align: "start",
      hangNumbers: true,
      balance: false,
      maxSizePx: 30,
      motion: fading(400),
    },
    "^23^\u00a0Those who go down to the sea in ships,\n^24^\u00a0these see Yahweh’s deeds",
  ),
  words("text: right to left", { motion: rising(20, 500) }, "ميناء المصابيح في ليلة الشتاء"),
  words(
    "text: two languages",
    { motion: rising(20, 500) },
    "Carry the lamp down\n[quiet|שא את המנורה מטה]\nदीपक नीचे ले चलो",
  ),
  words(
    "text: Thai, Greek, Cyrillic",
    { motion: fading(400) },
    "โคมไฟที่ท่าเรือ\nΤο λιμάνι τη νύχτα\nФонарь у причала",
  ),
  show(
    "list",
    [list("l", "points", FRAME, { min: 14, max: 34 }, { motion: staggered(sliding("left", 40, 400), 160) })],
    {
      points: "Lanterns are lit\nBoats go first\nKeep to the left",
    },
  ),
  show(
    "clock, countdown, number",
    [
      figures(
        "a",
        { kind: "clock", format: "hms" },
        box(20, 20, 600, 60),
        { min: 20, max: 50 },
        { motion: fading(200) },
      ),
      figures(
        "b",
        { kind: "countdown", field: "to", atZero: "hold" },
        box(20, 90, 600, 60),
        { min: 20, max: 50 },
        { motion: fading(200) },
      ),
      figures(
        "c",
        { kind: "number", field: "count", durationMs: 1_200 },
        box(20, 160, 600, 60),
        { min: 20, max: 50 },
        { motion: fading(200) },
      ),
    ],
    { to: "5 min", count: "12 480 lanterns" },
  ),
  show("box that grows, outline of the same width", [
    rectangle("r", box(20, 60, 600, 120), linear(90, [0, "accent"], [1, "second"]), {
      corners: 40,
      stroke: { color: color("words"), widthPx: 6 },
      pivot: { x: 0, y: 0.5 },
      motion: { ...fading(200), enter: [move("width", 0.1, 1, 900), move("gradientDeg", -90, 0, 900)] },
    }),
  ]),
  show("path drawn along its length", [
    make("path", {
      id: "p",
      box: box(170, 20, 300, 200),
      path: "M10 80 C 40 10, 65 10, 95 80 S 150 150, 180 80 L 190 20",
      viewWidth: 200,
      viewHeight: 130,
      stroke: { color: color("accent"), widthPx: 10 },
      motion: { ...fading(200), enter: [move("lineDrawn", 0, 1, 900, 0, "linear")] },
    }),
  ]),
  show("soft edges, a colour that moves", [
    ellipse("e", box(120, 20, 400, 200), solid("accent"), {
      softEdgePx: 40,
      motion: { ...fading(200), color: color("second"), enter: [move("color", 0, 1, 1_500, 0, "linear")] },
    }),
  ]),
  show(
    "bed as wide as its words, a line under them",
    [
      rectangle("bed", box(0, 50, 10, 140), solid("panel"), {
        corners: 20,
        ties: {
          left: { to: { kind: "words", object: "name" }, edge: "left", gapPx: -30 },
          right: { to: { kind: "words", object: "name" }, edge: "right", gapPx: 30 },
          leastWidthPx: 200,
        },
        motion: fading(300),
      }),
      text(
        "name",
        "name",
        box(60, 60, 540, 70),
        { min: 14, max: 50 },
        { align: "start", fill: solid("onPanel") },
      ),
      text(
        "role",
        "role",
        box(60, 0, 540, 40),
        { min: 14, max: 26 },
        {
          align: "start",
          fill: solid("panelAccent"),
          ties: { top: { to: { kind: "words", object: "name" }, edge: "bottom", gapPx: 4 } },
        },
      ),
    ],
    { name: "Ilse Tarrow", role: "net mender" },
  ),
  show(
    "group: tint and blur of all its members",
    [
      group(
        "g",
        FRAME,
        [
          rectangle("bed", box(60, 50, 520, 140), solid("panel"), { corners: 20 }),
          text("words", "words", box(80, 60, 480, 120), sizes, { fill: solid("onPanel") }),
        ],
        {
          motion: {
            ...fading(200),
            blurPx: 12,
            tint: color("second"),
            enter: [move("blur", 1, 0, 1_200, 0, "linear"), move("tint", 1, 0, 1_200, 0, "linear")],
          },
        },
      ),
    ],
    { words: WORDS },
  ),
  show(
    "rings and a bar that fill",
    [
      gauge("ring", { kind: "number", field: "lit", durationMs: 1_000 }, box(20, 20, 200, 200), {
        form: { kind: "ring", thicknessPx: 28 },
        fullAt: 300,
      }),
      gauge("arc", { kind: "countdown", field: "to" }, box(230, 20, 200, 200), {
        form: { kind: "ring", fromDeg: -120, sweepDeg: 240, thicknessPx: 20 },
      }),
      gauge("bar", { kind: "number", field: "lit", durationMs: 1_000 }, box(450, 100, 170, 40), {
        form: { kind: "bar" },
        fullAt: 300,
      }),
      text(
        "of",
        "",
        box(20, 20, 200, 200),
        { min: 14, max: 40 },
        {
          words: { kind: "written", text: "{lit} of {goal}" },
          showWhen: { kind: "always" },
        },
      ),
    ],
    { lit: "212", goal: "300", to: "10 s" },
  ),
  show(
    "columns and lines",
    [
      make("chart", {
        id: "columns",
        box: box(20, 20, 280, 200),
        field: "rows",
        form: "columns",
        colors: [color("accent"), color("second")],
        fill: solid("words"),
        minSizePx: 10,
        maxSizePx: 18,
        labelHeightPx: 30,
        cornerPx: 8,
        motion: { ...staggered(fading(300), 80) },
      }),
      make("chart", {
        id: "lines",
        box: box(330, 20, 280, 200),
        field: "rows",
        form: "lines",
        colors: [color("accent"), color("second")],
        fill: solid("words"),
        minSizePx: 10,
        maxSizePx: 18,
        labelHeightPx: 30,
        lineWidthPx: 5,
        dotPx: 14,
        motion: { ...fading(300), enter: [move("lineDrawn", 0, 1, 900, 0, "linear")] },
      }),
    ],
    { rows: "18:00|40|20\n18:30|90|35\n19:00|70|80\n19:30|120|60" },
  ),
  show(
    "table: heading, columns as wide as their words, marks",
    [
      table(
        "t",
        "rows",
        box(20, 10, 600, 220),
        [
          [1, "start", { title: "Street" }],
          [null, "end", { title: "Lamps", weight: "bold" }],
          [null, "center", { shows: "mark", color: color("accent") }],
        ],
        { min: 10, max: 26 },
        {
          rowHeightPx: 44,
          rowGapPx: 6,
          rankWidthPx: 0,
          heading: { heightPx: 44, color: color("quiet") },
          otherRowFill: solid("panel", 0.5),
          motion: fading(300),
        },
      ),
    ],
    { rows: "Ropewalk|142|up\nKiln Lane|118|down\nUpper Slip|97|same" },
  ),
  show(
    "crawl",
    [
      FIELD,
      crawl("c", "items", box(20, 80, 600, 80), 44, {
        fill: solid("words"),
        speed: { kind: "pxPerSecond", px: 400 },
      }),
    ],
    {
      items: "Last ferry 22:40\nSoup in the sail room",
    },
  ),
  show(
    "roll",
    [
      FIELD,
      crawl("c", "items", FRAME, 30, {
        fill: solid("words"),
        towards: "up",
        align: "center",
        itemGapPx: 8,
        divider: { kind: "none" },
        speed: { kind: "pxPerSecond", px: 120 },
      }),
    ],
    {
      items: "Ilse Tarrow\nOdhran Vael\nBrisa Quell\nNoor Halvard",
    },
  ),
  show(
    "table",
    [
      table(
        "t",
        "rows",
        FRAME,
        [
          [5, "start"],
          [2, "end"],
        ],
        { min: 14, max: 30 },
        {
          fill: solid("onPanel"),
          rowHeightPx: 58,
          rankWidthPx: 44,
          padPx: 16,
          motion: staggered(sliding("left", 60, 400), 120),
        },
      ),
    ],
    {
      rows: "Ropewalk|142\nKiln Lane|118\nUpper Slip|97",
    },
  ),
  show(
    "bars",
    [
      bars(
        "b",
        "rows",
        FRAME,
        { min: 14, max: 28 },
        { rowHeightPx: 46, rowGapPx: 20, valueWidthPx: 100, motion: staggered(uncovering(600), 100) },
      ),
    ],
    {
      rows: "Ropewalk|142\nKiln Lane|118\nUpper Slip|97",
    },
  ),
  show("program picture, squeezed", [
    rectangle("ground", box(0, 0, 640, 240), solid("ground")),
    program("w", box(40, 30, 320, 180), {
      corners: 18,
      stroke: { color: color("accent"), widthPx: 5 },
      motion: squeezing(800),
    }),
  ]),
  show("group: fades and turns as one", [
    group(
      "g",
      FRAME,
      [
        rectangle("a", box(120, 40, 240, 160), solid("accent"), { corners: 20 }),
        rectangle("b", box(280, 60, 240, 120), solid("second"), { corners: 20 }),
      ],
      { opacity: 0.7, rotationDeg: -4, motion: sliding("right", 120, 700) },
    ),
  ]),
  show("group: screen blend, cut to an ellipse", [
    rectangle("ground", FRAME, linear(90, [0, "rise"], [1, "second"])),
    group(
      "g",
      box(160, 20, 320, 200),
      [
        rectangle("a", FRAME, linear(0, [0, "accent"], [1, "rise"]), {
          motion: breathing(fading(400), 1_000, 0.4),
        }),
      ],
      { blend: "screen", clip: { kind: "ellipse" } },
    ),
  ]),
  show("in a time window, 0.2 to 0.6 s", [
    rectangle("r", box(220, 70, 200, 100), solid("accent"), {
      corners: 20,
      timeWindow: { fromMs: 200, untilMs: 600 },
      motion: fading(150),
    }),
  ]),
];
