import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { TriggerAct } from "../../triggers/acts.ts";
import type { Trigger } from "../../triggers/trigger.ts";
import type { Check } from "../check.ts";

const loop = defineFinding<{ readonly names: string }>(
  "triggerLoop",
  "warning",
  ({ names }) =>
    `These triggers set one another off in a circle: ${names}. Each is held when it comes to itself again; take one of them out.`,
);

const cueOf = (act: TriggerAct): string | undefined => ("cueId" in act ? act.cueId : undefined);
const causeOf = ({ when }: Trigger): string | undefined =>
  when.kind === "cue" && when.does === "comes" ? when.cueId : undefined;

/** Triggers whose acts bring what sets them off. */
export const triggerLoop: Check = {
  code: loop.code,
  name: "Triggers in a circle",
  evening: ({ evening }) => {
    const on = evening.triggers.filter(({ isOn }) => isOn);
    const after = (trigger: Trigger) =>
      on.filter((other) => {
        const brought =
          trigger.act.kind === "take" || trigger.act.kind === "countdown" ? cueOf(trigger.act) : undefined;
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

const deadEnd = defineFinding<{ readonly name: string; readonly what: string }>(
  "deadTrigger",
  "warning",
  ({ name, what }) => `“${name}” asks for ${what} that is not there: it does nothing.`,
);

/** A trigger that means a cue, a clip or a plan which is gone. */
export const deadTrigger: Check = {
  code: deadEnd.code,
  name: "Triggers that lead nowhere",
  evening: ({ evening }) => {
    const cues = new Set(evening.cues.map(({ cueId }) => cueId));
    const plans = new Set(evening.plans.map(({ id }) => id));
    const clips = new Set(evening.clips.map(({ id }) => id));
    return evening.triggers.flatMap((trigger) => {
      if (!trigger.isOn) return [];
      const { act, id, name } = trigger;
      const cueId = cueOf(act);
      const what =
        cueId !== undefined && !cues.has(cueId)
          ? "a cue"
          : act.kind === "plan" && !plans.has(act.planId)
            ? "a screen plan"
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

const endless = defineFinding<{ readonly everyS: number }>(
  "endlessRepeat",
  "note",
  ({ everyS }) => `It comes again every ${everyS} s until somebody takes it out: nothing of the script does.`,
);

/** A cue that comes again and again, on a layer that nothing later in the script takes or clears. */
export const endlessRepeat: Check = {
  code: endless.code,
  name: "Repeats without an end",
  evening: ({ evening }) =>
    evening.cues.flatMap((cue, at) => {
      const { repeatMs } = cue.doc;
      const layerId = cue.made?.content.layerId;
      if (repeatMs === null || layerId === undefined) return [];
      const ends = evening.cues.slice(at + 1).some(({ made }) => {
        if (!made) return false;
        return made.content.layerId === layerId || made.content.action?.clear.includes(layerId);
      });
      if (ends) return [];
      return [
        { finding: endless(cueSubject(cue.cueId), { everyS: repeatMs / 1_000 }, "repeat"), cueId: cue.cueId },
      ];
    }),
};

const goneSource = defineFinding<Record<string, never>>(
  "goneSource",
  "warning",
  () => "It is to come with a camera that the venue does not have any more: nothing brings it.",
);

/** A cue tied to a source that is gone. */
export const goneSourceCheck: Check = {
  code: goneSource.code,
  name: "Cameras that are gone",
  cue: ({ cue: { cueId, doc }, evening }) => {
    const { comesWith } = doc;
    if (!comesWith || evening.sourceIds.length === 0 || evening.sourceIds.includes(comesWith.sourceId))
      return [];
    return [{ finding: goneSource(cueSubject(cueId), {}, "comesWith"), cueId }];
  },
};

const goneClip = defineFinding<{ readonly title: string }>(
  "goneClip",
  "warning",
  ({ title }) => `The clip “${title}” is in the list, and its film is not in the library any more.`,
);

/** A clip of the list without its film. */
export const goneClipCheck: Check = {
  code: goneClip.code,
  name: "Clips without a film",
  evening: ({ evening }) =>
    evening.clips
      .filter(({ lengthMs }) => lengthMs === null)
      .map(({ id, title }) => ({ finding: goneClip({ kind: "evening", id }, { title }), cueId: null })),
};
