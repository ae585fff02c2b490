import { defaultRangeExtractor, useVirtualizer } from "@tanstack/react-virtual";
import { memo, useMemo, useRef, useState } from "react";
import { Link } from "react-router";
import { t } from "../../core/language/t.ts";
import { sameAnchor } from "../../core/rundown/anchor.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { stepNow } from "../../core/rundown/textPlace.ts";
import { pagesOn } from "../../core/show/layers.ts";
import { placeNow } from "../../core/show/next.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import { useHeldIds } from "../desk/useHeldIds.ts";
import { usePresentTime } from "../desk/usePresentTime.ts";
import { ScriptCue } from "./ScriptCue.tsx";
import { GONE, stepKey } from "./stepKey.ts";
import { useReadingLine } from "./useReadingLine.ts";

/** The line after the last step. */
const END_PX = 72;
/** A step of two lines, and the least that a cue takes. */
const STEP_PX = 74;
const CUE_PX = 96;

const estimatedPx = (cue: DeskCue | undefined): number =>
  Math.max(CUE_PX, (cue?.ready ? stepsOf(cue.ready.content).length : 0) * STEP_PX);

/** The rundown as running text. The step on air stands at the reading line; each take glides the script under it. */
export const Script = memo(function Script() {
  const store = useDeskStore();
  const { state, cues, next, channel, plans, outputs } = useDesk(
    "state",
    "cues",
    "next",
    "channel",
    "plans",
    "outputs",
  );
  const heldIds = useHeldIds();
  const presentMs = usePresentTime();

  /** Cue id → steps of it that are on air now, as keys joined by spaces (a string, so that cues can tell it is the same). */
  const pinned = useMemo(() => {
    const found = new Map<string, string>();
    for (const { id } of state.layers)
      for (const page of pagesOn(state, id, presentMs ?? 0).values())
        if (page) found.set(page.cueId, page.content);
    return found;
  }, [state, presentMs]);
  const onAir = useMemo(() => {
    const found = new Map<string, string>();
    for (const [, page] of state.layers.flatMap(({ id }) => [...pagesOn(state, id, presentMs ?? 0)])) {
      const content = page && cues.find(({ view }) => view.cueId === page.cueId)?.ready?.content;
      if (!page || !content) continue;
      const now = stepNow(store.findContent(page.content), content, page.step);
      const key = `${now ? stepKey(now) : GONE}=${stepKey(page.step)}`;
      found.set(page.cueId, `${found.get(page.cueId) ?? ""} ${key}`.trim());
    }
    return found;
  }, [state, presentMs, cues, store]);

  const position = state.line.at;
  const contentOf = (cueId: string) => cues.find(({ view }) => view.cueId === cueId)?.ready?.content;
  const placed = position && contentOf(position.cueId);
  const positionStep = position && (placed ? placeNow(placed, position) : position.step);
  const nextContent = next && contentOf(next.cueId);
  const nextStep = next && ((nextContent && stepNow(undefined, nextContent, next.step)) ?? next.step);
  const lineKey =
    position && positionStep
      ? `${position.cueId}/${stepKey(positionStep)}`
      : next && nextStep && `${next.cueId}/${stepKey(nextStep)}`;
  const nextKey = next && nextStep && `${next.cueId}/${stepKey(nextStep)}`;
  const positionIndex = position ? cues.findIndex(({ view }) => view.cueId === position.cueId) : -1;
  const nextIndex = next ? cues.findIndex(({ view }) => view.cueId === next.cueId) : -1;
  const lineIndex = position ? positionIndex : nextIndex;

  // Only cues in sight are drawn, and those that carry a mark.
  const marked = cues.flatMap(({ view, index }) => (onAir.has(view.cueId) ? [index] : []));
  for (const index of [lineIndex, nextIndex]) if (index >= 0) marked.push(index);
  const scroller = useRef<HTMLElement>(null);
  const [rooms, setRooms] = useState({ above: 200, below: 340 });
  const virtualizer = useVirtualizer({
    count: cues.length,
    getScrollElement: () => scroller.current,
    getItemKey: (index) => cues[index]?.view.cueId ?? index,
    estimateSize: (index) => estimatedPx(cues[index]),
    rangeExtractor: (range) =>
      [...new Set([...defaultRangeExtractor(range), ...marked])].sort((a, b) => a - b),
    overscan: 2,
    paddingStart: rooms.above,
    paddingEnd: rooms.below + END_PX,
    initialRect: { width: 650, height: 600 },
  });
  const shown = virtualizer.getVirtualItems();
  const line = useReadingLine(
    scroller,
    lineKey,
    nextKey,
    shown.find(({ index }) => index === lineIndex)?.start,
  );
  if (rooms.above !== line.roomAbovePx || rooms.below !== line.roomBelowPx)
    setRooms({ above: line.roomAbovePx, below: line.roomBelowPx });

  if (cues.length === 0)
    return (
      <div className="grid h-full place-content-center gap-3 p-8 text-center">
        <p className="font-words text-[22px]">{t`The script is empty.`}</p>
        <p className="text-second">
          {t`Paste a song, type a reference or a name in Prepare; it appears here at once.`}
        </p>
        <p>
          <Link
            to="/prepare"
            className="inline-flex min-h-10 items-center rounded-md bg-act px-5 font-semibold text-on-bright"
          >
            {t`Prepare the rundown`}
          </Link>
        </p>
      </div>
    );

  return (
    <div className="relative h-full">
      <div
        aria-hidden="true"
        className="pointer-events-none absolute inset-x-0 z-10 border-t border-edge-strong"
        style={{ top: `${line.at * 100}%` }}
      />
      <section
        ref={scroller}
        className="@container h-full overflow-y-auto overflow-x-hidden"
        aria-label={t`Steps`}
      >
        <ol className="relative" style={{ height: virtualizer.getTotalSize() }}>
          {shown.map(({ index, start }) => {
            const cue = cues[index];
            if (!cue) return null;
            const isCurrent = cue.view.cueId === position?.cueId;
            const steps = cue.ready ? stepsOf(cue.ready.content) : [];
            const doneSteps =
              positionIndex < 0 || index > positionIndex
                ? 0
                : index < positionIndex
                  ? steps.length
                  : Math.max(
                      0,
                      steps.findIndex(({ anchor }) => positionStep && sameAnchor(anchor, positionStep)),
                    );
            return (
              <ScriptCue
                key={cue.view.cueId}
                cue={cue}
                count={cues.length}
                topPx={start}
                measure={virtualizer.measureElement}
                onAir={onAir.get(cue.view.cueId) ?? ""}
                nextStep={next?.cueId === cue.view.cueId && nextStep ? stepKey(nextStep) : ""}
                isArmed={state.arm !== null}
                heldContent={heldIds.has(cue.view.cueId) ? (pinned.get(cue.view.cueId) ?? "") : ""}
                isAside={state.line.asides.some(({ cueId }) => cueId === cue.view.cueId)}
                isRehearsal={channel === "rehearsal"}
                takenStep={isCurrent && positionStep ? stepKey(positionStep) : ""}
                doneSteps={doneSteps}
                plan={state.plan}
                plans={plans}
                outputs={outputs}
                store={store}
              />
            );
          })}
          <li
            className="absolute pl-6 text-[15px] text-quiet @2xl:pl-[160px]"
            style={{ top: virtualizer.getTotalSize() - rooms.below - END_PX + 24 }}
          >
            {t`end of the script`}
          </li>
        </ol>
      </section>
      {line.detached && (
        <button
          type="button"
          onClick={line.reattach}
          className="absolute top-3 right-5 z-10 min-h-10 rounded-full border border-act bg-act-ground px-4 text-[15px] font-semibold text-act hover:brightness-125"
        >
          {t`Back to the line`}
        </button>
      )}
    </div>
  );
});
