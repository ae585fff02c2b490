import { z } from "zod";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";

/** Words on one line. */
export const lineKind: FieldKind = {
  name: t`One line`,
  schema: z.string().max(2_000),
  usual: "",
  words: (value) => value.trim(),
  isOfTheDay: true,
  canBeReplaced: true,
  takesColumns: true,
  media: null,
};
