import { useEffect, useRef } from "react";
import { useSearchParams } from "react-router";
import type { CarryJobView } from "../../core/carry/carryView.ts";
import { t } from "../../core/language/t.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useActor } from "../desk/useActor.ts";
import { CopyList } from "./CopyList.tsx";
import { JobRow } from "./JobRow.tsx";
import { LookedShow } from "./LookedShow.tsx";
import { OpenShow } from "./OpenShow.tsx";
import { type CarriedEveningLine, SaveShow } from "./SaveShow.tsx";
import { useCarryJobs } from "./useCarryJobs.ts";

/** Show files out and in, and the copies that the server makes by itself. */
export function CarryView({
  evenings,
  jobs: atFirst,
}: {
  evenings: readonly CarriedEveningLine[];
  jobs: readonly CarryJobView[];
}) {
  const actor = useActor(useDeskStore().windowId);
  const { jobs, edit } = useCarryJobs(atFirst);
  const [search, setSearch] = useSearchParams();
  const lookedId = search.get("look");
  const looked = jobs.find(({ id, state }) => id === lookedId && state.kind === "looked");
  const show = (id: string | null) => setSearch(id === null ? {} : { look: id }, { replace: true });
  const begun = useRef<string>(undefined);
  // What was looked at here is shown as soon as it is known.
  const ready = jobs.find(({ id, state }) => id === begun.current && state.kind === "looked");
  useEffect(() => {
    if (!ready) return;
    begun.current = undefined;
    setSearch({ look: ready.id }, { replace: true });
  }, [ready, setSearch]);
  const changing = useRef<string>(undefined);
  const changed = jobs.find(
    ({ id, state }) => id === changing.current && (state.kind === "brought" || state.kind === "opened"),
  );
  useEffect(() => {
    // All that this page was given is of the show as it was.
    if (changed) window.location.assign("/carry");
  }, [changed]);
  // While something is chosen of, only what goes on is of interest.
  const listed = looked
    ? jobs.filter(({ state }) => state.kind === "running" || state.kind === "failed")
    : jobs;
  const start = async (wanted: Parameters<typeof edit>[0]) => {
    const id = await edit(wanted);
    if (wanted.kind === "bring" || wanted.kind === "open") {
      changing.current = id;
      // The list tells what came of it, after this page has loaded itself again too.
      if (id !== undefined) show(null);
    } else begun.current = id;
  };
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_440px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,34%)]">
      <main
        aria-label={t`Show files`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="relative flex min-h-0 flex-col overflow-y-auto px-6 py-5"
      >
        {looked ? (
          <LookedShow
            key={looked.id}
            job={looked}
            isBusy={jobs.some(({ state }) => state.kind === "running")}
            onBack={() => show(null)}
            onBring={(choices) => void start({ kind: "bring", id: looked.id, choices, actor })}
            onOpen={() => void start({ kind: "open", id: looked.id, actor })}
          />
        ) : (
          <>
            <SaveShow
              evenings={evenings}
              onSave={(holds) => void start({ kind: "start", wanted: { kind: "save", holds } })}
            />
            <OpenShow
              onSent={(sentId, fileName) =>
                void start({ kind: "start", wanted: { kind: "look", sentId, fileName } })
              }
            />
          </>
        )}
        {listed.length > 0 && (
          <section aria-label={t`Done and being done`} className="mt-7">
            <h2 className="mb-2 text-[17px] font-semibold">{t`Done and being done`}</h2>
            <ul className="flex max-w-3xl flex-col gap-2">
              {listed.map((job) => (
                <JobRow
                  key={job.id}
                  job={job}
                  onShow={() => show(job.id)}
                  onCancel={() => void edit({ kind: "cancel", id: job.id })}
                  onForget={() => void edit({ kind: "forget", id: job.id })}
                />
              ))}
            </ul>
          </section>
        )}
        <NoticeBar />
      </main>
      <CopyList onLook={(copy) => void start({ kind: "start", wanted: { kind: "lookAtCopy", copy } })} />
    </div>
  );
}
