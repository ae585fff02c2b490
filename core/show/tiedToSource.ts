import { oncePer } from "../memo/oncePer.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { type Trigger, triggerSchema } from "../triggers/trigger.ts";

/** The trigger of a cue that is tied to a source. */
export const idOfTie = (cueId: string) => `tie:${cueId}`;

/**
 * Cues that are tied to a source, as triggers: each comes when its source comes to program, and leaves with it. Of those that would
 * take the same place the first comes; the others wait for a key.
 */
export const triggersOfCues = oncePer((cues: readonly ReadyCue[]): readonly Trigger[] =>
  cues.flatMap(({ cueId, doc, content }) => {
    const { comesWith } = doc;
    if (comesWith === null || doc.isOff || sharesSource(cues, cueId)[0]?.cueId !== cueId) return [];
    return triggerSchema.parse({
      id: idOfTie(cueId),
      name: content.title.slice(0, 60).trim(),
      when: { kind: "source", sourceId: comesWith.sourceId },
      act: { kind: "take", cueId },
      delayMs: comesWith.delayMs,
      stay: comesWith.stays ? { kind: "open" } : { kind: "asCue" },
      leavesWith: true,
    });
  }),
);

/** Cues of the same source that go to the same layer: the first of them comes by itself, the others by a key. */
export function sharesSource(cues: readonly ReadyCue[], cueId: string): readonly ReadyCue[] {
  const cue = cues.find((each) => each.cueId === cueId);
  const sourceId = cue?.doc.comesWith?.sourceId;
  if (!cue || sourceId === undefined) return [];
  return cues.filter(
    ({ doc, content }) =>
      !doc.isOff && doc.comesWith?.sourceId === sourceId && content.layerId === cue.content.layerId,
  );
}
