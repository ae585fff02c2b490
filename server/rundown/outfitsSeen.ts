import type { Wardrobe } from "../../core/rundown/compileContext.ts";
import { canvasOf } from "../../core/venue/plan.ts";
import { outfitForShape } from "../../core/venue/shape.ts";
import type { ScreenStore } from "../store/screenStore.ts";

/** What of screens and plans decides which steps cues have: the outfit each screen is seen in, by its shape. */
export function outfitsSeen({ plans, outputs }: ScreenStore, wardrobes: readonly Wardrobe[]): string {
  const canvasOfOutfit = (id: string) =>
    wardrobes.find(({ outfitId }) => outfitId === id)?.templates.get("words")?.[0]?.template.canvas;
  return JSON.stringify(
    plans.map((plan) => [
      plan.id,
      outputs.map((output) => {
        const outfitId = plan.outputs[output.id]?.outfitId;
        const variants = wardrobes.find((wardrobe) => wardrobe.outfitId === outfitId)?.variants ?? [];
        return [output.id, outfitId && outfitForShape(outfitId, variants, canvasOf(output), canvasOfOutfit)];
      }),
    ]),
  );
}
