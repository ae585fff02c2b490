import { useEffect, useLayoutEffect, useMemo, useRef, useSyncExternalStore } from "react";
import { composeSlot } from "../../../core/compose/compose.ts";
import { placementsAt } from "../../../core/compose/placements.ts";
import { isSecond, type Phase, stagePhase } from "../../../core/design/phases.ts";
import type { LaidOutPage } from "../../../core/scene/part.ts";
import type { SlotPage } from "../../../core/show/slot.ts";
import type { Drawing } from "../../live/drawing.ts";
import { arrival } from "../../pictures/arrival.ts";
import { type OpenedPicture, openFlatPicture } from "../../pictures/flatPicture.ts";
import { RESTING_MS } from "../../pictures/useLaidOut.ts";
import { Playhead } from "./playhead.ts";

/** Never moves: of pictures that stand. */
const AT_REST = new Playhead();
/** How long what was played stands before it begins anew, or ends, ms. */
const PAUSE_MS = 500;

/**
 * A page that changes under the hand: the stage and its plates stay from change to change, so that what is dragged is moved and
 * nothing is painted again.
 */
export function Sheet({
  page,
  other = page,
  drawing,
  zoom,
  playhead = AT_REST,
}: {
  page: LaidOutPage;
  /** With other words, for the change from one to the other. */
  other?: LaidOutPage;
  drawing: Drawing;
  /** CSS pixels to each pixel of the canvas. */
  zoom: number;
  playhead?: Playhead;
}) {
  const root = useRef<HTMLDivElement>(null);
  const picture = useRef<OpenedPicture>(undefined);
  const { phase, isPlaying, speed, isLoop } = useSyncExternalStore(
    playhead.subscribe,
    playhead.getSnapshot,
    playhead.getSnapshot,
  );
  const scene = useMemo(() => sceneOf(phase, page, other), [phase, page, other]);
  const latest = useRef(scene);
  latest.current = scene;

  const { widthPx, heightPx } = page;
  // Drawn with what it stands beside: a picture later, what is around it would have moved already.
  useLayoutEffect(() => {
    if (!root.current) return;
    const opened = openFlatPicture(
      root.current,
      drawing,
      zoom * window.devicePixelRatio,
      { widthPx, heightPx },
      () => latest.current.at(playhead.inMs),
    );
    picture.current = opened;
    return () => {
      opened.discard();
      picture.current = undefined;
    };
  }, [drawing, zoom, playhead, widthPx, heightPx]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: a canvas that is new is drawn on as well
  useLayoutEffect(() => {
    const draw = () => picture.current?.draw();
    draw();
    return playhead.follow(draw);
  }, [scene, drawing, zoom, playhead, widthPx, heightPx]);

  useEffect(() => {
    if (!isPlaying) return;
    const begunMs = performance.now() - playhead.inMs / speed;
    let frame = 0;
    const tick = () => {
      const sinceMs = (performance.now() - begunMs) * speed;
      const inMs = isLoop ? sinceMs % (scene.lengthMs + PAUSE_MS) : sinceMs;
      playhead.moveTo(Math.min(inMs, scene.lengthMs));
      if (isLoop || sinceMs < scene.lengthMs + PAUSE_MS) frame = requestAnimationFrame(tick);
      else playhead.rest();
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, speed, isLoop, scene, playhead]);

  return <div ref={root} aria-hidden="true" className="absolute inset-0 overflow-hidden" />;
}

/** What is seen of a page at an instant of a phase, ms into it; at rest, always the same. */
function sceneOf(phase: Phase | null, page: LaidOutPage, other: LaidOutPage) {
  const staged = phase ? stagePhase(phase, page, other) : { slot: arrival, fromMs: RESTING_MS, lengthMs: 0 };
  const dress = (shown: SlotPage) => ({ templateHash: "one", laidOut: isSecond(shown) ? other : page });
  const pieces = composeSlot(staged.slot, "room", dress);
  return {
    lengthMs: staged.lengthMs,
    at: (inMs: number) => placementsAt({ pieces }, staged.fromMs + (phase ? inMs : 0), page),
  };
}
