import { memo } from "react";
import { t } from "../../core/language/t.ts";
import { actorName, idOf, isHand } from "../../core/show/actor.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDesk, useDeskStore, useIsAlive, useReading, useServerTime } from "../desk/deskContext.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";
import { useEventTiming } from "../desk/useEventTiming.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatLength, formatMinute, formatWait } from "../ui/format.ts";
import { Desks } from "./Desks.tsx";

/** How the evening stands: the present cue against its plan, the end, what comes by itself, and who may act. */
export const EventStrip = memo(function EventStrip() {
  const store = useDeskStore();
  const { state, mode, channel, outputs, rehearsedOn } = useDesk(
    "state",
    "mode",
    "channel",
    "outputs",
    "rehearsedOn",
  );
  const isAlive = useIsAlive();
  const isRehearsal = channel === "rehearsal";
  const shut = outputs.filter(({ id }) => state.shutters[id]?.untilMs === null);
  const isShut = shut.length > 0;
  const by = state.arm?.by;
  const elsewhere = isAlive && by && isHand(by) && idOf(by) !== store.windowId ? by : null;
  const note = state.stageNote.at(-1)?.page;
  const noteContent = note && store.findContent(note.content);
  return (
    <section
      aria-label={t`How the evening stands`}
      className={`flex h-10 shrink-0 items-center gap-x-5 overflow-hidden border-b border-edge px-4 text-[14px] whitespace-nowrap text-second ${isShut ? "hatched" : "bg-raised"}`}
    >
      {isRehearsal && (
        // The banner above says it too: here it stands where there is room.
        <strong className="rounded bg-attention px-2 text-[15px] text-on-bright max-[1500px]:hidden">
          {t`REHEARSAL`}
        </strong>
      )}
      {isShut ? (
        <strong className="rounded bg-ground px-3 py-1 text-[16px] text-paper">
          {describeShut(state, shut, outputs.length)}
        </strong>
      ) : (
        <Standing />
      )}
      <ComesByItself />
      {noteContent && (
        <span className="truncate">
          {t`To the stage: “`}
          {noteContent.values.note}”
        </span>
      )}
      {elsewhere && <span className="font-semibold text-next">{t`armed by ${actorName(elsewhere)}`}</span>}
      {channel === "air" && rehearsedOn.length > 0 && (
        <span className="font-semibold text-attention">
          {t`Rehearsal on ${outputs
            .filter(({ id }) => rehearsedOn.includes(id))
            .map(({ name }) => name)
            .join(", ")}`}
        </span>
      )}
      <span className="ml-auto flex items-center gap-2">
        {mode === "locked" && <strong className="text-attention">{t`LOCKED`}</strong>}
        {mode === "watching" && <strong className="text-attention">{t`WATCHING`}</strong>}
        <Desks />
        <button
          type="button"
          aria-pressed={isRehearsal}
          onClick={() => store.rehearse(!isRehearsal)}
          className="min-h-7 rounded-md border border-edge-strong bg-raised px-2 hover:text-paper"
        >
          {isRehearsal ? t`back to the air` : t`rehearse`}
        </button>
        <button
          type="button"
          aria-pressed={mode === "watching"}
          onClick={() => store.setMode(mode === "watching" ? "free" : "watching")}
          className="min-h-7 rounded-md border border-edge-strong bg-raised px-2 hover:text-paper"
        >
          {mode === "watching" ? t`takes part` : t`only watch`}
        </button>
      </span>
    </section>
  );
});

/** The present cue against its plan, and the end of the evening. */
function Standing() {
  const locale = useLocale();
  const nowMs = useServerTime(250);
  const timing = useEventTiming(useDesk("cues", "state", "evening"), nowMs);
  const present = timing?.present;
  return (
    <>
      {present ? (
        <span>
          {t`This cue`} <strong className="font-mono text-paper">{formatLength(present.tookMs ?? 0)}</strong>
          {present.overMs !== null && (
            <span className={present.overMs > 0 ? "font-semibold text-attention" : ""}>
              {" "}
              {present.overMs > 0 ? t`over by` : t`left`}{" "}
              <span className="font-mono">{formatLength(Math.abs(present.overMs))}</span>
            </span>
          )}
        </span>
      ) : (
        <StartsIn timing={timing} nowMs={nowMs} />
      )}
      {timing?.projectedEndMs != null && (
        <span>
          {t`Ends`}{" "}
          <strong className="font-mono text-paper">{formatMinute(timing.projectedEndMs, locale)}</strong>
          {timing.plannedEndMs !== null && (
            <>
              {t`, planned`} <span className="font-mono">{formatMinute(timing.plannedEndMs, locale)}</span>
            </>
          )}
        </span>
      )}
    </>
  );
}

/** What comes by itself next, and when. */
function ComesByItself() {
  const { state, cues, sources, follow } = useDesk("state", "cues", "sources", "follow");
  // Where a venue has triggers or sources, all that comes by itself stands beside the screens.
  const isElsewhere = sources.length > 0 || (follow?.triggers.length ?? 0) > 0;
  const due = isElsewhere ? undefined : state.due[0];
  const inLength = useReading((nowMs) => (due ? formatLength(Math.max(0, due.atMs - nowMs) + 999) : ""));
  const title =
    due?.kind === "trigger" ? due.name : cues.find(({ view }) => view.cueId === due?.cueId)?.title;
  if (title === undefined || inLength === null) return null;
  return (
    <span className="text-paper">
      {t`${title} ${due?.kind === "trigger" ? t`acts` : t`comes`} in`}{" "}
      <span className="font-mono">{inLength}</span>
    </span>
  );
}

/** Which screens are shut, and by what. */
function describeShut(state: DeskSnapshot["state"], shut: readonly Output[], count: number): string {
  const of = (picture: "black" | "standBy") =>
    shut.filter(({ id }) => state.shutters[id]?.picture === picture);
  const list = (word: string, outputs: readonly Output[]) =>
    outputs.length === 0
      ? []
      : [
          `${word}: ${outputs.length === count && count > 1 ? t`all screens` : outputs.map(({ name }) => name).join(", ")}`,
        ];
  return [...list(t`BLACK`, of("black")), ...list("STAND-BY", of("standBy"))].join(" · ");
}

function StartsIn({ timing, nowMs }: { timing: ReturnType<typeof useEventTiming>; nowMs: number | null }) {
  const startsAtMs = timing?.cues[0]?.plannedAtMs ?? null;
  if (startsAtMs === null || nowMs === null) return <span>{t`Nothing has been taken yet`}</span>;
  return startsAtMs > nowMs ? (
    <span>
      {t`Begins in`} <strong className="font-mono text-paper">{formatWait(startsAtMs - nowMs)}</strong>
    </span>
  ) : (
    <span className="font-semibold text-attention">
      {t`Late to begin by`} <span className="font-mono">{formatLength(nowMs - startsAtMs)}</span>
    </span>
  );
}
