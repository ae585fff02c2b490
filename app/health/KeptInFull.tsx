import { t } from "../../core/language/t.ts";
import type { VenueSettings } from "../../core/show/venueSettings.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NumberBox } from "../ui/NumberBox.tsx";

/** How long, and how much, of what was done is kept in full; of what is older the log keeps its lines. */
export function KeptInFull() {
  const store = useDeskStore();
  const { kept } = useDesk("venue").venue;
  const save = async (change: Partial<VenueSettings["kept"]>) => {
    const answer = await call("/venue-settings", { kept: { ...kept, ...change } });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  return (
    <section aria-label={t`Evenings that are past`}>
      <h2 className="mt-4 mb-1 text-[17px] font-semibold">{t`Evenings that are past`}</h2>
      <p className="mb-3 text-[15px] text-second">
        {t`Kept in full, with every page as it was shown, for this long and up to this much. After that the log keeps what was done, line by line. The current evening is always kept whole.`}
      </p>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 text-[16px]">
        <label htmlFor="kept-days" className="flex items-center gap-2">
          <NumberBox
            id="kept-days"
            value={kept.days}
            min={7}
            max={3_650}
            onSave={(days) => void save({ days })}
          />{" "}
          {t`days`}
        </label>
        <label htmlFor="kept-mb" className="flex items-center gap-2">
          <NumberBox id="kept-mb" value={kept.mb} min={10} max={100_000} onSave={(mb) => void save({ mb })} />{" "}
          {t`MB`}
        </label>
      </div>
    </section>
  );
}
