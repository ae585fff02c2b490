import { z } from "zod";
import type { FieldKind } from "./fieldKind.ts";

/** Yes ("yes") or no (empty): what shows or hides a part of a page. */
export const yesNoKind: FieldKind = {
  name: "Yes or no",
  schema: z.enum(["", "yes"]),
  usual: "",
  words: () => undefined,
  isOfTheDay: false,
  canBeReplaced: false,
  takesColumns: false,
  media: null,
};
