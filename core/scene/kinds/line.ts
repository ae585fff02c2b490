import { z } from "zod";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { measureSchema } from "../../names/measure.ts";
import { layOutShape } from "../layOutShape.ts";
import { common, drawn, named } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("line"),
  /** Which corner of the box it begins in; it ends in the opposite one. */
  from: named(z.enum(["topLeft", "bottomLeft"]).default("topLeft"), "Place", "Begins"),
  dashPx: named(z.array(measureSchema(0.1, 1_000)).max(8).default([]), "Look", "Dashes", "px"),
});

export const lineKind = defineKind({
  name: t`line`,
  schema,
  moves: SHAPE_MOVES,
  mayBeFlat: true,
  layOut: (object, context) =>
    layOutShape(
      object,
      (box) => {
        const [top, bottom] = [box.y, box.y + box.height];
        const isDown = object.from === "topLeft";
        return {
          kind: "line",
          from: { x: box.x, y: isDown ? top : bottom },
          to: { x: box.x + box.width, y: isDown ? bottom : top },
        };
      },
      context,
      { dashPx: object.dashPx },
    ),
});
