import type { PaintedReport } from "../../core/wire/wire.ts";
import type { FrameReport } from "../../painters/stageLoop.ts";

type Tallied = Pick<PaintedReport, "seq" | "atMs" | "frames" | "missed" | "slowestMs">;

/** Frames that were drawn since the last report, and which event was in the picture first when. */
export class FrameTally {
  #seq = -1;
  #firstFrameMs = 0;
  #frames = 0;
  #missed = 0;
  #slowestMs = 0;

  /** @param seq the last event in the picture. @returns whether it is the first frame with that event in it */
  add({ atMs, drawMs, missed }: FrameReport, seq: number): boolean {
    this.#frames++;
    this.#missed += missed;
    this.#slowestMs = Math.max(this.#slowestMs, drawMs);
    if (seq === this.#seq) return false;
    this.#seq = seq;
    this.#firstFrameMs = atMs;
    return true;
  }

  /** What is to be reported; counting begins anew. */
  take(): Tallied {
    const tallied = {
      seq: Math.max(0, this.#seq),
      atMs: this.#firstFrameMs,
      frames: this.#frames,
      missed: this.#missed,
      slowestMs: this.#slowestMs,
    };
    this.#frames = 0;
    this.#missed = 0;
    this.#slowestMs = 0;
    return tallied;
  }
}
