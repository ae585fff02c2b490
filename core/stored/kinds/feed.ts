import { type FeedDoc, feedDocSchema } from "../../feeds/feed.ts";
import type { StoredKind } from "../storedKind.ts";

export const feedKind: StoredKind<FeedDoc> = { name: "feed", schema: feedDocSchema, steps: [] };
