import { sameAnchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import { eveningTiming } from "../rundown/eveningTiming.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findStepIndex, LEAVE_ANCHOR, stepsOf } from "../rundown/steps.ts";
import { textPlaceOf } from "../rundown/textPlace.ts";
import { takenTogether } from "../rundown/together.ts";
import type { Refusal } from "./commands.ts";
import { decideShut } from "./decideClear.ts";
import { type DecideContext, type Decision, onlyOn } from "./decideContext.ts";
import { stageNoteOf } from "./decideStageNote.ts";
import type { AirEvent, Planned } from "./events.ts";
import { isFilled } from "./layers.ts";
import type { Target } from "./line.ts";
import { planOfTake } from "./planNeed.ts";
import type { ShowState } from "./state.ts";
import { stayEndsAt } from "./stayEnd.ts";
import { turnedLayers } from "./turnLayers.ts";

/** Why a step of a cue cannot be taken or armed; undefined: it can. */
export function findFault(target: Target, { cues }: DecideContext): Refusal | undefined {
  const cue = cues.find(({ cueId }) => cueId === target.cueId);
  if (!cue) return "cueGone";
  if (cue.hash !== target.content) return "contentMoved";
  if (findStepIndex(cue.content, target.step) < 0) return "stepGone";
  return undefined;
}

/** A take: the cue itself, those that come with it, and what follows by itself. */
export function decideTake(
  state: ShowState,
  target: Target,
  takeId: string,
  how: "usual" | "animated" | "dissolve" | "cut",
  /** It is an aside: the line stays. */
  stays: boolean,
  context: DecideContext,
): Decision {
  const fault = findFault(target, context);
  if (fault) return { refused: fault };
  const at = context.cues.findIndex(({ cueId }) => cueId === target.cueId);
  const taken = takenTogether(context.cues, at, target.step);
  const events: AirEvent[] = [];
  let planId = state.plan.id;
  for (const [index, { cue, step }] of taken.entries()) {
    // Those that come with it come beside it: the line is with the one that was pressed.
    const line = stays || index > 0 ? "stays" : "moves";
    const made = takeEvents(state, cue, step, takeId, how, line, planId, context);
    if ("refused" in made) {
      // One of a group that cannot come leaves the others.
      if (index > 0) continue;
      return made;
    }
    events.push(...made.events);
    for (const event of made.events) if (event.kind === "planSwitched") planId = event.plan.id;
  }
  if (!stays) {
    const [{ cue, step }] = taken as [(typeof taken)[number]];
    const dissolves = how === "cut" ? "cut" : "dissolve";
    for (const turned of turnedLayers(state, cue, step, context)) {
      // On the beat of the words that it comes with.
      const onBeat = { ...turned.cue, doc: { ...turned.cue.doc, delayMs: cue.doc.delayMs } };
      const made = takeEvents(state, onBeat, turned.step, takeId, dissolves, "apart", planId, context);
      if ("events" in made) events.push(...made.events);
    }
  }
  const noted = stageNoteOf(state, taken, takeId, context);
  if (noted) events.push(noted);
  const [pressed] = taken as [(typeof taken)[number]];
  const isThrough = sameAnchor(pressed.step, lastAnchor(pressed.cue));
  const follower = context.cues.slice(at + 1).find(({ doc }) => doc.start.kind !== "with");
  if (isThrough && follower?.doc.start.kind === "after")
    events.push({
      kind: "dueSet",
      due: { kind: "follow", cueId: follower.cueId, atMs: context.startAtMs + follower.doc.start.ms },
    });
  return { events };
}

function lastAnchor({ content }: ReadyCue): Target["step"] {
  const step = stepsOf(content).at(-1);
  if (!step) throw new Error(`The content “${content.title}” has no steps`);
  return step.anchor;
}

function takeEvents(
  state: ShowState,
  { cueId, index, hash, content, doc }: ReadyCue,
  step: Target["step"],
  takeId: string,
  how: "usual" | "animated" | "dissolve" | "cut",
  line: "moves" | "stays" | "apart",
  /** The plan in use by then: one of the same press may have switched it. */
  planId: string,
  context: DecideContext,
): Decision {
  const startAtMs = context.startAtMs + doc.delayMs;
  const target = { cueId, content: hash, step };
  const words = textPlaceOf(content, step);
  const planned = line === "moves" && plannedOf(cueId, state, context);
  const events: AirEvent[] = [];
  const at = context.cues.findIndex((cue) => cue.cueId === cueId);
  const needed = planOfTake(state, context.cues, at, step, line === "moves");
  if (needed && needed.id !== planId) {
    const plan = context.findPlan(needed.id);
    if (!plan) return { refused: "noSuchPlan" };
    if (needed.otherwise === "refuse") return { refused: "wrongPlan" };
    events.push({ kind: "planSwitched", plan, by: "script", startAtMs });
  }
  if (content.action) {
    const { clear, shutter } = content.action;
    const layerIds = clear.filter((id) => state.slots[id] && isFilled(state, id, startAtMs));
    if (layerIds.length > 0)
      events.push({
        kind: "cleared",
        takeId,
        layerIds,
        outputIds: null,
        why: "out",
        how: "animated",
        startAtMs,
      });
    if (shutter !== null) {
      const shut = decideShut(state, null, shutter === "back" ? null : shutter, context);
      if ("events" in shut) events.push(...shut.events);
    }
    events.push({ kind: "acted", takeId, target, cueIndex: index, words, line, startAtMs, ...planned });
    return { events };
  }
  const { layerId, lastsMs } = content;
  const layer = state.layers.find(({ id }) => id === layerId);
  if (!layer || !state.slots[layerId]) return { refused: "noSuchLayer" };
  const outputIds = onlyOn({ content }, context);
  if (outputIds?.length === 0) return { refused: "noSuchOutput" };
  const leaves = sameAnchor(step, LEAVE_ANCHOR);
  events.push({
    kind: "taken",
    takeId,
    target,
    cueIndex: index,
    words,
    line,
    layerId,
    page: leaves ? null : target,
    outputIds,
    how: how === "usual" ? layer.how : how,
    startAtMs,
    endsAtMs: leaves ? null : stayEndsAt(content, startAtMs, state.timeZone),
    lastsMs,
    effectMs: effectOf(state, content),
    ...planned,
  });
  if (doc.repeatMs !== null && !leaves)
    events.push({
      kind: "dueSet",
      due: { kind: "repeat", cueId, layerId, everyMs: doc.repeatMs, atMs: startAtMs + doc.repeatMs },
    });
  return { events };
}

/** What the plan says of a cue as it stands: kept with the take, for the plan may be another tomorrow. */
function plannedOf(
  cueId: string,
  { timeZone, cueTimes, line }: ShowState,
  { cues, evening, atMs }: DecideContext,
): { readonly planned?: Planned } {
  const lengthMs = cues.find((cue) => cue.cueId === cueId)?.doc.plannedMs ?? null;
  const place = { timeZone, cueTimes, presentId: line.at?.cueId ?? null };
  const timing = eveningTiming(cues, place, evening, atMs).cues.find((cue) => cue.cueId === cueId);
  const plannedAtMs = timing?.plannedAtMs ?? null;
  return plannedAtMs === null && lengthMs === null ? {} : { planned: { atMs: plannedAtMs, lengthMs } };
}

/** How long a page takes to arrive: as its cue says, else its layer; null: as its template has it. */
export const effectOf = ({ layers }: ShowState, { effectMs, layerId }: PageContent): number | null =>
  effectMs ?? layers.find(({ id }) => id === layerId)?.effectMs ?? null;
