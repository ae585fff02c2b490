import { z } from "zod";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { layOutShape } from "../layOutShape.ts";
import { resolveCorners } from "../objectContext.ts";
import { common, cornersSchema, drawn } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("rectangle"),
  corners: cornersSchema,
});

export const rectangleKind = defineKind({
  name: t`rectangle`,
  schema,
  moves: SHAPE_MOVES,
  bleeds: true,
  layOut: (object, context) =>
    layOutShape(
      object,
      (rect) => ({ kind: "rectangle", rect, radiiPx: resolveCorners(object.corners, rect, context) }),
      context,
    ),
});
