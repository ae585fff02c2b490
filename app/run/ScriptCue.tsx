import { Check, MonitorCog, TriangleAlert } from "lucide-react";
import { memo } from "react";
import { pickedFeeds } from "../../core/feeds/binding.ts";
import { t } from "../../core/language/t.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import { type Step, stepsOf } from "../../core/rundown/steps.ts";
import { planNeededAt } from "../../core/show/planNeed.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import { CueFeedMark } from "../desk/CueFeedMark.tsx";
import { CueFindings } from "../desk/check/CueFindings.tsx";
import { useDesk } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskStore } from "../desk/deskStore.ts";
import { useLiveValues } from "../desk/useLiveValues.ts";
import { CueThumbnail } from "../pictures/CueThumbnail.tsx";
import { CueTagMark } from "../ui/CueTagMark.tsx";
import { cueTiming, describeAction, wordsOf } from "../ui/describeCue.ts";
import { RunPick } from "./RunPick.tsx";
import { GONE, stepKey } from "./stepKey.ts";

interface Props {
  readonly cue: DeskCue;
  /** Cues in the script. */
  readonly count: number;
  /** Where it begins in the script, as far as the heights above it are known. */
  readonly topPx: number;
  readonly measure: (element: Element | null) => void;
  /** For each step on air: its key in these words, and in those on air. */
  readonly onAir: string;
  readonly nextStep: string;
  readonly isArmed: boolean;
  /** The content on air, as it was before the cue was edited; empty when nothing is held. */
  readonly heldContent: string;
  /** It came besides the line. */
  readonly isAside: boolean;
  readonly isRehearsal: boolean;
  readonly takenStep: string;
  readonly doneSteps: number;
  readonly plan: ScreenPlan;
  readonly plans: readonly ScreenPlan[];
  readonly outputs: readonly Output[];
  readonly store: DeskStore;
}

