import { Copy } from "lucide-react";
import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import { type SecondView, secondPath } from "../../core/second/secondView.ts";
import { call } from "../api/call.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useReachable } from "../desk/useReachable.ts";
import { formatLength } from "../ui/format.ts";
import { HereOnly } from "../ui/HereOnly.tsx";

const button = "flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";

/** A second machine that has the show too and could take over: how it does, and how one comes. */
export function SecondMachine({ view, token, atMs }: { view: SecondView; token: string; atMs: number }) {
  const reached = useReachable();
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [isAsked, setIsAsked] = useState(false);
  const command = t`node vesko.mjs start --follow ${reached?.origin ?? ""}${secondPath(token)}`;
  const copy = () =>
    navigator.clipboard.writeText(command).then(
      () => store.say("word", t`The command is copied. Run it on the second machine.`),
      () => store.say("trouble", t`The browser does not let this page copy. Mark the command and copy it.`),
    );
  const renew = async () => {
    const answer = await call("/screens-link", { kind: "renewSecond" });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else void revalidate();
  };
  return (
    <section aria-label={t`Second machine`} className="flex flex-col gap-2">
      <h2 className="mt-4 text-[17px] font-semibold">{t`Second machine`}</h2>
      <p className="text-[15px]" role="status">
        <State view={view} atMs={atMs} />
      </p>
      {view.kind !== "none" && (
        <a
          className={`${button} self-start`}
          href={`${view.address}${secondPath(token)}`}
          target="_blank"
          rel="noopener noreferrer"
        >
          {t`Open its page, to take over there`}
        </a>
      )}
      {view.kind === "none" && !isAsked ? (
        <button type="button" className={`${button} self-start`} onClick={() => setIsAsked(true)}>
          {t`How to have one`}
        </button>
      ) : (
        view.kind !== "follows" && (
          <div className="flex flex-col gap-2 rounded-lg border border-edge bg-ground px-3 py-2 text-[15px]">
            <p className="text-second">
              {t`Run this on another machine of this network that has the same Vesko. Whoever has the link has the whole show: keep it to yourself.`}
            </p>
            <code className="break-all font-mono text-[14px]">{command}</code>
            <div className="flex flex-wrap gap-2">
              <button type="button" className={button} onClick={() => void copy()}>
                <Copy aria-hidden="true" className="size-4" /> {t`Copy`}
              </button>
              <button
                type="button"
                className={button}
                title={t`The old link opens nothing from then on`}
                onClick={() => void renew()}
              >
                {t`New link`}
              </button>
            </div>
            {reached?.isHereOnly && <HereOnly />}
          </div>
        )
      )}
    </section>
  );
}

function State({ view, atMs }: { view: SecondView; atMs: number }) {
  switch (view.kind) {
    case "none":
      return (
        <span className="text-second">
          {t`None follows this one. A second machine has the same show at every moment, and screens go on from it when this one stops.`}
        </span>
      );
    case "lost":
      return (
        <strong className="text-attention">
          {t`Not heard for ${formatLength(Math.max(0, atMs - view.sinceMs))} (${view.address}). The show goes on here as it was.`}
        </strong>
      );
    case "follows": {
      const { isReady, filesLeft } = view.word;
      if (!isReady) return <>{t`The show is being copied to ${view.address}.`}</>;
      if (filesLeft > 0)
        return (
          <span className="text-attention">
            {t`${view.address} could lead, but for ${filesLeft === 1 ? t`1 file` : t`${filesLeft} files`} that ${filesLeft === 1 ? t`is` : t`are`} still on the way.`}
          </span>
        );
      return <>{t`${view.address} has all of the show, as it is now, and is ready to take over.`}</>;
    }
  }
}
