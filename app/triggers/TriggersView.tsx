import { t } from "../../core/language/t.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { Devices } from "./Devices.tsx";
import { Sources } from "./Sources.tsx";
import { TriggerList } from "./TriggerList.tsx";

/** What comes by itself: the venue's sources, how devices are heard, and what is done when something happens. */
export function TriggersView() {
  return (
    <div className="relative grid min-h-0 flex-1 grid-cols-[minmax(400px,5fr)_minmax(0,7fr)] max-[1000px]:block max-[1000px]:overflow-y-auto">
      <aside
        aria-label={t`Sources and devices`}
        className="flex min-h-0 flex-col gap-4 overflow-y-auto border-r border-edge bg-raised px-4 pt-4 pb-6 max-[1000px]:overflow-visible max-[1000px]:border-r-0 max-[1000px]:border-b"
      >
        <Sources />
        <Devices />
      </aside>
      <main aria-label={t`Triggers`} className="relative flex min-h-0 min-w-0 flex-col">
        <TriggerList />
        <NoticeBar />
      </main>
    </div>
  );
}
