import { memo, useMemo } from "react";
import { keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { otherAtSource } from "../../core/show/decideSources.ts";
import { triggersOfCues } from "../../core/show/tiedToSource.ts";
import { type Upcoming, upcoming } from "../../core/show/upcoming.ts";
import { nameOfTrigger, type Trigger } from "../../core/triggers/trigger.ts";
import { BUS_WORDS, BUSES, type Bus } from "../../core/venue/source.ts";
import { useDesk, useDeskStore, useReading } from "../desk/deskContext.ts";
import { usePresentTime } from "../desk/usePresentTime.ts";
import { useTriggerNames } from "../desk/useTriggerNames.ts";
import { formatLength } from "../ui/format.ts";

/** Of what comes by itself, as many as can be read at a glance. */
const MOST_SHOWN = 3;
const NO_TRIGGERS: readonly Trigger[] = [];

/** What is on program and preview, what will happen by itself, and the key that stops it. Nothing where a venue has none of that. */
export const ByItself = memo(function ByItself() {
  const store = useDeskStore();
  const { sources, follow, ready, state, venue } = useDesk("sources", "follow", "ready", "state", "venue");
  const names = useTriggerNames();
  // What was to come and has come is gone within a second.
  const nowMs = useReading((now) => Math.floor(now / 1_000) * 1_000);
  const made = follow?.triggers ?? NO_TRIGGERS;
  const triggers = useMemo(() => [...made, ...triggersOfCues(ready)], [made, ready]);
  const clips = follow?.clips;
  const { areStopped } = state.triggers;
  const [stopKey] = keysOf(venue.keys, "stopTriggers");
  const coming = useMemo(
    () => (nowMs === null ? [] : upcoming(state, ready, made, names, nowMs, clips).slice(0, MOST_SHOWN)),
    [state, ready, made, names, nowMs, clips],
  );
  if (sources.length === 0 && made.length === 0) return null;
  return (
    <section
      aria-label={t`What comes by itself`}
      className={`flex shrink-0 flex-col gap-1.5 border-t border-edge px-4 py-2 text-[14px] ${areStopped ? "hatched" : ""}`}
    >
      {sources.length > 0 && (
        <div className="grid grid-cols-2 gap-2">
          {BUSES.map((bus) => (
            <OnBus key={bus} bus={bus} triggers={triggers} />
          ))}
        </div>
      )}
      <div className="flex h-9 items-center gap-3">
        <div className="min-w-0 flex-1">
          {areStopped ? (
            <strong className="rounded bg-ground px-2 py-1 text-[15px] text-paper">
              {t`TRIGGERS ARE STOPPED`}
            </strong>
          ) : coming.length === 0 ? (
            <p className="text-second">{t`Nothing comes by itself in the next half hour`}</p>
          ) : (
            <ul
              aria-label={t`Next by itself`}
              className="flex h-9 flex-wrap gap-x-4 overflow-hidden whitespace-nowrap"
            >
              {coming.map((each) => (
                <Coming key={`${each.does}/${each.name}/${each.atMs}`} {...each} />
              ))}
            </ul>
          )}
        </div>
        <button
          type="button"
          aria-pressed={areStopped}
          onClick={() => store.air.press({ kind: "stopTriggers", areStopped: !areStopped })}
          className="flex min-h-8 shrink-0 items-center gap-1.5 rounded-md bg-lifted px-2 hover:bg-edge aria-pressed:bg-attention aria-pressed:text-on-bright"
        >
          {areStopped ? t`Let triggers go` : t`Stop triggers`}
          {stopKey !== undefined && <kbd>{nameOfKey(stopKey)}</kbd>}
        </button>
      </div>
    </section>
  );
});

/** What is on a bus, and what comes or came with it. */
function OnBus({ bus, triggers }: { bus: Bus; triggers: readonly Trigger[] }) {
  const { state, sources, follow, ready, venue } = useDesk("state", "sources", "follow", "ready", "venue");
  const names = useTriggerNames();
  const ids = state.sources[bus];
  const on = sources.filter(({ id }) => ids.includes(id));
  const flaps = on.some(({ id }) => follow?.flapping.includes(id));
  const isProgram = bus === "program";
  const brings = triggers.flatMap((trigger) =>
    isBroughtBy(trigger, ids) ? nameOfTrigger(trigger, names) : [],
  );
  const [otherKey] = keysOf(venue.keys, "otherAtSource");
  const nowMs = usePresentTime();
  const other = isProgram && nowMs !== null ? otherAtSource(state, ready, nowMs)?.other : undefined;
  const who = on.map((source) => source.who).filter((words) => words !== "");
  return (
    <p
      className={`flex h-[52px] min-w-0 flex-col justify-center rounded-md border-2 px-2.5 leading-tight ${on.length === 0 ? "border-edge bg-raised" : isProgram ? "border-air bg-lifted" : "border-dashed border-next bg-raised"}`}
    >
      <span className="flex items-baseline gap-2 overflow-hidden whitespace-nowrap">
        <span className={isProgram || on.length === 0 ? "text-second" : "text-next"}>
          {BUS_WORDS[bus].toUpperCase()}
        </span>
        <strong className="truncate text-[15px] text-paper">
          {on.map(({ name }) => name).join(t` and `)}
        </strong>
      </span>
      <span className={`truncate ${flaps ? "font-semibold text-attention" : "text-second"}`}>
        {flaps ? (
          t`its tally flaps: it counts as it was`
        ) : other && otherKey !== undefined ? (
          <>
            <kbd>{nameOfKey(otherKey)}</kbd> {t`brings ${other.content.title}`}
          </>
        ) : isProgram || brings.length === 0 ? (
          who.join(", ")
        ) : (
          t`brings ${brings.join(", ")}`
        )}
      </span>
    </p>
  );
}

/** Whether a trigger acts when one of these sources comes to program. */
const isBroughtBy = ({ when, isOn }: Trigger, sourceIds: readonly string[]): boolean =>
  isOn &&
  when.kind === "source" &&
  sourceIds.includes(when.sourceId) &&
  when.bus === "program" &&
  when.does === "comes";

function Coming({ does, name, atMs }: Upcoming) {
  const left = useReading((nowMs) => formatLength(Math.max(0, atMs - nowMs) + 999));
  return (
    // Those for which there is no room are out of sight, whole.
    <li className="flex h-9 max-w-full items-center gap-1.5">
      <span className="truncate text-paper">{name}</span>
      <span className="shrink-0 text-second">
        {t`${does} in`} <span className="font-mono text-paper tabular-nums">{left}</span>
      </span>
    </li>
  );
}
