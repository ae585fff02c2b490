import { type SongShown, songShownSchema } from "../../report/songUse.ts";
import type { StoredKind } from "../storedKind.ts";

export const songShownKind: StoredKind<SongShown> = {
  name: "song that was shown",
  schema: songShownSchema,
  steps: [],
};
