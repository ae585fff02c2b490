import { Check, TriangleAlert } from "lucide-react";
import { memo } from "react";
import { type Step, stepsOf } from "../../core/rundown/steps.ts";
import type { Output, ScreenPlan } from "../../core/screens/plan.ts";
import type { DeskCue, DeskStore } from "../desk/deskStore.ts";
import { CueTagMark } from "../ui/CueTagMark.tsx";
import { CueThumbnail } from "../ui/CueThumbnail.tsx";
import { cueKindName, cueTiming, cueTitle, describeAction, wordsOf } from "../ui/cueWords.ts";
import { stepKey } from "./stepKey.ts";

interface Props {
  readonly cue: DeskCue;
  /** Cues in the script. */
  readonly count: number;
  /** Where it begins in the script, as far as the heights above it are known. */
  readonly topPx: number;
  readonly measure: (element: Element | null) => void;
  readonly onAir: string;
  readonly nextStep: string;
  readonly isArmed: boolean;
  /** On air as it was before it was edited. */
  readonly isHeld: boolean;
  readonly isRehearsal: boolean;
  readonly takenStep: string;
  readonly doneSteps: number;
  readonly plan: ScreenPlan;
  readonly outputs: readonly Output[];
  readonly store: DeskStore;
}

/** One cue of the script: its number and name in the margin, its steps as words. */
export const ScriptCue = memo(function ScriptCue(props: Props) {
  const { cue, onAir, nextStep, doneSteps, store } = props;
  const { view, index, ready } = cue;
  const steps = ready ? stepsOf(ready.content) : [];
  const air = new Set(onAir.split(" "));
  return (
    <li
      ref={props.measure}
      data-index={index}
      aria-setsize={props.count}
      aria-posinset={index + 1}
      className="absolute inset-x-0 grid grid-cols-[148px_minmax(0,1fr)] border-t border-edge"
      style={{ top: props.topPx }}
    >
      <div className="border-r border-edge px-3.5 text-right">
        <div className="sticky top-0 py-3">
          <p className="text-[15px] leading-snug font-semibold">
            <span className={view.doc.isOff ? "line-through" : ""}>
              {index + 1} · {cueTitle(view.doc, ready?.content)}
            </span>
          </p>
          <p className="mt-0.5 flex items-center justify-end gap-1.5 text-[14px] text-second">
            <CueTagMark tag={view.doc.tag} />
            {cueKindName(view.doc)}
          </p>
          {cueTiming(view.doc) && <p className="text-[14px] text-second">{cueTiming(view.doc)}</p>}
          {view.doc.note && (
            <p className="mt-1 text-[14px] leading-snug whitespace-pre-line text-paper italic">
              {view.doc.note}
            </p>
          )}
        </div>
      </div>
      <div className="min-w-0 pb-1.5">
        {"problem" in view.compiled && (
          <p className="flex items-start gap-2.5 px-6 py-2 text-[15px] text-attention">
            <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
            <span>Skipped: {view.compiled.problem}</span>
          </p>
        )}
        {view.doc.kind === "remark" && (
          <p
            className={`px-6 py-3 ${view.doc.isHeading ? "text-[20px] font-semibold" : "text-[16px] whitespace-pre-line text-second"}`}
          >
            {view.doc.text}
          </p>
        )}
        {"pending" in view.compiled && <p className="px-6 py-3 text-[15px] text-second">being laid out…</p>}
        {view.doc.kind !== "remark" && "silent" in view.compiled && (
          <p className="px-6 py-3 text-[15px] text-second">left out of the run</p>
        )}
        {ready &&
          steps.map((step, at) => {
            const key = stepKey(step.anchor);
            return (
              <StepRow
                key={key}
                id={`${view.cueId}/${key}`}
                step={step}
                mark={air.has(key) ? "air" : nextStep === key ? "next" : at < doneSteps ? "done" : "none"}
                isAlsoNext={air.has(key) && nextStep === key}
                isTaken={props.takenStep === key}
                isArmed={props.isArmed}
                isHeld={props.isHeld}
                isRehearsal={props.isRehearsal}
                onArm={() => store.arm({ cueId: view.cueId, content: ready.hash, step: step.anchor })}
              >
                {step.kind === "page" && <PageWords {...props} step={step} />}
              </StepRow>
            );
          })}
      </div>
    </li>
  );
});

type Mark = "air" | "next" | "done" | "none";

