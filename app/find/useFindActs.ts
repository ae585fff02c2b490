import { useMemo } from "react";
import { useLocation, useNavigate } from "react-router";
import { t } from "../../core/language/t.ts";
import type { Anchor } from "../../core/rundown/anchor.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import type { Target } from "../../core/show/line.ts";
import { newId } from "../api/newId.ts";
import { saveEdit } from "../api/saveEdit.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import { useActor } from "../desk/useActor.ts";
import type { Wish } from "./findRow.ts";

/** What can be done with what was found: a new cue added, armed or taken; one that is there gone to, armed or taken. */
export function useFindActs() {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const navigate = useNavigate();
  const isRun = useLocation().pathname.startsWith("/run");
  return useMemo(() => {
    /** Where new cues go: after what is on air in Run, after the chosen cue elsewhere. */
    const after = () =>
      (isRun ? store.getSnapshot().state.line.at?.cueId : null) ??
      store.getSnapshot().chosenId ??
      store.getSnapshot().cues.at(-1)?.view.cueId ??
      null;
    const add = async (wish: Wish, make: () => CueDoc | Promise<CueDoc | undefined>) => {
      const doc = await make();
      if (!doc) return;
      const cueId = newId();
      const outcome = await saveEdit(actor, { kind: "addCue", cueId, doc, afterId: after() });
      if (outcome.kind !== "saved") return store.say("trouble", outcome.sentence);
      store.choose(cueId);
      if (wish === "add" || (wish === "go" && !isRun)) {
        store.say("word", t`Added to the rundown.`);
        return;
      }
      const ready = await store.whenReady(cueId);
      const step = ready && stepsOf(ready.content)[0];
      if (!ready || !step)
        return store.say(
          "trouble",
          t`It was added but cannot be taken yet; Prepare says why. The air is as it was.`,
        );
      aim(wish, { cueId, content: ready.hash, step: step.anchor });
    };
    const aim = (wish: Wish, target: Target) =>
      wish === "take" ? store.air.takeTarget(target) : store.air.arm(target);
    const toStep = (wish: Wish, cue: DeskCue, anchor: Anchor | null) => {
      const { ready } = cue;
      if (wish === "go" && !isRun) {
        store.choose(cue.view.cueId);
        void navigate("/prepare");
        return;
      }
      if (!ready || !anchor) return store.say("trouble", t`That cue cannot be taken yet; Prepare says why.`);
      aim(wish, { cueId: cue.view.cueId, content: ready.hash, step: anchor });
    };
    return { add, toStep, isRun, go: (path: string) => void navigate(path) };
  }, [store, actor, navigate, isRun]);
}
