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
            ? `Nothing is worn for “${name}” any more.`
            : `What is worn for “${name}” was changed.`;
        case "linesPerSlide":
          return `Lines on a slide: ${fromTo(change)}.`;
        case "name":
          return `The name ${fromTo(change)}.`;
        default:
          return "Outfits that stand in for it were changed.";
      }
    }),
};
