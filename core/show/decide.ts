import { sameAnchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import { findPlace, placeWordsOf } from "../rundown/placeWords.ts";
import { planOfTake } from "../rundown/planNeed.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findStepIndex, LEAVE_ANCHOR, stepAtOrBefore, stepsOf } from "../rundown/steps.ts";
import { takenTogether } from "../rundown/together.ts";
import type { ScreenPlan } from "../screens/plan.ts";
import { type Actor, sameActor } from "./actor.ts";
import type { Command, Refusal, TimerCommand } from "./commands.ts";
import { OVERDUE_MS } from "./due.ts";
import type { AirEvent } from "./events.ts";
import { isFilled, pagesOn, slotOn, slotsOn } from "./layers.ts";
import { armBeneath, isAside, isSameStep, type Position, type Target } from "./line.ts";
import type { Shutter } from "./shutter.ts";
import { pageAt, type SlotPage } from "./slot.ts";
import type { ShowState } from "./state.ts";
import { changedSince, LINE_PART, PLAN_PART, partsMeet } from "./undo.ts";

/** What the rundown and the store know that the air does not. */
export interface DecideContext {
  /** Server time of the decision. */
  readonly atMs: number;
  /** When a motion decided now begins on every output: a little ahead, so that all begin on the same frame. */
  readonly startAtMs: number;
  /** The cues as they stand now, in order: their places and the hashes their contents would be pinned under. */
  readonly cues: readonly ReadyCue[];
  readonly findPlan: (planId: string) => ScreenPlan | undefined;
  readonly outputIds: readonly string[];
  /** Outputs that black and the stand-by spare unless they are named: those the stage reads from. */
  readonly sparedIds: readonly string[];
  /** Who asks. */
  readonly actor: Actor;
  /** A line for the stage as a content; undefined when nothing could show it. */
  readonly compileStageNote: (
    text: string,
  ) => { readonly hash: string; readonly content: PageContent } | undefined;
}

export type Decision =
  | { readonly events: readonly AirEvent[] }
  /** `by`: who came in between. */
  | { readonly refused: Refusal; readonly by?: Actor | null };

const NOTHING: Decision = { events: [] };
/** In place of a cue: the note was typed. */
const STAGE_NOTE = "stage-note";

/** Rules on a command. Pure: the same state, command and context give the same decision. A refusal changes nothing. */
export function decide(state: ShowState, command: Command, context: DecideContext): Decision {
  const { startAtMs, actor, cues } = context;
  switch (command.kind) {
    case "arm": {
      const { target, isJump = false } = command;
      const refused = findFault(target, context);
      if (refused) return { refused };
      const over = isJump ? null : armBeneath(state.arm, target, state.line, actor, cues);
      return { events: [{ kind: "armed", target, isJump, over }] };
    }
    case "disarm":
      return state.arm ? { events: [{ kind: "disarmed" }] } : NOTHING;
    case "take": {
      if (state.recentTakeIds.includes(command.id)) return NOTHING;
      const { target, builtOn } = command;
      const moved = movedBy(state, partsOfTake(target, context), builtOn, actor);
      if (moved) return moved;
      const isJump = command.isJump || (state.arm?.isJump && isSameStep(state.arm.target, target));
      const stays = !isJump && isAside(state.line, target, actor, cues);
      return decideTake(state, target, command.id, command.how, stays, context);
    }
    case "goOn": {
      const cue = cues.find(({ cueId }) => cueId === command.cueId);
      const aside = state.line.asides.find(({ cueId }) => cueId === command.cueId);
      if (!cue) return { refused: "cueGone" };
      if (!aside) return NOTHING;
      const step = stepAt(cue.content, aside);
      const target = { cueId: cue.cueId, content: cue.hash, step };
      const words = placeWordsOf(cue.content, step);
      return { events: [{ kind: "lineMoved", target, cueIndex: cue.index, words }] };
    }
    case "out": {
      const { layerId, outputIds = null, seen = null } = command;
      if (!state.slots[layerId]) return { refused: "noSuchLayer" };
      if (seen !== null) {
        const there = [...pagesOn(state, layerId, startAtMs)].filter(
          ([id]) => outputIds === null || id === null || outputIds.includes(id),
        );
        if (!there.some(([, page]) => page?.cueId === seen)) return { refused: "outMoved" };
      }
      return decideClear(state, [layerId], outputIds, "out", command.how, context);
    }
    case "clear": {
      const passing = state.layers.filter((layer) => !layer.persistent).map((layer) => layer.id);
      return decideClear(state, passing, null, "clear", command.how, context);
    }
    case "clearEverything": {
      const all = state.layers.map((layer) => layer.id);
      return decideClear(state, all, null, "clearEverything", command.how, context);
    }
    case "switchPlan": {
      const moved = movedBy(state, [PLAN_PART], command.builtOn, actor);
      if (moved) return moved;
      const plan = context.findPlan(command.planId);
      if (!plan) return { refused: "noSuchPlan" };
      return { events: [{ kind: "planSwitched", plan, by: "hand", startAtMs }] };
    }
    case "test": {
      const { picture } = command;
      const wanted = context.outputIds.filter((id) => command.outputIds?.includes(id) ?? true);
      const gone = picture === null && command.outputIds === null ? Object.keys(state.tests) : [];
      const outputIds = [...new Set([...wanted, ...gone])].filter(
        (id) => (state.tests[id]?.picture ?? null) !== picture,
      );
      if (outputIds.length === 0) return NOTHING;
      return { events: [{ kind: "tested", outputIds, picture, sinceMs: startAtMs }] };
    }
    case "undo": {
      const act = state.acts.find(({ actId }) => actId === command.actId);
      if (!act) return { refused: "nothingToUndo" };
      const changed = changedSince(state, act);
      if (changed) return { refused: "undoTooLate", by: changed.by };
      return { events: [{ kind: "undone", actId: act.actId, startAtMs }] };
    }
    case "send": {
      const layerIds = command.layerId === null ? state.layers.map(({ id }) => id) : [command.layerId];
      const events = layerIds.flatMap((layerId) => sendLayer(state, layerId, context));
      return events.length === 0 ? { refused: "nothingHeld" } : { events };
    }
    case "shut":
      return decideShut(state, command.outputIds, command.picture, context);
    case "stageNote": {
      const text = command.text.trim();
      if (text === "")
        return pageAt(state.stageNote, startAtMs)
          ? { events: [{ kind: "stageNoted", takeId: null, page: null, startAtMs }] }
          : NOTHING;
      const page = findStageNote(STAGE_NOTE, text, context);
      return page
        ? { events: [{ kind: "stageNoted", takeId: null, page, startAtMs }] }
        : { refused: "noStage" };
    }
    case "setLayer": {
      const layer = state.layers.find(({ id }) => id === command.layerId);
      if (!layer) return { refused: "noSuchLayer" };
      const { how, opacity, persistent, effectMs } = command;
      return { events: [{ kind: "layerSet", layer: { ...layer, how, opacity, persistent, effectMs } }] };
    }
    case "setStandBy":
      return { events: [{ kind: "standBySet", picture: command.picture }] };
    case "beginAnew":
      return { events: [{ kind: "begunAnew" }] };
    case "hold":
      return { events: state.due.map((due) => ({ kind: "dueHeld", due, why: "pressed" }) as const) };
  }
}

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
    const { stayMs, lastsMs } = cue.content;
    const effectMs = effectOf(state, cue.content);
    const outputIds = onlyOn(cue, context);
    // A machine that was late does not make up for it: the next is counted from now.
    const due = { ...command.due, atMs: startAtMs + everyMs };
    const endsAtMs = stayMs === null ? null : startAtMs + stayMs;
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

/** The outputs a cue is limited to and that are there; null: all. */
const onlyOn = ({ content }: Pick<ReadyCue, "content">, { outputIds }: DecideContext): string[] | null =>
  content.only?.filter((id) => outputIds.includes(id)) ?? null;

function findFault(target: Target, { cues }: DecideContext): Refusal | undefined {
  const cue = cues.find(({ cueId }) => cueId === target.cueId);
  if (!cue) return "cueGone";
  if (cue.hash !== target.content) return "contentMoved";
  if (findStepIndex(cue.content, target.step) < 0) return "stepGone";
  return undefined;
}

/** A take: the cue itself, those that come with it, and what follows by itself. */
function decideTake(
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

/** How long a page takes to arrive: as its cue says, else its layer; null: as its template has it. */
const effectOf = ({ layers }: ShowState, { effectMs, layerId }: PageContent): number | null =>
  effectMs ?? layers.find(({ id }) => id === layerId)?.effectMs ?? null;

/**
 * The note that the cues of one press bring to the stage. A note of a cue before goes with it; one that was typed stays until
 * it is taken away, or a cue brings another.
 */
function stageNoteOf(
  state: ShowState,
  taken: readonly { readonly cue: ReadyCue }[],
  takeId: string,
  context: DecideContext,
): AirEvent | undefined {
  const { startAtMs } = context;
  const now = pageAt(state.stageNote, startAtMs);
  const cue = taken.map((each) => each.cue).find(({ content }) => content.stageNote !== "");
  const page = cue ? findStageNote(cue.cueId, cue.content.stageNote, context) : undefined;
  if (page)
    return page.content === now?.content ? undefined : { kind: "stageNoted", takeId, page, startAtMs };
  return now && now.cueId !== STAGE_NOTE ? { kind: "stageNoted", takeId, page: null, startAtMs } : undefined;
}

/** A line for the stage as a page; undefined when no output has a place for it. */
function findStageNote(cueId: string, text: string, context: DecideContext): SlotPage | undefined {
  const note = context.compileStageNote(text);
  const [step] = note ? stepsOf(note.content) : [];
  return note && step && { cueId, content: note.hash, step: step.anchor };
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
  line: "moves" | "stays",
  /** The plan in use by then: one of the same press may have switched it. */
  planId: string,
  context: DecideContext,
): Decision {
  const startAtMs = context.startAtMs + doc.delayMs;
  const target = { cueId, content: hash, step };
  const words = placeWordsOf(content, step);
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
    events.push({ kind: "acted", takeId, target, cueIndex: index, words, line, startAtMs });
    return { events };
  }
  const { layerId, stayMs, lastsMs } = content;
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
    endsAtMs: stayMs === null || leaves ? null : startAtMs + stayMs,
    lastsMs,
    effectMs: effectOf(state, content),
  });
  if (doc.repeatMs !== null && !leaves)
    events.push({
      kind: "dueSet",
      due: { kind: "repeat", cueId, layerId, everyMs: doc.repeatMs, atMs: startAtMs + doc.repeatMs },
    });
  return { events };
}

