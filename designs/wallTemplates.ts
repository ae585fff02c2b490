import type { SceneObject } from "../core/scene/template.ts";
import { fading, rising, uncovering } from "./moves.ts";
import { box, rectangle, SOFT_SHADOW, solid, template, text } from "./parts.ts";

/** A lantern seen from afar: a small bright disc in a wide, soft one. */
function lantern(id: string, x: number, y: number, size: number): SceneObject[] {
  const disc = (part: string, diameter: number, alpha: number, blurPx: number) =>
    rectangle(
      `${id}-${part}`,
      box(x - diameter / 2, y - diameter / 2, diameter, diameter),
      solid("lamp", alpha),
      {
        radiusPx: diameter / 2,
        shadow: { color: { token: "lamp", alpha: 0.9 }, blurPx, offsetXPx: 0, offsetYPx: 0 },
        motion: fading(1600),
      },
    );
  return [disc("halo", size * 2.4, 0.16, size * 4), disc("flame", size, 0.92, size * 1.6)];
}

export const wallBackdrop = template("Night harbour", "backdrop", [
  rectangle(
    "sky",
    box(0, 0, 1920, 1080),
    {
      kind: "linear",
      angleDeg: 180,
      stops: [
        { at: 0, color: { token: "night" } },
        { at: 0.84, color: { token: "deep" } },
        { at: 0.845, color: "#0a1c2c" },
        { at: 1, color: "#060d17" },
      ],
    },
    { motion: fading(900) },
  ),
  rectangle(
    "waterline",
    box(0, 907, 1920, 3),
    {
      kind: "linear",
      angleDeg: 90,
      stops: [
        { at: 0, color: { token: "lamp", alpha: 0 } },
        { at: 0.5, color: { token: "lamp", alpha: 0.35 } },
        { at: 1, color: { token: "lamp", alpha: 0 } },
      ],
    },
    { motion: uncovering(1800, 300) },
  ),
  ...[
    [204, 896, 15],
    [338, 900, 9],
    [596, 898, 12],
    [812, 902, 8],
    [1124, 899, 11],
    [1402, 901, 9],
    [1566, 895, 16],
    [1744, 900, 10],
  ].flatMap(([x = 0, y = 0, size = 0], i) => lantern(`lantern${i + 1}`, x, y, size)),
]);

export const wallTitle = template("Title, full frame", "title", [
  text(
    "title",
    "title",
    box(160, 290, 1600, 330),
    { min: 60, max: 168, readable: 96 },
    {
      font: "titles",
      leading: 1.04,
      verticalAlign: "bottom",
      shadow: SOFT_SHADOW,
      motion: rising(46, 720),
    },
  ),
  rectangle("rule", box(860, 662, 200, 6), solid("lamp"), { radiusPx: 3, motion: uncovering(620, 260) }),
  text(
    "subtitle",
    "subtitle",
    box(260, 700, 1400, 130),
    { min: 32, max: 58, readable: 44 },
    {
      font: "plain",
      fill: solid("mist"),
      verticalAlign: "top",
      shadow: SOFT_SHADOW,
      motion: rising(30, 700, 160),
    },
  ),
]);

export const wallLyrics = template("Words, full frame", "words", [
  text(
    "words",
    "words",
    box(130, 120, 1660, 800),
    { min: 36, max: 92, readable: 60 },
    {
      leading: 1.34,
      keepLines: true,
      shadow: SOFT_SHADOW,
      motion: rising(26, 460),
    },
  ),
  text(
    "credit",
    "credit",
    box(260, 972, 1400, 52),
    { min: 20, max: 30, readable: 24 },
    {
      font: "plain",
      fill: solid("mist"),
      shadow: SOFT_SHADOW,
      motion: fading(500),
    },
  ),
]);

export const wallReading = template("Reading, full frame", "reading", [
  rectangle("margin", box(176, 190, 6, 640), solid("lamp", 0.9), { radiusPx: 3, motion: uncovering(500) }),
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
      shadow: SOFT_SHADOW,
      motion: rising(26, 460),
    },
  ),
  text(
    "reference",
    "reference",
    box(236, 944, 960, 64),
    { min: 26, max: 44, readable: 36 },
    {
      font: "titles",
      fill: solid("lamp"),
      align: "start",
      shadow: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
  text(
    "translation",
    "translation",
    box(1196, 950, 540, 52),
    { min: 20, max: 30, readable: 24 },
    {
      font: "plain",
      fill: solid("mist"),
      align: "end",
      shadow: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

export const wallName = template("Name, full frame", "name", [
  rectangle("accent", box(160, 800, 10, 156), solid("ember"), { radiusPx: 5, motion: uncovering(360) }),
  text(
    "name",
    "name",
    box(206, 790, 1500, 100),
    { min: 44, max: 88, readable: 64 },
    {
      font: "titles",
      align: "start",
      leading: 1.1,
      stroke: { color: { token: "shade", alpha: 0.55 }, widthPx: 5 },
      shadow: SOFT_SHADOW,
      motion: rising(30, 520, 120),
    },
  ),
  text(
    "role",
    "role",
    box(206, 896, 1500, 62),
    { min: 28, max: 46, readable: 36 },
    {
      font: "plain",
      fill: solid("mist"),
      align: "start",
      stroke: { color: { token: "shade", alpha: 0.55 }, widthPx: 4 },
      shadow: SOFT_SHADOW,
      motion: rising(24, 520, 200),
    },
  ),
]);

export const wallCorner = template("Corner mark", "corner", [
  rectangle("dot", box(1826, 62, 22, 22), solid("lamp"), {
    radiusPx: 11,
    shadow: { color: { token: "lamp", alpha: 0.9 }, blurPx: 26, offsetXPx: 0, offsetYPx: 0 },
    motion: fading(700),
  }),
  text(
    "mark",
    "mark",
    box(1380, 48, 426, 50),
    { min: 20, max: 34, readable: 26 },
    {
      font: "titles",
      align: "end",
      shadow: SOFT_SHADOW,
      motion: fading(700),
    },
  ),
]);
