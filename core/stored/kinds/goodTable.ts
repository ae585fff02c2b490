import { type GoodTable, goodTableSchema } from "../../feeds/goodTable.ts";
import type { StoredKind } from "../storedKind.ts";

export const goodTableKind: StoredKind<GoodTable> = {
  name: "table of a feed",
  schema: goodTableSchema,
  steps: [],
};
