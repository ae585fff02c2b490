import { z } from "zod";
import { t } from "../../language/t.ts";
import { makePart, placeBox, plateAround, resolveCorners, resolvePaint } from "../objectContext.ts";
import { common, cornersSchema, NO_FILL, named, shadowsProperty, strokeSchema } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

/** The program picture, shrunk into a window. */
const schema = z.strictObject({
  ...common,
  kind: z.literal("program"),
  corners: cornersSchema,
  stroke: named(strokeSchema.nullable().default(null), "Look", "Border"),
  shadows: shadowsProperty,
});

export const programKind = defineKind({
  name: t`program picture`,
  schema,
  moves: ["squeeze", "blur", "tint"],
  layOut: (object, context) => {
    const { at, local } = placeBox(object.box, context.place);
    const radiiPx = resolveCorners(object.corners, local, context);
    const { stroke, shadows } = resolvePaint({ ...object, fill: NO_FILL }, local, context);
    const border = stroke
      ? plateAround(
          [{ kind: "rectangle", rect: local, radiiPx, fill: { kind: "none" }, stroke, shadows }],
          local,
        )
      : null;
    return [makePart(object, context, at, { kind: "program", box: local, radiiPx, border })];
  },
});
