import { useState } from "react";
import { t } from "../../core/language/t.ts";
import type { PastLength } from "../../core/report/pastLengths.ts";
import { ask } from "../api/call.ts";
import { saveEdit } from "../api/saveEdit.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useActor } from "../desk/useActor.ts";

/** What earlier evenings took, once somebody asks for it, and taking it for the plan of this one. */
export function usePastLengths() {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const [past, setPast] = useState<ReadonlyMap<string, PastLength>>();
  const toggle = async () => {
    if (past) return setPast(undefined);
    const answer = await ask("/past-lengths");
    if ("problem" in answer) return store.say("trouble", answer.problem.sentence);
    const found = new Map(answer.value.lengths.map((each) => [each.cueId, each.past]));
    if (found.size === 0)
      return store.say("word", t`None of these cues was gone through on an earlier evening yet.`);
    setPast(found);
  };
  const use = async (cueIds: readonly string[]) => {
    const lengths = cueIds.flatMap((cueId) => {
      const own = past?.get(cueId);
      // Plans are made in whole five seconds.
      return own ? [{ cueId, plannedMs: Math.max(1, Math.round(own.medianMs / 5_000)) * 5_000 }] : [];
    });
    if (lengths.length === 0) return;
    const outcome = await saveEdit(actor, { kind: "planLengths", lengths });
    if (outcome.kind !== "saved") return store.say("trouble", outcome.sentence);
    store.say(
      "word",
      t`${lengths.length === 1 ? t`One cue is` : t`${lengths.length} cues are`} planned as before.`,
      {
        label: t`Undo`,
        act: () =>
          void saveEdit(actor, { kind: "undo" }).then((undone) => {
            if (undone.kind !== "saved") store.say("trouble", undone.sentence);
          }),
      },
    );
  };
  return { past, toggle, use };
}
