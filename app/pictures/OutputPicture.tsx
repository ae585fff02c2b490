import { useEffect, useRef, useState } from "react";
import { composeTimeline, type Dress } from "../../core/compose/compose.ts";
import type { Timeline } from "../../core/compose/piece.ts";
import { placementsAt } from "../../core/compose/placements.ts";
import { platesIn } from "../../core/compose/platesOf.ts";
import { showsTime } from "../../core/compose/showsTime.ts";
import type { ShowState } from "../../core/show/state.ts";
import { atRest, NO_CHAINS } from "../../core/values/liveChain.ts";
import { canvasOf, type Output } from "../../core/venue/plan.ts";
import { FlatStage } from "../../painters/flatStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import { StageLoop } from "../../painters/stageLoop.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { chainsInSight } from "../live/chainsInSight.ts";
import type { Drawing } from "../live/drawing.ts";
import { prepareBeside } from "../live/prepareBeside.ts";
import { useThrottled } from "../ui/useThrottled.ts";
import { drawTestPicture } from "./drawTestPicture.ts";
import { useDeviceWidth } from "./useDeviceWidth.ts";

/** Pictures on the desk draw 15 frames a second, all of them in the same ones: the outputs need the machine more. */
const LIVE_FRAME_MS = 1_000 / 15;
const LIVE_PACE = { clockMs: LIVE_FRAME_MS, perSecond: 15 };
/** A picture of what is next can wait for a quiet moment, but not for long. */
const STILL_WITHIN_MS = 250;
/** What fills it is looked at this often. */
const STILL_EVERY_MS = 1_000;

/** Clocks run in pictures that stand still otherwise. */
const CLOCK_MS = 1_000;

/**
 * What an output shows in a state, by the very code that draws the output, at the width it is given.
 * Transparent outputs lie over a recent frame of the program picture.
 */
export function OutputPicture({
  output,
  state,
  drawing,
  label,
  isStill = false,
  atMs,
}: {
  output: Output;
  state: ShowState;
  drawing: Drawing | undefined;
  label: string;
  /** It is drawn once and may come a little later than what moves. */
  isStill?: boolean;
  /** Of a still: the instant that it shows, server time; now when not said. */
  atMs?: number;
}) {
  const store = useDeskStore();
  const { chains: all } = useDesk("chains");
  const seen = useRef(NO_CHAINS);
  seen.current = chainsInSight(all, state, seen.current);
  // A picture that is prepared beside would never be done if each of many changes in a second began it anew.
  const calm = useThrottled(seen.current, STILL_EVERY_MS);
  const chains = isStill ? calm : seen.current;
  const frame = useRef<HTMLDivElement>(null);
  const widthPx = useDeviceWidth(frame);
  const loop = useRef<StageLoop>(undefined);
  const coverOf = useRef<HTMLElement>(undefined);
  const still = useRef<{ readonly draw: (timeline: Timeline) => void; readonly plates: PlateCache }>(
    undefined,
  );
  const [laidOutAnew, setLaidOutAnew] = useState(0);

  useEffect(() => {
    if (!frame.current || !drawing || widthPx === 0) return;
    const scale = widthPx / output.widthPx;
    const canvas = canvasOf(output);
    const beneath = output.backdrop === "opaque" ? undefined : store.program.makeElement();
    if (beneath) {
      Object.assign(beneath.style, { position: "absolute", inset: "0" });
      frame.current.append(beneath);
    }
    const plates = new PlateCache(drawing.kit, scale);
    const now = () => store.now();
    const stage = new FlatStage(frame.current, {
      ...{ plates, widthPx: output.widthPx, heightPx: output.heightPx },
      ...(output.region && { from: output.region }),
      pixelRatio: window.devicePixelRatio,
      program: () => store.programFrame.now(),
      live: { now, frameMs: LIVE_FRAME_MS, ...(!isStill && { clips: drawing.clips }) },
    });
    const cover = document.createElement("div");
    Object.assign(cover.style, { position: "absolute", inset: "0", zIndex: "2147483647" });
    frame.current.append(cover);
    coverOf.current = cover;
    const endRepaint = drawing.shelf.onLoaded((file) => {
      plates.repaint(file);
      stage.redraw();
    });
    const endLayOut = drawing.onChange(() => setLaidOutAnew((count) => count + 1));
    if (isStill) {
      let ticking: ReturnType<typeof setInterval> | undefined;
      const drawStill = (timeline: Timeline) => {
        const draw = () => stage.draw(placementsAt(timeline, atMs ?? now(), canvas));
        clearInterval(ticking);
        draw();
        if (atMs === undefined && showsTime(timeline.pieces)) ticking = setInterval(draw, CLOCK_MS);
      };
      still.current = { draw: drawStill, plates };
      return () => {
        clearInterval(ticking);
        endRepaint();
        endLayOut();
        still.current = undefined;
        stage.discard();
        beneath?.remove();
        cover.remove();
      };
    }
    loop.current = new StageLoop(stage, canvas, now, undefined, LIVE_PACE);
    return () => {
      endRepaint();
      endLayOut();
      loop.current?.stop();
      loop.current = undefined;
      beneath?.remove();
      cover.remove();
    };
  }, [drawing, widthPx, output, store, isStill, atMs]);

  // Runs after the stage above was made anew, too: a new width needs the picture again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a late font lays everything out again
  useEffect(() => {
    if (!drawing || widthPx === 0) return;
    if (coverOf.current) {
      const number = store.getSnapshot().outputs.findIndex(({ id }) => id === output.id) + 1;
      drawTestPicture(coverOf.current, output, state.tests[output.id]?.picture ?? null, number, () =>
        store.now(),
      );
    }
    const compose = (dress: Dress) =>
      composeTimeline(state, output, dress, isStill ? atRest(chains) : chains);
    if (!isStill) {
      loop.current?.setTimeline(compose(drawing.dress));
      return;
    }
    const end = new AbortController();
    const shown = (timeline: Timeline) =>
      platesIn(placementsAt(timeline, atMs ?? store.now(), canvasOf(output)));
    const prepare = async () => {
      const picture = still.current;
      if (!picture) return;
      const timeline = await prepareBeside(drawing, compose, shown, picture.plates, end.signal);
      if (timeline) picture.draw(timeline);
    };
    const waiting = requestIdleCallback(() => void prepare(), { timeout: STILL_WITHIN_MS });
    return () => {
      end.abort();
      cancelIdleCallback(waiting);
    };
  }, [state, chains, output, drawing, widthPx, isStill, laidOutAnew, store, atMs]);

  return (
    <div
      ref={frame}
      role="img"
      aria-label={label}
      className="relative isolate w-full overflow-hidden forced-color-adjust-none"
      style={{
        aspectRatio: `${output.widthPx} / ${output.heightPx}`,
        background: output.backdrop === "opaque" ? "#000" : "#3a3330",
      }}
    />
  );
}
