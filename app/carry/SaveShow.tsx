import { useState } from "react";
import type { Held } from "../../core/carry/showFile.ts";
import { t } from "../../core/language/t.ts";
import { buttonClass, mainButtonClass } from "./buttons.ts";

export interface CarriedEveningLine {
  readonly id: string;
  readonly name: string;
  readonly cues: number;
}

/** One file with all of the show, or with one evening. */
export function SaveShow({
  evenings,
  onSave,
}: {
  evenings: readonly CarriedEveningLine[];
  onSave: (holds: Held) => void;
}) {
  const [eveningId, setEveningId] = useState("");
  const evening = evenings.find(({ id }) => id === eveningId);
  return (
    <section aria-label={t`Save a show file`}>
      <h2 className="mb-1 text-[17px] font-semibold">{t`Save a show file`}</h2>
      <p className="mb-3 max-w-3xl text-[15px] text-second">
        {t`One file with the words, designs, screens, pictures, clips, fonts, feeds and triggers, to open on another machine. Links, the passcode and the log of what was shown stay here.`}
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <select
          aria-label={t`What is saved`}
          value={eveningId}
          onChange={({ target }) => setEveningId(target.value)}
          className={`${buttonClass} max-w-full min-w-64`}
        >
          <option value="">{t`All of the show`}</option>
          {evenings.map(({ id, name, cues }) => (
            <option key={id} value={id}>
              {name}, {cues} {cues === 1 ? t`cue` : t`cues`}
            </option>
          ))}
        </select>
        <button
          type="button"
          onClick={() =>
            onSave(evening ? { kind: "evening", id: evening.id, name: evening.name } : { kind: "all" })
          }
          className={mainButtonClass}
        >
          {t`Save`}
        </button>
      </div>
    </section>
  );
}
