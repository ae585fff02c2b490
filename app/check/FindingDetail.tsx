import { ChevronLeft, ChevronRight } from "lucide-react";
import { useEffect, useId, useState } from "react";
import { Link } from "react-router";
import { nameOfCheck } from "../../core/check/checks.ts";
import type { CheckFinding, Spot } from "../../core/check/gather.ts";
import type { Mend } from "../../core/check/mend.ts";
import { t } from "../../core/language/t.ts";
import { sameAnchor } from "../../core/rundown/anchor.ts";
import { PAGE_ANCHOR, stepsOf } from "../../core/rundown/steps.ts";
import { FindingMark, SEVERITY_WORDS } from "../desk/check/FindingMark.tsx";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { stateAtStep } from "../pictures/stateAtStep.ts";
import { fieldClass } from "../ui/Labelled.tsx";
import { SpotPicture } from "./SpotPicture.tsx";
import { useMended } from "./useMended.ts";
import { useMends } from "./useMends.ts";

const buttonClass =
  "min-h-9 rounded-md bg-lifted px-3.5 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act disabled:text-quiet disabled:hover:bg-lifted";

/** One finding: where it is, on the picture, and what can be done about it. */
export function FindingDetail({ finding }: { finding: CheckFinding }) {
  const { cues } = useDesk("cues");
  const { mend, letBe, takeUp } = useMends();
  const cue = cues.find(({ view }) => view.cueId === finding.cueId);
  const [shown, setShown] = useState<Mend | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another finding has other mends
  useEffect(() => setShown(null), [finding.id, finding.sentence]);
  return (
    <section aria-label={t`What is found`} className="flex min-h-0 flex-1 flex-col overflow-y-auto px-5 py-4">
      <p className="flex items-center gap-2 text-[14px] text-second">
        <FindingMark severity={finding.severity} />
        {nameOfCheck(finding.code)}, {SEVERITY_WORDS[finding.severity]}
      </p>
      <h2 className="mt-1 text-[19px] leading-snug font-semibold">{finding.sentence}</h2>
      {cue && (
        <p className="mt-1.5 text-[15px] text-second">
          {cue.index + 1} · {cue.title}
          <CueLink cueId={cue.view.cueId} />
        </p>
      )}
      {WHERE[finding.subject.kind] && (
        <Link
          to={WHERE[finding.subject.kind]?.to ?? "/check"}
          className="mt-1.5 inline-flex min-h-8 items-center rounded text-[15px] text-act hover:underline"
        >
          {t`Open`} {WHERE[finding.subject.kind]?.name}
        </Link>
      )}
      {finding.waived !== null ? (
        <p className="mt-3 flex flex-wrap items-center gap-3 rounded-md bg-raised px-3 py-2 text-[15px]">
          <span>
            {t`Let be:`} <em>{finding.waived}</em>
          </span>
          <button type="button" className={buttonClass} onClick={() => void takeUp(finding)}>
            {t`Put it back in the list`}
          </button>
        </p>
      ) : (
        <>
          {finding.mends.length > 0 && (
            <ul aria-label={t`Mends`} className="mt-3 flex flex-col gap-1.5">
              {finding.mends.map((one) => (
                <li key={one.label} className="flex items-center gap-2 rounded-md bg-raised py-1 pr-1 pl-3">
                  <span className="min-w-0 flex-1 text-[15px]">{one.label}</span>
                  {one.kind === "changeCue" && one.cueId === finding.cueId && (
                    <button
                      type="button"
                      aria-pressed={shown === one}
                      aria-label={t`Show: ${one.label}`}
                      className={buttonClass}
                      onClick={() => setShown(shown === one ? null : one)}
                    >
                      {t`Show`}
                    </button>
                  )}
                  <button
                    type="button"
                    aria-label={t`Do it: ${one.label}`}
                    className={`${buttonClass} font-semibold text-act`}
                    onClick={() => void mend(one)}
                  >
                    {t`Do it`}
                  </button>
                </li>
              ))}
            </ul>
          )}
          {finding.cueId !== null && (
            <LetBe key={finding.id} onLetBe={(reason) => void letBe(finding, reason)} />
          )}
        </>
      )}
      {finding.cueId !== null && <Pictures finding={finding} cueId={finding.cueId} mend={shown} />}
    </section>
  );
}

/** Where what is found about no cue is seen to. */
const WHERE: Readonly<Record<string, { readonly to: string; readonly name: string } | undefined>> = {
  screen: { to: "/screens", name: t`Screens` },
  feed: { to: "/feeds", name: t`Feeds` },
  trigger: { to: "/triggers", name: t`Triggers` },
  evening: { to: "/timing", name: t`Timing` },
};

