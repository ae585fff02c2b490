import { z } from "zod";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";

/** Yes ("yes") or no (empty): what shows or hides a part of a page. */
export const yesNoKind: FieldKind = {
  name: t`Yes or no`,
  schema: z.enum(["", "yes"]),
  usual: "",
  words: () => undefined,
  isOfTheDay: false,
  canBeReplaced: false,
  takesColumns: false,
  media: null,
};
