import { Hand, Pin, Zap } from "lucide-react";
import { memo } from "react";
import { t } from "../../core/language/t.ts";
import { isFilled, pagesOn } from "../../core/show/layers.ts";
import { pageAt } from "../../core/show/slot.ts";
import type { ShowState } from "../../core/show/state.ts";
import { CueFeedMark } from "../desk/CueFeedMark.tsx";
import { countsDown } from "../desk/countsDown.ts";
import { useDesk, useDeskStore, useReading } from "../desk/deskContext.ts";
import { useHeldIds } from "../desk/useHeldIds.ts";
import { usePresentTime } from "../desk/usePresentTime.ts";
import { FreezeButton } from "../prepare/forms/bindings/FreezeButton.tsx";
import { formatLength } from "../ui/format.ts";
import { LayerSettings } from "./LayerSettings.tsx";

/** One strip for each layer: what is on it, for how long, what is left, its own out. */
export const Layers = memo(function Layers() {
  const store = useDeskStore();
  const { state, outputs, fieldSets } = useDesk("state", "outputs", "fieldSets");
  const heldIds = useHeldIds();
  const presentMs = usePresentTime();
  /** Whether what is on air has a countdown that can be paused. */
  const counts = (content: string) => {
    const page = store.findContent(content);
    return page !== undefined && countsDown(page, fieldSets);
  };
  const titleOf = (content: string) => store.findContent(content)?.title ?? t`on air`;
  return (
    <section
      aria-label={t`Layers`}
      className="relative grid h-full shrink-0 auto-cols-[minmax(132px,1fr)] grid-flow-col overflow-x-auto border-t border-edge max-[1100px]:h-auto"
    >
      {state.layers.map((layer, index) => {
        const slot = state.slots[layer.id] ?? [];
        const page = pageAt(slot, presentMs ?? 0);
        const moment = slot.at(-1);
        const own = [...pagesOn(state, layer.id, presentMs ?? 0)].flatMap(([outputId, other]) => {
          const output = outputId === null ? undefined : outputs.find(({ id }) => id === outputId);
          return output ? [{ output, title: other ? titleOf(other.content) : null }] : [];
        });
        const alone = own.filter(({ title }) => title !== null);
        const title =
          [
            page && titleOf(page.content),
            ...own.map(({ output, title: words }) => `${output.name}: ${words ?? t`empty`}`),
          ]
            .filter((words) => words)
            .join(" · ") || undefined;
        const isOn = title !== undefined && isFilled(state, layer.id, presentMs ?? 0);
        const edited = page !== null && heldIds.has(page.cueId);
        const isPausable = page !== null && counts(page.content);
        // In the place of how long it has been there; at the top where "send" needs the room.
        const leaves = page && moment?.endsAtMs != null ? <LeavesIn endsAtMs={moment.endsAtMs} /> : undefined;
        return (
          <div
            key={layer.id}
            className={`flex min-w-0 flex-col border-r border-edge px-2.5 pb-2 ${isOn ? "" : "max-sm:hidden"} ${isOn ? "border-t-4 border-t-air bg-raised pt-1" : "pt-2"}`}
          >
            <div className="flex items-center gap-1.5 text-[14px] text-second">
              <span className="min-w-0 truncate">{layer.name}</span>
              {layer.persistent && (
                <Pin aria-label={t`stays when others are cleared`} className="size-3.5 shrink-0" />
              )}
              {state.triggers.heldLayers.includes(layer.id) && (
                <Hand
                  aria-label={t`held: triggers leave it alone`}
                  className="size-3.5 shrink-0 text-attention"
                />
              )}
              {page && isByTrigger(state, layer.id, page.cueId) && (
                <Zap aria-label={t`brought by a trigger`} className="size-3.5 shrink-0" />
              )}
              {edited && (
                <span aria-hidden="true" className="font-semibold text-attention">
                  ○
                </span>
              )}
              {edited && leaves}
              <span className="ml-auto flex shrink-0 items-center">
                {page && store.findContent(page.content)?.live && <FreezeButton cueId={page.cueId} isSmall />}
                <LayerSettings
                  layer={layer}
                  alone={alone.map(({ output, title: words }) => ({
                    outputId: output.id,
                    name: output.name,
                    title: words ?? "",
                  }))}
                />
              </span>
            </div>
            <p
              className={`line-clamp-2 text-[15px] leading-tight max-sm:line-clamp-1 ${isOn ? "font-semibold" : "text-quiet"}`}
              title={title}
            >
              {title ?? t`empty`}
            </p>
            {page && (
              <CueFeedMark cueId={page.cueId} live={store.findContent(page.content)?.live} isOneLine />
            )}
            <div
              className={`mt-auto flex items-center justify-between gap-1 pt-0.5 ${isPausable && edited ? "flex-wrap justify-end" : ""}`}
            >
              <p className="min-w-0 truncate font-mono text-[14px] text-second tabular-nums">
                {page && moment && !edited && (leaves ?? <SinceWhen sinceMs={moment.sinceMs} />)}
              </p>
              {edited && (
                <button
                  type="button"
                  title={t`This page was edited since it was taken: the edits are held until they are sent`}
                  onClick={() => store.air.press({ kind: "send", layerId: layer.id })}
                  className="min-h-8 shrink-0 rounded-md border border-attention px-1.5 text-[14px] text-attention hover:bg-lifted"
                >
                  {t`send`}
                </button>
              )}
              {isPausable && (
                <button
                  type="button"
                  aria-pressed={moment?.paused?.at(-1)?.untilMs === null}
                  title={t`Has the countdown stand still, or go on`}
                  onClick={() => store.air.pauseCountdown(layer.id, moment?.paused?.at(-1)?.untilMs !== null)}
                  // As wide for either word: the key beside it stays where it is.
                  className="min-h-8 w-[49px] shrink-0 rounded-md bg-lifted text-[13px] hover:bg-edge aria-pressed:bg-attention aria-pressed:text-on-bright"
                >
                  {moment?.paused?.at(-1)?.untilMs === null ? t`resume` : t`pause`}
                </button>
              )}
              {alone.slice(0, 1).map(({ output }) => (
                <button
                  key={output.id}
                  type="button"
                  title={t`Takes ${layer.name} off ${output.name} alone`}
                  onClick={() => store.air.layerOut(layer.id, output.id)}
                  className="min-h-8 min-w-0 truncate rounded-md bg-lifted px-1.5 text-[14px] hover:bg-edge"
                >
                  {t`${output.name} out`}
                </button>
              ))}
              <button
                type="button"
                disabled={!isOn}
                onClick={() => store.air.layerOut(layer.id)}
                className="flex min-h-8 shrink-0 items-center gap-1 rounded-md bg-lifted px-1.5 text-[14px] hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted"
              >
                <span className="sr-only">{layer.name} </span>
                {t`out`}
                <kbd>{index + 1}</kbd>
              </button>
            </div>
          </div>
        );
      })}
    </section>
  );
});

/** Whether a trigger has brought it, and no hand has made it its own since. */
const isByTrigger = ({ triggers, touched }: ShowState, layerId: string, cueId: string): boolean =>
  touched[layerId]?.by?.kind === "trigger" &&
  Object.values(triggers.put).some((put) => put.layerId === layerId && put.cueId === cueId);

function LeavesIn({ endsAtMs }: { endsAtMs: number }) {
  const left = useReading((nowMs) => formatLength(endsAtMs - nowMs + 999));
  return (
    left !== null && (
      <span title={t`until it leaves by itself`} className="font-mono text-paper tabular-nums">
        −{left}
      </span>
    )
  );
}

function SinceWhen({ sinceMs }: { sinceMs: number }) {
  return useReading((nowMs) => formatLength(nowMs - sinceMs));
}
