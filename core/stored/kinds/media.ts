import { type MediaInfo, mediaInfoSchema } from "../../scene/media.ts";
import type { StoredKind } from "../storedKind.ts";

export const mediaKind: StoredKind<MediaInfo> = {
  name: "picture or clip",
  schema: mediaInfoSchema,
  steps: [],
};
