import { useEffect, useMemo, useState } from "react";
import { PART_NAMES, PARTS } from "../../core/carry/carriedShow.ts";
import type { CarryJobView, LookedView } from "../../core/carry/carryView.ts";
import { keyOf, type Met } from "../../core/carry/compare.ts";
import type { Choice, Choices } from "../../core/carry/merge.ts";
import { t } from "../../core/language/t.ts";
import { ask } from "../api/call.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatDate } from "../ui/format.ts";
import { HoldButton } from "../ui/HoldButton.tsx";
import { buttonClass, mainButtonClass } from "./buttons.ts";
import { choose, chooseForAll, chosenAtFirst, countComing } from "./choose.ts";
import { MetRow } from "./MetRow.tsx";

/** What is in a show file or a copy, beside what is here: asked once, for all of it. */
export function LookedShow({
  job,
  isBusy,
  onBack,
  onBring,
  onOpen,
}: {
  job: CarryJobView;
  isBusy: boolean;
  onBack: () => void;
  onBring: (choices: Choices) => void;
  onOpen: () => void;
}) {
  const [looked, setLooked] = useState<LookedView>();
  const [problem, setProblem] = useState("");
  const [choices, setChoices] = useState<Choices>({});
  useEffect(() => {
    let isGone = false;
    void ask("/carry-looked", `?id=${job.id}`).then((answer) => {
      if (isGone) return;
      if ("problem" in answer) return setProblem(answer.problem.sentence);
      setLooked(answer.value);
      setChoices(chosenAtFirst(answer.value.met, answer.value.isCopy));
    });
    return () => {
      isGone = true;
    };
  }, [job.id]);
  if (!looked) return <p className="text-[16px] text-second">{problem || t`Reading what is in it…`}</p>;
  return (
    <section aria-label={t`What is in it`} className="flex max-w-4xl flex-col">
      <Head looked={looked} onBack={onBack} />
      <AllThatClash
        met={looked.met}
        onChoose={(choice) => setChoices(chooseForAll(looked.met, choices, choice))}
      />
      {PART_NAMES.map((part) => (
        <PartOfIt
          key={part}
          title={PARTS[part].many}
          met={looked.met.filter((each) => each.part === part)}
          choices={choices}
          onChoose={(of, choice) => setChoices(choose(looked.met, choices, of, choice))}
        />
      ))}
      <Acts
        looked={looked}
        coming={countComing(looked.met, choices)}
        isBusy={isBusy}
        onBring={() => onBring(choices)}
        onOpen={onOpen}
      />
    </section>
  );
}

function Head({ looked, onBack }: { looked: LookedView; onBack: () => void }) {
  const locale = useLocale();
  const { name, program, holds, madeAtMs, met, same, missing, isCopy } = looked;
  const count = (state: Met["state"]) => met.filter((each) => each.state === state).length;
  return (
    <>
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="min-w-0 text-[20px] font-semibold">
          {holds.kind === "evening" ? holds.name : isCopy ? t`A copy of this show` : name}
        </h2>
        <button type="button" onClick={onBack} className={buttonClass}>
          {t`Back`}
        </button>
      </div>
      <p className="text-[15px] text-second" suppressHydrationWarning>
        {isCopy
          ? t`As it was on ${formatDate(madeAtMs, locale)}`
          : t`${holds.kind === "evening" ? t`One evening of ${name}` : t`A whole show`}, saved ${formatDate(madeAtMs, locale)} by Vesko ${program}`}
      </p>
      <p className="my-3 text-[16px]">{inWords(count("new"), count("other"), same, isCopy)}</p>
      {missing > 0 && (
        <p className="mb-3 text-[15px] text-attention">
          {t`${missing === 1 ? t`1 file of it is` : t`${missing} files of it are`} missing: a stand-in is shown in ${missing === 1 ? t`its` : t`their`} place.`}
        </p>
      )}
    </>
  );
}

