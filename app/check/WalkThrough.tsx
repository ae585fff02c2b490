import { Check } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { stepKey } from "../../core/check/stepKey.ts";
import { t } from "../../core/language/t.ts";
import { sameAnchor } from "../../core/rundown/anchor.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { FindingMark } from "../desk/check/FindingMark.tsx";
import { useCueFindings } from "../desk/check/useCheck.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { stateAtStep } from "../pictures/stateAtStep.ts";
import { useKeys } from "../ui/useKeys.ts";
import { SpotPicture } from "./SpotPicture.tsx";
import { useSeen } from "./useSeen.ts";

const buttonClass =
  "flex min-h-10 items-center gap-2 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act disabled:text-quiet disabled:hover:bg-lifted";

/** Every step of the evening on all screens at once, one after another, each ticked once it was looked at. */
export function WalkThrough({ onClose }: { onClose: () => void }) {
  const desk = useDesk("state", "ready", "plans", "outputs", "cues");
  const store = useDeskStore();
  const { keys, set } = useSeen();
  const all = useMemo(
    () =>
      desk.ready.flatMap((cue) =>
        cue.content.action
          ? []
          : stepsOf(cue.content)
              .filter(({ kind }) => kind !== "leave" && kind !== "blank")
              .map((step, index) => ({ cue, step, index })),
      ),
    [desk.ready],
  );
  const [at, setAt] = useState(0);
  const place = Math.min(at, Math.max(0, all.length - 1));
  const here = all[place];
  const state = useMemo(
    () => here && stateAtStep(desk, here.cue.cueId, here.step.anchor, store.now()),
    [desk, here, store],
  );
  const keyOf = ({ cue, step }: (typeof all)[number], plan = state?.plan) =>
    plan ? stepKey(cue.hash, step.anchor, plan, desk.outputs) : "";
  const key = here ? keyOf(here) : "";
  const isSeen = keys.has(key);
  const seen = useMemo(() => {
    // Which plan each step is seen under follows from the script: what ends in the same key is the same.
    const starts = new Set([...keys].map((each) => each.slice(0, each.lastIndexOf("/"))));
    return all.filter(({ cue, step }) =>
      starts.has(`${cue.hash.slice(0, 24)}/${step.anchor.occurrence}/${step.anchor.unit}`),
    ).length;
  }, [all, keys]);
  const go = (by: number) => setAt(Math.max(0, Math.min(all.length - 1, place + by)));
  const next = () => {
    if (key !== "" && !isSeen) void set(key, true);
    go(1);
  };
  const toUnseen = () => {
    const order = [...all.slice(place + 1), ...all.slice(0, place + 1)];
    const found = order.find((each) => ![...keys].some((known) => known.startsWith(keyStart(each))));
    if (found) setAt(all.indexOf(found));
  };
  useKeys({
    Space: { run: next, where: "offControls" },
    ArrowRight: { run: () => go(1) },
    ArrowLeft: { run: () => go(-1) },
    s: { run: () => key !== "" && void set(key, !isSeen) },
    u: { run: toUnseen },
    Escape: { run: onClose, where: "everywhere" },
  });
  useEffect(() => {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  }, []);
  if (!here || !state)
    return (
      <main aria-label={t`Walk through`} className="grid flex-1 place-content-center gap-3 p-8 text-center">
        <p className="text-[17px]">
          {t`There is nothing to walk through yet: no cue of this evening can be taken.`}
        </p>
        <button type="button" className={`${buttonClass} mx-auto`} onClick={onClose}>
          {t`Back to the list`}
        </button>
      </main>
    );
  const planned = desk.outputs.filter(({ id }) => (state.plan.outputs[id]?.layerIds.length ?? 0) > 0);
  const number = (desk.cues.find(({ view }) => view.cueId === here.cue.cueId)?.index ?? 0) + 1;
  return (
    <main aria-label={t`Walk through`} className="relative flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 items-center gap-4 border-b border-edge bg-raised px-5 py-2.5">
        <div className="min-w-0 flex-1">
          <p className="truncate text-[17px] font-semibold">
            {number} · {here.cue.content.title}
            {here.step.label && <span className="font-normal text-second"> · {here.step.label}</span>}
          </p>
          <p className="font-words truncate text-[16px] text-second">
            {here.step.kind === "words"
              ? here.step.words.split("\n").join(" / ")
              : t`plan ${state.plan.name}`}
          </p>
        </div>
        <p className="shrink-0 text-right text-[14px] text-second tabular-nums">
          {t`step ${place + 1} of ${all.length}`}
          <br />
          {t`${seen} seen, ${all.length - seen} to go`}
        </p>
        <button
          type="button"
          aria-pressed={isSeen}
          className={`${buttonClass} w-28 justify-center`}
          onClick={() => void set(key, !isSeen)}
        >
          <Check aria-hidden="true" className={`size-5 ${isSeen ? "" : "opacity-30"}`} /> {t`Seen`}
          <kbd>S</kbd>
        </button>
        <button type="button" className={buttonClass} onClick={onClose}>
          {t`Close`} <kbd>Esc</kbd>
        </button>
      </div>
      <Found cueId={here.cue.cueId} step={here.step.anchor} />
      <section
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        aria-label={t`Screens`}
        className="grid min-h-0 flex-1 grid-flow-row-dense grid-cols-[repeat(auto-fill,minmax(min(290px,100%),1fr))] content-start gap-4 overflow-y-auto p-5"
      >
        {planned.map((output) => (
          <SpotPicture
            key={output.id}
            output={output}
            state={state}
            spots={[]}
            caption=""
            isTall={output.heightPx > output.widthPx}
          />
        ))}
      </section>
      <p className="shrink-0 border-t border-edge px-5 py-2 text-[14px] text-second">
        <kbd>Space</kbd> {t`seen, and on ·`} <kbd>←</kbd> <kbd>→</kbd> {t`back and on ·`} <kbd>S</kbd>{" "}
        {t`tick, untick ·`} <kbd>U</kbd>{" "}
        {t`to the next that was not seen. A change of a step takes its tick away.`}
      </p>
      <NoticeBar />
    </main>
  );
}

const keyStart = ({
  cue,
  step,
}: {
  cue: { hash: string };
  step: { anchor: { occurrence: string; unit: number } };
}) => `${cue.hash.slice(0, 24)}/${step.anchor.occurrence}/${step.anchor.unit}/`;

/** What the check has found at this step. */
function Found({ cueId, step }: { cueId: string; step: Parameters<typeof sameAnchor>[0] }) {
  const findings = useCueFindings(cueId).filter(
    ({ waived, spots }) =>
      waived === null && spots.some((spot) => spot.step === null || sameAnchor(spot.step, step)),
  );
  return (
    <ul
      aria-label={t`Findings here`}
      className="flex max-h-32 min-h-9 shrink-0 flex-col gap-1 overflow-y-auto px-5 pt-2"
    >
      {findings.map(({ id, severity, sentence }) => (
        <li key={id} className="flex items-start gap-2 text-[15px]">
          <FindingMark severity={severity} className="mt-0.5 size-4.5" />
          {sentence}
        </li>
      ))}
      {findings.length === 0 && <li className="text-[14px] text-second">{t`Nothing is found here.`}</li>}
    </ul>
  );
}
