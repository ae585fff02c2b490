import { z } from "zod";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";

/** A colour as #rrggbb; empty: the template's own. It says how a page looks, not what is said on the day. */
export const colorKind: FieldKind = {
  name: t`Colour`,
  schema: z.string().regex(/^(#[0-9a-fA-F]{6})?$/),
  usual: "",
  words: () => undefined,
  isOfTheDay: false,
  canBeReplaced: false,
  takesColumns: false,
  media: null,
};
