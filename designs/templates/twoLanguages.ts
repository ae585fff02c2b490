import type { Template } from "../../core/scene/template.ts";
import { fading, rising, sliding, uncovering } from "../moves.ts";
import { box, color, linear, onCanvas, PANEL_SHADOW, rectangle, SOFT_SHADOW, solid, text } from "../parts.ts";

/** Songs and readings in two languages, for each outfit that has room for both: worn where a cue has a second one. */
const wall = onCanvas(1920, 1080);
const porch = onCanvas(1080, 1920);
const stage = onCanvas(1280, 720);
const PANEL = linear(180, [0, "panel", 0.88], [1, "panel", 0.96]);

const running = { leading: 1.3, keepLines: true, balance: false, shadows: SOFT_SHADOW } as const;
const small = { font: "plain", fill: solid("quiet"), shadows: SOFT_SHADOW, motion: fading(420) } as const;
const rule = (x: number, y: number, width: number, height: number) =>
  rectangle("rule", box(x, y, width, height), solid("accent", 0.7), {
    corners: 2,
    showWhen: { kind: "notEmpty", field: "second" },
    motion: uncovering(500, 0, "top"),
  });

const wallWords = wall("Words in two languages, side by side", "words", [
  text(
    "words",
    "words",
    box(96, 110, 800, 820),
    { min: 32, max: 64, readable: 42 },
    {
      ...running,
      align: "start",
      motion: rising(22, 460),
    },
  ),
  rule(957, 160, 6, 720),
  text(
    "second",
    "second",
    box(1024, 110, 800, 820),
    { min: 32, max: 64, readable: 42 },
    {
      ...running,
      italic: true,
      align: "start",
      motion: rising(22, 460, 80),
    },
  ),
  text("credit", "credit", box(260, 972, 1400, 48), { min: 20, max: 30, readable: 24 }, small),
]);

const wallReading = wall("Reading in two languages, side by side", "reading", [
  text(
    "words",
    "words",
    box(96, 110, 800, 800),
    { min: 30, max: 66, readable: 50 },
    {
      ...running,
      align: "start",
      motion: rising(22, 460),
    },
  ),
  rule(957, 140, 6, 740),
  text(
    "second",
    "second",
    box(1024, 110, 800, 800),
    { min: 30, max: 66, readable: 50 },
    {
      ...running,
      italic: true,
      align: "start",
      motion: rising(22, 460, 80),
    },
  ),
  text(
    "reference",
    "reference",
    box(96, 944, 390, 60),
    { min: 26, max: 42, readable: 34 },
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
    box(496, 948, 400, 52),
    { min: 18, max: 28, readable: 22 },
    {
      ...small,
      align: "end",
    },
  ),
  text(
    "secondTranslation",
    "secondTranslation",
    box(1424, 948, 400, 52),
    { min: 18, max: 28, readable: 22 },
    {
      ...small,
      align: "end",
    },
  ),
]);

const band = (label: string, fieldSet: string, reference: boolean) =>
  wall(label, fieldSet, [
    rectangle("panel", box(170, 784, 1580, 216), PANEL, {
      corners: { measure: "radius" },
      shadows: PANEL_SHADOW,
      showWhen: { kind: "notEmpty", field: "words" },
      motion: sliding("bottom", 60, 420),
    }),
    text(
      "words",
      "words",
      box(210, 800, 1500, 92),
      { min: 24, max: 48, readable: 34 },
      {
        fill: solid("onPanel"),
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: rising(20, 380, 80),
      },
    ),
    text(
      "second",
      "second",
      box(210, 896, 1500, 92),
      { min: 24, max: 44, readable: 32 },
      {
        fill: solid("quietPanel"),
        italic: true,
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: rising(20, 380, 140),
      },
    ),
    text(
      "small",
      reference ? "reference" : "credit",
      box(430, 1004, 1060, 40),
      { min: 18, max: 26, readable: 22 },
      { ...small, stroke: { color: color("shade", 0.7), widthPx: 4 } },
    ),
  ]);

const stacked = (label: string, fieldSet: string, below: string) =>
  porch(label, fieldSet, [
    text(
      "words",
      "words",
      box(80, 640, 920, 480),
      { min: 30, max: 66, readable: 46 },
      {
        ...running,
        motion: rising(22, 460),
      },
    ),
    rule(480, 1146, 120, 6),
    text(
      "second",
      "second",
      box(80, 1170, 920, 470),
      { min: 30, max: 62, readable: 44 },
      {
        ...running,
        italic: true,
        motion: rising(22, 460, 80),
      },
    ),
    text(
      "small",
      below,
      box(90, 1660, 900, 70),
      { min: 26, max: 42, readable: 30 },
      {
        font: "titles",
        fill: solid("accent"),
        shadows: SOFT_SHADOW,
        motion: fading(420),
      },
    ),
  ]);

const WHITE = { kind: "solid", color: "#ffffff" } as const;
const GREY = { kind: "solid", color: "#b9b9b9" } as const;
const forStage = (label: string, fieldSet: string, above: string) =>
  stage(label, fieldSet, [
    text(
      "label",
      above,
      box(40, 22, 940, 76),
      { min: 26, max: 40 },
      {
        font: "plain",
        fill: GREY,
        align: "start",
        mode: "condense",
      },
    ),
    text(
      "words",
      "words",
      box(40, 110, 1200, 250),
      { min: 26, max: 60 },
      {
        font: "plain",
        weight: "bold",
        fill: WHITE,
        align: "start",
        verticalAlign: "top",
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: fading(160),
      },
    ),
    text(
      "second",
      "second",
      box(40, 370, 1200, 190),
      { min: 24, max: 48 },
      {
        font: "plain",
        fill: WHITE,
        align: "start",
        verticalAlign: "top",
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: fading(160),
      },
    ),
    rectangle("rule", box(40, 572, 1200, 3), { kind: "solid", color: "#4a4a4a" }),
    text(
      "next",
      "next",
      box(40, 586, 1200, 110),
      { min: 22, max: 40 },
      {
        font: "plain",
        fill: GREY,
        align: "start",
        verticalAlign: "top",
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: fading(160),
      },
    ),
  ]);

/** By the outfit that offers them. */
export const TWO_LANGUAGES = {
  full: [wallWords, wallReading],
  band: [
    band("Words in two languages, band", "words", false),
    band("Reading in two languages, band", "reading", true),
  ],
  porch: [
    stacked("Words in two languages, portrait", "words", "credit"),
    stacked("Reading in two languages, portrait", "reading", "reference"),
  ],
  stage: [
    forStage("Words in two languages, stage", "words", "section"),
    forStage("Reading in two languages, stage", "reading", "reference"),
  ],
} as const satisfies Record<string, readonly Template[]>;
