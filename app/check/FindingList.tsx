import { useEffect, useRef } from "react";
import { nameOfCheck } from "../../core/check/checks.ts";
import type { CheckFinding } from "../../core/check/gather.ts";
import { t } from "../../core/language/t.ts";
import { FindingMark } from "../desk/check/FindingMark.tsx";
import { useDesk } from "../desk/deskContext.ts";

/** Findings in the order of the script, each with its cue, its screens and its sentence. */
export function FindingList({
  findings,
  chosenId,
  onChoose,
}: {
  findings: readonly CheckFinding[];
  chosenId: string | null;
  onChoose: (id: string) => void;
}) {
  const { cues, outputs } = useDesk("cues", "outputs");
  const nameOf = new Map(outputs.map(({ id, name }) => [id, name]));
  const cueOf = new Map(cues.map((cue) => [cue.view.cueId, cue]));
  return (
    <ol aria-label={t`Findings`} className="min-h-0 flex-1 overflow-y-auto">
      {findings.map((finding, at) => {
        const { id, cueId, outputIds, severity, sentence, code, spots, waived } = finding;
        const cue = cueId === null ? undefined : cueOf.get(cueId);
        const isFirst = at === 0 || findings[at - 1]?.cueId !== cueId;
        const screens =
          outputIds.length === outputs.length && outputs.length > 1
            ? t`all screens`
            : outputIds.map((each) => nameOf.get(each) ?? each).join(", ");
        return (
          <li key={id}>
            {isFirst && (
              <p className="truncate border-t border-edge px-5 pt-2.5 pb-0.5 text-[15px] font-semibold">
                {cue ? `${cue.index + 1} · ${cue.title}` : t`The evening and its screens`}
              </p>
            )}
            <Row isChosen={id === chosenId} onChoose={() => onChoose(id)}>
              <FindingMark severity={severity} className="mt-1 size-4.5" />
              <span className="min-w-0 flex-1">
                <span
                  className={`block text-[15px] leading-snug ${waived === null ? "" : "text-second line-through"}`}
                >
                  {sentence}
                </span>
                <span className="block truncate text-[14px] text-second">
                  {nameOfCheck(code)}
                  {screens && ` · ${screens}`}
                  {spots.length > 1 && t` · ${spots.length} places`}
                  {waived !== null && t` · let be: ${waived}`}
                </span>
              </span>
            </Row>
          </li>
        );
      })}
    </ol>
  );
}

function Row({
  isChosen,
  onChoose,
  children,
}: {
  isChosen: boolean;
  onChoose: () => void;
  children: React.ReactNode;
}) {
  const row = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (isChosen) row.current?.scrollIntoView({ block: "nearest" });
  }, [isChosen]);
  return (
    <button
      ref={row}
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className="flex w-full items-start gap-3 border-l-4 border-l-transparent py-2 pr-5 pl-4 text-left hover:bg-raised aria-pressed:border-l-act aria-pressed:bg-raised"
    >
      {children}
    </button>
  );
}
