import { z } from "zod";
import type { FieldKind } from "./fieldKind.ts";

/** A picture of the library, by its id there. */
export const pictureKind: FieldKind = {
  name: "Picture",
  schema: z.string().max(80),
  usual: "",
  words: () => undefined,
  isOfTheDay: true,
  canBeReplaced: false,
  takesColumns: false,
  media: "picture",
};
