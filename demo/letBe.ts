import type { CueDoc } from "../core/rundown/cueDoc.ts";

/** A page with a finding of the check that is let be. */
export const letBe = (cue: CueDoc, waived: CueDoc["waived"][number]): CueDoc => ({
  ...cue,
  waived: [waived],
});
/** The clock of a ticker stands at the very edge of the stream. */
export const CLOCK_AT_EDGE = {
  code: "outsideSafe",
  place: "clock",
  reason: "Who receives this stream shows it to its edges.",
};
