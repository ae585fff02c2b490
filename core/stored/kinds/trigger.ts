import { type Trigger, triggerSchema } from "../../triggers/trigger.ts";
import type { StoredKind } from "../storedKind.ts";

export const triggerKind: StoredKind<Trigger> = { name: "trigger", schema: triggerSchema, steps: [] };
