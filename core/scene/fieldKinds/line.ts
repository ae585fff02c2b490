import { z } from "zod";
import type { FieldKind } from "./fieldKind.ts";

/** Words on one line. */
export const lineKind: FieldKind = {
  name: "One line",
  schema: z.string().max(2_000),
  usual: "",
  words: (value) => value.trim(),
  isOfTheDay: true,
  canBeReplaced: true,
  takesColumns: true,
  media: null,
};
