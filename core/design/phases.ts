import { arrivalMs, longestMs } from "../compose/pace.ts";
import type { LaidOutPage, Part } from "../scene/part.ts";
import type { Moment, Slot, SlotPage } from "../show/slot.ts";

/** What of a page's life is played before air; all: how it comes, changes and goes, one after another. */
export const PHASES = ["enter", "stay", "change", "exit", "all"] as const;
export type Phase = (typeof PHASES)[number];

/** A phase as a place on a layer lives it: which page is there when, from when on it is looked at, and for how long, ms. */
export interface StagedPhase {
  readonly slot: Slot;
  readonly fromMs: number;
  readonly lengthMs: number;
}

/** A page has come to rest by then, and loops have begun, ms. */
const RESTING_MS = 9_000;
/** How long a loop is looked at where none is slower, ms. */
const LEAST_STAY_MS = 2_000;
/** How long a page stands between two of its phases, ms. */
const STANDS_MS = 700;

const content = (digit: string) => digit.repeat(64);
const pageOf = (digit: string): SlotPage => ({
  cueId: "page",
  content: content(digit),
  step: { occurrence: "page", unit: 0 },
});
const FIRST = pageOf("0");
const SECOND = pageOf("1");

/** Whether a place shows the page after the change. */
export const isSecond = (page: SlotPage): boolean => page.content === SECOND.content;

const moment = (page: SlotPage, startAtMs: number, endsAtMs: number | null): Moment => ({
  startAtMs,
  sinceMs: 0,
  page,
  how: "animated",
  endsAtMs,
  lastsMs: 10_000,
  effectMs: null,
});

const changeMs = (parts: readonly Part[]): number =>
  Math.max(
    longestMs(parts, ({ change }) => change.in),
    longestMs(parts, ({ change }) => change.out),
  );
const exitMs = (parts: readonly Part[]): number =>
  Math.max(
    arrivalMs(parts, ({ exit }) => exit === "mirror"),
    longestMs(parts, ({ exit }) => (exit === "mirror" ? null : exit)),
  );

/** The slowest loop of a page, ms; 0 where nothing moves while it is up. */
export const loopMs = (parts: readonly Part[]): number =>
  parts.reduce(
    (longest, { motion: { stay }, content: inner }) =>
      Math.max(
        longest,
        stay ? stay.delayMs + stay.periodMs : 0,
        inner.kind === "group" ? loopMs(inner.parts) : 0,
      ),
    0,
  );

/**
 * @param page what is looked at
 * @param other the same template with other words, for the change
 */
export function stagePhase(phase: Phase, page: LaidOutPage, other: LaidOutPage): StagedPhase {
  const comesMs = arrivalMs(page.parts);
  const changesMs = Math.max(changeMs(page.parts), changeMs(other.parts));
  switch (phase) {
    case "enter":
      return { slot: [moment(FIRST, 0, null)], fromMs: 0, lengthMs: comesMs };
    case "stay":
      return {
        slot: [moment(FIRST, 0, null)],
        fromMs: comesMs,
        lengthMs: Math.max(LEAST_STAY_MS, loopMs(page.parts)),
      };
    case "change":
      return {
        slot: [moment(FIRST, 0, null), moment(SECOND, RESTING_MS, null)],
        fromMs: RESTING_MS,
        lengthMs: changesMs,
      };
    case "exit":
      return { slot: [moment(FIRST, 0, RESTING_MS)], fromMs: RESTING_MS, lengthMs: exitMs(page.parts) };
    case "all": {
      const changesAtMs = comesMs + STANDS_MS;
      const leavesAtMs = changesAtMs + changesMs + STANDS_MS;
      return {
        slot: [moment(FIRST, 0, null), moment(SECOND, changesAtMs, leavesAtMs)],
        fromMs: 0,
        lengthMs: leavesAtMs + exitMs(other.parts),
      };
    }
  }
}