/** One cue of the script: its number and name in the margin, its steps as words. */
export const ScriptCue = memo(function ScriptCue(props: Props) {
  const { cue, onAir, nextStep, doneSteps, store } = props;
  const { view, index, ready } = cue;
  const steps = ready ? stepsOf(ready.content) : [];
  const air = new Map(
    onAir.split(" ").flatMap((pair) => (pair === "" ? [] : [pair.split("=") as [string, string]])),
  );
  const held = props.heldContent === "" ? undefined : store.findContent(props.heldContent);
  const heldSteps = held ? stepsOf(held) : [];
  const planChanges = ready ? planNames(ready.content, steps, props.plans) : [];
  return (
    <li
      ref={props.measure}
      data-index={index}
      aria-setsize={props.count}
      aria-posinset={index + 1}
      className="absolute inset-x-0 border-t border-edge @2xl:grid @2xl:grid-cols-[148px_minmax(0,1fr)]"
      style={{ top: props.topPx }}
    >
      <div className="px-4 @2xl:border-r @2xl:border-edge @2xl:px-3.5 @2xl:text-right">
        <div className="sticky top-0 flex flex-wrap items-baseline gap-x-3 pt-2 @2xl:block @2xl:py-3">
          <p title={cue.title} className="line-clamp-4 text-[15px] leading-snug font-semibold">
            <span className={view.doc.isOff ? "line-through" : ""}>
              {index + 1} · {cue.title}
            </span>
          </p>
          <p className="flex items-center gap-1.5 text-[14px] text-second @2xl:mt-0.5 @2xl:justify-end">
            <CueTagMark tag={view.doc.tag} />
            {cue.kindName}
          </p>
          {cueTiming(view.doc) && <p className="text-[14px] text-second">{cueTiming(view.doc)}</p>}
          <CueFeedMark cueId={view.cueId} live={ready?.content.live} />
          <CueFindings cueId={view.cueId} />
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
            <span>{t`Skipped: ${view.compiled.problem.sentence}`}</span>
          </p>
        )}
        {view.doc.kind === "remark" && (
          <p
            className={`px-6 py-3 ${view.doc.isHeading ? "text-[20px] font-semibold" : "text-[16px] whitespace-pre-line text-second"}`}
          >
            {view.doc.text}
          </p>
        )}
        {"pending" in view.compiled && (
          <p className="px-6 py-3 text-[15px] text-second">{t`being laid out…`}</p>
        )}
        {view.doc.kind !== "remark" && "silent" in view.compiled && (
          <p className="px-6 py-3 text-[15px] text-second">{t`left out of the run`}</p>
        )}
        {air.has(GONE) && (
          <p role="status" className="flex items-start gap-2.5 px-6 py-2 text-[15px] text-attention">
            <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
            <span>
              {t`What is on air is not in these words any more. It stays on air; next is the first line after it that was not shown.`}
            </span>
          </p>
        )}
        {ready &&
          steps.map((step, at) => {
            const key = stepKey(step.anchor);
            const heldWords = heldSteps.find(({ anchor }) => stepKey(anchor) === air.get(key));
            return (
              <StepRow
                key={key}
                id={`${view.cueId}/${key}`}
                step={air.has(key) && heldWords ? { ...step, words: heldWords.words } : step}
                heldWords={air.has(key) && heldWords && heldWords.words !== step.words ? step.words : null}
                planName={planChanges[at] ?? null}
                mark={air.has(key) ? "air" : nextStep === key ? "next" : at < doneSteps ? "done" : "none"}
                isAlsoNext={air.has(key) && nextStep === key}
                isTaken={props.takenStep === key}
                isArmed={props.isArmed}
                isHeld={held !== undefined}
                onGoOn={props.isAside && air.has(key) ? () => store.air.goOn(view.cueId) : null}
                isRehearsal={props.isRehearsal}
                onArm={() => store.air.arm({ cueId: view.cueId, content: ready.hash, step: step.anchor })}
              >
                {step.kind === "page" && <PageWords {...props} step={step} isOnAir={air.has(key)} />}
              </StepRow>
            );
          })}
        {view.doc.kind === "page" && pickedFeeds(view.doc.bindings).length > 0 && (
          <RunPick cue={cue} doc={view.doc} />
        )}
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
  heldWords,
  planName,
  mark,
  isAlsoNext,
  isTaken,
  isArmed,
  isHeld,
  isRehearsal,
  onArm,
  onGoOn,
  children,
}: {
  id: string;
  /** As it is on air, where it is on air. */
  step: Step;
  /** What is held for it: the words as they are now. */
  heldWords: string | null;
  /** The screen plan that changes here. */
  planName: string | null;
  mark: Mark;
  isAlsoNext: boolean;
  isTaken: boolean;
  isArmed: boolean;
  isHeld: boolean;
  isRehearsal: boolean;
  onArm: () => void;
  /** Makes what came besides the line; null: it is the line's own, or not on air. */
  onGoOn: (() => void) | null;
  children: React.ReactNode;
}) {
  return (
    <div className="relative">
      {planName !== null && (
        <p className="flex items-center gap-2 px-6 pt-2 text-[14px] text-act">
          <MonitorCog aria-hidden="true" className="size-4" /> {t`screen plan: ${planName}`}
        </p>
      )}
      <button
        type="button"
        data-step={id}
        data-mark={mark}
        onClick={onArm}
        className={`relative block w-full items-start gap-x-3 border-l-6 py-2.5 pr-5 pl-4 text-left -outline-offset-2 @2xl:grid @2xl:grid-cols-[92px_minmax(0,1fr)] ${ROW[mark]}`}
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
          {mark === "done" && <Check aria-label={t`done`} className="size-3.5 shrink-0" />}
          {step.label}
        </span>
        {step.kind === "page" ? (
          children
        ) : step.kind === "leave" ? (
          <span className={`text-[15px] italic ${mark === "none" ? "text-second" : ""}`}>
            {isTaken ? t`the words have left` : t`the words leave`}
          </span>
        ) : step.kind === "blank" ? (
          <span className={`text-[15px] italic ${mark === "none" ? "text-second" : ""}`}>
            {t`nothing is shown`}
          </span>
        ) : (
          <span
            dir="auto"
            // The first line leaves room for the mark, whether it is there or not: words must not move when they are marked.
            className={`script-words font-words block whitespace-pre-line before:float-right before:h-6 before:w-20 before:content-[''] ${mark === "air" ? "is-air" : ""}`}
          >
            {step.words}
          </span>
        )}
        {heldWords !== null && (
          <span className="col-start-2 mt-1 block border-l-2 border-dashed border-attention pl-2.5 text-[15px] whitespace-pre-line text-attention">
            <span className="font-semibold">{t`held:`} </span>
            {heldWords}
          </span>
        )}
        <span className="absolute top-2.5 right-5 flex flex-col items-end gap-1">
          {mark === "air" && (
            <span className="rounded bg-air px-2 py-0.5 text-[14px] font-bold tracking-wide text-on-bright">
              {isRehearsal ? t`REHEARSED` : t`ON AIR`}
            </span>
          )}
          {isTaken && mark !== "air" && (
            <span className="rounded border border-edge-strong px-1.5 text-[14px] text-second">{t`the line`}</span>
          )}
          {mark === "air" && isHeld && (
            <span
              title={t`On air as it was taken: the edits are held until they are sent`}
              className="rounded border border-attention bg-air-ground px-1.5 text-[14px] font-semibold text-attention"
            >
              {t`○ held`}
            </span>
          )}
          {(mark === "next" || isAlsoNext) && (
            <span className="rounded border-2 border-dashed border-next px-2 py-0.5 text-[14px] font-bold tracking-wide text-next bg-next-ground">
              {isArmed ? t`NEXT · ARMED` : t`NEXT`}
            </span>
          )}
        </span>
      </button>
      {onGoOn && (
        <button
          type="button"
          onClick={onGoOn}
          className="absolute right-5 bottom-1.5 min-h-8 rounded-md border border-edge-strong bg-ground px-2.5 text-[14px] hover:border-act"
        >
          {t`go on from here`} <kbd>G</kbd>
        </button>
      )}
    </div>
  );
}

