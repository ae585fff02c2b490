import { objectSubject } from "../findings/finding.ts";
import { overflow } from "../findings/kinds/overflow.ts";
import { smallestSize } from "../findings/kinds/smallestSize.ts";
import type { ObjectContext } from "./objectContext.ts";
import type { TextSize } from "./part.ts";

/** Says how large words came out, and whether all of them are inside. */
export function reportFit(
  object: { readonly id: string },
  block: Pick<TextSize, "sizePx" | "condensed" | "fits">,
  { minSizePx, maxSizePx }: { readonly minSizePx: number; readonly maxSizePx: number },
  context: ObjectContext,
): void {
  const { sizePx, condensed, fits } = block;
  context.reportText({ objectId: object.id, sizePx, condensed, fits });
  if (!fits) context.report(overflow(objectSubject(object.id), {}));
  else if (sizePx < minSizePx + 0.25 && minSizePx + 0.25 < maxSizePx)
    context.report(smallestSize(objectSubject(object.id), { sizePx }));
}
