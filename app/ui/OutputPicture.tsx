import { useEffect, useRef, useState } from "react";
import { composeTimeline, type Timeline } from "../../core/screens/compose.ts";
import { placementsAt } from "../../core/screens/placements.ts";
import type { Output } from "../../core/screens/plan.ts";
import type { ShowState } from "../../core/show/state.ts";
import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import { StageLoop } from "../../painters/stageLoop.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { Drawing } from "../live/drawing.ts";
import { makeProgramPicture } from "./programPicture.ts";
import standIn from "./standInPicture.svg";

/** Pictures on the desk draw at 15 to 20 frames a second: the outputs need the machine more. */
const LIVE_INTERVAL_MS = 50;
/** A picture of what is next can wait for a quiet moment, but not for long. */
const STILL_WITHIN_MS = 250;

/**
 * What an output shows in a state, by the very code that draws the output, at the width it is given.
 * Transparent outputs lie over a stand-in picture.
 */
export function OutputPicture({
  output,
  state,
  drawing,
  label,
  isStill = false,
}: {
  output: Output;
  state: ShowState;
  drawing: Drawing | undefined;
  label: string;
  /** It is drawn once and may come a little later than what moves. */
  isStill?: boolean;
}) {
  const store = useDeskStore();
  const frame = useRef<HTMLDivElement>(null);
  const [widthPx, setWidthPx] = useState(0);
  const loop = useRef<StageLoop>(undefined);
  const still = useRef<(timeline: Timeline) => void>(undefined);
  const [laidOutAnew, setLaidOutAnew] = useState(0);

  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidthPx(Math.round(entry.contentRect.width * window.devicePixelRatio));
    });
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);

  useEffect(() => {
    if (!frame.current || !drawing || widthPx === 0) return;
    const scale = widthPx / output.widthPx;
    const element = document.createElement("div");
    element.style.position = "absolute";
    element.style.inset = "0";
    frame.current.append(element);
    const plates = new PlateCache(drawing.kit, scale);
    const stage = new ElementStage(element, {
      plates,
      scale,
      pixelRatio: window.devicePixelRatio,
      makeProgram: makeProgramPicture,
      ...(isStill ? {} : { videos: drawing.videos(false) }),
    });
    const endRepaint = drawing.shelf.onLoaded((file) => plates.repaint(file));
    const endLayOut = drawing.onChange(() => setLaidOutAnew((count) => count + 1));
    if (isStill) {
      still.current = (timeline) => stage.draw(placementsAt(timeline, store.now(), output));
      return () => {
        endRepaint();
        endLayOut();
        still.current = undefined;
        stage.discard();
        element.remove();
      };
    }
    loop.current = new StageLoop(stage, output, () => store.now(), undefined, LIVE_INTERVAL_MS);
    return () => {
      endRepaint();
      endLayOut();
      loop.current?.stop();
      loop.current = undefined;
      element.remove();
    };
  }, [drawing, widthPx, output, store, isStill]);

  // Runs after the stage above was made anew, too: a new width needs the picture again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a late font lays everything out again
  useEffect(() => {
    if (!drawing || widthPx === 0) return;
    const compose = () => composeTimeline(state, output, drawing.dress);
    if (!isStill) {
      loop.current?.setTimeline(compose());
      return;
    }
    const waiting = requestIdleCallback(() => still.current?.(compose()), { timeout: STILL_WITHIN_MS });
    return () => cancelIdleCallback(waiting);
  }, [state, output, drawing, widthPx, isStill, laidOutAnew]);

  return (
    <div
      ref={frame}
      role="img"
      aria-label={label}
      className="relative w-full overflow-hidden"
      style={{
        aspectRatio: `${output.widthPx} / ${output.heightPx}`,
        background: output.backdrop === "opaque" ? "#000" : `#3a3330 url(${standIn}) center / cover`,
      }}
    />
  );
}