/** For each step the name of the plan that the script asks for from there on, where it is another than before. */
function planNames(
  content: PageContent,
  steps: readonly Step[],
  plans: readonly ScreenPlan[],
): readonly (string | null)[] {
  let before: string | null = null;
  return steps.map(({ anchor }) => {
    const need = planNeededAt(content, anchor)?.id ?? null;
    const isOther = need !== before;
    before = need;
    return isOther && need !== null ? (plans.find(({ id }) => id === need)?.name ?? null) : null;
  });
}

function PageWords(props: Props & { readonly step: Step; readonly isOnAir: boolean }) {
  const { cue, outputs, plan, step, isOnAir, heldContent, store } = props;
  const { view, ready } = cue;
  const { fieldSets } = useDesk("fieldSets");
  // What is on air is shown as it was taken; what is held for it stands beneath.
  const held = isOnAir && heldContent !== "" ? store.findContent(heldContent) : undefined;
  const content = held ?? ready?.content;
  const hash = held ? heldContent : (ready?.hash ?? "");
  const live = useLiveValues(view.cueId, content, hash);
  const liveNow = useLiveValues(view.cueId, ready?.content, ready?.hash ?? "");
  if (content?.action) return <span className="text-[16px] italic">{describeAction(content)}</span>;
  if (view.doc.kind !== "page" || !ready || !content) return null;
  const wordsFor = (page: PageContent, values: typeof live) =>
    page.points ? [step.words] : wordsOf(page, page.title, fieldSets, values);
  const [first = "", ...rest] = wordsFor(content, live);
  const now = held ? wordsFor(ready.content, liveNow).filter(Boolean).join(" · ") : "";
  const isOther = held !== undefined && now !== [first, ...rest].filter(Boolean).join(" · ");
  return (
    <span className="flex items-center gap-4">
      <CueThumbnail
        content={content}
        cueId={view.cueId}
        hash={hash}
        anchor={step.anchor}
        outputs={outputs}
        plan={plan}
      />
      {/* Room for the mark, whether it is there or not. */}
      <span className="min-w-0 pr-18">
        <span dir="auto" className="script-words font-words line-clamp-3 whitespace-pre-line">
          {first}
        </span>
        {rest.filter(Boolean).map((words) => (
          <span key={words} dir="auto" className="line-clamp-3 text-[15px] whitespace-pre-line text-second">
            {words}
          </span>
        ))}
        {isOther && !content.points && (
          <span className="mt-1 line-clamp-2 border-l-2 border-dashed border-attention pl-2.5 text-[15px] text-attention">
            <span className="font-semibold">{t`held:`} </span>
            {now}
          </span>
        )}
      </span>
    </span>
  );
}