const ROW: Readonly<Record<Mark, string>> = {
  air: "bg-air-ground border-l-air text-paper",
  next: "bg-next-ground border-l-transparent text-paper",
  done: "border-l-transparent text-quiet",
  none: "border-l-transparent text-paper/85 hover:bg-raised",
};

function StepRow({
  id,
  step,
  mark,
  isAlsoNext,
  isTaken,
  isArmed,
  isHeld,
  isRehearsal,
  onArm,
  children,
}: {
  id: string;
  step: Step;
  mark: Mark;
  isAlsoNext: boolean;
  isTaken: boolean;
  isArmed: boolean;
  isHeld: boolean;
  isRehearsal: boolean;
  onArm: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      data-step={id}
      data-mark={mark}
      onClick={onArm}
      className={`relative grid w-full grid-cols-[92px_minmax(0,1fr)] items-start gap-x-3 border-l-6 py-2.5 pr-5 pl-4 text-left -outline-offset-2 ${ROW[mark]}`}
    >
      {mark === "next" && (
        <span
          aria-hidden="true"
          className="absolute inset-y-0 -left-1.5 w-1.5 bg-[repeating-linear-gradient(to_bottom,var(--color-next)_0_12px,transparent_12px_20px)]"
        />
      )}
      <span
        className={`flex items-center gap-1.5 pt-1 text-[14px] ${mark === "air" ? "text-paper" : mark === "done" ? "text-quiet" : "text-second"}`}
      >
        {mark === "done" && <Check aria-label="done" className="size-3.5 shrink-0" />}
        {step.label}
      </span>
      {step.kind === "page" ? (
        children
      ) : step.kind === "leave" ? (
        <span className={`text-[15px] italic ${mark === "none" ? "text-second" : ""}`}>
          {isTaken ? "the words have left" : "the words leave"}
        </span>
      ) : step.kind === "blank" ? (
        <span className={`text-[15px] italic ${mark === "none" ? "text-second" : ""}`}>nothing is shown</span>
      ) : (
        <span
          dir="auto"
          // The first line leaves room for the mark, whether it is there or not: words must not move when they are marked.
          className={`font-words whitespace-pre-line before:float-right before:h-6 before:w-20 before:content-[''] ${mark === "air" ? "text-[21px] leading-[1.38]" : "text-[19px] leading-[1.42]"}`}
        >
          {step.words}
        </span>
      )}
      <span className="absolute top-2.5 right-5 flex flex-col items-end gap-1">
        {mark === "air" && (
          <span className="rounded bg-air px-2 py-0.5 text-[14px] font-bold tracking-wide text-on-bright">
            {isRehearsal ? "REHEARSED" : "ON AIR"}
          </span>
        )}
        {mark === "air" && isHeld && (
          <span
            title="On air as it was taken: the edits are held until they are sent"
            className="rounded border border-attention bg-air-ground px-1.5 text-[14px] font-semibold text-attention"
          >
            ○ held
          </span>
        )}
        {(mark === "next" || isAlsoNext) && (
          <span className="rounded border-2 border-dashed border-next px-2 py-0.5 text-[14px] font-bold tracking-wide text-next bg-next-ground">
            {isArmed ? "NEXT · ARMED" : "NEXT"}
          </span>
        )}
      </span>
    </button>
  );
}

function PageWords({ cue, outputs, plan, step }: Props & { readonly step: Step }) {
  const { doc } = cue.view;
  if (cue.ready?.content.action)
    return <span className="text-[16px] italic">{describeAction(cue.ready.content)}</span>;
  if (doc.kind !== "page" || !cue.ready) return null;
  const { content } = cue.ready;
  const [first = "", ...rest] = content.points ? [step.words] : wordsOf(doc, content.title);
  return (
    <span className="flex items-center gap-4">
      <CueThumbnail
        content={content}
        cueId={cue.view.cueId}
        hash={cue.ready.hash}
        anchor={step.anchor}
        outputs={outputs}
        plan={plan}
      />
      <span className="min-w-0">
        <span dir="auto" className="font-words line-clamp-3 text-[19px] leading-[1.35] whitespace-pre-line">
          {first}
        </span>
        {rest.filter(Boolean).map((words) => (
          <span key={words} dir="auto" className="line-clamp-3 text-[15px] whitespace-pre-line text-second">
            {words}
          </span>
        ))}
      </span>
    </span>
  );
}
