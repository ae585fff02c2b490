import { type LiveValues, liveValuesSchema } from "../../values/values.ts";
import type { StoredKind } from "../storedKind.ts";

export const liveValuesKind: StoredKind<LiveValues> = { name: "values", schema: liveValuesSchema, steps: [] };
