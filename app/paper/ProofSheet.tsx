import { stepsOf, valuesAt } from "../../core/rundown/steps.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDesk } from "../desk/deskContext.ts";
import { stillAddress } from "../pictures/stillAddress.ts";
import type { PaperCue } from "./paperCue.ts";
import { TickBox } from "./TickBox.tsx";

const STILL_PX = 640;

/** Every step as it looks on the screens, each with a box to tick. A picture is of its page alone, as the server paints it. */
export function ProofSheet({ cues, outputs }: { cues: readonly PaperCue[]; outputs: readonly Output[] }) {
  const {
    state: { plan },
  } = useDesk("state");
  return (
    <ol className="grid grid-cols-3 gap-x-[6mm] gap-y-[5mm]">
      {cues.flatMap(({ view, index, title, ready }) =>
        !ready || ready.content.action
          ? []
          : stepsOf(ready.content)
              .filter(({ kind }) => kind !== "leave" && kind !== "blank")
              .flatMap(({ anchor, label }, at, steps) =>
                outputs.flatMap((output) => {
                  const planned = plan.outputs[output.id];
                  if (!planned) return [];
                  const { content, hash } = ready;
                  const isSeen =
                    planned.layerIds.includes(content.layerId) &&
                    [planned.outfitId, ...(content.variants[planned.outfitId] ?? [])].some((id) =>
                      valuesAt(content, id, anchor),
                    );
                  if (!isSeen) return [];
                  // A slide that stands through several steps of another screen is proofread once.
                  const before = steps[at - 1]?.anchor;
                  const shownAt = (step: typeof anchor) =>
                    JSON.stringify(valuesAt(content, planned.outfitId, step));
                  if (before && shownAt(before) === shownAt(anchor)) return [];
                  const page = { cueId: view.cueId, content: hash, step: anchor };
                  return (
                    <li
                      key={`${view.cueId}/${anchor.occurrence}/${anchor.unit}/${output.id}`}
                      className="break-inside-avoid text-[12px]"
                    >
                      <img
                        src={stillAddress(page, output, STILL_PX, { outfitId: planned.outfitId })}
                        alt={`${title} on ${output.name}`}
                        className="w-full border border-edge bg-[#2c2724]"
                        style={{ aspectRatio: `${output.widthPx} / ${output.heightPx}` }}
                      />
                      <p className="mt-1 flex items-start gap-1.5">
                        <TickBox />
                        <span>
                          <strong>{index + 1}</strong> {title}
                          {label && ` · ${label}`}
                          <span className="block">{output.name}</span>
                        </span>
                      </p>
                    </li>
                  );
                }),
              ),
      )}
    </ol>
  );
}
