import { actorName } from "../../core/show/actor.ts";
import type { Act } from "../../core/show/acts.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";

/** An act in two or three words: what "undo" puts back. */
export function describeAct(
  { what, by }: Act,
  desk: Pick<DeskSnapshot, "cues" | "state">,
  deskId: string,
): string {
  const whose = by.kind !== "timer" && by.id !== deskId ? `, by ${actorName(by)}` : "";
  return `${wordsOf(what, desk)}${whose}`;
}

function wordsOf(what: Act["what"], { cues, state }: Pick<DeskSnapshot, "cues" | "state">): string {
  const layerName = (id: string) => state.layers.find((layer) => layer.id === id)?.name ?? id;
  switch (what.kind) {
    case "take": {
      const cue = cues.find(({ view }) => view.cueId === what.cueId);
      return `take of ${cue?.title ?? "a deleted cue"}`;
    }
    case "out":
      return `${what.layerIds.map(layerName).join(", ")} out`;
    case "clear":
      return "clear";
    case "clearEverything":
      return "clear all";
    case "plan":
      return `plan ${what.name}`;
    case "shut":
      return what.picture === null ? "picture" : what.picture === "black" ? "black" : "stand-by";
    case "test":
      return what.picture === null ? "test picture off" : "test picture";
    case "layer":
      return `settings of ${layerName(what.layerId)}`;
    case "screen":
      return `change of ${what.name}`;
    case "send":
      return "send";
    case "stageNote":
      return "note to the stage";
    case "standBy":
      return "stand-by picture";
    case "startOver":
      return "start over";
    case "goOn":
      return "go on from here";
  }
}
