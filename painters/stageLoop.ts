import type { Timeline } from "../core/compose/piece.ts";
import { placementsAt } from "../core/compose/placements.ts";
import { stillUntil } from "../core/compose/stillUntil.ts";
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

const FRAME_MS = 1000 / 60;
/** setTimeout cannot wait longer, and clocks drift meanwhile. */
const LONGEST_SLEEP_MS = 60_000;

/** Draws a timeline by the server's clock: every frame while something moves, not at all while nothing does. */
export class StageLoop {
  readonly #stage: Stage;
  readonly #now: () => number;
  readonly #onFrame: (report: FrameReport) => void;
  readonly #frameMs: number | null;
  #drawnFrame: number | null = null;
  #timeline: Timeline = { pieces: [] };
  readonly #wait = new FrameWait(() => this.#draw());
  #lastFrameMs: number | null = null;

  readonly #output: { readonly widthPx: number; readonly heightPx: number };

  /**
   * @param now server time in ms
   * @param frameMs length of a frame of its own rate; null: as often as the window draws
   */
  constructor(
    stage: Stage,
    output: { readonly widthPx: number; readonly heightPx: number },
    now: () => number,
    onFrame: (report: FrameReport) => void = () => {},
    frameMs: number | null = null,
  ) {
    this.#frameMs = frameMs;
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
        : Math.max(0, Math.round((startedMs - this.#lastFrameMs) / (this.#frameMs ?? FRAME_MS)) - 1);
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
