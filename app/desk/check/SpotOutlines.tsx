import type { Spot } from "../../../core/check/gather.ts";
import type { Output } from "../../../core/venue/plan.ts";

/** Room between what is outlined and its outline, px of the screen. */
const AROUND_PX = 10;

/** Outlines of what was found, over the picture of a screen; its parent is placed and has half a unit of padding. */
export function SpotOutlines({ output, spots }: { output: Output; spots: readonly Spot[] }) {
  const left = output.region?.xPx ?? 0;
  const top = output.region?.yPx ?? 0;
  const share = (px: number, of: number) => `${(px / of) * 100}%`;
  return (
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
  );
}
