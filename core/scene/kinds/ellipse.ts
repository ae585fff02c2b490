import { z } from "zod";
import { layOutShape } from "../layOutShape.ts";
import { common, drawn } from "../properties.ts";
import { defineKind, SHAPE_MOVES } from "./objectKind.ts";

const schema = z.strictObject({ ...common, ...drawn, kind: z.literal("ellipse") });

export const ellipseKind = defineKind({
  name: "ellipse",
  schema,
  moves: SHAPE_MOVES,
  layOut: (object, context) => layOutShape(object, (rect) => ({ kind: "ellipse", rect }), context),
});