function decideClear(
  state: ShowState,
  layerIds: readonly string[],
  outputIds: readonly string[] | null,
  why: Extract<AirEvent, { kind: "cleared" }>["why"],
  how: Extract<AirEvent, { kind: "cleared" }>["how"],
  { startAtMs }: DecideContext,
): Decision {
  const isRepeated = (id: string) => state.due.some((due) => due.kind === "repeat" && due.layerId === id);
  const isThere = (id: string) =>
    outputIds === null
      ? isFilled(state, id, startAtMs) || isRepeated(id)
      : outputIds.some((outputId) => pageAt(slotOn(state, id, outputId), startAtMs) !== null);
  const filled = layerIds.filter(isThere);
  if (filled.length === 0) return { refused: "nothingThere" };
  const only = outputIds && [...outputIds];
  return {
    events: [{ kind: "cleared", takeId: null, layerIds: filled, outputIds: only, why, how, startAtMs }],
  };
}

const isShut = (shutter: Shutter | undefined): shutter is Shutter => shutter?.untilMs === null;

function decideShut(
  state: ShowState,
  wanted: readonly string[] | null,
  picture: "black" | "standBy" | null,
  { outputIds: all, sparedIds, startAtMs }: DecideContext,
): Decision {
  const withAll = all.filter((id) => isShut(state.shutters[id]) && state.shutters[id].byAll);
  const opened = withAll.length > 0 ? withAll : all;
  const shut = all.filter((id) => !sparedIds.includes(id));
  const outputIds = (wanted ?? (picture === null ? opened : shut)).filter((id) => {
    const shutter = state.shutters[id];
    return all.includes(id) && (isShut(shutter) ? shutter.picture : null) !== picture;
  });
  if (outputIds.length === 0) return NOTHING;
  const byAll = wanted === null && picture !== null;
  return { events: [{ kind: "shut", outputIds, picture, byAll, startAtMs }] };
}

