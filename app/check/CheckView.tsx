import { Footprints, SlidersHorizontal } from "lucide-react";
import { useSearchParams } from "react-router";
import type { CheckFinding } from "../../core/check/gather.ts";
import { t } from "../../core/language/t.ts";
import type { CheckState } from "../desk/check/checkStore.ts";
import { useCheck, useHurriedCheck } from "../desk/check/useCheck.ts";
import { useDesk } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useKeys } from "../ui/useKeys.ts";
import { FindingDetail } from "./FindingDetail.tsx";
import { FindingList } from "./FindingList.tsx";
import { LimitsPanel } from "./LimitsPanel.tsx";
import { WalkThrough } from "./WalkThrough.tsx";

const SHOWN = {
  all: { name: t`All`, holds: ({ waived }: CheckFinding) => waived === null },
  fault: {
    name: t`Must be mended`,
    holds: ({ severity, waived }: CheckFinding) => severity === "fault" && waived === null,
  },
  warning: {
    name: t`Will be seen`,
    holds: ({ severity, waived }: CheckFinding) => severity === "warning" && waived === null,
  },
  note: {
    name: t`To look at`,
    holds: ({ severity, waived }: CheckFinding) => severity === "note" && waived === null,
  },
  waived: { name: t`Let be`, holds: ({ waived }: CheckFinding) => waived !== null },
} as const;
type Shown = keyof typeof SHOWN;
const SHOWN_NAMES = Object.keys(SHOWN) as readonly Shown[];

const buttonClass =
  "flex min-h-10 items-center gap-2 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act";

/** Everything that is wrong with the evening, in one list, before the doors open. */
export function CheckView() {
  useHurriedCheck();
  const state = useCheck((now) => now);
  const [parameters, setParameters] = useSearchParams();
  const panel = parameters.get("panel");
  const shown = SHOWN_NAMES.find((name) => name === parameters.get("show")) ?? "all";
  const { outputs } = useDesk("outputs");
  const screen = outputs.find(({ id }) => id === parameters.get("screen"));
  const onScreen = screen
    ? state.findings.filter(({ outputIds }) => outputIds.includes(screen.id))
    : state.findings;
  const findings = onScreen.filter(SHOWN[shown].holds);
  const chosenId = parameters.get("finding");
  const at = findings.findIndex(({ id }) => id === chosenId);
  const chosen = findings[at] ?? state.findings.find(({ id }) => id === chosenId) ?? findings[0];
  const set = (changes: Readonly<Record<string, string | null>>) =>
    setParameters(
      (before) => {
        const next = new URLSearchParams(before);
        for (const [name, value] of Object.entries(changes))
          if (value === null) next.delete(name);
          else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const go = (by: 1 | -1) => {
    const next = findings[Math.max(0, Math.min(findings.length - 1, at + by))];
    if (next) set({ finding: next.id });
  };
  useKeys({
    ArrowDown: { run: () => go(1) },
    ArrowUp: { run: () => go(-1) },
  });
  if (panel === "walk") return <WalkThrough onClose={() => set({ panel: null })} />;
  return (
    <main aria-label={t`Check`} className="relative flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-b border-edge bg-raised px-5 py-2.5">
        <Verdict state={state} />
        <span className="ml-auto flex gap-2">
          <select
            aria-label={t`On which screen`}
            value={screen?.id ?? ""}
            onChange={(event) => set({ screen: event.target.value || null, finding: null })}
            className="min-h-10 max-w-48 rounded-md border border-edge-strong bg-ground px-2 text-[15px]"
          >
            <option value="">{t`On every screen`}</option>
            {outputs.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
          <button type="button" className={buttonClass} onClick={() => set({ panel: "walk" })}>
            <Footprints aria-hidden="true" className="size-5" /> {t`Walk through`}
          </button>
          <button
            type="button"
            aria-pressed={panel === "limits"}
            className={buttonClass}
            onClick={() => set({ panel: panel === "limits" ? null : "limits" })}
          >
            <SlidersHorizontal aria-hidden="true" className="size-5" /> {t`Limits`}
          </button>
        </span>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1fr)] max-[1000px]:grid-cols-1 max-[1000px]:grid-rows-[minmax(0,1fr)_minmax(0,1.2fr)]">
        <div className="flex min-h-0 flex-col">
          <div
            role="toolbar"
            aria-label={t`Which findings`}
            className="flex shrink-0 flex-wrap gap-1.5 px-5 py-2"
          >
            {SHOWN_NAMES.map((name) => (
              <button
                key={name}
                type="button"
                aria-pressed={shown === name}
                onClick={() => set({ show: name === "all" ? null : name, finding: null })}
                className="min-h-9 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
              >
                {SHOWN[name].name}{" "}
                <span className="font-mono tabular-nums">{onScreen.filter(SHOWN[name].holds).length}</span>
              </button>
            ))}
          </div>
          {findings.length > 0 ? (
            <FindingList
              findings={findings}
              chosenId={chosen?.id ?? null}
              onChoose={(id) => set({ finding: id })}
            />
          ) : (
            <p className="px-5 py-6 text-[16px] text-second">
              {state.status === "done"
                ? shown === "waived"
                  ? t`Nothing is let be.`
                  : t`Nothing of this kind is found.`
                : t`Still looking…`}
            </p>
          )}
        </div>
        <div className="flex min-h-0 flex-col border-l border-edge max-[1000px]:border-t max-[1000px]:border-l-0">
          {panel === "limits" ? (
            <LimitsPanel />
          ) : chosen ? (
            <FindingDetail finding={chosen} />
          ) : (
            <p className="p-6 text-[16px] text-second">
              {t`What is found is shown here on its picture, with what mends it.`}
            </p>
          )}
        </div>
      </div>
      <NoticeBar />
    </main>
  );
}

/** Whether the evening is ready, in a sentence. "Ready" is said when all was looked at, and nothing is to be mended. */
function Verdict({ state: { status, findings, looked, tookMs } }: { state: CheckState }) {
  const open = findings.filter(({ waived }) => waived === null);
  const count = (severity: CheckFinding["severity"]) =>
    open.filter((each) => each.severity === severity).length;
  const [faults, warnings, notes] = [count("fault"), count("warning"), count("note")];
  const parts = [
    ...(faults > 0 ? [t`${faults} to mend`] : []),
    ...(warnings > 0 ? [t`${warnings} that will be seen`] : []),
    ...(notes > 0 ? [t`${notes} to look at`] : []),
  ];
  if (status === "off")
    return (
      <p className="text-[16px] text-attention">
        {t`This browser cannot look the evening through. Everything else works; open the desk in another browser for the check.`}
      </p>
    );
  const isReady = status === "done" && faults + warnings === 0;
  const head =
    status === "looking"
      ? t`Looking…`
      : status === "waiting"
        ? t`Not all is here yet.`
        : isReady
          ? t`Ready.`
          : parts.shift();
  return (
    <p role="status" className="text-[17px]">
      <strong className={isReady ? "text-act" : "text-paper"}>{head}</strong>
      <span className="text-second">
        {parts.length > 0 && `${status === "done" && !isReady ? "," : ""} ${parts.join(", ")}`}
        {status === "done" && (
          <span className="ml-3 text-[14px]">
            {t`${looked} pages on their screens, ${(tookMs / 1_000).toFixed(1)} s`}
          </span>
        )}
      </span>
    </p>
  );
}
