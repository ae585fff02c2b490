import { t } from "../../core/language/t.ts";
import { WHY_TRIGGER_IS_HELD } from "../../core/report/airStory.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import { actorName, idOf } from "../../core/show/actor.ts";
import type { LoggedEvent } from "../../core/show/events.ts";
import { lostArm } from "../../core/show/meaning.ts";
import type { ShowState } from "../../core/show/state.ts";

/** What whoever sits at a desk must know of an event that was not theirs; undefined: nothing. */
export function newsOf(
  { event, actor }: LoggedEvent,
  before: ShowState,
  after: ShowState,
  ready: readonly ReadyCue[],
  deskId: string,
): string | undefined {
  const titleOf = (cueId: string) => ready.find((cue) => cue.cueId === cueId)?.content.title;
  if (event.kind === "dueHeld" && (event.why === "late" || event.why === "gone")) {
    const why = event.why === "late" ? t`its time had long passed` : t`it cannot be taken as it stands`;
    if (event.due.kind === "trigger")
      return t`The trigger “${event.due.name}” was held: ${event.why === "late" ? why : t`it is not there any more`}. The air is as it was.`;
    return t`“${titleOf(event.due.cueId) ?? "A cue"}” was to come by itself and was held: ${why}. The air is as it was; take it by hand.`;
  }
  // That a hand was there first is as it should be: it stands in the log.
  if (event.kind === "triggerHeld" && event.why !== "hand" && event.why !== "layerHeld")
    return t`The trigger “${event.name}” was held: ${WHY_TRIGGER_IS_HELD[event.why]}. The air is as it was.`;
  // An arm is not lost in silence: whoever set it is told when another hand took it away.
  const lost = lostArm(before, after, "target" in event ? event.target : null);
  if (!lost || idOf(lost.by) !== deskId || (actor && idOf(actor) === deskId)) return undefined;
  const who = actorName(actor ?? { kind: "timer" });
  return t`“${titleOf(lost.target.cueId) ?? t`What you armed`}” is not armed any more: ${who} went on from elsewhere.`;
}
