import { z } from "zod";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { layOutShape } from "../layOutShape.ts";
import { common, drawn, named, pointsSchema } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("polygon"),
  /** As fractions of the box. */
  points: named(pointsSchema, "Look", "Points"),
});

export const polygonKind = defineKind({
  name: t`polygon`,
  schema,
  moves: SHAPE_MOVES,
  layOut: (object, context) =>
    layOutShape(
      object,
      (box) => ({
        kind: "polygon",
        points: object.points.map(({ x, y }) => ({ x: box.x + x * box.width, y: box.y + y * box.height })),
      }),
      context,
    ),
});
