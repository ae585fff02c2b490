import type { HouseStyle } from "../../scene/houseStyle.ts";
import { styleKind } from "../../stored/kinds/style.ts";
import { fromTo, isGone } from "../sayChanges.ts";
import type { Branch } from "../tree.ts";
import type { DesignKind } from "./designKind.ts";

/** Tokens are found by their names as they are written. */
export const styleDesign: DesignKind<HouseStyle> = {
  stored: styleKind,
  toTree: (style) => style as unknown as Branch,
  fromTree: (tree) => tree,
  inWords: (changes) =>
    changes.map((change) => {
      const [part = "", name = ""] = change.path;
      const what = WHAT[part];
      if (!what) return part === "name" ? `The name ${fromTo(change)}.` : `“${part}” was changed.`;
      if (isGone(change)) return `The ${what} “${name}” was deleted.`;
      return change.path.length === 2
        ? `The ${what} “${name}” ${fromTo(change)}.`
        : `The ${what} “${name}” was changed.`;
    }),
};

const WHAT: Readonly<Record<string, string>> = {
  colors: "colour",
  fonts: "typeface",
  numbers: "measure",
  shadows: "shadow",
};