function inWords(fresh: number, other: number, same: number, isCopy: boolean): string {
  if (fresh + other === 0) return t`Everything in it is here, and says the same: ${same} things.`;
  const parts = [
    ...(fresh > 0
      ? [`${fresh} ${fresh === 1 ? t`is` : t`are`} ${isCopy ? t`no longer here` : t`new here`}`]
      : []),
    ...(other > 0 ? [t`${other} ${other === 1 ? t`says` : t`say`} something else than what is here`] : []),
    ...(same > 0 ? [t`${same} ${same === 1 ? t`is` : t`are`} the same`] : []),
  ];
  return t`Of what is in it, ${parts.join(", ")}.`;
}

function AllThatClash({ met, onChoose }: { met: readonly Met[]; onChoose: (choice: Choice) => void }) {
  const clashing = met.filter(({ state }) => state === "other");
  if (clashing.length < 2) return null;
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2 text-[15px]">
      <span className="mr-2 text-second">{t`All that say something else:`}</span>
      <button type="button" onClick={() => onChoose("keep")} className={buttonClass}>
        {t`Keep what is here`}
      </button>
      <button type="button" onClick={() => onChoose("replace")} className={buttonClass}>
        {t`Replace it`}
      </button>
      {clashing.some(({ canBeBoth }) => canBeBoth) && (
        <button type="button" onClick={() => onChoose("both")} className={buttonClass}>
          {t`Both, where both can be`}
        </button>
      )}
    </div>
  );
}

/** Long lists are shown in part: what clashes first. */
const MOST_SHOWN = 200;

function PartOfIt({
  title,
  met,
  choices,
  onChoose,
}: {
  title: string;
  met: readonly Met[];
  choices: Choices;
  onChoose: (of: Met, choice: Choice) => void;
}) {
  const sorted = useMemo(
    () => [...met].sort((a, b) => Number(a.state === "new") - Number(b.state === "new")),
    [met],
  );
  if (met.length === 0) return null;
  const heading = `${title.charAt(0).toUpperCase()}${title.slice(1)}`;
  return (
    <section aria-label={heading} className="mt-4">
      <h3 className="mb-1 text-[16px] font-semibold text-second">{heading}</h3>
      <ul className="flex flex-col">
        {sorted.slice(0, MOST_SHOWN).map((each) => (
          <MetRow
            key={each.id}
            met={each}
            choice={choices[keyOf(each.part, each.id)] ?? "keep"}
            onChoose={(choice) => onChoose(each, choice)}
          />
        ))}
      </ul>
      {sorted.length > MOST_SHOWN && (
        <p className="py-2 text-[15px] text-second">
          {t`And ${sorted.length - MOST_SHOWN} more, which come as new ones do.`}
        </p>
      )}
    </section>
  );
}

function Acts({
  looked: { isCopy, holds },
  coming,
  isBusy,
  onBring,
  onOpen,
}: {
  looked: LookedView;
  coming: number;
  isBusy: boolean;
  onBring: () => void;
  onOpen: () => void;
}) {
  return (
    <div className="sticky bottom-0 mt-6 flex flex-col gap-3 border-t border-edge bg-ground py-4">
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" disabled={coming === 0 || isBusy} onClick={onBring} className={mainButtonClass}>
          {coming === 0
            ? t`Nothing chosen`
            : coming === 1
              ? t`Bring in 1 thing`
              : t`Bring in ${coming} things`}
        </button>
        <HoldButton disabled={isBusy} onHeld={onOpen} className={`${buttonClass} relative overflow-hidden`}>
          {isCopy
            ? t`Hold: all as it was then`
            : holds.kind === "evening"
              ? t`Hold: open as a new show with this evening`
              : t`Hold: open as a new show, in place of this one`}
        </HoldButton>
      </div>
      <p className="text-[15px] text-second">
        {t`Bringing in changes no screen; desks are away for a moment. A whole show in place of this one empties the screens; the one here is kept beside it on the disk.`}
      </p>
    </div>
  );
}
