import { t } from "../../language/t.ts";
import type { FieldSet } from "../../scene/fieldSet.ts";
import { fieldSetKind } from "../../stored/kinds/fieldSet.ts";
import { putTogether, takeApart } from "../keyedList.ts";
import { byThing, fromTo, isAdded, isGone, listed } from "../sayChanges.ts";
import type { Branch } from "../tree.ts";
import type { DesignKind } from "./designKind.ts";

/** Fields are found by their names. */
export const fieldSetDesign: DesignKind<FieldSet> = {
  stored: fieldSetKind,
  toTree: ({ fields, ...head }) => {
    const { things, order } = takeApart(fields as unknown as Branch[], ({ name }) => String(name));
    return { ...(head as unknown as Branch), fields: things, fieldOrder: order };
  },
  inWords: (changes, before, after) =>
    [...byThing(changes, 2)].flatMap(([, ofOne]): readonly string[] => {
      const [change] = ofOne;
      const [part = "", name = ""] = change?.path ?? [];
      if (!change) return [];
      if (part === "fieldOrder") return isReordered(before, after) ? [t`Fields stand in another order.`] : [];
      if (part !== "fields") return [`${SAID[part] ?? part} ${fromTo(change)}.`];
      const label = [...after.fields, ...before.fields].find((field) => field.name === name)?.label ?? name;
      if (change.path.length === 2 && isAdded(change)) return [t`The field “${label}” was added.`];
      if (change.path.length === 2 && isGone(change)) return [t`The field “${label}” was deleted.`];
      return [
        t`The field “${label}” has another ${listed(ofOne.map(({ path }) => FIELD[path[2] ?? ""] ?? path[2] ?? ""))}.`,
      ];
    }),
  fromTree: ({ fields, fieldOrder, ...head }) => ({ ...head, fields: putTogether(fields, fieldOrder) }),
};

const SAID: Readonly<Record<string, string>> = {
  name: t`The name`,
  layerId: t`The layer`,
  titledBy: t`The field that names pages`,
  stepsBy: t`The field that comes step by step`,
};
const FIELD: Readonly<Record<string, string>> = {
  label: t`name`,
  hint: t`hint`,
  maxLength: "length",
  kind: "kind",
  usual: t`start value`,
  group: t`heading`,
  choices: t`choices`,
  optional: t`duty to be filled`,
  hasStandIn: "stand-in",
};

/** Those that are in both stand otherwise to one another: what was added or deleted says so itself. */
function isReordered(before: FieldSet, after: FieldSet): boolean {
  const inBoth = (one: FieldSet, other: FieldSet) =>
    one.fields.map(({ name }) => name).filter((name) => other.fields.some((field) => field.name === name));
  return inBoth(before, after).join("\n") !== inBoth(after, before).join("\n");
}
