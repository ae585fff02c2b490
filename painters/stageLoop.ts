import type { Timeline } from "../core/compose/piece.ts";
import { placementsAt } from "../core/compose/placements.ts";
import { stillUntil } from "../core/compose/stillUntil.ts";
import type { Pace } from "../core/venue/pace.ts";
import { FrameWait } from "./frameWait.ts";
import type { Stage } from "./stage.ts";

/** Times of one drawn frame. */
export interface FrameReport {
  /** Server time the frame was drawn for. */
  readonly atMs: number;
  readonly drawMs: number;
  /** Frames that should have come since the one before, while moving. */
  readonly missed: number;
}

const USUAL_HZ = 60;
/** setTimeout cannot wait longer, and clocks drift meanwhile. */
const LONGEST_SLEEP_MS = 60_000;

/** Draws a timeline by the server's clock: every frame while something moves, not at all while nothing does. */
export class StageLoop {
  readonly #stage: Stage;
  readonly #now: () => number;
  readonly #onFrame: (report: FrameReport) => void;
  #frameMs: number | null;
  #missedMs: number;
  #drawnFrame: number | null = null;
  #timeline: Timeline = { pieces: [] };
  readonly #wait = new FrameWait(() => this.#draw());
  #lastFrameMs: number | null = null;

  readonly #output: { readonly widthPx: number; readonly heightPx: number };

  /**
   * @param now server time in ms
   * @param pace how often it draws; as often as the window when not said
   */
  constructor(
    stage: Stage,
    output: { readonly widthPx: number; readonly heightPx: number },
    now: () => number,
    onFrame: (report: FrameReport) => void = () => {},
    pace: Pick<Pace, "clockMs" | "perSecond"> = { clockMs: null, perSecond: USUAL_HZ },
  ) {
    this.#frameMs = pace.clockMs;
    this.#missedMs = 1_000 / pace.perSecond;
    this.#stage = stage;
    this.#output = output;
    this.#now = now;
    this.#onFrame = onFrame;
  }

  setTimeline(timeline: Timeline): void {
    this.#timeline = timeline;
    this.#drawnFrame = null;
    this.#wait.next();
  }

  /** Draws more or less often from now on. */
  setPace({ clockMs, perSecond }: Pick<Pace, "clockMs" | "perSecond">): void {
    this.#missedMs = 1_000 / perSecond;
    if (clockMs === this.#frameMs) return;
    this.#frameMs = clockMs;
    this.#drawnFrame = null;
    this.#wait.next();
  }

  stop(): void {
    this.#wait.stop();
    this.#stage.discard();
  }

  #draw(): void {
    const startedMs = performance.now();
    const nowMs = this.#now();
    const frame = this.#frameMs === null ? null : Math.floor(nowMs / this.#frameMs);
    if (frame !== null && this.#frameMs !== null && frame === this.#drawnFrame) {
      this.#wait.in((frame + 1) * this.#frameMs - nowMs);
      return;
    }
    this.#drawnFrame = frame;
    // All outputs of a rate show the same frames: they are counted from the same instant.
    const atMs = frame === null || this.#frameMs === null ? nowMs : frame * this.#frameMs;
    this.#stage.draw(placementsAt(this.#timeline, atMs, this.#output));
    const missed =
      this.#lastFrameMs === null
        ? 0
        : Math.max(0, Math.round((startedMs - this.#lastFrameMs) / this.#missedMs) - 1);
    this.#onFrame({ atMs, drawMs: performance.now() - startedMs, missed });
    const still = stillUntil(this.#timeline, atMs);
    if (still === null) {
      this.#lastFrameMs = startedMs;
      if (this.#frameMs === null) this.#wait.next();
      else this.#wait.in(atMs + this.#frameMs - nowMs);
      return;
    }
    this.#lastFrameMs = null;
    if (still < Number.POSITIVE_INFINITY) this.#wait.in(Math.min(still - nowMs, LONGEST_SLEEP_MS));
  }
}
