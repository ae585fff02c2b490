import { useEffect, useState } from "react";
import { showsAnything } from "../../core/show/layers.ts";
import { pageAt } from "../../core/show/slot.ts";
import { DeskContext, useDesk, useDeskStore, useDrawing, useServerTime } from "../desk/deskContext.ts";
import { type DeskStart, DeskStore } from "../desk/deskStore.ts";
import { useNextState } from "../desk/useNextState.ts";
import { describeHealth } from "../screens/health.ts";
import { formatLength, formatTimeOfDay } from "../ui/format.ts";
import { OutputPicture } from "../ui/OutputPicture.tsx";

/** Everything at a glance, for anyone with the link: it sees and can do nothing. */
export function WatchView({ start, showName }: { start: DeskStart; showName: string }) {
  const [store] = useState(() => new DeskStore(start));
  useEffect(() => {
    store.connect();
    return () => store.disconnect();
  }, [store]);
  return (
    <DeskContext value={store}>
      <Wall showName={showName} />
    </DeskContext>
  );
}

/** Columns for as many pictures: as large as they go. */
const columnsFor = (count: number): number => (count <= 1 ? 1 : count <= 6 ? 2 : count <= 9 ? 3 : 4);

function Wall({ showName }: { showName: string }) {
  const desk = useDesk();
  const store = useDeskStore();
  const drawing = useDrawing();
  const nowMs = useServerTime(250);
  const { state, outputs } = desk;
  const nextState = useNextState(desk, nowMs);
  const columns = columnsFor(outputs.length);
  return (
    <div className="flex h-dvh flex-col gap-3 bg-ground p-4">
      <header className="flex items-baseline gap-8">
        <h1 className="text-[26px] font-bold">{showName}</h1>
        <p className="text-[20px] text-second">
          Plan <strong className="text-paper">{state.plan.name}</strong>
        </p>
        {Object.keys(state.tests).length > 0 && (
          <p className="hatched rounded px-3 text-[20px] font-bold">TEST PICTURES</p>
        )}
        {Object.values(state.shutters).some(({ untilMs }) => untilMs === null) && (
          <p className="hatched rounded px-3 text-[20px] font-bold">SHUT</p>
        )}
        {desk.status.kind !== "open" && <p className="text-[20px] font-bold text-attention">no connection</p>}
        <time className="ml-auto font-mono text-[34px] font-semibold" suppressHydrationWarning>
          {nowMs === null ? "--:--:--" : formatTimeOfDay(nowMs, desk.state.timeZone)}
        </time>
      </header>
      <main
        aria-label="All screens"
        className="grid min-h-0 flex-1 content-start gap-4 overflow-y-auto"
        style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
      >
        {outputs.map((output, index) => {
          const planned = state.plan.outputs[output.id];
          const isOnAir = showsAnything(state, output.id, planned?.layerIds ?? [], nowMs ?? 0);
          const facts = describeHealth(
            output,
            desk.screens.find(({ outputId }) => outputId === output.id),
            nowMs,
          );
          const shape = output.widthPx / output.heightPx;
          const heightVh = 80 / Math.ceil(outputs.length / columns) - 7;
          return (
            <article key={output.id}>
              <h2
                className={`mb-1.5 flex items-baseline gap-3 font-bold whitespace-nowrap ${columns > 2 ? "text-[18px]" : "text-[22px]"}`}
              >
                <span className="min-w-0 truncate">
                  {index + 1} · {output.name}
                </span>
                <span
                  className={`shrink-0 text-[18px] font-normal ${facts.isBad ? "text-attention" : "text-second"}`}
                >
                  {facts.word}
                </span>
                {isOnAir && !facts.isEmpty && (
                  <span className="ml-auto shrink-0 rounded bg-air px-2 text-[18px] text-on-bright">
                    ON AIR
                  </span>
                )}
              </h2>
              <div className="flex items-end gap-3">
                <div
                  className={`min-w-0 rounded border-4 ${columns <= 2 ? "flex-1" : "flex-2"} ${isOnAir && !facts.isEmpty ? "border-air" : "border-edge"}`}
                  style={{ maxWidth: `${heightVh * shape}vh` }}
                >
                  <OutputPicture
                    output={output}
                    state={state}
                    drawing={drawing}
                    label={`On ${output.name} now`}
                  />
                </div>
                <div
                  className={`min-w-0 flex-1 rounded border-4 ${desk.next ? "border-dashed border-next" : "border-edge"}`}
                  style={{ maxWidth: `${columns <= 2 ? heightVh * shape : (heightVh * shape) / 2}vh` }}
                >
                  <OutputPicture
                    output={output}
                    state={nextState}
                    drawing={drawing}
                    label={`On ${output.name} after the next take`}
                    isStill
                  />
                </div>
              </div>
            </article>
          );
        })}
      </main>
      <footer className="flex gap-3 text-[18px]">
        {state.layers.map((layer) => {
          const page = pageAt(state.slots[layer.id] ?? [], nowMs ?? 0);
          const since = state.slots[layer.id]?.at(-1)?.sinceMs;
          return (
            <div
              key={layer.id}
              className={`min-w-0 flex-1 border-t-4 pt-1 ${page ? "border-air" : "border-edge"}`}
            >
              <p className="text-second">{layer.name}</p>
              <p className="truncate font-semibold">
                {page ? (store.findContent(page.content)?.title ?? "…") : "empty"}
                {page && since !== undefined && nowMs !== null && (
                  <span className="ml-2 font-mono font-normal text-second">
                    {formatLength(nowMs - since)}
                  </span>
                )}
              </p>
            </div>
          );
        })}
      </footer>
    </div>
  );
}
