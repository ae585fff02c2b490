import { objectSubject } from "../findings/finding.ts";
import { overflow } from "../findings/kinds/overflow.ts";
import { smallestSize } from "../findings/kinds/smallestSize.ts";
import type { ObjectContext } from "./objectContext.ts";

/** Says how large words came out, and whether all of them are inside. */
export function reportFit(
  object: { readonly id: string },
  block: { readonly sizePx: number; readonly fits: boolean },
  { minSizePx, maxSizePx }: { readonly minSizePx: number; readonly maxSizePx: number },
  context: ObjectContext,
): void {
  context.reportText({ objectId: object.id, sizePx: block.sizePx, fits: block.fits });
  if (!block.fits) context.report(overflow(objectSubject(object.id), {}));
  else if (block.sizePx < minSizePx + 0.25 && minSizePx + 0.25 < maxSizePx)
    context.report(smallestSize(objectSubject(object.id), { sizePx: block.sizePx }));
}
