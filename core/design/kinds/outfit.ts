import { t } from "../../language/t.ts";
import { outfitKind } from "../../stored/kinds/outfit.ts";
import type { Outfit } from "../../venue/outfit.ts";
import { fromTo, isGone } from "../sayChanges.ts";
import type { Branch } from "../tree.ts";
import type { DesignKind } from "./designKind.ts";

/** What it wears is found by the field set it is for. */
export const outfitDesign: DesignKind<Outfit> = {
  stored: outfitKind,
  toTree: (outfit) => outfit as unknown as Branch,
  fromTree: (tree) => tree,
  inWords: (changes) =>
    changes.map((change) => {
      const [part = "", name = ""] = change.path;
      switch (part) {
        case "wears":
          return isGone(change)
            ? t`Nothing is worn for “${name}” any more.`
            : t`What is worn for “${name}” was changed.`;
        case "linesPerSlide":
          return t`Lines on a slide: ${fromTo(change)}.`;
        case "name":
          return t`The name ${fromTo(change)}.`;
        default:
          return t`Outfits that stand in for it were changed.`;
      }
    }),
};
