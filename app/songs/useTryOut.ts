import { useEffect, useState } from "react";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { call } from "../api/call.ts";
import type { TriedOut } from "../api/calls.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { type DeskCue, deskCue } from "../desk/deskCues.ts";

const AFTER_MS = 150;
/** Words that are in no rundown as a cue, for seeing their slides; made anew shortly after they change. */
export function useTryOut(id: string, doc: CueDoc): DeskCue {
  const store = useDeskStore();
  const { fieldSets } = useDesk("fieldSets");
  const [tried, setTried] = useState<{ doc: CueDoc; result: TriedOut } | null>(null);
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(async () => {
      const answer = await call("/try-out", { doc });
      if (gone || "problem" in answer) return;
      const result = answer.value;
      if ("hash" in result) store.learn(result.documents);
      setTried({ doc, result });
    }, AFTER_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [store, doc]);
  const hash = tried && "hash" in tried.result ? tried.result.hash : undefined;
  useEffect(
    () => () => {
      if (hash) store.unlearn(hash);
    },
    [store, hash],
  );
  const compiled = hash
    ? { hash }
    : tried && "problem" in tried.result
      ? { problem: tried.result.problem }
      : ({ pending: true } as const);
  const view = { cueId: id, revision: 0, doc, compiled };
  return deskCue(view, 0, (wanted) => store.findContent(wanted), fieldSets);
}
