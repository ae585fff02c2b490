import type { PageContent } from "../rundown/content.ts";
import { valuesAt } from "../rundown/steps.ts";
import type { Actor } from "../show/actor.ts";
import type { AirEvent, LoggedEvent, Planned } from "../show/events.ts";
import { evolve } from "../show/evolve.ts";
import { slotOn } from "../show/layers.ts";
import type { SlotPage } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import { addSpan, partsOf, type Span } from "./spans.ts";

/** What began or ended something: an event and its hand, or its own time. */
export interface Cause {
  /** Number of the event; 0: none, its own time. */
  readonly seq: number;
  readonly kind: AirEvent["kind"] | "stay";
  readonly by: Actor | null;
}

/** One page at one of its steps, on one layer, seen on some screens from one time to another. Times are server time, ms. */
export interface Shown {
  readonly layerId: string;
  readonly page: SlotPage;
  /** In the order of the plan. */
  readonly outputIds: readonly string[];
  readonly fromMs: number;
  /** Null: it is still there. */
  readonly untilMs: number | null;
  readonly began: Cause;
  /** Null while it is there. */
  readonly ended: Cause | null;
}

/** The line was in a cue from one time to another. */
export interface Visit {
  readonly cueId: string;
  readonly content: string;
  readonly fromMs: number;
  /** Null: it is still there. */
  readonly untilMs: number | null;
  readonly planned: Planned | null;
  readonly began: Cause;
}

export interface AsRun {
  /** By when they began, then by layer from the back. */
  readonly shown: readonly Shown[];
  readonly visits: readonly Visit[];
}

/** So many are read in one step. */
const SPANS_AT_ONCE = 250;

/** What lies on one layer as one output would show it; null: nothing. */
interface OnLayer {
  readonly page: SlotPage | null;
  readonly sinceMs: number;
  readonly endsAtMs: number | null;
}
type OutputPlan = ScreenPlan["outputs"][string];
interface Followed {
  readonly layers: Map<string, Span<OnLayer, Cause>[]>;
  readonly plan: Span<OutputPlan | null, Cause>[];
  readonly isCovered: Span<boolean, Cause>[];
}

/**
 * Follows the log of the air, event by event, and keeps what was on every screen from when to when. From the log and the contents
 * it speaks of alone.
 */
export class AsRunBook {
  readonly #outputs = new Map<string, Followed>();
  readonly #visits: Visit[] = [];
  #state: ShowState | undefined;

  /** The next event. @throws when the first one is not the opening of the show */
  hear(logged: LoggedEvent): void {
    // What could not be read is missing: what comes after it still counts.
    const before = this.#state && { ...this.#state, seq: logged.seq - 1 };
    const after = evolve(before, logged);
    this.#state = after;
    const { event, actor, seq } = logged;
    const atMs = timeOf(logged);
    const cause: Cause = { seq, kind: event.kind, by: actor };
    if (!before || before.plan !== after.plan)
      for (const outputId of Object.keys(after.plan.outputs)) this.#followed(outputId, after);
    for (const [outputId, followed] of this.#outputs) {
      // With its first event the show is there, whatever clock was set back since.
      const fromMs = before ? atMs : Number.NEGATIVE_INFINITY;
      addSpan(followed.plan, after.plan.outputs[outputId] ?? null, fromMs, cause);
      const shutter = after.shutters[outputId];
      const isShut = shutter !== undefined && shutter.untilMs === null;
      addSpan(followed.isCovered, isShut || after.tests[outputId] !== undefined, fromMs, cause);
      for (const { id } of after.layers) this.#lookAt(followed, after, id, outputId, cause);
    }
    this.#follow(before, after, logged, atMs, cause);
  }

  #followed(outputId: string, state: ShowState): void {
    if (this.#outputs.has(outputId)) return;
    const layers = new Map(state.layers.map(({ id }) => [id, [] as Span<OnLayer, Cause>[]]));
    this.#outputs.set(outputId, { layers, plan: [], isCovered: [] });
  }

