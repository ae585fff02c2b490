import { z } from "zod";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { layOutShape } from "../layOutShape.ts";
import { common, drawn } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({ ...common, ...drawn, kind: z.literal("ellipse") });

export const ellipseKind = defineKind({
  name: t`ellipse`,
  schema,
  moves: SHAPE_MOVES,
  layOut: (object, context) => layOutShape(object, (rect) => ({ kind: "ellipse", rect }), context),
});
