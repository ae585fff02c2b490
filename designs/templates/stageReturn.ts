import type { SceneObject } from "../../core/scene/objectKinds.ts";
import type { Template } from "../../core/scene/template.ts";
import { fading } from "../moves.ts";
import { box, figures, list, onCanvas, rectangle, text } from "../parts.ts";

/** What performers look at, 1280 × 720: words as large as they go, what comes next, the time. Nothing moves but words. */
const template = onCanvas(1280, 720);
const quick = fading(160);

const clock: SceneObject = figures(
  "clock",
  { kind: "clock", format: "hm" },
  box(1010, 22, 230, 76),
  { min: 40, max: 68 },
  {
    weight: "bold",
    align: "end",
    fill: { kind: "solid", color: "#f6b73c" },
  },
);
const WHITE = { kind: "solid", color: "#ffffff" } as const;
const GREY = { kind: "solid", color: "#b9b9b9" } as const;

export const backdrop = template("Stage ground", "backdrop", [
  rectangle("ground", box(0, 0, 1280, 720), { kind: "solid", color: "#050505" }),
  clock,
]);

const running = (fieldSet: string, name: string, label: string) =>
  template(name, fieldSet, [
    text(
      "label",
      label,
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
      box(40, 120, 1200, 380),
      { min: 30, max: 84 },
      {
        font: "plain",
        weight: "bold",
        fill: WHITE,
        align: "start",
        verticalAlign: "top",
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: quick,
      },
    ),
    rectangle("rule", box(40, 522, 1200, 3), { kind: "solid", color: "#4a4a4a" }),
    text(
      "next",
      "next",
      box(40, 540, 1200, 150),
      { min: 24, max: 46 },
      {
        font: "plain",
        fill: GREY,
        align: "start",
        verticalAlign: "top",
        leading: 1.2,
        keepLines: true,
        balance: false,
        motion: quick,
      },
    ),
  ]);

const lyricsAlone = running("words", "Words, stage", "section");
export const lyrics: Template = {
  ...lyricsAlone,
  objects: [
    ...lyricsAlone.objects,
    text(
      "credit",
      "credit",
      box(40, 690, 1200, 26),
      { min: 14, max: 20 },
      { font: "plain", fill: GREY, align: "start" },
    ),
  ],
};
export const reading = running("reading", "Reading, stage", "reference");

const plain = (fieldSet: string, name: string, first: string, second: string | null) =>
  template(name, fieldSet, [
    text(
      first,
      first,
      box(40, 150, 1200, 260),
      { min: 36, max: 110 },
      {
        font: "plain",
        weight: "bold",
        fill: WHITE,
        align: "start",
        verticalAlign: "bottom",
        motion: quick,
      },
    ),
    ...(second === null
      ? []
      : [
          text(
            second,
            second,
            box(40, 430, 1200, 150),
            { min: 28, max: 60 },
            {
              font: "plain",
              fill: GREY,
              align: "start",
              verticalAlign: "top",
              motion: quick,
            },
          ),
        ]),
  ]);

export const title = plain("title", "Title, stage", "title", "subtitle");
export const nowNext = plain("nowNext", "Now and next, stage", "now", "next");

export const points = template("Points, stage", "points", [
  text(
    "heading",
    "heading",
    box(40, 22, 940, 76),
    { min: 26, max: 48 },
    { font: "plain", fill: GREY, align: "start" },
  ),
  list(
    "points",
    "points",
    box(40, 130, 1200, 550),
    { min: 26, max: 60 },
    {
      font: "plain",
      weight: "bold",
      fill: WHITE,
      markerColor: "#f6b73c",
      motion: quick,
    },
  ),
]);

export const countdown = template("Countdown, stage", "countdown", [
  text(
    "label",
    "label",
    box(40, 120, 1200, 100),
    { min: 30, max: 60 },
    { font: "plain", fill: GREY, motion: quick },
  ),
  figures(
    "figures",
    { kind: "countdown", field: "to", atZero: "countUp" },
    box(40, 230, 1200, 380),
    { min: 120, max: 400 },
    {
      weight: "bold",
      fill: WHITE,
      motion: quick,
    },
  ),
]);

/** The operator's private word to those on stage. */
export const note = template("Note to the stage", "note", [
  rectangle(
    "panel",
    box(24, 552, 1232, 152),
    { kind: "solid", color: "#f6b73c" },
    { corners: 14, motion: quick },
  ),
  text(
    "note",
    "note",
    box(52, 564, 1176, 128),
    { min: 26, max: 58 },
    {
      font: "plain",
      weight: "bold",
      fill: { kind: "solid", color: "#1a1200" },
      align: "start",
      motion: quick,
    },
  ),
]);

export const STAGE_TEMPLATES: readonly Template[] = [
  backdrop,
  lyrics,
  reading,
  title,
  nowNext,
  points,
  countdown,
  note,
];
