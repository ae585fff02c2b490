import { useMemo, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { Edit, EditOutcome } from "../../../core/rundown/edits.ts";
import { findInCue } from "../../../core/rundown/replaceWords.ts";
import { useDesk } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { CloseButton } from "../../ui/CloseButton.tsx";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";

const SHOWN_PLACES = 60;

/** Words found all over the rundown, each place in its line, and replaced in one cue or in all; one undo takes it back. */
export function ReplacePanel({
  cues,
  edit,
  onChoose,
  onClose,
}: {
  cues: readonly DeskCue[];
  edit: (wanted: Edit) => Promise<EditOutcome>;
  onChoose: (cueId: string) => void;
  onClose: () => void;
}) {
  const { fieldSets } = useDesk("fieldSets");
  const [find, setFind] = useState("");
  const [by, setBy] = useState("");
  const [matchCase, setMatchCase] = useState(false);
  const [wholeWords, setWholeWords] = useState(true);
  const [done, setDone] = useState("");
  const found = useMemo(
    () =>
      cues.flatMap((cue) => {
        const places = findInCue(cue.view.doc, { find, matchCase, wholeWords }, fieldSets);
        return places.length > 0 ? [{ cue, places }] : [];
      }),
    [cues, find, matchCase, wholeWords, fieldSets],
  );
  const count = found.reduce((sum, { places }) => sum + places.length, 0);
  const replace = async (cueIds: readonly string[] | null) => {
    const outcome = await edit({
      kind: "replaceWords",
      find,
      by,
      matchCase,
      wholeWords,
      cueIds: cueIds && [...cueIds],
    });
    if (outcome.kind === "saved")
      setDone(t`${outcome.label}. Ctrl+Z takes it back; what is on air stays as it is.`);
  };
  return (
    <section aria-label={t`Find and replace`} className="shrink-0 border-b border-edge bg-raised px-4 py-3">
      <div className="flex items-end gap-3">
        <Labelled id="replace-find" label={t`Find in the rundown`}>
          <input
            id="replace-find"
            // biome-ignore lint/a11y/noAutofocus: it was opened to type into
            autoFocus
            value={find}
            maxLength={200}
            onChange={(event) => {
              setFind(event.target.value);
              setDone("");
            }}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        <Labelled id="replace-by" label={t`Replace by`}>
          <input
            id="replace-by"
            value={by}
            maxLength={200}
            onChange={(event) => setBy(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === "Enter" && count > 0) void replace(null);
            }}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        <button
          type="button"
          disabled={count === 0}
          onClick={() => void replace(null)}
          className="min-h-10.5 shrink-0 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
        >
          {t`Replace ${count === 0 ? "" : count === 1 ? t`it` : t`all ${count}`}`}
        </button>
        <CloseButton label={t`Close find and replace`} onClose={onClose} />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-1 text-[15px]">
        <CheckBox label={t`whole words`} isOn={wholeWords} onChange={setWholeWords} />
        <CheckBox label={t`capitals as typed`} isOn={matchCase} onChange={setMatchCase} />
        <span role="status" className={done ? "text-act" : "text-second"}>
          {done ||
            (find === ""
              ? t`Scripture is left as it is.`
              : t`${count} ${count === 1 ? t`place` : t`places`} in ${found.length} ${found.length === 1 ? t`cue` : t`cues`}`)}
        </span>
      </div>
      {count > 0 && (
        <ul className="mt-2 max-h-56 overflow-y-auto">
          {found.slice(0, SHOWN_PLACES).map(({ cue, places }) => (
            <li key={cue.view.cueId} className="flex items-start gap-3 border-t border-edge py-1.5">
              <button
                type="button"
                onClick={() => onChoose(cue.view.cueId)}
                className="w-44 shrink-0 truncate text-left text-[15px] font-semibold hover:text-act"
              >
                {cue.index + 1} · {cue.title}
              </button>
              <span className="min-w-0 flex-1">
                {places.slice(0, 5).map(({ where, line, from, to }, at) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a place is where it is
                  <span key={at} className="font-words block truncate text-[16px]">
                    {line.slice(Math.max(0, from - 40), from)}
                    <mark className="rounded-sm bg-act px-0.5 text-on-bright">{line.slice(from, to)}</mark>
                    {line.slice(to, to + 60)}
                    <span className="font-plain text-[14px] text-second"> · {where.toLowerCase()}</span>
                  </span>
                ))}
                {places.length > 5 && (
                  <span className="text-[14px] text-second">{t`and ${places.length - 5} more`}</span>
                )}
              </span>
              <button
                type="button"
                onClick={() => void replace([cue.view.cueId])}
                className="min-h-8 shrink-0 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge"
              >
                {t`Only here`}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
