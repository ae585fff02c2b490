import { Printer } from "lucide-react";
import { useMemo, useRef } from "react";
import { useSearchParams } from "react-router";
import { t } from "../../core/language/t.ts";
import { useDesk, useServerTime } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useEventTiming } from "../desk/useEventTiming.ts";
import { useLocale } from "../desk/useLocale.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { formatMinute } from "../ui/format.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { PicturesToCome } from "./PicturesToCome.tsx";
import { ProofSheet } from "./ProofSheet.tsx";
import type { PaperCue } from "./paperCue.ts";
import { RundownSheet } from "./RundownSheet.tsx";
import { SaveAsFiles } from "./SaveAsFiles.tsx";
import { ScriptSheet } from "./ScriptSheet.tsx";
import { WalkSheet } from "./WalkSheet.tsx";

const SHEETS = {
  script: {
    name: t`Script`,
    says: t`Every word with its cues, times and notes: for whoever follows on paper.`,
  },
  rundown: { name: t`Rundown`, says: t`One line for each cue: for the table by the door.` },
  proofs: { name: t`Proofs`, says: t`Every page as it looks, with a box to tick: for whoever proofreads.` },
  walk: {
    name: t`Walk through`,
    says: t`Every step on all screens at once, with all that lies there by then, and a box to tick.`,
  },
} as const;
type SheetName = keyof typeof SHEETS;
const SHEET_NAMES = Object.keys(SHEETS) as readonly SheetName[];

/** Times of the plan move slowly. */
const NOW_EVERY_MS = 60_000;

/** The evening on paper, as it will be printed. */
export function PaperView() {
  const desk = useDesk("cues", "state", "evening", "outputs");
  const locale = useLocale();
  const nowMs = useServerTime(NOW_EVERY_MS);
  const timing = useEventTiming(desk, nowMs);
  const [parameters, setParameters] = useSearchParams();
  const sheet = SHEET_NAMES.find((name) => name === parameters.get("sheet")) ?? "script";
  const isLarge = parameters.has("large");
  const isTwo = parameters.has("two");
  const screen = parameters.get("screen") ?? desk.outputs[0]?.id ?? "";
  const set = (name: string, value: string | null) =>
    setParameters(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === null) next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const all = useMemo(() => {
    const times = new Map(timing?.cues.map((each) => [each.cueId, each.plannedAtMs]));
    return desk.cues.map((cue): PaperCue => {
      const atMs = times.get(cue.view.cueId) ?? null;
      return { ...cue, plannedAt: atMs === null ? "" : formatMinute(atMs, locale) };
    });
  }, [desk.cues, timing, locale]);
  const cues = useMemo(() => all.filter(({ view }) => !("silent" in view.compiled)), [all]);
  const { name, day } = desk.evening;
  const sheetElement = useRef<HTMLElement>(null);
  return (
    <main aria-label={t`Paper`} className="relative flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-b border-edge bg-raised px-5 py-2.5 print:hidden">
        <div role="toolbar" aria-label={t`Sheets`} className="flex gap-1.5">
          {SHEET_NAMES.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={sheet === each}
              onClick={() => set("sheet", each)}
              className="min-h-9 rounded-md bg-lifted px-3.5 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
            >
              {SHEETS[each].name}
            </button>
          ))}
        </div>
        {sheet === "script" && (
          <>
            <CheckBox
              label={t`Large print`}
              isOn={isLarge}
              onChange={(isOn) => set("large", isOn ? "1" : null)}
            />
            <CheckBox
              label={t`Two to a page`}
              isOn={isTwo}
              onChange={(isOn) => set("two", isOn ? "1" : null)}
            />
          </>
        )}
        {sheet === "proofs" && (
          <select
            aria-label={t`On which screen`}
            className={boxClass}
            value={screen}
            onChange={({ target }) => set("screen", target.value)}
          >
            {desk.outputs.map((output) => (
              <option key={output.id} value={output.id}>
                {output.name}
              </option>
            ))}
            <option value="all">{t`all screens`}</option>
          </select>
        )}
        <PicturesToCome sheet={sheetElement} says={SHEETS[sheet].says} />
        <SaveAsFiles cues={cues} all={all} evening={desk.evening} outputs={desk.outputs} />
        <button
          type="button"
          onClick={() => window.print()}
          className="flex min-h-10 items-center gap-2 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge"
        >
          <Printer aria-hidden="true" className="size-5" /> {t`Print or save as PDF`}
        </button>
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto p-6 print:overflow-visible print:p-0">
        <article
          ref={sheetElement}
          aria-label={SHEETS[sheet].name}
          className={`paper-sheet mx-auto max-w-[210mm] p-[14mm] print:max-w-none print:p-0 ${isTwo && sheet === "script" ? "is-two" : ""}`}
        >
          <header className="mb-4 flex items-baseline justify-between gap-4 border-b-2 border-paper pb-1.5">
            <h2 className="text-[20px] font-bold">{name}</h2>
            <p className="text-[14px]">
              {SHEETS[sheet].name}
              {day !== "" && ` · ${day}`}
            </p>
          </header>
          {cues.length === 0 && <p>{t`This evening has no cues yet.`}</p>}
          {sheet === "script" && <ScriptSheet cues={cues} isLarge={isLarge} isTwo={isTwo} />}
          {sheet === "rundown" && <RundownSheet cues={cues} />}
          {sheet === "walk" && <WalkSheet cues={cues} />}
          {sheet === "proofs" && (
            <ProofSheet
              cues={cues}
              outputs={desk.outputs.filter(({ id }) => screen === "all" || id === screen)}
            />
          )}
        </article>
      </div>
      <div className="print:hidden">
        <NoticeBar />
      </div>
    </main>
  );
}
