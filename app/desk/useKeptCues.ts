import { useEffect } from "react";
import { t } from "../../core/language/t.ts";
import { cueDocSchema } from "../../core/rundown/cueDoc.ts";
import { dropKeptDraft, findKeptDraft, keptDraftIds } from "../api/keptDrafts.ts";
import { saveEdit } from "../api/saveEdit.ts";
import type { DeskStore } from "./deskStore.ts";
import { useActor } from "./useActor.ts";

const TRY_EVERY_MS = 3_000;

/** Sends cues whose words could not be saved, as soon as they can be. Those that are open send themselves. */
export function useKeptCues(store: DeskStore): void {
  const actor = useActor(store.windowId);
  useEffect(() => {
    let isSending = false;
    const sendAll = async () => {
      if (isSending || store.getSnapshot().status.kind !== "open") return;
      isSending = true;
      for (const id of keptDraftIds("cue")) await sendOne(store, actor, id);
      isSending = false;
    };
    const timer = setInterval(() => void sendAll(), TRY_EVERY_MS);
    return () => clearInterval(timer);
  }, [store, actor]);
}

async function sendOne(store: DeskStore, actor: string, cueId: string): Promise<void> {
  const key = { kind: "cue", id: cueId } as const;
  const kept = findKeptDraft(key);
  const doc = cueDocSchema.safeParse(kept?.doc);
  // What cannot be sent as it is waits until the cue is opened, where it says what is wrong.
  if (!kept || !doc.success) return;
  const outcome = await saveEdit(actor, {
    kind: "changeCue",
    cueId,
    doc: doc.data,
    baseRevision: kept.revision,
  });
  if (outcome.kind === "saved") {
    dropKeptDraft(key);
    store.say("word", t`Words that could not be saved before are saved now.`);
  }
  // A conflict waits until the cue is opened: then a person says whose words stay.
}
