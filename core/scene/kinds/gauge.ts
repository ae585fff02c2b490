import { z } from "zod";
import { t } from "../../language/t.ts";
import { measureSchema } from "../../names/measure.ts";
import { figuresShowsSchema, figuresValueOf, shownField } from "../figuresValue.ts";
import { boxPaintOf, makePart, placeBox, resolveShadows } from "../objectContext.ts";
import { common, fillSchema, NO_FILL, named, shadowsProperty } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({
  ...common,
  kind: z.literal("gauge"),
  shows: named(figuresShowsSchema, "Content", "Shows"),
  form: named(
    z.discriminatedUnion("kind", [
      z.strictObject({
        kind: z.literal("ring"),
        /** Clockwise from upwards. */
        fromDeg: measureSchema(-360, 360).default(0),
        sweepDeg: measureSchema(-360, 360).default(360),
        thicknessPx: measureSchema(1, 2_000).default(24),
      }),
      z.strictObject({
        kind: z.literal("bar"),
        towards: z.enum(["right", "left", "up", "down"]).default("right"),
      }),
    ]),
    "Look",
    "Form",
  ),
  /** Round ends. */
  isRound: named(z.boolean().default(true), "Look", t`Round ends`),
  fill: named(fillSchema.default(NO_FILL), "Look", "Fill"),
  track: named(fillSchema.default(NO_FILL), "Look", "Track"),
  shadows: shadowsProperty,
  /** The number, or the seconds, at which it is full; null: a countdown is full when it begins. */
  fullAt: named(measureSchema(0.000_001, 1_000_000_000).nullable().default(null), "Content", t`Full at`),
});

export const gaugeKind = defineKind({
  name: t`gauge`,
  schema,
  fieldOf: ({ shows }) => shownField(shows),
  isBlank: ({ shows }, values) => {
    const field = shownField(shows);
    return field !== null && (values[field] ?? "").trim() === "";
  },
  layOut: (object, context) => {
    const { at, local } = placeBox(object.box, context.place);
    const { scale } = context.place;
    const { form } = object;
    return [
      makePart(object, context, at, {
        kind: "gauge",
        value: figuresValueOf(object.shows, object.id, context),
        gauge: {
          box: local,
          form: form.kind === "ring" ? { ...form, thicknessPx: form.thicknessPx * scale } : form,
          isRound: object.isRound,
          fill: boxPaintOf(object.fill, local, object.id, context),
          track: boxPaintOf(object.track, local, object.id, context),
          shadows: resolveShadows(object.shadows, context),
          fullAt: object.fullAt,
        },
      }),
    ];
  },
});
