import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { cueOfAct } from "../cueOfAct.ts";

const deadEnd = defineFinding<{ readonly name: string; readonly what: string }>(
  "deadTrigger",
  "warning",
  ({ name, what }) => t`“${name}” asks for ${what} that is not there: it does nothing.`,
);

/** A trigger that means a cue, a clip or a plan which is gone. */
export const deadTrigger: Check = {
  code: deadEnd.code,
  name: t`Triggers that lead nowhere`,
  evening: ({ evening }) => {
    const cues = new Set(evening.cues.map(({ cueId }) => cueId));
    const plans = new Set(evening.plans.map(({ id }) => id));
    const clips = new Set(evening.clips.map(({ id }) => id));
    return evening.triggers.flatMap((trigger) => {
      if (!trigger.isOn) return [];
      const { act, id, name } = trigger;
      const cueId = cueOfAct(act);
      const what =
        cueId !== undefined && !cues.has(cueId)
          ? "a cue"
          : act.kind === "plan" && !plans.has(act.planId)
            ? t`a screen plan`
            : act.kind === "clip" && act.does.kind === "play" && !clips.has(act.does.clipId)
              ? "a clip"
              : undefined;
      if (what === undefined) return [];
      return [
        { finding: deadEnd({ kind: "trigger", id }, { name: name || "A trigger", what }), cueId: null },
      ];
    });
  },
};
