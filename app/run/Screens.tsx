import { ExternalLink } from "lucide-react";
import { useMemo, useState } from "react";
import type { Output } from "../../core/screens/plan.ts";
import { stateUnderPlan } from "../../core/screens/preview.ts";
import { showsAny } from "../../core/show/held.ts";
import { showsAnything } from "../../core/show/layers.ts";
import { useDeskStore, useDrawing } from "../desk/deskContext.ts";
import type { DeskSnapshot } from "../desk/deskStore.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { useNextState } from "../desk/useNextState.ts";
import { describeHealth, type HealthFacts } from "../screens/health.ts";
import { Enlarged } from "../ui/Enlarged.tsx";
import { OutputPicture } from "../ui/OutputPicture.tsx";
import { PlanChips } from "./PlanChips.tsx";

/** Every output: what is on air, live, and beside it what the take key would make of it. The first two are large. */
export function Screens({
  desk,
  outfits,
  outputTokens,
  heldIds,
  nowMs,
}: {
  desk: DeskSnapshot;
  outfits: readonly DeskOutfit[];
  outputTokens: Readonly<Record<string, string>>;
  /** Cues on air whose edits are held. */
  heldIds: ReadonlySet<string>;
  nowMs: number | null;
}) {
  const store = useDeskStore();
  const drawing = useDrawing();
  const [enlarged, setEnlarged] = useState<Output | null>(null);
  const { state } = desk;
  const afterTake = useNextState(desk, nowMs);
  const [shownPlanId, setShownPlanId] = useState<string | null>(null);
  const shownPlan = desk.plans.find(({ id }) => id === shownPlanId && id !== state.plan.id);
  const nextState = useMemo(
    () => (shownPlan ? stateUnderPlan(state, shownPlan, store.now()) : afterTake),
    [shownPlan, state, afterTake, store],
  );
  return (
    <section aria-label="Outputs" className="flex flex-col gap-1.5 px-4 py-2">
      <div className="flex min-h-8 items-center gap-2 text-[14px] text-second">
        <PlanChips desk={desk} shownId={shownPlanId} onShow={setShownPlanId} />
        {Object.keys(state.tests).length > 0 && (
          <span className="flex items-center gap-2 font-semibold text-attention">
            <span aria-hidden="true" className="hatched size-4 rounded" /> test pictures are on
            <button
              type="button"
              onClick={() => store.press({ kind: "test", outputIds: null, picture: null })}
              className="min-h-8 rounded-md bg-attention px-2.5 text-on-bright"
            >
              Off
            </button>
          </span>
        )}
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        {desk.outputs.map((output, index) => {
          const planned = state.plan.outputs[output.id];
          const health = desk.screens.find(({ outputId }) => outputId === output.id);
          return (
            <OutputCard
              key={output.id}
              output={output}
              outfitName={outfits.find(({ id }) => id === planned?.outfitId)?.name ?? "no outfit"}
              rehearsal={
                desk.channel === "air" ? null : desk.rehearsedOn.includes(output.id) ? "here" : "elsewhere"
              }
              isHeld={showsAny(state, output.id, heldIds, nowMs ?? 0)}
              isOnAir={showsAnything(state, output.id, planned?.layerIds ?? [], nowMs ?? 0)}
              facts={describeHealth(output, health, nowMs)}
              link={`/out/${outputTokens[output.id]}${output.backdrop === "transparent" ? "?over=picture" : ""}`}
              widths={pictureWidths(output, index, desk.outputs.length)}
              now={
                <OutputPicture
                  output={output}
                  state={state}
                  drawing={drawing}
                  label={`On ${output.name} now`}
                />
              }
              next={
                <OutputPicture
                  output={output}
                  state={nextState}
                  drawing={drawing}
                  label={`On ${output.name} after the next take`}
                  isStill
                />
              }
              onEnlarge={() => setEnlarged(output)}
            />
          );
        })}
      </div>
      {enlarged && (
        <Enlarged output={enlarged} state={state} drawing={drawing} onClose={() => setEnlarged(null)} />
      )}
    </section>
  );
}

/** Room beside the script for a picture and the next one, px. */
const ROOM_PX = 448;

/** The narrowest card: its name and how it does stand in one line. */
const LEAST_PX = 165;

