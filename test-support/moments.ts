import type { Moment } from "../core/show/slot.ts";

/** A page that comes by its motion at time 0. What it shows is for whoever dresses it to say. */
export const arrivingAt0: Moment = {
  startAtMs: 0,
  sinceMs: 0,
  page: { cueId: "c", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } },
  how: "animated",
  endsAtMs: null,
  lastsMs: 10_000,
  effectMs: null,
};
