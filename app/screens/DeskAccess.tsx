import { useCallback, useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import { ask, call } from "../api/call.ts";
import type { Calls, LetIn } from "../api/calls.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { formatLength } from "../ui/format.ts";

/** Browsers on other machines that were let in to the desk, and ways to show them out. */
export function DeskAccess({ hasPasscode }: { hasPasscode: boolean }) {
  const store = useDeskStore();
  const [letIn, setLetIn] = useState<LetIn | null>(null);
  const load = useCallback(async () => {
    const answer = await ask("/access");
    if ("value" in answer) setLetIn(answer.value);
  }, []);
  // Another passcode shows everybody out: look again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: that is when
  useEffect(() => void load(), [load, hasPasscode]);
  const act = async (body: Calls["/access"]["sends"], done: string) => {
    const answer = await call("/access", body);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else store.say("word", done);
    await load();
  };
  if (!letIn) return null;
  return (
    <>
      {letIn.deskLink !== null && (
        <p className="flex flex-wrap items-center gap-3">
          <button
            type="button"
            className="min-h-8 rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() =>
              void navigator.clipboard
                .writeText(`${location.origin}${letIn.deskLink}`)
                .then(() => store.say("word", t`The desk link is copied. Whoever has it can run the show.`))
                .catch(() =>
                  store.say("trouble", t`This browser copies nothing here. The link was printed at start.`),
                )
            }
          >
            {t`Copy the desk link`}
          </button>
          <button
            type="button"
            title={t`The old link ends at once, and shows out all that came by it`}
            className="min-h-8 rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() =>
              void act(
                { kind: "renewDesk" },
                t`There is a new desk link. Browsers that came by the old one are shown out.`,
              )
            }
          >
            {t`New desk link`}
          </button>
        </p>
      )}
      {letIn.sessions.length === 0 ? (
        <p className="text-second">{t`No other browser was let in.`}</p>
      ) : (
        <ul aria-label={t`Browsers that were let in`} className="flex flex-col gap-2">
          {letIn.sessions.map(({ id, name, way, address, seenAtMs }) => (
            <li key={id} className="flex items-center gap-3 rounded-lg border border-edge px-3 py-2">
              <span className="min-w-0 flex-1">
                <span className="block truncate font-semibold">
                  {name}
                  {id === letIn.ownId && <span className="font-normal text-act"> {t`· this one`}</span>}
                </span>
                <span className="block text-[14px] text-second">
                  {t`by ${way === "link" ? t`the link` : t`the passcode`}, ${address}, seen ${formatLength(Math.max(0, store.now() - seenAtMs))} ago`}
                </span>
              </span>
              <button
                type="button"
                className="min-h-8 shrink-0 rounded-md bg-lifted px-3 hover:bg-edge"
                onClick={() => void act({ kind: "endSession", id }, t`“${name}” is shown out.`)}
              >
                {t`Show out`}
                <span className="sr-only"> {name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
