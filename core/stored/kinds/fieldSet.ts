import { type FieldSet, fieldSetSchema } from "../../scene/fieldSet.ts";
import type { StoredKind } from "../storedKind.ts";

export const fieldSetKind: StoredKind<FieldSet> = { name: "field set", schema: fieldSetSchema, steps: [] };
