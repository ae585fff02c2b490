import { z } from "zod";
import { t } from "../../language/t.ts";
import { SHAPE_MOVES } from "../../motion/track.ts";
import { layOutShape } from "../layOutShape.ts";
import { picturePaint, resolveCorners } from "../objectContext.ts";
import {
  common,
  cornersSchema,
  drawn,
  focusSchema,
  mediaSourceSchema,
  named,
  scaleModeProperty,
} from "../properties.ts";
import { defineKind } from "./objectKind.ts";
import { isMediaBlank, mediaField } from "./ofMedia.ts";

const schema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("picture"),
  source: named(mediaSourceSchema, "Content", "Picture"),
  mode: scaleModeProperty,
  focus: named(focusSchema, "Look", t`Kept in sight`),
  corners: cornersSchema,
});

export const pictureKind = defineKind({
  name: t`picture`,
  schema,
  moves: SHAPE_MOVES,
  bleeds: true,
  fieldOf: mediaField,
  isBlank: (object, values) => isMediaBlank(object, values) && object.fill.kind === "none",
  layOut: (object, context) =>
    layOutShape(
      object,
      (rect) => ({ kind: "rectangle", rect, radiiPx: resolveCorners(object.corners, rect, context) }),
      context,
      { over: (box) => picturePaint(object, box, object.id, context) },
    ),
});
