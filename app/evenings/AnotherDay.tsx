import { useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { EveningFields, OpenEvening } from "../../core/rundown/evening.ts";
import { CUE_KINDS, type CueKindName, kindOf } from "../../core/rundown/kinds.ts";
import { ask } from "../api/call.ts";
import { useDesk } from "../desk/deskContext.ts";
import { TimeBox } from "../desk/TimeBox.tsx";
import { cueKindName, typedTitle } from "../ui/describeCue.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";

interface ListedCue {
  readonly cueId: string;
  readonly doc: CueDoc;
}

/** Kinds that can be emptied all at once; headings stay. */
const GROUPS = (Object.keys(CUE_KINDS) as CueKindName[])
  .filter((kind) => CUE_KINDS[kind].hasWordsOfTheDay)
  .map((kind) => ({
    name: CUE_KINDS[kind].plural,
    has: (doc: CueDoc) => doc.kind === kind && !("isHeading" in doc && doc.isHeading),
  }));

/** The cues of an evening for another day: which of them keep their words, and which are emptied. */
export function AnotherDay({
  evening,
  onMake,
}: {
  evening: OpenEvening;
  onMake: (fields: EveningFields, emptied: string[]) => Promise<unknown>;
}) {
  const { fieldSets } = useDesk("fieldSets");
  const [fields, setFields] = useState<EveningFields>({
    name: evening.name,
    day: weekAfter(evening.day),
    startsAt: evening.startsAt,
    endsAt: evening.endsAt,
  });
  const [cues, setCues] = useState<readonly ListedCue[]>();
  const [emptied, setEmptied] = useState<ReadonlySet<string>>(new Set());
  const [isMaking, setMaking] = useState(false);
  useEffect(() => {
    let gone = false;
    void ask("/evening/", evening.id).then((answer) => {
      if (gone) return;
      const found = "value" in answer ? answer.value.cues : [];
      setCues(found.filter(({ doc }) => kindOf(doc).hasWordsOfTheDay));
      setEmptied(new Set(found.filter(({ doc }) => doc.isOfTheDay).map(({ cueId }) => cueId)));
    });
    return () => {
      gone = true;
    };
  }, [evening.id]);
  const set = (ids: readonly string[], isEmptied: boolean) => {
    const next = new Set(emptied);
    for (const id of ids) {
      if (isEmptied) next.add(id);
      else next.delete(id);
    }
    setEmptied(next);
  };
  const make = () => {
    setMaking(true);
    void onMake(fields, [...emptied]).finally(() => setMaking(false));
  };
  return (
    <form
      className="flex min-h-0 flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      <h2 className="text-[17px] font-semibold">{t`“${evening.name}” for another day`}</h2>
      <div className="flex">
        <Labelled id="another-name" label={t`Name`}>
          <input
            id="another-name"
            required
            maxLength={120}
            value={fields.name}
            onChange={({ target }) => setFields({ ...fields, name: target.value })}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
      </div>
      <div className="grid grid-cols-[1.3fr_1fr_1fr] gap-2">
        <Labelled id="another-day" label={t`Day`}>
          <input
            id="another-day"
            type="date"
            value={fields.day}
            onChange={({ target }) => setFields({ ...fields, day: target.value })}
            className={`${fieldClass} px-2! text-[15px]`}
          />
        </Labelled>
        <Labelled id="another-start" label={t`Begins at`}>
          <TimeBox
            id="another-start"
            time={fields.startsAt}
            onSave={(startsAt) => setFields((now) => ({ ...now, startsAt }))}
            className="min-h-10 w-full"
          />
        </Labelled>
        <Labelled id="another-end" label={t`Ends at`}>
          <TimeBox
            id="another-end"
            time={fields.endsAt}
            onSave={(endsAt) => setFields((now) => ({ ...now, endsAt }))}
            className="min-h-10 w-full"
          />
        </Labelled>
      </div>
      <fieldset className="flex min-h-0 min-w-0 flex-1 flex-col">
        <legend className="mb-1 text-[15px] text-second">
          {t`Emptied: ${emptied.size} of ${cues?.length ?? 0}. The others keep their words.`}
        </legend>
        <div className="mb-2 flex flex-wrap gap-2">
          {GROUPS.map(({ name, has }) => {
            const ids = (cues ?? []).filter(({ doc }) => has(doc)).map(({ cueId }) => cueId);
            const isAll = ids.length > 0 && ids.every((id) => emptied.has(id));
            return (
              <button
                key={name}
                type="button"
                aria-pressed={isAll}
                disabled={ids.length === 0}
                onClick={() => set(ids, !isAll)}
                className="min-h-8 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge disabled:text-quiet aria-pressed:bg-act-ground aria-pressed:text-act"
              >
                {name}
              </button>
            );
          })}
        </div>
        <ul className="min-h-24 flex-1 overflow-y-auto rounded-md border border-edge">
          {cues?.map(({ cueId, doc }) => (
            <li key={cueId} className="border-b border-edge last:border-0">
              <label className="flex min-h-9 items-center gap-3 px-3 text-[15px]">
                <input
                  type="checkbox"
                  checked={emptied.has(cueId)}
                  onChange={({ target }) => set([cueId], target.checked)}
                  className="size-5 shrink-0 accent-act"
                />
                <span className={`min-w-0 truncate ${emptied.has(cueId) ? "text-second line-through" : ""}`}>
                  {typedTitle(doc, fieldSets)}
                </span>
                <span className="ml-auto shrink-0 text-[14px] text-second">
                  {cueKindName(doc, fieldSets)}
                </span>
              </label>
            </li>
          ))}
        </ul>
      </fieldset>
      <button
        type="submit"
        disabled={isMaking || !cues || fields.name.trim() === ""}
        className="min-h-11 shrink-0 rounded-md bg-act px-4 text-[16px] font-semibold text-on-bright disabled:bg-lifted disabled:text-quiet"
      >
        {t`Make it`}
      </button>
    </form>
  );
}

/** The same weekday of the week after; nothing when no day is said. */
function weekAfter(day: string): string {
  if (day === "") return "";
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + 7);
  return date.toISOString().slice(0, 10);
}
