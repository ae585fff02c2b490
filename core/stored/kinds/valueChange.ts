import { type ValueChange, valueChangeSchema } from "../../values/values.ts";
import type { StoredKind } from "../storedKind.ts";

export const valueChangeKind: StoredKind<ValueChange> = {
  name: "change of values",
  schema: valueChangeSchema,
  steps: [],
};
