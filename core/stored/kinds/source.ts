import { type Source, sourceSchema } from "../../venue/source.ts";
import type { StoredKind } from "../storedKind.ts";

export const sourceKind: StoredKind<Source> = { name: "source", schema: sourceSchema, steps: [] };
