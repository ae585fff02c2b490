import { useEffect, useMemo, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import { showsAnything } from "../../core/show/layers.ts";
import { pageAt } from "../../core/show/slot.ts";
import type { Output } from "../../core/venue/plan.ts";
import { DeskContext, useDesk, useDeskStore, useDrawing, useReading } from "../desk/deskContext.ts";
import type { DeskStart } from "../desk/deskSnapshot.ts";
import { DeskStore } from "../desk/deskStore.ts";
import { useHealthFacts } from "../desk/useHealthFacts.ts";
import { useLocale } from "../desk/useLocale.ts";
import { useNextState } from "../desk/useNextState.ts";
import { usePresentTime } from "../desk/usePresentTime.ts";
import { OutputPicture } from "../pictures/OutputPicture.tsx";
import { cardWidth, fillRoom } from "../pictures/pictureSizes.ts";
import { TallyMark } from "../pictures/TallyMark.tsx";
import { formatLength, formatTimeOfDay } from "../ui/format.ts";
import { useSize } from "../ui/useSize.ts";

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

/** Frames are thicker here than in Run. */
const FRAMES_PX = 16;

function Wall({ showName }: { showName: string }) {
  const desk = useDesk("state", "outputs", "status");
  const store = useDeskStore();
  const presentMs = usePresentTime();
  const { state, outputs } = desk;
  const room = useRef<HTMLElement>(null);
  const { widthPx, heightPx } = useSize(room);
  const { widths } = useMemo(
    () => fillRoom(outputs, widthPx, heightPx - FRAMES_PX),
    [outputs, widthPx, heightPx],
  );
  return (
    <div className="flex h-dvh flex-col gap-3 bg-ground p-4">
      <header className="flex flex-wrap items-baseline gap-x-8">
        <h1 className="text-[26px] font-bold">{showName}</h1>
        <p className="text-[20px] text-second">
          {t`Plan`} <strong className="text-paper">{state.plan.name}</strong>
        </p>
        {Object.keys(state.tests).length > 0 && (
          <p className="hatched rounded px-3 text-[20px] font-bold">{t`TEST PICTURES`}</p>
        )}
        {outputs.some(({ id }) => state.shutters[id]?.untilMs === null) && (
          <p className="hatched rounded px-3 text-[20px] font-bold">
            {t`SHUT: ${outputs
              .filter(({ id }) => state.shutters[id]?.untilMs === null)
              .map(({ name }) => name)
              .join(", ")}`}
          </p>
        )}
        {desk.status.kind !== "open" && (
          <p className="text-[20px] font-bold text-attention">
            {desk.status.kind === "silent" ? t`no answer from the server` : t`no connection`}
          </p>
        )}
        <Clock />
      </header>
      <main
        ref={room}
        aria-label={t`All screens`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="flex min-h-0 flex-1 flex-wrap content-start items-end gap-x-4 gap-y-2.5 overflow-y-auto overflow-x-hidden"
      >
        {widthPx > 0 &&
          outputs.map((output, index) => (
            <Screen key={output.id} output={output} index={index} pictureWidthPx={widths[index] ?? 0} />
          ))}
      </main>
      <footer className="flex flex-wrap gap-3 text-[18px]">
        {state.layers.map((layer) => {
          const page = pageAt(state.slots[layer.id] ?? [], presentMs ?? 0);
          const since = state.slots[layer.id]?.at(-1)?.sinceMs;
          return (
            <div
              key={layer.id}
              className={`min-w-28 flex-1 border-t-4 pt-1 ${page ? "border-air" : "border-edge"}`}
            >
              <p className="text-second">{layer.name}</p>
              <p className="truncate font-semibold">
                {page ? (store.findContent(page.content)?.title ?? "…") : t`empty`}
                {page && since !== undefined && <SinceWhen sinceMs={since} />}
              </p>
            </div>
          );
        })}
      </footer>
    </div>
  );
}

/** One screen: what it shows, what it would show next, how it does. */
function Screen({
  output,
  index,
  pictureWidthPx,
}: {
  output: Output;
  index: number;
  pictureWidthPx: number;
}) {
  const { state, next } = useDesk("state", "next");
  const nextState = useNextState();
  const presentMs = usePresentTime();
  const drawing = useDrawing();
  const facts = useHealthFacts(output);
  const layerIds = state.plan.outputs[output.id]?.layerIds ?? [];
  const isOnAir = showsAnything(state, output.id, layerIds, presentMs ?? 0);
  const isNarrow = pictureWidthPx < 190;
  return (
    <article style={{ width: cardWidth(pictureWidthPx) }}>
      <h2
        className={`flex h-8 items-baseline gap-3 overflow-hidden font-bold whitespace-nowrap ${isNarrow ? "text-[16px]" : "text-[20px]"}`}
      >
        <span className="min-w-0 truncate">
          {index + 1} · {output.name}
        </span>
        <span
          className={`shrink-0 text-[16px] font-normal ${facts.isBad ? "text-attention" : "text-second"}`}
        >
          {facts.word}
        </span>
        <TallyMark outputId={output.id} className="shrink-0" />
        {isOnAir && !facts.isEmpty && (
          <span className="ml-auto shrink-0 rounded bg-air px-2 text-[16px] text-on-bright">{t`ON AIR`}</span>
        )}
      </h2>
      <div className="flex items-end gap-2.5">
        <div
          className={`min-w-0 rounded border-4 ${isOnAir && !facts.isEmpty ? "border-air" : "border-edge"}`}
          style={{ width: pictureWidthPx }}
        >
          <OutputPicture output={output} state={state} drawing={drawing} label={t`On ${output.name} now`} />
        </div>
        <div
          className={`min-w-0 rounded border-4 ${next ? "border-dashed border-next" : "border-edge"}`}
          style={{ width: pictureWidthPx }}
        >
          <OutputPicture
            output={output}
            state={nextState}
            drawing={drawing}
            label={t`On ${output.name} after the next take`}
            isStill
          />
        </div>
      </div>
    </article>
  );
}

function Clock() {
  const locale = useLocale();
  const time = useReading((nowMs) => formatTimeOfDay(nowMs, locale));
  return (
    <time className="ml-auto font-mono text-[34px] font-semibold" suppressHydrationWarning>
      {time ?? "--:--:--"}
    </time>
  );
}

function SinceWhen({ sinceMs }: { sinceMs: number }) {
  const length = useReading((nowMs) => formatLength(nowMs - sinceMs));
  return <span className="ml-2 font-mono font-normal text-second">{length}</span>;
}
