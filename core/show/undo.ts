import { sameActor } from "./actor.ts";
import type { Act, ActKind, Before, Touch } from "./acts.ts";
import type { AirEvent, LoggedEvent } from "./events.ts";
import { isSameDue } from "./followAndRepeat.ts";
import { addMomentTo, type Layered, lastMomentOn } from "./layers.ts";
import { addAside } from "./line.ts";
import { addMoment, plainMoment, resumedMoment } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** Acts that can be undone. */
const MOST_ACTS = 20;

const NOTHING: Before = {
  moments: {},
  shutters: {},
  tests: {},
  layers: [],
  asides: [],
  screens: {},
  cueTimes: {},
  dueGone: [],
  dueAdded: [],
};

/** The parts of the air that differ: a layer, a layer on one output ("words@wall"), the plan, a shutter, the line. */
function partsThatDiffer(before: ShowState, after: ShowState): string[] {
  const parts: string[] = [];
  for (const { id } of after.layers) {
    if (before.slots[id] !== after.slots[id]) {
      parts.push(id);
      continue;
    }
    for (const outputId of outputsWithOwn(before, after, id))
      if (before.overrides[id]?.[outputId] !== after.overrides[id]?.[outputId])
        parts.push(`${id}@${outputId}`);
  }
  if (before.plan !== after.plan) parts.push("/plan");
  for (const of of ["shutters", "tests"] as const)
    for (const id of Object.keys(whatDiffers<unknown>(before[of], after[of]))) parts.push(`/${of}/${id}`);
  if (before.stageNote !== after.stageNote) parts.push("/stageNote");
  if (before.clip !== after.clip) parts.push(CLIP_PART);
  if (before.standBy !== after.standBy) parts.push("/standBy");
  for (const [index, layer] of after.layers.entries())
    if (before.layers[index] !== layer) parts.push(`/layer/${layer.id}`);
  if (before.line.at !== after.line.at) parts.push(LINE_PART);
  return parts;
}

export const LINE_PART = "/line";
export const PLAN_PART = "/plan";
export const CLIP_PART = "/clip";

const outputsWithOwn = (before: Layered, after: Layered, layerId: string) =>
  new Set([...Object.keys(before.overrides[layerId] ?? {}), ...Object.keys(after.overrides[layerId] ?? {})]);

/** Whether a change of one part is a change of another: a layer holds its own slots on single outputs. */
export const partsMeet = (a: string, b: string): boolean =>
  a === b || a.startsWith(`${b}@`) || b.startsWith(`${a}@`);

/**
 * Writes down who changed which parts of the air; and, for an act of a person, how everything was that it changed, so that it can
 * be undone. Events of the same command are one act.
 */
export function remember(before: ShowState, after: ShowState, logged: LoggedEvent): ShowState {
  const { event, actor, seq } = logged;
  // A cue that comes again by itself is what it was; what undo puts back is whose it was before.
  if (event.kind === "repeated" || event.kind === "undone") return after;
  // Screens are rows, not state: the event says what changed.
  const parts =
    event.kind === "screenChanged" ? [`/screen/${event.outputId}`] : partsThatDiffer(before, after);
  // A test picture lies over the air and leaves it alone.
  const isOnAir = parts.some((part) => !part.startsWith("/tests/"));
  const airRevision = before.airRevision + (isOnAir ? 1 : 0);
  const touched = { ...after.touched };
  for (const part of parts) touched[part] = { seq, airRevision, by: actor };
  const touchedNow = parts.length > 0 ? { ...after, airRevision, touched } : after;
  const actId = logged.actId ?? ("takeId" in event ? event.takeId : null);
  if (actId === null || actor?.kind !== "desk") return touchedNow;
  const last = after.acts.at(-1);
  const open = last?.actId === actId ? last : undefined;
  const what = kindOf(event) ?? open?.what;
  if (!what || (!open && parts.length === 0)) return touchedNow;
  const act: Act = {
    actId,
    by: actor,
    what: open && (open.what.kind === "take" || what.kind !== "take") ? open.what : what,
    seq,
    touched: {
      ...Object.fromEntries(parts.map((part) => [part, before.touched[part] ?? null])),
      ...open?.touched,
    },
    before: mergeBefore(open?.before ?? NOTHING, beforeOf(before, after, logged)),
  };
  return { ...touchedNow, acts: [...(open ? after.acts.slice(0, -1) : after.acts), act].slice(-MOST_ACTS) };
}

const startOf = ({ event, atMs }: LoggedEvent): number => ("startAtMs" in event ? event.startAtMs : atMs);

