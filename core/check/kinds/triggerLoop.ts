import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Trigger } from "../../triggers/trigger.ts";
import type { Check } from "../check.ts";
import { cueOfAct } from "../cueOfAct.ts";

const loop = defineFinding<{ readonly names: string }>(
  "triggerLoop",
  "warning",
  ({ names }) =>
    t`These triggers set one another off in a circle: ${names}. Each is held when it comes to itself again; take one of them out.`,
);

const causeOf = ({ when }: Trigger): string | undefined =>
  when.kind === "cue" && when.does === "comes" ? when.cueId : undefined;

/** Triggers whose acts bring what sets them off. */
export const triggerLoop: Check = {
  code: loop.code,
  name: t`Triggers in a circle`,
  evening: ({ evening }) => {
    const on = evening.triggers.filter(({ isOn }) => isOn);
    const after = (trigger: Trigger) =>
      on.filter((other) => {
        const brought =
          trigger.act.kind === "take" || trigger.act.kind === "countdown" ? cueOfAct(trigger.act) : undefined;
        return brought !== undefined && causeOf(other) === brought;
      });
    const inCircle = (start: Trigger): boolean => {
      const seen = new Set<string>();
      const walk = (trigger: Trigger): boolean =>
        after(trigger).some((next) => {
          if (next.id === start.id) return true;
          if (seen.has(next.id)) return false;
          seen.add(next.id);
          return walk(next);
        });
      return walk(start);
    };
    const caught = on.filter(inCircle);
    if (caught.length === 0) return [];
    const names = caught.map(({ name, id }) => `“${name || id}”`).join(", ");
    return [{ finding: loop({ kind: "trigger", id: caught[0]?.id ?? "" }, { names }), cueId: null }];
  },
};
