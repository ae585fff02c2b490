import { useEffect, useState } from "react";
import type { Mend } from "../../core/check/mend.ts";
import { t } from "../../core/language/t.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { call } from "../api/call.ts";
import { useDeskStore } from "../desk/deskContext.ts";

/** What a cue would be like: made beside it, and forgotten again. @returns its hash, or why it cannot be shown; undefined: it is being made */
export function useMended(
  mend: Mend | null,
): { readonly hash: string } | { readonly whyNot: string } | undefined {
  const store = useDeskStore();
  const doc: CueDoc | null = mend?.kind === "changeCue" ? mend.doc : null;
  const [made, setMade] = useState<{
    readonly of: CueDoc;
    readonly told: { hash: string } | { whyNot: string };
  }>();
  useEffect(() => {
    if (!doc) return;
    let isGone = false;
    let hash: string | undefined;
    void call("/try-out", { doc }).then((answer) => {
      if (isGone) return;
      if ("problem" in answer) return setMade({ of: doc, told: { whyNot: answer.problem.sentence } });
      const tried = answer.value;
      if (!("hash" in tried))
        return setMade({
          of: doc,
          told: { whyNot: "problem" in tried ? tried.problem.sentence : t`It brings nothing then.` },
        });
      store.learn(tried.documents);
      hash = tried.hash;
      setMade({ of: doc, told: { hash } });
    });
    return () => {
      isGone = true;
      if (hash !== undefined) store.unlearn(hash);
    };
  }, [doc, store]);
  return made && made.of === doc ? made.told : undefined;
}