  #lookAt({ layers }: Followed, state: ShowState, layerId: string, outputId: string, cause: Cause): void {
    const spans = layers.get(layerId);
    const last = slotOn(state, layerId, outputId).at(-1);
    if (!spans || !last) return;
    const { page, sinceMs, endsAtMs, startAtMs } = last;
    const there = spans.at(-1);
    const now: OnLayer = { page, sinceMs, endsAtMs };
    // The same page goes on; its end may have moved.
    if (there && isSamePage(there.value.page, page) && there.value.sinceMs === sinceMs) {
      if (there.value.endsAtMs === endsAtMs) return;
      spans[spans.length - 1] = { ...there, value: now };
    } else if (there || page) addSpan(spans, now, startAtMs, cause);
  }

  /** Where the line is. */
  #follow(
    before: ShowState | undefined,
    after: ShowState,
    { event }: LoggedEvent,
    atMs: number,
    began: Cause,
  ): void {
    const was = before?.line.at?.cueId;
    const cueId = after.line.at?.cueId;
    if (was === cueId) return;
    const open = this.#visits.at(-1);
    if (open && open.untilMs === null)
      this.#visits[this.#visits.length - 1] = { ...open, untilMs: Math.max(open.fromMs, atMs) };
    if (cueId === undefined) return;
    const isTake = event.kind === "taken" || event.kind === "acted";
    const target = isTake || event.kind === "lineMoved" ? event.target : undefined;
    const planned = isTake ? (event.planned ?? null) : null;
    this.#visits.push({
      ...{ cueId, content: target?.content ?? "", fromMs: atMs, untilMs: null, planned, began },
    });
  }

  /** What was on the screens, all at once. */
  read(findContent: (hash: string) => PageContent | undefined, nowMs: number): AsRun {
    const reading = this.readInSteps(findContent, nowMs);
    for (;;) {
      const step = reading.next();
      if (step.done) return step.value;
    }
  }

  /** The same, a little at a time. @param findContent contents that the log speaks of; one that is gone counts as seen wherever its layer was */
  *readInSteps(
    findContent: (hash: string) => PageContent | undefined,
    nowMs: number,
  ): Generator<void, AsRun> {
    const shown = new Map<string, Shown & { readonly outputIds: string[] }>();
    // A step comes again and again; what of it an outfit shows is looked up once.
    const known = new Map<string, boolean>();
    const isShown = (page: SlotPage, outfitId: string): boolean => {
      const key = `${page.content} ${page.step.occurrence} ${page.step.unit} ${outfitId}`;
      let is = known.get(key);
      if (is === undefined) {
        is = shows(findContent(page.content), outfitId, page);
        known.set(key, is);
      }
      return is;
    };
    for (const [outputId, { layers, plan, isCovered }] of this.#outputs)
      for (const [layerId, spans] of layers)
        for (const [index, { value, cause, fromMs }] of spans.entries()) {
          if (index % SPANS_AT_ONCE === SPANS_AT_ONCE - 1) yield;
          const { page, endsAtMs } = value;
          const next = spans[index + 1];
          if (!page) continue;
          const isOwnEnd = endsAtMs !== null && endsAtMs <= (next?.fromMs ?? nowMs);
          const whole = {
            fromMs,
            untilMs: isOwnEnd ? endsAtMs : (next?.fromMs ?? null),
            began: cause,
            ended: isOwnEnd ? { seq: 0, kind: "stay" as const, by: null } : (next?.cause ?? null),
          };
          const isSeenIn = (planned: OutputPlan | null) =>
            planned?.layerIds.includes(layerId) === true && isShown(page, planned.outfitId);
          for (const part of partsOf(whole, plan, isSeenIn).flatMap((each) =>
            partsOf(each, isCovered, (covered) => !covered),
          )) {
            const key = `${layerId} ${part.began.seq} ${part.fromMs} ${part.untilMs} ${page.cueId} ${page.content} ${page.step.occurrence} ${page.step.unit}`;
            const same = shown.get(key);
            if (same) same.outputIds.push(outputId);
            else shown.set(key, { layerId, page, outputIds: [outputId], ...part });
          }
        }
    const order = new Map(this.#state?.layers.map(({ id }, at) => [id, at]));
    const at = ({ layerId }: Shown) => order.get(layerId) ?? 0;
    return {
      shown: [...shown.values()].sort((a, b) => a.fromMs - b.fromMs || at(a) - at(b)),
      visits: this.#visits,
    };
  }
}

/** When what an event does begins. */
const timeOf = ({ event, atMs }: LoggedEvent): number =>
  "startAtMs" in event ? event.startAtMs : "sinceMs" in event ? event.sinceMs : atMs;

const isSamePage = (a: SlotPage | null, b: SlotPage | null): boolean =>
  a === b ||
  (a !== null &&
    b !== null &&
    a.cueId === b.cueId &&
    a.content === b.content &&
    a.step.occurrence === b.step.occurrence &&
    a.step.unit === b.step.unit);

/** Whether an outfit shows anything of a step. */
const shows = (content: PageContent | undefined, outfitId: string, { step }: SlotPage): boolean =>
  content === undefined ||
  [outfitId, ...(content.variants[outfitId] ?? [])].some((id) => valuesAt(content, id, step) !== undefined);
