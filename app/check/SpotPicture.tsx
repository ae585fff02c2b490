import type { Spot } from "../../core/check/gather.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDrawing } from "../desk/deskContext.ts";
import { OutputPicture } from "../pictures/OutputPicture.tsx";

/** Room between what is outlined and its outline, px of the screen. */
const AROUND_PX = 10;

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
  const left = output.region?.xPx ?? 0;
  const top = output.region?.yPx ?? 0;
  const share = (px: number, of: number) => `${(px / of) * 100}%`;
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
        <div aria-hidden="true" className="pointer-events-none absolute inset-0.5 overflow-hidden">
          {spots.map(
            ({ rect }, at) =>
              rect && (
                <span
                  // biome-ignore lint/suspicious/noArrayIndexKey: outlines have no names
                  key={at}
                  className="absolute rounded-[3px] outline-2 outline-attention outline-dashed"
                  style={{
                    left: share(rect.x - left - AROUND_PX, output.widthPx),
                    top: share(rect.y - top - AROUND_PX, output.heightPx),
                    width: share(rect.width + 2 * AROUND_PX, output.widthPx),
                    height: share(rect.height + 2 * AROUND_PX, output.heightPx),
                  }}
                />
              ),
          )}
        </div>
      </div>
    </figure>
  );
}