function kindOf(event: AirEvent): ActKind | undefined {
  switch (event.kind) {
    case "taken":
    case "acted":
      return { kind: "take", cueId: event.target.cueId };
    case "cleared":
      return event.why === "out" ? { kind: "out", layerIds: event.layerIds } : { kind: event.why };
    case "planSwitched":
      return { kind: "plan", name: event.plan.name };
    case "sent":
      return { kind: "send" };
    case "shut":
      return { kind: "shut", picture: event.picture };
    case "tested":
      return { kind: "test", picture: event.picture };
    case "stageNoted":
      return { kind: "stageNote" };
    case "standBySet":
      return { kind: "standBy" };
    case "layerSet":
      return { kind: "layer", layerId: event.layer.id };
    case "begunAnew":
      return { kind: "startOver" };
    case "lineMoved":
      return { kind: "goOn" };
    case "screenChanged":
      return { kind: "screen", name: (event.before ?? event.after)?.name ?? "" };
    default:
      return undefined;
  }
}

function beforeOf(before: ShowState, after: ShowState, logged: LoggedEvent): Before {
  const atMs = startOf(logged);
  const was: Before = { ...NOTHING };
  const { event } = logged;
  if (event.kind === "screenChanged") was.screens = { [event.outputId]: event.before };
  for (const { id } of after.layers) {
    const isCommon = before.slots[id] !== after.slots[id];
    const perOutput: Before["moments"][string]["perOutput"] = {};
    for (const outputId of outputsWithOwn(before, after, id))
      if (isCommon || before.overrides[id]?.[outputId] !== after.overrides[id]?.[outputId])
        perOutput[outputId] = lastMomentOn(before, id, outputId, atMs);
    if (isCommon)
      was.moments = { ...was.moments, [id]: { common: lastMomentOn(before, id, null, atMs), perOutput } };
    else if (Object.keys(perOutput).length > 0) was.moments = { ...was.moments, [id]: { perOutput } };
  }
  if (before.plan !== after.plan) was.plan = { plan: before.plan, handPlan: before.handPlan };
  was.shutters = whatDiffers(before.shutters, after.shutters);
  was.tests = whatDiffers(before.tests, after.tests);
  was.cueTimes = whatDiffers(before.cueTimes, after.cueTimes);
  if (before.stageNote !== after.stageNote)
    was.stageNote = lastMomentOn({ slots: { note: before.stageNote }, overrides: {} }, "note", null, atMs);
  if (before.standBy !== after.standBy) was.standBy = { picture: before.standBy };
  was.layers = before.layers.filter((layer, index) => after.layers[index] !== layer);
  if (before.line.at !== after.line.at) was.line = before.line;
  was.asides = after.line.asides.flatMap((aside) =>
    before.line.asides.includes(aside) ? [] : [aside.cueId],
  );
  if (before.arm !== after.arm) was.arm = { before: before.arm, after: after.arm };
  const isIn = (all: ShowState["due"], due: ShowState["due"][number]) =>
    all.some((each) => isSameDue(each, due));
  was.dueGone = before.due.filter((due) => !isIn(after.due, due));
  was.dueAdded = after.due.filter((due) => !isIn(before.due, due));
  return was;
}

function whatDiffers<T>(
  before: Readonly<Record<string, T>>,
  after: Readonly<Record<string, T>>,
): Record<string, T | null> {
  const found: Record<string, T | null> = {};
  if (before === after) return found;
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)]))
    if (before[key] !== after[key]) found[key] = before[key] ?? null;
  return found;
}

/** Two events of one act: what the first found is how it was before the act. */
function mergeBefore(first: Before, second: Before): Before {
  const moments = { ...second.moments };
  for (const [id, was] of Object.entries(first.moments))
    moments[id] = {
      ...second.moments[id],
      ...was,
      perOutput: { ...second.moments[id]?.perOutput, ...was.perOutput },
    };
  const known = new Set(first.layers.map(({ id }) => id));
  return {
    ...second,
    ...first,
    moments,
    asides: [...first.asides, ...second.asides],
    shutters: { ...second.shutters, ...first.shutters },
    tests: { ...second.tests, ...first.tests },
    screens: { ...second.screens, ...first.screens },
    cueTimes: { ...second.cueTimes, ...first.cueTimes },
    layers: [...first.layers, ...second.layers.filter(({ id }) => !known.has(id))],
    arm:
      first.arm && second.arm
        ? { before: first.arm.before, after: second.arm.after }
        : (first.arm ?? second.arm),
    dueGone: [
      ...first.dueGone,
      ...second.dueGone.filter((due) => !first.dueAdded.some((added) => isSameDue(added, due))),
    ],
    dueAdded: [
      ...first.dueAdded.filter((due) => !second.dueGone.some((gone) => isSameDue(gone, due))),
      ...second.dueAdded,
    ],
  };
}

