import { ExternalLink } from "lucide-react";
import { useMemo, useState } from "react";
import type { Output } from "../../core/screens/plan.ts";
import { stateAfterTake } from "../../core/screens/preview.ts";
import { pageAt } from "../../core/show/slot.ts";
import type { ScreenHealth } from "../../core/show/wire.ts";
import { useDeskStore, useDrawing } from "../desk/deskContext.ts";
import type { DeskSnapshot } from "../desk/deskStore.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { Enlarged } from "../ui/Enlarged.tsx";
import { OutputPicture } from "../ui/OutputPicture.tsx";

/** A window that has not been heard for this long is late. */
const LATE_MS = 1_800;

/** Every output: what is on air, live, and beside it what the take key would make of it. */
export function Screens({
  desk,
  outfits,
  outputTokens,
  nowMs,
}: {
  desk: DeskSnapshot;
  outfits: readonly DeskOutfit[];
  outputTokens: Readonly<Record<string, string>>;
  nowMs: number | null;
}) {
  const store = useDeskStore();
  const drawing = useDrawing();
  const [enlarged, setEnlarged] = useState<Output | null>(null);
  const { state, next } = desk;
  // A stay that ends by itself changes what lies beneath the next step, without an event.
  const present = state.layers.map(({ id }) => pageAt(state.slots[id] ?? [], nowMs ?? 0)?.cueId ?? "").join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is present depends on the time, which is read anew
  const nextState = useMemo(() => {
    const content = next && store.findContent(next.content);
    return next && content ? stateAfterTake(state, next, content.layerId, store.now()) : undefined;
  }, [state, next, store, present]);
  return (
    <section aria-label="Outputs" className="flex flex-col gap-4 px-4 py-3">
      <p className="flex items-center gap-2 text-[14px] text-second">
        Screen plan
        <span className="rounded-full border border-edge-strong px-3 py-0.5 font-semibold text-paper">
          {state.plan.name}
        </span>
      </p>
      {desk.outputs.map((output) => {
        const planned = state.plan.outputs[output.id];
        const outfit = outfits.find(({ id }) => id === planned?.outfitId)?.name ?? "no outfit";
        const onAir = (planned?.layerIds ?? []).some(
          (id) => pageAt(state.slots[id] ?? [], nowMs ?? 0) !== null,
        );
        const health = desk.screens.find(({ outputId }) => outputId === output.id);
        const late = lateness(health, nowMs);
        return (
          <article key={output.id}>
            <h2 className="mb-1.5 flex items-baseline gap-2">
              <span className="text-[15px] font-semibold">{output.name}</span>
              <span className="truncate text-[14px] text-second">
                {outfit.toLowerCase()}
                {output.backdrop === "transparent" && ", transparent"}
              </span>
              <Health health={health} output={output} lateMs={late} />
            </h2>
            <div className="flex items-end gap-2.5">
              <div
                className={`relative w-[268px] shrink-0 rounded-md border-2 p-0.5 ${onAir ? "border-air" : "border-edge"}`}
              >
                <button
                  type="button"
                  aria-label={`Enlarge ${output.name}`}
                  className="block w-full"
                  onClick={() => setEnlarged(output)}
                >
                  <OutputPicture
                    output={output}
                    state={state}
                    drawing={drawing}
                    label={`On ${output.name} now`}
                  />
                </button>
                {late !== null && (
                  <div
                    aria-hidden="true"
                    className="hatched pointer-events-none absolute inset-x-0 top-0 h-2.5"
                  />
                )}
              </div>
              <div className="min-w-0 flex-1">
                <p className="mb-1 flex items-center justify-between text-[14px] text-second">
                  next
                  <a
                    className="inline-flex min-h-8 items-center gap-1 rounded px-1.5 text-act hover:underline"
                    href={`/out/${outputTokens[output.id]}${output.backdrop === "transparent" ? "?over=picture" : ""}`}
                    target="_blank"
                    rel="noopener noreferrer"
                    title={
                      output.backdrop === "transparent"
                        ? "Opens over a stand-in picture; without ?over=picture it is transparent"
                        : undefined
                    }
                  >
                    open <ExternalLink aria-hidden="true" className="size-3.5" />
                    <span className="sr-only">{output.name} in a window of its own</span>
                  </a>
                </p>
                <div className="rounded-md border-2 border-dashed border-next p-0.5">
                  <OutputPicture
                    output={output}
                    state={nextState ?? state}
                    drawing={drawing}
                    label={`On ${output.name} after the next take`}
                    isStill
                  />
                </div>
              </div>
            </div>
          </article>
        );
      })}
      {enlarged && (
        <Enlarged output={enlarged} state={state} drawing={drawing} onClose={() => setEnlarged(null)} />
      )}
    </section>
  );
}

/** How long its windows have been silent; null when one is well, or none was ever there. */
function lateness(health: ScreenHealth | undefined, nowMs: number | null): number | null {
  if (!health || health.windows.length === 0 || nowMs === null) return null;
  const silentMs = Math.min(...health.windows.map(({ heardAtMs }) => nowMs - heardAtMs));
  return silentMs > LATE_MS ? silentMs : null;
}

function Health({
  health,
  output,
  lateMs,
}: {
  health: ScreenHealth | undefined;
  output: Output;
  lateMs: number | null;
}) {
  const windows = health?.windows ?? [];
  const base = "ml-auto shrink-0 font-mono text-[14px]";
  if (windows.length === 0) return <span className={`${base} text-second`}>no window open</span>;
  if (lateMs !== null)
    return (
      <span className={`${base} font-semibold text-attention`}>late {(lateMs / 1000).toFixed(1)} s</span>
    );
  const painted = windows[0]?.painted;
  const wrongSize =
    painted &&
    painted.widthPx > 0 &&
    (painted.widthPx !== output.widthPx || painted.heightPx !== output.heightPx);
  return (
    <span className={`${base} ${wrongSize ? "text-attention" : "text-second"}`}>
      {windows.length > 1 && `${windows.length} × `}
      {wrongSize ? `window ${painted.widthPx}×${painted.heightPx}` : "live"}
    </span>
  );
}
