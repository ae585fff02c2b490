import { useMemo } from "react";
import { type LyingPage, lyingOn, type StageMoment, walkEvening } from "../../core/check/walk.ts";
import { planAtBeginning } from "../../core/show/planAtBeginning.ts";
import { limitsOf } from "../../core/venue/checkLimits.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import { useDesk } from "../desk/deskContext.ts";
import { stillAddress } from "../pictures/stillAddress.ts";
import type { PaperCue } from "./paperCue.ts";
import { TickBox } from "./TickBox.tsx";

const STILL_PX = 480;

/** Every step of the evening on all screens at once, with all that lies on them by then. */
export function WalkSheet({ cues }: { cues: readonly PaperCue[] }) {
  const { state, outputs, plans, venue } = useDesk("state", "outputs", "plans", "venue");
  const { layers } = state;
  const planId = planAtBeginning(state, plans).id;
  const { wordsPerMinute } = limitsOf(venue.limits);
  const moments = useMemo(
    () => walkEvening({ cues: cues.map(asChecked), plans, planId }, wordsPerMinute),
    [cues, plans, planId, wordsPerMinute],
  );
  return (
    <ol className="flex flex-col gap-[4mm]">
      {moments.flatMap((moment) => {
        const { cue, step } = moment;
        if (step.kind === "blank" || cue.made?.content.action) return [];
        const plan = plans.find(({ id }) => id === moment.planId);
        return (
          <li
            key={`${cue.cueId}/${step.anchor.occurrence}/${step.anchor.unit}`}
            className="break-inside-avoid text-[12px]"
          >
            <p className="mb-1 flex items-start gap-1.5">
              <TickBox />
              <span>
                <strong>{cue.index + 1}</strong> {cue.title}
                {step.label && ` · ${step.label}`}
                {step.kind === "words" && (
                  <span className="font-words"> · {step.words.split("\n").join(" / ")}</span>
                )}
              </span>
            </p>
            <ul className="flex items-start gap-[3mm]">
              {outputs.flatMap((output) => {
                const outfitId = plan?.outputs[output.id]?.outfitId;
                if (!plan || outfitId === undefined) return [];
                const shown = moment.isShut
                  ? []
                  : layers.flatMap(({ id }) => lyingUnder(plan, moment, id, output) ?? []);
                return (
                  <li
                    key={output.id}
                    style={{ flexGrow: (output.widthPx / output.heightPx) ** 0.75 }}
                    className="min-w-0 basis-0"
                  >
                    <Still
                      output={output}
                      outfitId={outfitId}
                      pages={shown}
                      label={`${cue.title} on ${output.name}`}
                    />
                    <span className="block truncate">{output.name}</span>
                  </li>
                );
              })}
            </ul>
          </li>
        );
      })}
    </ol>
  );
}

function Still({
  output,
  outfitId,
  pages,
  label,
}: {
  output: Output;
  outfitId: string;
  pages: readonly LyingPage[];
  label: string;
}) {
  const style = { aspectRatio: `${output.widthPx} / ${output.heightPx}` };
  const ground = output.backdrop === "opaque" ? "bg-black" : "bg-[#2c2724]";
  const [first, ...also] = pages.flatMap(({ cue, anchor }) =>
    cue.made ? [{ cueId: cue.cueId, content: cue.made.hash, step: anchor }] : [],
  );
  if (!first)
    return (
      <div
        role="img"
        aria-label={`${label}: nothing`}
        className={`border border-edge ${ground}`}
        style={style}
      />
    );
  return (
    <img
      src={stillAddress(first, output, STILL_PX, { also, outfitId })}
      alt={label}
      className={`w-full border border-edge ${ground}`}
      style={style}
    />
  );
}

/** What lies on a layer of a screen, where the plan shows the layer there and the page has something to show on it. */
function lyingUnder(
  plan: ScreenPlan,
  moment: StageMoment,
  layerId: string,
  output: Output,
): LyingPage | undefined {
  const planned = plan.outputs[output.id];
  const lying = planned?.layerIds.includes(layerId) ? lyingOn(moment, layerId, output.id) : undefined;
  return lying?.cue.made && planned && planned.outfitId in lying.cue.made.content.wardrobe
    ? lying
    : undefined;
}

const asChecked = ({ view, index, title, ready }: PaperCue) => ({
  ...{ cueId: view.cueId, index, title, revision: view.revision, doc: view.doc, problem: null },
  made: ready ? { hash: ready.hash, content: ready.content } : null,
});
