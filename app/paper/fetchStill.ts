import { type StillMore, stillAddress } from "../pictures/stillAddress.ts";
import type { ProofPage } from "./proofPages.ts";

/** As they are composed; for the two inputs of a keyer; or as a screen without a background shows them. */
export const STILL_FORMS = ["picture", "fill", "key", "black"] as const;
export type StillForm = (typeof STILL_FORMS)[number];

/** The server's picture of a page, as PNG. @returns undefined when there is none, or it is called off */
export async function fetchStill(
  { page, also, output, outfitId }: Pick<ProofPage, "page" | "also" | "output" | "outfitId">,
  form: StillForm,
  signal: AbortSignal,
  life?: StillMore["life"],
): Promise<Blob | undefined> {
  const keyed = form === "fill" || form === "key" ? { signal: form } : {};
  const address = stillAddress(page, output, output.widthPx, {
    also,
    outfitId,
    ...keyed,
    ...(life && { life }),
  });
  try {
    const answer = await fetch(address, { signal });
    if (!answer.ok) return undefined;
    const still = await answer.blob();
    return form === "black" ? await overBlack(still) : still;
  } catch {
    return undefined;
  }
}

async function overBlack(still: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(still);
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext("2d", { alpha: false });
  context?.drawImage(bitmap, 0, 0);
  bitmap.close();
  return canvas.convertToBlob({ type: "image/png" });
}
