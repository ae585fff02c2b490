import { t } from "../../core/language/t.ts";
import { actorName } from "../../core/show/actor.ts";
import type { Act } from "../../core/show/acts.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";

/** An act in two or three words: what "undo" puts back. */
export function describeAct(
  { what, by }: Act,
  desk: Pick<DeskSnapshot, "cues" | "state">,
  deskId: string,
): string {
  const whose = by.kind !== "timer" && by.id !== deskId ? t`, by ${actorName(by)}` : "";
  return `${wordsOf(what, desk)}${whose}`;
}

function wordsOf(what: Act["what"], { cues, state }: Pick<DeskSnapshot, "cues" | "state">): string {
  const layerName = (id: string) => state.layers.find((layer) => layer.id === id)?.name ?? id;
  switch (what.kind) {
    case "take": {
      const cue = cues.find(({ view }) => view.cueId === what.cueId);
      return t`take of ${cue?.title ?? t`a deleted cue`}`;
    }
    case "out":
      return t`${what.layerIds.map(layerName).join(", ")} out`;
    case "clear":
      return "clear";
    case "clearEverything":
      return t`clear all`;
    case "plan":
      return t`plan ${what.name}`;
    case "shut":
      return what.picture === null ? "picture" : what.picture === "black" ? "black" : "stand-by";
    case "test":
      return what.picture === null ? t`test picture off` : t`test picture`;
    case "layer":
      return t`settings of ${layerName(what.layerId)}`;
    case "screen":
      return t`change of ${what.name}`;
    case "send":
      return "send";
    case "stageNote":
      return t`note to the stage`;
    case "standBy":
      return t`stand-by picture`;
    case "startOver":
      return t`start over`;
    case "goOn":
      return t`go on from here`;
  }
}
