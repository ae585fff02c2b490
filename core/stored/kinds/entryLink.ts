import { type EntryLink, entryLinkSchema } from "../../feeds/entryLink.ts";
import type { StoredKind } from "../storedKind.ts";

export const entryLinkKind: StoredKind<EntryLink> = { name: "entryLink", schema: entryLinkSchema, steps: [] };
