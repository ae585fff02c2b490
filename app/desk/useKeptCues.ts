import { useEffect } from "react";
import { cueDocSchema } from "../../core/rundown/cueDoc.ts";
import { saveEdit } from "../prepare/saveEdit.ts";
import { dropKeptDraft, findKeptDraft, keptDraftKeys } from "../ui/keptDrafts.ts";
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
      for (const key of keptDraftKeys("cue")) await sendOne(store, actor, key);
      isSending = false;
    };
    const timer = setInterval(() => void sendAll(), TRY_EVERY_MS);
    return () => clearInterval(timer);
  }, [store, actor]);
}

async function sendOne(store: DeskStore, actor: string, key: string): Promise<void> {
  const kept = findKeptDraft(key);
  const doc = cueDocSchema.safeParse(kept?.doc);
  if (!kept || !doc.success) {
    dropKeptDraft(key);
    return;
  }
  const cueId = key.slice("cue/".length);
  const outcome = await saveEdit(actor, {
    kind: "changeCue",
    cueId,
    doc: doc.data,
    baseRevision: kept.revision,
  });
  if (outcome.kind === "saved") {
    dropKeptDraft(key);
    store.say("word", "Words that could not be saved before are saved now.");
  }
  // A conflict waits until the cue is opened: then a person says whose words stay.
}
