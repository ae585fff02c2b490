import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { USUAL_VENUE } from "../../../core/show/venueSettings.ts";
import { openedState } from "../../../test-support/contents.ts";
import type { DeskStore } from "../deskStore.ts";
import { CheckStore } from "./checkStore.ts";

/** A worker that only notes what it is told. */
class Told {
  static all: { readonly kind: string; readonly pace?: string }[] = [];
  postMessage(request: (typeof Told.all)[number]): void {
    Told.all.push(request);
  }
}

const paces = () => Told.all.flatMap(({ kind, pace }) => (kind === "pace" ? [pace] : []));

/** A desk on which things come on air. */
function deskOnAir() {
  const listeners = new Set<() => void>();
  let state = openedState();
  const snapshot = () => ({
    ...{ state, cues: [], ready: [], outputs: [], plans: [{ id: "p", name: "p", outputs: {} }], outfits: [] },
    ...{
      fieldSets: new Map(),
      evening: {},
      venue: USUAL_VENUE,
      feeds: [],
      bindingProblems: [],
      follow: undefined,
    },
    ...{ sources: [], screens: [] },
  });
  const desk = {
    getSnapshot: snapshot,
    subscribe: (listener: () => void) => listeners.add(listener),
    documents: new Map(),
    now: () => 0,
  };
  const take = () => {
    state = { ...state, airRevision: state.airRevision + 1 };
    for (const listener of listeners) listener();
  };
  return { desk: desk as unknown as DeskStore, take };
}

beforeEach(() => {
  vi.useFakeTimers();
  Told.all = [];
  vi.stubGlobal("Worker", Told);
  vi.stubGlobal("OffscreenCanvas", class {});
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("how much of a core the check takes", () => {
  test("little of it for two seconds after each take, half of it otherwise", () => {
    const { desk, take } = deskOnAir();
    new CheckStore(desk);
    vi.advanceTimersByTime(20_000);
    expect(paces()).toEqual(["beside"]);
    take();
    vi.advanceTimersByTime(1_500);
    take();
    vi.advanceTimersByTime(1_500);
    expect(paces()).toEqual(["beside", "aside"]);
    vi.advanceTimersByTime(600);
    expect(paces()).toEqual(["beside", "aside", "beside"]);
  });

  test("all of it while somebody waits for what is found, but not about a take", () => {
    const { desk, take } = deskOnAir();
    const store = new CheckStore(desk);
    const leave = store.hurry();
    expect(paces()).toEqual(["hurried"]);
    take();
    vi.advanceTimersByTime(2_100);
    leave();
    expect(paces()).toEqual(["hurried", "aside", "hurried", "beside"]);
  });
});
