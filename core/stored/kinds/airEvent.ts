import { type AirEvent, airEventSchema } from "../../show/events.ts";
import type { Step, StoredKind } from "../storedKind.ts";

/** Only takes could be undone once. */
const undoIsOfActs: Step = (event) =>
  event.kind === "takeUndone"
    ? { kind: "undone", actId: event.takeId, startAtMs: event.startAtMs }
    : { ...event };

export const airEventKind: StoredKind<AirEvent> = {
  name: "event of the air",
  schema: airEventSchema,
  steps: [undoIsOfActs],
};