/** How wide an output's two pictures are: the first ones large, others by their shape. */
function pictureWidths(
  output: Output,
  index: number,
  count: number,
): { readonly now: number; readonly next: number } {
  const shape = output.widthPx / output.heightPx;
  if (index < 2) {
    return count <= 2 ? { now: 268, next: 170 } : { now: 172, next: 172 };
  }
  if (shape > 3) return { now: 190, next: 190 };
  const heightPx = shape < 1 ? 104 : 72;
  return { now: Math.round(heightPx * shape), next: Math.round(heightPx * shape) };
}

function OutputCard({
  output,
  outfitName,
  rehearsal,
  isHeld,
  isOnAir,
  facts,
  link,
  widths,
  now,
  next,
  onEnlarge,
}: {
  output: Output;
  outfitName: string;
  /** Whether this screen shows what is rehearsed, or goes on with the air. */
  rehearsal: "here" | "elsewhere" | null;
  /** It shows a page whose edits are held. */
  isHeld: boolean;
  isOnAir: boolean;
  facts: HealthFacts;
  link: string;
  widths: { readonly now: number; readonly next: number };
  now: React.ReactNode;
  next: React.ReactNode;
  onEnlarge: () => void;
}) {
  const widthPx = widths.now + widths.next + 10;
  const isNarrow = widthPx < 220;
  const isShort = widthPx < 330;
  return (
    <article style={{ width: widthPx > 330 ? ROOM_PX : Math.max(widthPx, LEAST_PX) }}>
      <h2 className={`mb-1 flex gap-x-2 ${isNarrow ? "flex-wrap items-center" : "items-baseline"}`}>
        <span className="shrink-0 text-[15px] font-semibold">{output.name}</span>
        {!isShort && (
          <span className="truncate text-[14px] text-second">
            {rehearsal === "here"
              ? "shows the rehearsal"
              : rehearsal === "elsewhere"
                ? "keeps the air"
                : `${outfitName.toLowerCase()}${output.backdrop === "transparent" ? ", transparent" : ""}`}
          </span>
        )}
        {isHeld && !isNarrow && (
          <span
            title="Edits of what it shows are held"
            className="shrink-0 text-[14px] font-semibold text-attention"
          >
            ○ held
          </span>
        )}
        <Health facts={facts} output={output} link={link} isNarrow={isNarrow} />
      </h2>
      <div className="flex items-end gap-2.5">
        <div
          className={`relative shrink-0 rounded-md border-2 p-0.5 ${isOnAir ? (rehearsal === "here" ? "border-on-screen" : "border-air") : "border-edge"}`}
          style={{ width: widths.now }}
        >
          <button
            type="button"
            aria-label={`Enlarge ${output.name}`}
            className="block w-full"
            onClick={onEnlarge}
          >
            {now}
          </button>
          {isHeld && isNarrow && (
            // On the picture: beside the name there is no room, and nothing may move when it comes.
            <span
              title="Edits of what it shows are held"
              className="pointer-events-none absolute top-1 left-1 rounded bg-ground px-1 text-[14px] font-semibold text-attention"
            >
              ○<span className="sr-only"> held</span>
            </span>
          )}
          {facts.lateMs !== null && (
            <div aria-hidden="true" className="hatched pointer-events-none absolute inset-x-0 top-0 h-2.5" />
          )}
        </div>
        <div
          className="shrink-0 rounded-md border-2 border-dashed border-next p-0.5"
          style={{ width: widths.next }}
        >
          {next}
        </div>
      </div>
    </article>
  );
}

function Health({
  facts,
  output,
  link,
  isNarrow,
}: {
  facts: HealthFacts;
  output: Output;
  link: string;
  isNarrow: boolean;
}) {
  return (
    <span className={`ml-auto flex shrink-0 gap-2 ${isNarrow ? "items-center" : "items-baseline"}`}>
      <span
        title={facts.lines.join(", ")}
        className={`shrink-0 font-mono text-[14px] ${facts.isBad ? "font-semibold text-attention" : "text-second"}`}
      >
        {facts.word}
      </span>
      <a
        className="inline-flex min-h-6 items-center gap-1 rounded px-1 text-[14px] text-act hover:underline"
        href={link}
        target="_blank"
        rel="noopener noreferrer"
        title={
          output.backdrop === "transparent"
            ? "Opens over a stand-in picture; without ?over=picture it is transparent"
            : undefined
        }
      >
        {!isNarrow && "open"} <ExternalLink aria-hidden="true" className="size-3.5" />
        <span className="sr-only">
          {isNarrow && "open"} {output.name} in a window of its own
        </span>
      </a>
    </span>
  );
}
