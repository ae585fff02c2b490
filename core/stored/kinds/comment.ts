import { type Comment, commentSchema } from "../../comments/comment.ts";
import type { StoredKind } from "../storedKind.ts";

export const commentKind: StoredKind<Comment> = { name: "comment", schema: commentSchema, steps: [] };
