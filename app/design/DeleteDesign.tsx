import { Trash2 } from "lucide-react";
import { useState } from "react";
import type { DesignEdit, DesignRef } from "../../core/design/designEdit.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { useDeskStore } from "../desk/deskContext.ts";

/** Deletes a thing of Design where nothing needs it; the notice that says so puts it back. */
export function DeleteDesign({
  of,
  name,
  actor,
  onChanged,
}: {
  of: DesignRef;
  name: string;
  actor: string;
  /** It is gone, or there again. */
  onChanged: () => void;
}) {
  const store = useDeskStore();
  const [isBusy, setBusy] = useState(false);
  const send = async (edit: DesignEdit): Promise<boolean> => {
    const answer = await call("/design-edit", { actor, edit });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else onChanged();
    return "value" in answer;
  };
  const remove = async () => {
    setBusy(true);
    const isGone = await send({ kind: "remove", of });
    setBusy(false);
    if (!isGone) return;
    store.say("word", t`“${name}” is deleted. What is on air stays as it is.`, {
      label: t`Put it back`,
      staysIn: "design",
      act: () => {
        store.dismissNotice();
        void send({ kind: "putBack", of });
      },
    });
  };
  return (
    <button
      type="button"
      aria-label={t`Delete ${name}`}
      title={t`Delete “${name}”`}
      disabled={isBusy}
      onClick={() => void remove()}
      className="grid size-10 shrink-0 place-content-center rounded-lg bg-lifted text-second hover:bg-edge hover:text-paper"
    >
      <Trash2 aria-hidden="true" className="size-4.5" />
    </button>
  );
}
