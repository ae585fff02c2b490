import { type FollowSettings, followSettingsSchema } from "../../triggers/followSettings.ts";
import type { StoredKind } from "../storedKind.ts";

export const followSettingsKind: StoredKind<FollowSettings> = {
  name: "settings of triggers",
  schema: followSettingsSchema,
  steps: [],
};
