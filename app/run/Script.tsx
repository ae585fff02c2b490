import { useMemo } from "react";
import { Link } from "react-router";
import { sameAnchor } from "../../core/rundown/anchor.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { pagesOn } from "../../core/show/layers.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { DeskSnapshot } from "../desk/deskStore.ts";
import { ScriptCue } from "./ScriptCue.tsx";
import { stepKey } from "./stepKey.ts";
import { LINE_AT, useReadingLine } from "./useReadingLine.ts";

/** The rundown as running text. The step on air stands at the reading line; each take glides the script under it. */
export function Script({ desk, nowMs }: { desk: DeskSnapshot; nowMs: number | null }) {
  const store = useDeskStore();
  const { state, cues, next } = desk;

  /** Cue id → steps of it that are on air now, as keys joined by spaces (a string, so that cues can tell it is the same). */
  const onAir = useMemo(() => {
    const found = new Map<string, string>();
    for (const [, page] of state.layers.flatMap(({ id }) => [...pagesOn(state, id, nowMs ?? 0)])) {
      if (page) found.set(page.cueId, `${found.get(page.cueId) ?? ""} ${stepKey(page.step)}`.trim());
    }
    return found;
  }, [state, nowMs]);

  const { position } = state;
  const lineKey = position
    ? `${position.cueId}/${stepKey(position.step)}`
    : next && `${next.cueId}/${stepKey(next.step)}`;
  const nextKey = next && `${next.cueId}/${stepKey(next.step)}`;
  const line = useReadingLine(lineKey, nextKey);
  const positionIndex = position ? cues.findIndex(({ view }) => view.cueId === position.cueId) : -1;

  if (cues.length === 0)
    return (
      <div className="grid h-full place-content-center gap-3 p-8 text-center">
        <p className="font-words text-[22px]">The script is empty.</p>
        <p className="text-second">
          Paste a song, type a reference or a name in Prepare; it appears here at once.
        </p>
        <p>
          <Link
            to="/prepare"
            className="inline-flex min-h-10 items-center rounded-md bg-act px-5 font-semibold text-on-bright"
          >
            Prepare the rundown
          </Link>
        </p>
      </div>
    );

  return (
    <div className="relative h-full">
      <div
        aria-hidden="true"
        className="pointer-events-none absolute inset-x-0 z-10 border-t border-edge-strong"
        style={{ top: `${LINE_AT * 100}%` }}
      />
      <section ref={line.scroller} className="h-full overflow-y-auto overflow-x-hidden" aria-label="Steps">
        <div style={{ height: line.roomAbovePx }} />
        <ol>
          {cues.map((cue) => {
            const isCurrent = cue.view.cueId === position?.cueId;
            const steps = cue.ready ? stepsOf(cue.ready.content) : [];
            const doneSteps =
              positionIndex < 0 || cue.index > positionIndex
                ? 0
                : cue.index < positionIndex
                  ? steps.length
                  : Math.max(
                      0,
                      steps.findIndex(({ anchor }) => position && sameAnchor(anchor, position.step)),
                    );
            return (
              <ScriptCue
                key={cue.view.cueId}
                cue={cue}
                onAir={onAir.get(cue.view.cueId) ?? ""}
                nextStep={next?.cueId === cue.view.cueId ? stepKey(next.step) : ""}
                isArmed={state.arm !== null}
                isRehearsal={desk.channel === "rehearsal"}
                takenStep={isCurrent && position ? stepKey(position.step) : ""}
                doneSteps={doneSteps}
                plan={state.plan}
                outputs={desk.outputs}
                store={store}
              />
            );
          })}
        </ol>
        <p className="py-6 pl-[160px] text-[15px] text-quiet">end of the script</p>
        <div style={{ height: line.roomBelowPx }} />
      </section>
      {line.detached && (
        <button
          type="button"
          onClick={line.reattach}
          className="absolute top-3 right-5 z-10 min-h-10 rounded-full border border-act bg-act-ground px-4 text-[15px] font-semibold text-act hover:brightness-125"
        >
          Back to the line
        </button>
      )}
    </div>
  );
}
