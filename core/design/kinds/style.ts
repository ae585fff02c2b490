import { t } from "../../language/t.ts";
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
      if (!what) return part === "name" ? t`The name ${fromTo(change)}.` : t`“${part}” was changed.`;
      if (isGone(change)) return t`The ${what} “${name}” was deleted.`;
      return change.path.length === 2
        ? t`The ${what} “${name}” ${fromTo(change)}.`
        : t`The ${what} “${name}” was changed.`;
    }),
};

const WHAT: Readonly<Record<string, string>> = {
  colors: t`colour`,
  fonts: t`typeface`,
  numbers: t`measure`,
  shadows: t`shadow`,
};
