import { z } from "zod";
import { parseNumber } from "../../figures/number.ts";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";
import { lineKind } from "./line.ts";

/** A number, with what stands around it ("£ 1,250 so far"); empty, or one number and no more. */
export const numberKind: FieldKind = {
  ...lineKind,
  name: t`Number`,
  schema: z
    .string()
    .max(60)
    .refine((typed) => typed.trim() === "" || parseNumber(typed) !== undefined, {
      message: t`it is not one number`,
    }),
};
