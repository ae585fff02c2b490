import { stepsOf } from "../rundown/steps.ts";
import type { TimerCommand } from "./commands.ts";
import { type DecideContext, type Decision, NOTHING, onlyOn } from "./decideContext.ts";
import { decideTake, effectOf } from "./decideTake.ts";
import { OVERDUE_MS } from "./followAndRepeat.ts";
import type { ShowState } from "./state.ts";
import { stayEndsAt } from "./stayEnd.ts";

/** Rules on what the clock brings: it is done, or held when it comes too late or its cue is gone. */
export function decideTimer(state: ShowState, command: TimerCommand, context: DecideContext): Decision {
  const wanted = command.kind === "due" ? command.due : command;
  const { cueId, atMs } = wanted;
  const known =
    command.kind !== "due" || state.due.some((due) => JSON.stringify(due) === JSON.stringify(command.due));
  if (!known) return NOTHING;
  const held = (why: "late" | "gone"): Decision =>
    command.kind === "due" ? { events: [{ kind: "dueHeld", due: command.due, why }] } : NOTHING;
  if (context.atMs - atMs > OVERDUE_MS) return held("late");
  const cue = context.cues.find((candidate) => candidate.cueId === cueId);
  const [first] = cue ? stepsOf(cue.content) : [];
  if (!cue || !first) return held("gone");
  const target = { cueId, content: cue.hash, step: first.anchor };
  if (command.kind === "due" && command.due.kind === "repeat") {
    const { layerId, everyMs } = command.due;
    const { startAtMs } = context;
    const { lastsMs } = cue.content;
    const effectMs = effectOf(state, cue.content);
    const outputIds = onlyOn(cue, context);
    // A machine that was late does not make up for it: the next is counted from now.
    const due = { ...command.due, atMs: startAtMs + everyMs };
    const endsAtMs = stayEndsAt(cue.content, startAtMs, state.timeZone);
    return {
      events: [
        { kind: "repeated", layerId, outputIds, page: target, startAtMs, endsAtMs, lastsMs, effectMs, due },
      ],
    };
  }
  const takeId = `${command.kind}-${cueId}-${Math.round(atMs)}`;
  if (state.recentTakeIds.includes(takeId)) return NOTHING;
  const decision = decideTake(state, target, takeId, "usual", true, context);
  return "refused" in decision ? held("gone") : decision;
}
