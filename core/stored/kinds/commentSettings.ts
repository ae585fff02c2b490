import { type CommentSettings, commentSettingsSchema } from "../../comments/comment.ts";
import type { StoredKind } from "../storedKind.ts";

export const commentSettingsKind: StoredKind<CommentSettings> = {
  name: "commentSettings",
  schema: commentSettingsSchema,
  steps: [],
};
