import { memo, useMemo, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import { showsAny } from "../../core/show/held.ts";
import { pagesOn, showsAnything } from "../../core/show/layers.ts";
import { stateUnderPlan } from "../../core/show/stateAfterTake.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDesk, useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { useHeldIds } from "../desk/useHeldIds.ts";
import { useNextState } from "../desk/useNextState.ts";
import { usePresentTime } from "../desk/usePresentTime.ts";
import { Enlarged } from "../pictures/Enlarged.tsx";
import { OutputPicture } from "../pictures/OutputPicture.tsx";
import { fillRoom } from "../pictures/pictureSizes.ts";
import { useSize } from "../ui/useSize.ts";
import { OutputCard } from "./OutputCard.tsx";
import { PlanChips } from "./PlanChips.tsx";

/** How high the pictures are that show a plan before it is used, px. */
const LOOKED_AT_PX = 64;

/** Every output: what is on air, live, and beside it what the take key would make of it, as large as the room allows. */
export const Screens = memo(function Screens({
  only = null,
}: {
  /** The only output shown, where there is no room for all. */
  only?: string | null;
}) {
  const store = useDeskStore();
  const desk = useDesk("state", "plans", "outputs", "channel", "rehearsedOn", "next", "outfits");
  const { outputTokens } = useDeskData();
  const presentMs = usePresentTime();
  const heldIds = useHeldIds();
  const drawing = useDrawing();
  const room = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const [enlarged, setEnlarged] = useState<{ readonly output: Output; readonly what: "now" | "next" } | null>(
    null,
  );
  const { state } = desk;
  const nextState = useNextState();
  const [shownPlanId, setShownPlanId] = useState<string | null>(null);
  const shownPlan = desk.plans.find(({ id }) => id === shownPlanId && id !== state.plan.id);
  const planState = useMemo(
    () => (shownPlan ? stateUnderPlan(state, shownPlan, store.now()) : undefined),
    [shownPlan, state, store],
  );
  // What people sing or read must not be missed by whoever looks at a screen without it.
  const wordLayers = state.layers.filter(({ id }) =>
    [...pagesOn(state, id, presentMs ?? 0).values()].some(
      (page) => page && store.findContent(page.content)?.flow,
    ),
  );
  const outputs = only === null ? desk.outputs : desk.outputs.filter(({ id }) => id === only);
  const { widths, fits } = useMemo(
    () => fillRoom(outputs, size.widthPx, size.heightPx),
    [outputs, size.widthPx, size.heightPx],
  );
  return (
    <section aria-label={t`Outputs`} className="flex h-full min-h-0 flex-col gap-1.5 px-4 py-2">
      <div
        className={`flex min-h-8 shrink-0 flex-wrap items-center gap-2 text-[14px] text-second ${only === null ? "" : "max-sm:hidden"}`}
      >
        <PlanChips shownId={shownPlanId} onShow={setShownPlanId} />
        {Object.keys(state.tests).length > 0 && (
          <span className="flex items-center gap-2 font-semibold text-attention">
            <span aria-hidden="true" className="hatched size-4 rounded" /> {t`test pictures are on`}
            <button
              type="button"
              onClick={() => store.air.press({ kind: "test", outputIds: null, picture: null })}
              className="min-h-8 rounded-md bg-attention px-2.5 text-on-bright"
            >
              {t`Off`}
            </button>
          </span>
        )}
      </div>
      {planState && shownPlan && (
        <div className="shrink-0 rounded-md border border-act px-2 py-1.5">
          <p className="mb-1 text-[14px] text-act">{t`Under “${shownPlan.name}”, before it is used`}</p>
          <div className="flex flex-wrap items-end gap-2">
            {desk.outputs.map((output) => (
              <div
                key={output.id}
                title={output.name}
                className="rounded border border-edge"
                style={{ width: Math.min(220, (LOOKED_AT_PX * output.widthPx) / output.heightPx) }}
              >
                <OutputPicture
                  output={output}
                  state={planState}
                  drawing={drawing}
                  label={t`On ${output.name} under ${shownPlan.name}`}
                  isStill
                />
              </div>
            ))}
          </div>
        </div>
      )}
      <div ref={room} className="min-h-0 flex-1 overflow-y-auto overflow-x-hidden" tabIndex={fits ? -1 : 0}>
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2.5">
          {size.widthPx > 0 &&
            outputs.map((output, index) => {
              const planned = state.plan.outputs[output.id];
              const layerIds = planned?.layerIds ?? [];
              return (
                <OutputCard
                  key={output.id}
                  output={output}
                  outfitName={desk.outfits.find(({ id }) => id === planned?.outfitId)?.name ?? t`no outfit`}
                  rehearsal={
                    desk.channel === "air"
                      ? null
                      : desk.rehearsedOn.includes(output.id)
                        ? "here"
                        : "elsewhere"
                  }
                  isHeld={showsAny(state, output.id, heldIds, presentMs ?? 0)}
                  isOnAir={showsAnything(state, output.id, layerIds, presentMs ?? 0)}
                  hasNext={desk.next !== undefined}
                  hidden={wordLayers.filter(({ id }) => !layerIds.includes(id)).map(({ name }) => name)}
                  link={`/out/${outputTokens[output.id]}${output.backdrop === "transparent" ? "?over=picture" : ""}`}
                  pictureWidthPx={widths[index] ?? 0}
                  now={
                    <OutputPicture
                      output={output}
                      state={state}
                      drawing={drawing}
                      label={t`On ${output.name} now`}
                    />
                  }
                  next={
                    <OutputPicture
                      output={output}
                      state={nextState}
                      drawing={drawing}
                      label={t`On ${output.name} after the next take`}
                      isStill
                    />
                  }
                  onEnlarge={(what) => setEnlarged({ output, what })}
                />
              );
            })}
        </div>
      </div>
      {enlarged && (
        <Enlarged
          output={enlarged.output}
          state={enlarged.what === "now" ? state : nextState}
          drawing={drawing}
          isNext={enlarged.what === "next"}
          onClose={() => setEnlarged(null)}
        />
      )}
    </section>
  );
});