function CueLink({ cueId }: { cueId: string }) {
  const store = useDeskStore();
  return (
    <Link
      to="/prepare"
      onClick={() => store.choose(cueId)}
      className="ml-3 inline-flex min-h-8 items-center rounded px-1 text-act hover:underline"
    >
      {t`Open in Prepare`}
    </Link>
  );
}

function LetBe({ onLetBe }: { onLetBe: (reason: string) => void }) {
  const [reason, setReason] = useState("");
  const id = useId();
  return (
    <form
      className="mt-2 flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== "") onLetBe(reason.trim());
      }}
    >
      <label htmlFor={id} className="sr-only">
        {t`Why it is let be`}
      </label>
      <input
        id={id}
        value={reason}
        maxLength={300}
        placeholder={t`It may stay so, because…`}
        onChange={({ target }) => setReason(target.value)}
        className={`${fieldClass} min-h-9 py-1 text-[15px]`}
      />
      <button type="submit" disabled={reason.trim() === ""} className={`${buttonClass} shrink-0`}>
        {t`Let it be`}
      </button>
    </form>
  );
}

/** The screens it is found on, at one of its steps, as they are or as a mend would have them. */
function Pictures({ finding, cueId, mend }: { finding: CheckFinding; cueId: string; mend: Mend | null }) {
  const desk = useDesk("state", "ready", "plans", "outputs");
  const store = useDeskStore();
  const mended = useMended(mend);
  const cue = desk.ready.find((each) => each.cueId === cueId);
  const steps = placesOf(finding.spots);
  const [chosen, setChosen] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another finding begins at its first place
  useEffect(() => setChosen(0), [finding.id]);
  if (!cue || cue.content.action || cue.content.layerId === "") return null;
  const at = Math.min(chosen, Math.max(0, steps.length - 1));
  const step = steps[at] ?? stepsOf(cue.content)[0]?.anchor ?? PAGE_ANCHOR;
  const here = finding.spots.filter((spot) => spot.step === null || sameAnchor(spot.step, step));
  const hash = mended && "hash" in mended ? mended.hash : undefined;
  const state = stateAtStep(desk, cueId, step, store.now(), mend ? hash : undefined);
  const seen = desk.outputs.filter(({ id }) => here.some(({ outputId }) => outputId === id));
  const shown =
    seen.length > 0
      ? seen
      : desk.outputs.filter(({ id }) => cue.content.only?.includes(id) ?? true).slice(0, 1);
  const words = stepsOf(cue.content).find(({ anchor }) => sameAnchor(anchor, step))?.words ?? "";
  return (
    <div className="mt-4 border-t border-edge pt-3">
      <div className="mb-2 flex min-h-9 items-center justify-between gap-3">
        <p className="min-w-0 truncate text-[14px] text-second">
          {mend ? (
            mended === undefined ? (
              t`being made…`
            ) : "whyNot" in mended ? (
              mended.whyNot
            ) : (
              <strong className="text-act">{t`as it would be`}</strong>
            )
          ) : (
            <>
              {steps.length > 1 && (
                <span className="mr-2 whitespace-nowrap">{t`${at + 1} of ${steps.length} places`}</span>
              )}
              <span className="font-words">{words.split("\n").join(" / ")}</span>
            </>
          )}
        </p>
        {steps.length > 1 && (
          <span className="flex shrink-0 gap-1">
            <button
              type="button"
              aria-label={t`Place before`}
              disabled={at === 0}
              className="grid size-9 place-content-center rounded-md bg-lifted hover:bg-edge disabled:text-quiet"
              onClick={() => setChosen(at - 1)}
            >
              <ChevronLeft aria-hidden="true" className="size-5" />
            </button>
            <button
              type="button"
              aria-label={t`Place after`}
              disabled={at === steps.length - 1}
              className="grid size-9 place-content-center rounded-md bg-lifted hover:bg-edge disabled:text-quiet"
              onClick={() => setChosen(at + 1)}
            >
              <ChevronRight aria-hidden="true" className="size-5" />
            </button>
          </span>
        )}
      </div>
      {state && (
        <div className="flex flex-col gap-4">
          {shown.map((output) => (
            <SpotPicture
              key={output.id}
              output={output}
              state={state}
              spots={mend ? [] : here.filter(({ outputId }) => outputId === output.id)}
              caption={mend ? t`as it would be` : ""}
              isTall={output.heightPx > output.widthPx}
            />
          ))}
        </div>
      )}
    </div>
  );
}

/** The steps at which it is found, each once. */
function placesOf(spots: readonly Spot[]) {
  const steps: NonNullable<Spot["step"]>[] = [];
  for (const { step } of spots) if (step && !steps.some((known) => sameAnchor(known, step))) steps.push(step);
  return steps;
}
