import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import type { EveningEdit, EveningFields, ListedEvening } from "../../core/rundown/evening.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { AnotherDay } from "./AnotherDay.tsx";
import { EveningRow } from "./EveningRow.tsx";

const NEW: EveningFields = { name: t`New evening`, day: "", startsAt: "", endsAt: "" };

/** The evenings of the house: one is open; any can be taken for another day. */
export function EveningsView({ evenings }: { evenings: readonly ListedEvening[] }) {
  const { evening: open, state } = useDesk("evening", "state");
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [takenId, setTakenId] = useState<string | null>(null);
  const taken = evenings.find(({ id, isDeleted }) => id === takenId && !isDeleted);
  const edit = async (change: EveningEdit) => {
    const answer = await call("/evenings-edit", change);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await revalidate();
    return "value" in answer;
  };
  const row = (evening: ListedEvening) => (
    <EveningRow
      key={evening.id}
      evening={evening}
      isOpen={evening.id === open.id}
      isRunning={Object.keys(state.cueTimes).length > 0}
      isTaken={evening.id === takenId}
      onEdit={edit}
      onTake={() => setTakenId(evening.id === takenId ? null : evening.id)}
    />
  );
  const deleted = evenings.filter(({ isDeleted }) => isDeleted);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_440px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main
        aria-label={t`Evenings`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="relative min-h-0 overflow-y-auto px-6 py-5"
      >
        <div className="mb-3 flex items-center justify-between">
          <h2 className="text-[17px] font-semibold">{t`Evenings`}</h2>
          <button
            type="button"
            onClick={() => void edit({ kind: "create", fields: NEW })}
            className="min-h-9 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge"
          >
            {t`New, empty`}
          </button>
        </div>
        <ul className="flex flex-col gap-2.5">{evenings.filter(({ isDeleted }) => !isDeleted).map(row)}</ul>
        {deleted.length > 0 && (
          <>
            <h2 className="mt-8 mb-3 text-[17px] font-semibold">{t`Deleted`}</h2>
            <ul className="flex flex-col gap-2.5">{deleted.map(row)}</ul>
          </>
        )}
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Duplicate for another day`}
        className="flex min-h-0 flex-col border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-5 py-5"
      >
        {taken ? (
          <AnotherDay
            key={taken.id}
            evening={taken}
            onMake={(fields, emptied) =>
              edit({ kind: "duplicate", eveningId: taken.id, fields, emptied }).then(
                (isDone) => isDone && setTakenId(null),
              )
            }
          />
        ) : (
          <div className="flex flex-col gap-3 text-[15px] text-second">
            <h2 className="text-[17px] font-semibold text-paper">{t`Duplicate for another day`}</h2>
            <p>
              {t`Choose “duplicate” beside an evening: its cues come once more, with their templates, screens and times. What is of the day alone is emptied, so that last week’s words cannot go out.`}
            </p>
            <p>
              {t`Screens, templates, songs, texts and the library are the house’s, and the same in every evening.`}
            </p>
          </div>
        )}
      </aside>
    </div>
  );
}
