import { t } from "../../core/language/t.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { cueTiming, describeAction } from "../ui/describeCue.ts";
import { formatLength } from "../ui/format.ts";
import type { PaperCue } from "./paperCue.ts";

/** The script as a prompt book: each cue with its words, when, how, and what to mind. */
export function ScriptSheet({
  cues,
  isLarge,
  isTwo,
}: {
  cues: readonly PaperCue[];
  isLarge: boolean;
  isTwo: boolean;
}) {
  return (
    <ol className={`${isTwo ? "columns-2 gap-[12mm]" : ""} ${isLarge ? "text-[21px]" : "text-[15px]"}`}>
      {cues.map((cue) => (
        <Cue key={cue.view.cueId} cue={cue} />
      ))}
    </ol>
  );
}

function Cue({ cue: { view, index, title, kindName, ready, plannedAt } }: { cue: PaperCue }) {
  const { doc } = view;
  const timing = cueTiming(doc);
  const steps = ready
    ? stepsOf(ready.content).filter(({ kind }) => kind === "words" || kind === "blank")
    : [];
  return (
    <li className={`mb-[1.1em] ${doc.isOff ? "opacity-60" : ""}`}>
      <div className="flex break-inside-avoid break-after-avoid items-baseline gap-[0.6em] border-b border-edge">
        <span className="font-mono font-semibold">{index + 1}</span>
        <h3 className="min-w-0 flex-1 font-bold">{title}</h3>
        <span className="text-[0.8em]">{kindName}</span>
        {doc.plannedMs !== null && (
          <span className="font-mono text-[0.85em]">{formatLength(doc.plannedMs)}</span>
        )}
        {plannedAt !== "" && <span className="font-mono text-[0.85em] font-semibold">{plannedAt}</span>}
      </div>
      {(timing || doc.isOff) && (
        <p className="text-[0.85em] italic">
          {[doc.isOff && t`left out`, timing].filter(Boolean).join(", ")}
        </p>
      )}
      {doc.note !== "" && (
        <p className="my-[0.2em] border-l-4 border-paper pl-[0.6em] text-[0.95em] whitespace-pre-line">
          {doc.note}
        </p>
      )}
      {doc.stageNote !== "" && <p className="text-[0.9em]">{t`To the stage: ${doc.stageNote}`}</p>}
      {ready?.content.action && <p className="text-[0.95em]">{describeAction(ready.content)}</p>}
      {steps.map(({ anchor, label, words, kind }) => (
        <div
          key={`${anchor.occurrence}/${anchor.unit}`}
          className="mt-[0.35em] grid break-inside-avoid grid-cols-[4.4em_minmax(0,1fr)] gap-[0.6em]"
        >
          <span className="pt-[0.15em] text-[0.8em] font-semibold">{label}</span>
          <p className="font-words leading-[1.45] whitespace-pre-line">
            {kind === "blank" ? t`(blank)` : words}
          </p>
        </div>
      ))}
    </li>
  );
}
