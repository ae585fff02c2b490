import type { Fill, SceneObject } from "../core/scene/template.ts";
import { fading, lifting, rising, uncovering } from "./moves.ts";
import { box, rectangle, SOFT_SHADOW, solid, template, text } from "./parts.ts";

/** For a picture with people in it: everything keeps to the lower edge and to one corner. */
const PANEL: Fill = {
  kind: "linear",
  angleDeg: 180,
  stops: [
    { at: 0, color: { token: "night", alpha: 0.8 } },
    { at: 1, color: { token: "shade", alpha: 0.92 } },
  ],
};
const PANEL_SHADOW: SceneObject["shadow"] = {
  color: { token: "shade", alpha: 0.5 },
  blurPx: 28,
  offsetXPx: 0,
  offsetYPx: 8,
};
const panel = rectangle("panel", box(230, 812, 1460, 176), PANEL, {
  radiusPx: "style",
  shadow: PANEL_SHADOW,
  motion: lifting(60, 420),
});
const bandWords = text(
  "words",
  "words",
  box(278, 822, 1364, 156),
  { min: 26, max: 56, readable: 42 },
  {
    leading: 1.26,
    keepLines: true,
    motion: rising(20, 380, 80),
  },
);

export const bandLyrics = template("Words, two-line band", "words", [
  panel,
  bandWords,
  text(
    "credit",
    "credit",
    box(430, 1000, 1060, 40),
    { min: 18, max: 26, readable: 22 },
    {
      font: "plain",
      fill: solid("mist"),
      shadow: SOFT_SHADOW,
      motion: fading(420),
    },
  ),
]);

export const bandReading = template("Reading, two-line band", "reading", [
  panel,
  rectangle("tab", box(230, 734, 360, 62), solid("lamp"), { radiusPx: 16, motion: uncovering(420, 140) }),
  text(
    "reference",
    "reference",
    box(254, 740, 312, 50),
    { min: 20, max: 34, readable: 28 },
    {
      font: "titles",
      fill: solid("ink"),
      motion: fading(320),
    },
  ),
  bandWords,
]);

export const bandName = template("Name strap", "name", [
  rectangle(
    "bar",
    box(128, 806, 880, 172),
    {
      kind: "linear",
      angleDeg: 90,
      stops: [
        { at: 0, color: { token: "paper" } },
        { at: 1, color: "#efe5d2" },
      ],
    },
    { radiusPx: "style", shadow: PANEL_SHADOW, motion: uncovering(460) },
  ),
  rectangle("accent", box(156, 834, 10, 116), solid("ember"), { radiusPx: 5, motion: uncovering(300, 160) }),
  text(
    "name",
    "name",
    box(196, 824, 780, 82),
    { min: 34, max: 66, readable: 48 },
    {
      font: "titles",
      fill: solid("ink"),
      align: "start",
      leading: 1.1,
      motion: rising(24, 460, 180),
    },
  ),
  text(
    "role",
    "role",
    box(196, 904, 780, 52),
    { min: 24, max: 38, readable: 30 },
    {
      font: "plain",
      fill: solid("ink", 0.82),
      align: "start",
      motion: rising(18, 460, 240),
    },
  ),
]);

export const bandTitle = template("Title, lower left", "title", [
  text(
    "title",
    "title",
    box(128, 700, 1400, 180),
    { min: 48, max: 112, readable: 72 },
    {
      font: "titles",
      align: "start",
      verticalAlign: "bottom",
      leading: 1.04,
      stroke: { color: { token: "shade", alpha: 0.6 }, widthPx: 6 },
      shadow: SOFT_SHADOW,
      motion: rising(36, 620),
    },
  ),
  rectangle("rule", box(132, 896, 160, 6), solid("lamp"), { radiusPx: 3, motion: uncovering(520, 220) }),
  text(
    "subtitle",
    "subtitle",
    box(128, 918, 1400, 64),
    { min: 26, max: 42, readable: 34 },
    {
      font: "plain",
      align: "start",
      stroke: { color: { token: "shade", alpha: 0.6 }, widthPx: 4 },
      shadow: SOFT_SHADOW,
      motion: rising(24, 600, 140),
    },
  ),
]);

export const bandCorner = template("Corner mark on a pill", "corner", [
  rectangle("pill", box(1530, 58, 290, 62), solid("night", 0.78), { radiusPx: 31, motion: fading(700) }),
  rectangle("dot", box(1554, 78, 22, 22), solid("lamp"), { radiusPx: 11, motion: fading(700) }),
  text(
    "mark",
    "mark",
    box(1588, 64, 212, 50),
    { min: 18, max: 30, readable: 24 },
    {
      font: "titles",
      align: "start",
      motion: fading(700),
    },
  ),
]);
