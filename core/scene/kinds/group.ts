import { z } from "zod";
import { t } from "../../language/t.ts";
import { common, cornersSchema, named, pointsSchema } from "../properties.ts";

export const BLENDS = ["normal", "multiply", "screen", "overlay", "lighten", "darken"] as const;
export type Blend = (typeof BLENDS)[number];

/** What a group has beside its members. Boxes of members are on the canvas, not in the group. */
export const groupShape = {
  ...common,
  kind: z.literal("group"),
  blend: named(z.enum(BLENDS).default("normal"), "Look", "Blend"),
  clip: named(
    z
      .discriminatedUnion("kind", [
        z.strictObject({ kind: z.literal("none") }),
        z.strictObject({ kind: z.literal("box"), corners: cornersSchema }),
        z.strictObject({ kind: z.literal("ellipse") }),
        z.strictObject({ kind: z.literal("polygon"), points: pointsSchema }),
      ])
      .default({ kind: "none" }),
    "Look",
    t`Cut to`,
  ),
};
