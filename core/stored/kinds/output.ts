import { type Output, outputSchema } from "../../venue/plan.ts";
import type { StoredKind } from "../storedKind.ts";

export const outputKind: StoredKind<Output> = { name: "screen", schema: outputSchema, steps: [] };
