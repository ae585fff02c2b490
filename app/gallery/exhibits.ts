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
