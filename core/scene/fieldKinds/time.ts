import { z } from "zod";
import { isCountable } from "../../figures/figures.ts";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";
import { lineKind } from "./line.ts";

/** A time of day, a time on a day, or a length: what a countdown runs to. */
export const timeKind: FieldKind = {
  ...lineKind,
  name: t`Time or length`,
  schema: z
    .string()
    .max(40)
    .refine((typed) => typed.trim() === "" || isCountable(typed), {
      message: t`it is neither a time nor a length`,
    }),
  canBeReplaced: false,
};
