import { z } from "zod";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";

/** One of the choices that the field itself lists, by its value. It says how a page looks, not what is said on the day. */
export const choiceKind: FieldKind = {
  name: t`Choice`,
  schema: z.string().max(80),
  usual: "",
  words: () => undefined,
  isOfTheDay: false,
  canBeReplaced: false,
  takesColumns: true,
  media: null,
};