/** The refusal of a press that was built on an air which another desk has changed in these parts since. */
function movedBy(
  { touched }: ShowState,
  parts: readonly string[],
  builtOn: number,
  actor: Actor,
): { readonly refused: "airMoved"; readonly by: Actor | null } | undefined {
  for (const [part, { airRevision, by }] of Object.entries(touched))
    if (airRevision > builtOn && by?.kind === "desk" && !sameActor(by, actor))
      if (parts.some((own) => partsMeet(own, part))) return { refused: "airMoved", by };
  return undefined;
}

/** What a take stands on: the line, the plan, and the layers it goes to or takes off. */
function partsOfTake({ cueId }: Target, { cues }: DecideContext): string[] {
  const content = cues.find((cue) => cue.cueId === cueId)?.content;
  return [LINE_PART, PLAN_PART, ...(content ? (content.action?.clear ?? [content.layerId]) : [])];
}

/** The step that a place is in now: by its words, else by where it was. */
const stepAt = (content: PageContent, { step, words }: Position): Target["step"] =>
  (words && findPlace(content, words, step)?.at) ?? stepAtOrBefore(content, step);

/** The pages of a layer whose cues were edited since, as they are now: at the same step, or at the one that holds it. */
function sendLayer(state: ShowState, layerId: string, { cues, startAtMs }: DecideContext): AirEvent[] {
  const pages: Record<string, SlotPage> = {};
  let sent: Extract<AirEvent, { kind: "sent" }>["place"] = null;
  for (const [outputId, slot] of slotsOn(state, layerId)) {
    const page = pageAt(slot, startAtMs);
    const cue = page && cues.find(({ cueId }) => cueId === page.cueId);
    if (!page || !cue || cue.hash === page.content || cue.content.layerId !== layerId) continue;
    const place = [state.line.at, ...state.line.asides].find((each) => each?.cueId === page.cueId);
    const isThere = place && sameAnchor(place.step, page.step);
    const step = isThere ? stepAt(cue.content, place) : stepAtOrBefore(cue.content, page.step);
    if (isThere) sent = { cueId: cue.cueId, step, words: placeWordsOf(cue.content, step) };
    pages[outputId ?? ""] = { cueId: page.cueId, content: cue.hash, step };
  }
  return Object.keys(pages).length === 0 ? [] : [{ kind: "sent", layerId, pages, place: sent, startAtMs }];
}
