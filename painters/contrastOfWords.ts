import { contrastAround } from "../core/color/contrastAround.ts";
import { composeSlot } from "../core/compose/compose.ts";
import { type Placement, placementsAt } from "../core/compose/placements.ts";
import { lettersOf } from "../core/design/edit/lettersOf.ts";
import { growToPixels, type Rect } from "../core/picture/picture.ts";
import type { LaidOutPage } from "../core/scene/part.ts";
import type { Slot } from "../core/show/slot.ts";
import { drawOnCanvas } from "./canvasStage.ts";
import { boundsOf, isAtRest } from "./geometry.ts";
import type { PaintKit } from "./paint.ts";

/** What is read around the words, px. */
const AROUND_PX = 8;

/**
 * How well the words of an object can be read on the page that they are on, at an instant of its life, whatever picture is behind it.
 * @param box where the object stands, px
 * @returns 1 to 21; null where no letters are seen
 */
export function contrastOfWords(
  page: LaidOutPage,
  { objectId, box }: { readonly objectId: string; readonly box: Rect },
  { slot, atMs }: { readonly slot: Slot; readonly atMs: number },
  kit: PaintKit,
): number | null {
  const crop = growToPixels(box, AROUND_PX);
  const { x, y, width, height } = crop;
  const [left, top] = [Math.max(0, x), Math.max(0, y)];
  const widthPx = Math.min(page.widthPx, x + width) - left;
  const heightPx = Math.min(page.heightPx, y + height) - top;
  if (widthPx <= 0 || heightPx <= 0) return null;
  const painted = (shown: LaidOutPage) => {
    const { context } = kit.makeCanvas(widthPx, heightPx);
    const pieces = composeSlot(slot, "words", () => ({ templateHash: "one", laidOut: shown }));
    const parts = { kit, scale: 1, widthPx, heightPx, from: { xPx: left, yPx: top } };
    const near = placementsAt({ pieces }, atMs, shown).filter((placement) => mayTouch(placement, crop));
    drawOnCanvas(context, near, parts);
    return { data: context.getImageData(0, 0, widthPx, heightPx).data, widthPx };
  };
  return contrastAround(painted(page), painted(lettersOf(page, objectId)));
}

/** False for what stands elsewhere: it need not be painted. */
function mayTouch(placement: Placement, crop: Rect): boolean {
  if (placement.kind !== "plate" || !isAtRest(placement.pose)) return true;
  const { x, y, width, height } = boundsOf(placement);
  return x < crop.x + crop.width && crop.x < x + width && y < crop.y + crop.height && crop.y < y + height;
}
