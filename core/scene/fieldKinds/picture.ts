import { z } from "zod";
import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";

/** A picture of the library, by its id there. */
export const pictureKind: FieldKind = {
  name: t`Picture`,
  schema: z.string().max(80),
  usual: "",
  words: () => undefined,
  isOfTheDay: true,
  canBeReplaced: false,
  takesColumns: false,
  media: "picture",
};
