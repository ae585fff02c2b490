import { type PageContent, pageContentSchema } from "../../rundown/content.ts";
import type { StoredKind } from "../storedKind.ts";

export const pageKind: StoredKind<PageContent> = { name: "page", schema: pageContentSchema, steps: [] };
