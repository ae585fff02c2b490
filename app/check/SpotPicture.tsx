import type { Spot } from "../../core/check/gather.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Output } from "../../core/venue/plan.ts";
import { SpotOutlines } from "../desk/check/SpotOutlines.tsx";
import { useDrawing } from "../desk/deskContext.ts";
import { OutputPicture } from "../pictures/OutputPicture.tsx";

/** A screen as it is at a step, with what was found outlined. */
export function SpotPicture({
  output,
  state,
  spots,
  caption,
  isTall = false,
}: {
  output: Output;
  state: ShowState;
  spots: readonly Spot[];
  caption: string;
  isTall?: boolean;
}) {
  const drawing = useDrawing();
  return (
    <figure className={isTall ? "row-span-3 mx-auto w-[62%]" : ""}>
      <figcaption className="mb-1 flex justify-between gap-3 text-[14px]">
        <span className="font-semibold">{output.name}</span>
        <span className="text-second">{caption}</span>
      </figcaption>
      <div className="relative rounded-md border-2 border-edge p-0.5">
        <OutputPicture
          output={output}
          state={state}
          drawing={drawing}
          label={`${output.name}, ${caption}`}
          isStill
        />
        <SpotOutlines output={output} spots={spots} />
      </div>
    </figure>
  );
}
