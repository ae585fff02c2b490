import { type ShowState, showStateSchema } from "../../show/state.ts";
import type { Step, StoredKind } from "../storedKind.ts";

/** Until the line was a thing of its own, the state had a position, and one take that could be undone. */
const lineInPlaceOfPosition: Step = (state) => {
  if (!("position" in state)) return { ...state };
  const { position, undo: _, ...others } = state;
  return { ...others, line: { at: position, asides: [] } };
};

export const showStateKind: StoredKind<ShowState> = {
  name: "state of the air",
  schema: showStateSchema,
  steps: [lineInPlaceOfPosition],
};
