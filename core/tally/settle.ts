import type { TallyReport } from "./tallyReport.ts";

/** Packets of one cut come one after another: they are looked at together. */
export const TOGETHER_MS = 15;
/** An input that changes more often than this in a second flaps: it stays as it was until it is calm. Nobody cuts so quickly. */
const MOST_CHANGES_PER_SECOND = 4;
const CALM_MS = 500;
/** A device that was heard so regularly and then not for so long is lost. */
const LOST_AFTER_MS = 4_000;
const REGULAR_WITHIN_MS = 10_000;
const REGULAR_PACKETS = 4;
/** What a device says right after it came, or came back, is how it is and not what it has just done. */
export const COMING_MS = 300;
/** Inputs of one device that are remembered. */
const MOST_INPUTS = 512;

export interface InputTally {
  readonly isOnProgram: boolean;
  readonly isOnPreview: boolean;
}

interface HeardInput {
  /** As it was said last. */
  readonly said: InputTally;
  /** As it counts. */
  readonly settled: InputTally;
  readonly label: string;
  /** When it changed in the last second. */
  readonly changedAtMs: readonly number[];
}

/** What a device that tells tallies has said, and what of it counts. Times are of one clock, ms. */
export interface Heard {
  readonly inputs: ReadonlyMap<number, HeardInput>;
  /** When it was heard lately. */
  readonly heardAtMs: readonly number[];
  /** When what it said last is to be looked at; null: it has been. */
  readonly lookAtMs: number | null;
  /** Until then it is coming, or coming back. */
  readonly comingUntilMs: number;
  readonly isLost: boolean;
}

export const NOTHING_HEARD: Heard = {
  inputs: new Map(),
  heardAtMs: [],
  lookAtMs: null,
  comingUntilMs: Number.NEGATIVE_INFINITY,
  isLost: false,
};

const OFF: InputTally = { isOnProgram: false, isOnPreview: false };
const isSame = (a: InputTally, b: InputTally) =>
  a.isOnProgram === b.isOnProgram && a.isOnPreview === b.isOnPreview;

/** A packet came. */
export function hear(heard: Heard, reports: readonly TallyReport[], atMs: number): Heard {
  const isComing = heard.heardAtMs.length === 0 || heard.isLost;
  const inputs = new Map(heard.inputs);
  let lookAtMs = heard.lookAtMs;
  for (const { input, isOnProgram, isOnPreview, label } of reports) {
    const known = inputs.get(input);
    if (!known && inputs.size >= MOST_INPUTS) continue;
    const said = { isOnProgram, isOnPreview };
    const changed = !isSame(known?.said ?? OFF, said);
    const changedAtMs = (known?.changedAtMs ?? []).filter((each) => each > atMs - 1_000);
    inputs.set(input, {
      said,
      settled: known?.settled ?? OFF,
      label: label === "" ? (known?.label ?? "") : label,
      changedAtMs: changed ? [...changedAtMs, atMs].slice(-2 * MOST_CHANGES_PER_SECOND) : changedAtMs,
    });
    // One that flaps is waited for; the others are not.
    if (changed) lookAtMs = Math.min(lookAtMs ?? Number.POSITIVE_INFINITY, atMs + TOGETHER_MS);
  }
  return {
    inputs,
    lookAtMs,
    heardAtMs: [...heard.heardAtMs.filter((each) => each > atMs - REGULAR_WITHIN_MS), atMs].slice(-60),
    comingUntilMs: isComing ? atMs + COMING_MS : heard.comingUntilMs,
    isLost: false,
  };
}

export interface Settled {
  readonly heard: Heard;
  /** Inputs on each bus, when that is other than before. */
  readonly on: { readonly program: readonly number[]; readonly preview: readonly number[] } | null;
  /** It was only coming: nothing is to come of it. */
  readonly isQuiet: boolean;
}

/** Looks at what was said, when it is time for that. */
export function settle(heard: Heard, atMs: number): Settled {
  if (heard.lookAtMs === null || heard.lookAtMs > atMs) return { heard, on: null, isQuiet: false };
  const inputs = new Map<number, HeardInput>();
  let lookAtMs: number | null = null;
  let isOther = false;
  for (const [input, known] of heard.inputs) {
    const changedAtMs = known.changedAtMs.filter((each) => each > atMs - 1_000);
    if (isSame(known.said, known.settled)) {
      inputs.set(input, { ...known, changedAtMs });
      continue;
    }
    const calmAtMs = (changedAtMs.at(-1) ?? Number.NEGATIVE_INFINITY) + CALM_MS;
    if (changedAtMs.length > MOST_CHANGES_PER_SECOND && calmAtMs > atMs) {
      lookAtMs = Math.min(lookAtMs ?? calmAtMs, calmAtMs);
      inputs.set(input, { ...known, changedAtMs });
      continue;
    }
    isOther = true;
    inputs.set(input, { ...known, settled: known.said, changedAtMs });
  }
  const next = { ...heard, inputs, lookAtMs };
  const on = (is: (tally: InputTally) => boolean) =>
    [...inputs].flatMap(([input, { settled }]) => (is(settled) ? [input] : []));
  return {
    heard: next,
    on: isOther
      ? { program: on(({ isOnProgram }) => isOnProgram), preview: on(({ isOnPreview }) => isOnPreview) }
      : null,
    isQuiet: atMs < heard.comingUntilMs,
  };
}

/** Notices that a device is not heard any more that was heard regularly. What it said last stays. */
export function noticeLoss(heard: Heard, atMs: number): Heard {
  const last = heard.heardAtMs.at(-1);
  if (heard.isLost || last === undefined || atMs - last < LOST_AFTER_MS) return heard;
  const isRegular =
    heard.heardAtMs.filter((each) => each > last - REGULAR_WITHIN_MS).length >= REGULAR_PACKETS;
  return isRegular ? { ...heard, isLost: true } : heard;
}

/** Inputs that change too often to be followed. */
export const flappingInputs = ({ inputs }: Heard, atMs: number): number[] =>
  [...inputs].flatMap(([input, { changedAtMs }]) =>
    changedAtMs.filter((each) => each > atMs - 1_000).length > MOST_CHANGES_PER_SECOND ? [input] : [],
  );
