import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../../core/language/t.ts";
import { nameMissing } from "../../../core/words/credits.ts";
import { call } from "../../api/call.ts";
import { useDeskStore } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { missingOf } from "../../desk/missingCredits.ts";
import { useDeskData } from "../../desk/useDeskData.ts";
import { CloseButton } from "../../ui/CloseButton.tsx";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";

/** The venue's licence for this event, and what the credits of its songs do not say yet. */
export function CreditsPanel({
  cues,
  onChoose,
  onClose,
}: {
  cues: readonly DeskCue[];
  onChoose: (cueId: string) => void;
  onClose: () => void;
}) {
  const { licence } = useDeskData();
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [typed, setTyped] = useState(licence);
  const missing = missingOf(cues, licence);
  const save = async () => {
    if (typed.trim() === licence) return;
    const answer = await call("/licence", { licence: typed });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await revalidate();
  };
  return (
    <section aria-label={t`Credits`} className="shrink-0 border-b border-edge bg-raised px-4 py-3">
      <div className="flex items-end gap-3">
        <div className="w-72">
          <Labelled id="venue-licence" label={t`Licence number of the venue, for this event`}>
            <input
              id="venue-licence"
              value={typed}
              maxLength={60}
              onChange={(event) => setTyped(event.target.value)}
              onBlur={() => void save()}
              onKeyDown={(event) => {
                if (event.key === "Enter") void save();
              }}
              className={`${fieldClass} font-mono text-[16px]`}
            />
          </Labelled>
        </div>
        <p role="status" className="min-w-0 flex-1 pb-2.5 text-[15px] text-second">
          {missing.length === 0
            ? t`Every song says what it should.`
            : t`${missing.length} ${missing.length === 1 ? t`song does` : t`songs do`} not say all of it:`}
        </p>
        <CloseButton label={t`Close credits`} onClose={onClose} />
      </div>
      {missing.length > 0 && (
        <ul className="mt-2 max-h-48 overflow-y-auto">
          {missing.map(({ cue, what }) => (
            <li key={cue.view.cueId}>
              <button
                type="button"
                onClick={() => onChoose(cue.view.cueId)}
                className="flex min-h-9 w-full items-baseline gap-3 border-t border-edge py-1.5 text-left text-[15px] hover:text-act"
              >
                <span className="w-56 shrink-0 truncate font-semibold">
                  {cue.index + 1} · {cue.title}
                </span>
                <span className="text-attention">{nameMissing(what)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
