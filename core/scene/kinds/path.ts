import { z } from "zod";
import { objectSubject } from "../../findings/finding.ts";
import { badPath } from "../../findings/kinds/badPath.ts";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { cleanPath, placePath } from "../../picture/pathData.ts";
import { layOutShape } from "../layOutShape.ts";
import { common, drawn, named } from "../properties.ts";
import { defineKind } from "./objectKind.ts";

const schema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("path"),
  /** SVG path data, in a square from 0, 0 to `viewWidth`, `viewHeight` that is laid over the box. */
  path: named(z.string().min(1).max(60_000), "Look", t`Path data`),
  viewWidth: named(z.number().positive().max(100_000).default(100), "Look", t`Width of its drawing`),
  viewHeight: named(z.number().positive().max(100_000).default(100), "Look", t`Height of its drawing`),
});

export const pathKind = defineKind({
  name: t`path`,
  schema,
  moves: SHAPE_MOVES,
  layOut: (object, context) => {
    const clean = cleanPath(object.path);
    if ("problem" in clean) {
      context.report(badPath(objectSubject(object.id), { why: clean.problem }));
      return [];
    }
    const { viewWidth, viewHeight } = object;
    return layOutShape(
      object,
      (box) => ({
        kind: "path",
        data: placePath(clean.data, box.width / viewWidth, box.height / viewHeight, box.x, box.y),
      }),
      context,
    );
  },
});
