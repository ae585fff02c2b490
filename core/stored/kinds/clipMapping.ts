import { type ClipMapping, clipMappingSchema } from "../../clips/clipMapping.ts";
import type { StoredKind } from "../storedKind.ts";

export const clipMappingKind: StoredKind<ClipMapping> = {
  name: "clipMapping",
  schema: clipMappingSchema,
  steps: [],
};