/** Whoever changed a part of what an act changed, after it; undefined: the act can be undone. */
export function changedSince(state: ShowState, act: Act): Touch | undefined {
  const parts = Object.keys(act.touched).filter((part) => part !== LINE_PART);
  return Object.entries(state.touched).find(
    ([part, touch]) =>
      touch.seq > act.seq && !sameActor(touch.by, act.by) && parts.some((own) => partsMeet(own, part)),
  )?.[1];
}

/** The line where it was before an act; what has come besides since is still what came besides. */
function backAt(line: ShowState["line"], since: ShowState["line"]["asides"]): ShowState["line"] {
  return since.reduce(addAside, line);
}

/** The state with an act undone. What comes back goes on as if it had never left. */
export function undoAct(state: ShowState, act: Act, atMs: number): ShowState {
  const { before } = act;
  let layered: Layered = state;
  for (const [layerId, { common, perOutput }] of Object.entries(before.moments)) {
    const again = (moment: typeof common) => (moment ? resumedMoment(moment, atMs) : plainMoment(atMs, null));
    layered = addMomentTo(
      layered,
      layerId,
      (outputId) => {
        const own = outputId === null ? undefined : perOutput[outputId];
        if (own !== undefined) return again(own);
        return common === undefined ? undefined : again(common);
      },
      Object.keys(perOutput),
    );
  }
  const touched = { ...state.touched };
  for (const [part, touch] of Object.entries(act.touched)) {
    delete touched[part];
    if (touch) touched[part] = touch;
  }
  const isLineAsLeft = (state.touched[LINE_PART]?.seq ?? 0) <= act.seq;
  const asides = state.line.asides.filter(({ cueId }) => !before.asides.includes(cueId));
  const isArmAsLeft = before.arm && JSON.stringify(before.arm.after) === JSON.stringify(state.arm);
  const set = <T>(now: Readonly<Record<string, T>>, was: Readonly<Record<string, T | null>>) => {
    const next: Record<string, T> = { ...now };
    for (const [key, value] of Object.entries(was)) {
      delete next[key];
      if (value !== null) next[key] = value;
    }
    return next;
  };
  const shutters = { ...state.shutters };
  for (const [id, was] of Object.entries(before.shutters)) {
    const now = shutters[id];
    if (was && was.untilMs === null) shutters[id] = { ...was, sinceMs: atMs };
    else if (now && now.untilMs === null) shutters[id] = { ...now, untilMs: atMs };
  }
  const layerIds = Object.keys(before.moments);
  const due = state.due.filter(
    (each) =>
      !before.dueAdded.some((added) => isSameDue(added, each)) &&
      !(each.kind === "repeat" && layerIds.includes(each.layerId)),
  );
  for (const gone of before.dueGone) {
    if (gone.kind === "repeat") {
      const times = Math.max(0, Math.ceil((atMs - gone.atMs) / gone.everyMs));
      due.push({ ...gone, atMs: gone.atMs + times * gone.everyMs });
    } else if (gone.atMs > atMs) due.push(gone);
  }
  return {
    ...state,
    slots: layered.slots,
    overrides: layered.overrides,
    ...(before.plan && {
      plan: before.plan.plan,
      handPlan: before.plan.handPlan,
      planBefore: { plan: state.plan, untilMs: atMs },
    }),
    shutters,
    tests: set(state.tests, before.tests),
    cueTimes: set(state.cueTimes, before.cueTimes),
    ...(before.stageNote !== undefined && {
      stageNote: addMoment(
        state.stageNote,
        before.stageNote ? resumedMoment(before.stageNote, atMs) : plainMoment(atMs, null),
      ),
    }),
    ...(before.standBy && { standBy: before.standBy.picture }),
    layers: state.layers.map((layer) => before.layers.find(({ id }) => id === layer.id) ?? layer),
    line: before.line && isLineAsLeft ? backAt(before.line, asides) : { ...state.line, asides },
    ...(isArmAsLeft && { arm: before.arm?.before ?? null }),
    due: due.sort((a, b) => a.atMs - b.atMs),
    touched,
    acts: state.acts.filter(({ actId }) => actId !== act.actId),
    airRevision: state.airRevision + 1,
  };
}
