import { composeSlot } from "../core/compose/compose.ts";
import type { Timeline } from "../core/compose/piece.ts";
import type { Adjustments } from "../core/scene/adjustment.ts";
import type { MediaInfo } from "../core/scene/media.ts";
import type { SceneObject } from "../core/scene/objectKinds.ts";
import type { Moment, Slot } from "../core/show/slot.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { lay, templateOf } from "./pages.ts";

/** A clip with sound that is seen through. */
export const CLIP: MediaInfo = {
  kind: "media",
  name: "clip",
  type: "video",
  mime: "video/webm",
  file: "d".repeat(64),
  poster: null,
  widthPx: 640,
  heightPx: 360,
  hasAlpha: true,
  durationMs: 4_000,
  hasSound: true,
  key: null,
};

/** A page that was cut to and has stood for a while. */
export const CUT_AND_AT_REST = {
  slot: [
    {
      startAtMs: 0,
      sinceMs: 0,
      page: { cueId: "one", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } },
      how: "cut",
      endsAtMs: null,
      lastsMs: 10_000,
      effectMs: null,
    },
  ],
  atMs: 5_000,
} as const satisfies { readonly slot: Slot; readonly atMs: number };

export interface Take {
  readonly atMs: number;
  readonly values: Record<string, string> | null;
  readonly how?: Moment["how"];
  readonly adjust?: Adjustments;
  readonly paused?: Moment["paused"];
}

/** One slot that wears a template of these objects and is taken with these values, one after another. */
export function timelineOf(shaper: Shaper, objects: SceneObject[], takes: readonly Take[]): Timeline {
  const template = templateOf(...objects);
  const pages = takes.map(
    ({ values, adjust }) => values && lay(template, values, shaper, { media: () => CLIP, adjust }),
  );
  const slot = takes.map(
    ({ atMs, values, how = "animated", paused }, i): Moment => ({
      startAtMs: atMs,
      sinceMs: atMs,
      page: values && { cueId: `cue-${i}`, content: "0".repeat(64), step: { occurrence: "page", unit: i } },
      how,
      endsAtMs: null,
      lastsMs: 10_000,
      effectMs: null,
      ...(paused ? { paused } : {}),
    }),
  );
  const pieces = composeSlot(slot, "words", ({ step }) => {
    const laidOut = pages[step.unit];
    return laidOut ? { templateHash: "one", laidOut } : undefined;
  });
  return { pieces };
}
