import { useMemo } from "react";
import type { PageContent } from "../../core/rundown/content.ts";
import { PAGE_ANCHOR } from "../../core/rundown/steps.ts";
import type { Layer, Output, ScreenPlan } from "../../core/screens/plan.ts";
import type { Drawing } from "../desk/deskContext.ts";
import { emptyState } from "./emptyState.ts";
import { OutputPicture } from "./OutputPicture.tsx";

/** The true picture of a page, small: on the last output that shows it, which is the one it is most particular on. */
export function CueThumbnail({
  content,
  cueId,
  hash,
  outputs,
  layers,
  plan,
  drawing,
}: {
  content: PageContent;
  cueId: string;
  hash: string;
  outputs: readonly Output[];
  layers: readonly Layer[];
  plan: ScreenPlan;
  drawing: Drawing | undefined;
}) {
  const output = [...outputs].reverse().find(({ id }) => {
    const outfitId = plan.outputs[id]?.outfitId;
    return outfitId !== undefined && content.wardrobe[outfitId] !== undefined;
  });
  const state = useMemo(
    () => emptyState(layers, plan, { cueId, content: hash, step: PAGE_ANCHOR }, content.layerId),
    [layers, plan, cueId, hash, content.layerId],
  );
  if (!output) return null;
  return (
    <span className="block w-[128px] shrink-0 overflow-hidden rounded border border-edge">
      <OutputPicture
        output={output}
        state={state}
        drawing={drawing}
        label={`${content.title} on ${output.name}`}
      />
    </span>
  );
}
