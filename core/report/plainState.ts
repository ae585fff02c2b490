import { clipEndsAtMs, clipPositionMs, isRunning } from "../clips/clipPlay.ts";
import type { PageContent } from "../rundown/content.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { findStepIndex, stepsOf } from "../rundown/steps.ts";
import { pagesOn } from "../show/layers.ts";
import type { Target } from "../show/line.ts";
import { findNext } from "../show/next.ts";
import type { SlotPage } from "../show/slot.ts";
import type { ShowState } from "../show/state.ts";
import type { Output } from "../venue/plan.ts";

/** The version of what is told: it grows when something that was told is told otherwise. */
const PLAIN_STATE_VERSION = 1;

interface PlainStep {
  readonly cueId: string;
  readonly title: string;
  /** Section, where the step has one; empty. */
  readonly label: string;
  /** What it says; empty for a page that is a picture more than words. */
  readonly words: string;
}

/** What is on air and next, plainly, for programs that others write. Times are ms since the epoch, UTC. */
export interface PlainState {
  readonly version: typeof PLAIN_STATE_VERSION;
  /** Number of the last event in it. */
  readonly seq: number;
  readonly atMs: number;
  readonly plan: { readonly id: string; readonly name: string };
  readonly next: PlainStep | null;
  readonly layers: readonly {
    readonly id: string;
    readonly name: string;
    /** Null: empty. On screens with a page of their own it may be another. */
    readonly page: (PlainStep & { readonly sinceMs: number; readonly endsAtMs: number | null }) | null;
  }[];
  readonly program: readonly string[];
  readonly preview: readonly string[];
  readonly triggersAreStopped: boolean;
  /** The clip that plays; null: none. Null as its end: it stands still, or goes round and round. */
  readonly clip: {
    readonly title: string;
    readonly lengthMs: number;
    readonly positionMs: number;
    readonly endsAtMs: number | null;
    readonly isRunning: boolean;
  } | null;
  readonly screens: readonly {
    readonly id: string;
    readonly name: string;
    readonly shut: "black" | "standBy" | null;
    readonly test: string | null;
  }[];
}

export interface PlainStateParts {
  readonly cues: readonly ReadyCue[];
  readonly outputs: readonly Output[];
  readonly findContent: (hash: string) => PageContent | undefined;
  readonly sourceName: (id: string) => string;
}

export function plainState(state: ShowState, parts: PlainStateParts, atMs: number): PlainState {
  const { cues, outputs, findContent, sourceName } = parts;
  const say = ({ cueId, content, step }: Target | SlotPage): PlainStep => {
    const found = findContent(content) ?? cues.find((cue) => cue.cueId === cueId)?.content;
    const at = found && stepsOf(found)[findStepIndex(found, step)];
    const isWords = at?.kind === "words";
    return {
      cueId,
      title: found?.title ?? "",
      label: isWords ? at.label : "",
      words: isWords ? at.words : "",
    };
  };
  const next = findNext(state, cues);
  return {
    version: PLAIN_STATE_VERSION,
    seq: state.seq,
    atMs,
    plan: { id: state.plan.id, name: state.plan.name },
    next: next ? say(next) : null,
    layers: state.layers.map(({ id, name }) => {
      const page = pagesOn(state, id, atMs).get(null) ?? null;
      const moment = state.slots[id]?.at(-1);
      if (!page || !moment) return { id, name, page: null };
      return { id, name, page: { ...say(page), sinceMs: moment.sinceMs, endsAtMs: moment.endsAtMs } };
    }),
    program: state.sources.program.map(sourceName),
    preview: state.sources.preview.map(sourceName),
    triggersAreStopped: state.triggers.areStopped,
    clip: state.clip && {
      title: state.clip.title,
      lengthMs: state.clip.lengthMs,
      positionMs: clipPositionMs(state.clip, atMs),
      endsAtMs: state.clip.atEnd === "loop" ? null : clipEndsAtMs(state.clip, atMs),
      isRunning: isRunning(state.clip, atMs),
    },
    screens: outputs.map(({ id, name }) => {
      const shutter = state.shutters[id];
      return {
        id,
        name,
        shut: shutter?.untilMs === null ? shutter.picture : null,
        test: state.tests[id]?.picture ?? null,
      };
    }),
  };
}
