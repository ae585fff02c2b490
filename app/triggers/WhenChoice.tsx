import { useEffect, useState } from "react";
import { nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { oscAddressSchema } from "../../core/triggers/whens/message.ts";
import { nameOfWhen, WHEN_NAMES, type When, type WhenName } from "../../core/triggers/whens.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { pads } from "../desk/pads.ts";
import { TimeBox } from "../desk/TimeBox.tsx";
import { boxClass } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { SecondsBox } from "../ui/SecondsBox.tsx";
import { ChooseClip, ChooseColumn, ChooseCue, ChooseFeed, ChooseSource } from "./choices.tsx";

/** A key of a pad, learnt by pressing it. */
function PadKey({ padKey, onChange }: { padKey: string; onChange: (key: string) => void }) {
  const [isLearning, setIsLearning] = useState(false);
  useEffect(() => {
    if (!isLearning) return;
    if (pads.status.kind !== "on") void pads.turn(true);
    return pads.onPress(({ key, isDown }) => {
      if (!isDown) return;
      setIsLearning(false);
      onChange(key);
    });
  }, [isLearning, onChange]);
  return (
    <button
      type="button"
      aria-pressed={isLearning}
      onClick={() => setIsLearning(!isLearning)}
      className={`${boxClass} aria-pressed:bg-act-ground aria-pressed:text-act`}
    >
      {isLearning ? t`press it on the pad…` : t`${nameOfKey(padKey)}: learn another`}
    </button>
  );
}

/** What sets a trigger off. */
export function WhenChoice({ when, onChange }: { when: When; onChange: (when: When) => void }) {
  const { cues, sources, feeds } = useDesk("cues", "sources", "feeds");
  const fresh = (kind: WhenName): When => {
    const cueId = cues[0]?.view.cueId ?? "none";
    const [feed] = feeds;
    switch (kind) {
      case "source":
        return { kind, sourceId: sources[0]?.id ?? "none", bus: "program", does: "comes" };
      case "clip":
        return { kind, clipId: "", does: "in", ms: 10_000 };
      case "cue":
        return { kind, cueId, does: "comes" };
      case "time":
        return { kind, at: "19:00:00" };
      case "countdown":
        return { kind, cueId };
      case "value":
        return {
          kind,
          feedId: feed?.id ?? "none",
          row: "",
          column: feed?.columns[0] ?? "none",
          does: "changes",
          limit: 0,
        };
      case "message":
        return { kind, address: "/vesko/go", value: "" };
      case "pad":
        return { kind, key: "pad:1:60" };
    }
  };
  return (
    <>
      <select
        aria-label={t`What sets it off`}
        value={when.kind}
        onChange={({ target }) => onChange(fresh(target.value as WhenName))}
        className={boxClass}
      >
        {WHEN_NAMES.map((kind) => (
          <option key={kind} value={kind}>
            {nameOfWhen(kind)}
          </option>
        ))}
      </select>
      <WhenDetails when={when} onChange={onChange} />
    </>
  );
}

function WhenDetails({ when, onChange }: { when: When; onChange: (when: When) => void }) {
  const store = useDeskStore();
  switch (when.kind) {
    case "source":
      return (
        <>
          <ChooseSource value={when.sourceId} onChange={(sourceId) => onChange({ ...when, sourceId })} />
          <select
            aria-label={t`What it does`}
            value={`${when.does} ${when.bus}`}
            onChange={({ target }) => {
              const [does, bus] = target.value.split(" ") as [typeof when.does, typeof when.bus];
              onChange({ ...when, does, bus });
            }}
            className={boxClass}
          >
            <option value="comes program">{t`comes to program`}</option>
            <option value="leaves program">{t`leaves program`}</option>
            <option value="comes preview">{t`comes to preview`}</option>
            <option value="leaves preview">{t`leaves preview`}</option>
          </select>
        </>
      );
    case "clip":
      return (
        <>
          <ChooseClip any value={when.clipId} onChange={(clipId) => onChange({ ...when, clipId })} />
          <select
            aria-label={t`What it does`}
            value={when.does}
            onChange={({ target }) => onChange({ ...when, does: target.value as typeof when.does })}
            className={boxClass}
          >
            <option value="starts">{t`starts`}</option>
            <option value="in">{t`is so far in`}</option>
            <option value="before">{t`is so long before its end`}</option>
            <option value="ends">{t`ends`}</option>
          </select>
          {(when.does === "in" || when.does === "before") && (
            <>
              <SecondsBox
                label={t`Seconds of the clip`}
                ms={when.ms}
                min={0}
                max={86_400}
                step={0.1}
                onSave={(ms) => onChange({ ...when, ms })}
              />
              {t`s`}
            </>
          )}
        </>
      );
    case "cue":
      return (
        <>
          <ChooseCue value={when.cueId} onChange={(cueId) => onChange({ ...when, cueId })} />
          <select
            aria-label={t`What it does`}
            value={when.does}
            onChange={({ target }) => onChange({ ...when, does: target.value as typeof when.does })}
            className={boxClass}
          >
            <option value="comes">{t`is taken`}</option>
            <option value="leaves">{t`leaves`}</option>
          </select>
        </>
      );
    case "time":
      return (
        <TimeBox
          label={t`Time of day`}
          time={when.at}
          isToTheSecond
          onSave={(at) => onChange({ ...when, at })}
        />
      );
    case "countdown":
      return <ChooseCue value={when.cueId} onChange={(cueId) => onChange({ ...when, cueId })} />;
    case "value":
      return (
        <>
          <ChooseFeed value={when.feedId} onChange={(feedId) => onChange({ ...when, feedId })} />
          <ChooseColumn
            feedId={when.feedId}
            value={when.column}
            onChange={(column) => onChange({ ...when, column })}
          />
          <input
            aria-label={t`Row by its name; empty: any`}
            key={when.row}
            defaultValue={when.row}
            maxLength={120}
            placeholder={t`any row`}
            onBlur={({ target }) =>
              target.value.trim() !== when.row && onChange({ ...when, row: target.value.trim() })
            }
            className={`${boxClass} w-40`}
          />
          <select
            aria-label={t`What it does`}
            value={when.does}
            onChange={({ target }) => onChange({ ...when, does: target.value as typeof when.does })}
            className={boxClass}
          >
            <option value="changes">{t`changes`}</option>
            <option value="rises">{t`comes up to`}</option>
            <option value="falls">{t`comes down to`}</option>
          </select>
          {when.does !== "changes" && (
            <NumberBox
              label={t`Limit`}
              value={when.limit}
              min={-1e12}
              max={1e12}
              step={0.01}
              className="w-28"
              onSave={(limit) => onChange({ ...when, limit })}
            />
          )}
        </>
      );
    case "pad":
      return <PadKey padKey={when.key} onChange={(key) => onChange({ ...when, key })} />;
    case "message":
      return (
        <>
          <input
            aria-label={t`OSC address`}
            key={when.address}
            defaultValue={when.address}
            maxLength={120}
            onBlur={({ target }) => {
              const typed = oscAddressSchema.safeParse(target.value.trim());
              if (typed.success) {
                if (typed.data !== when.address) onChange({ ...when, address: typed.data });
                return;
              }
              target.value = when.address;
              store.say("trouble", t`An OSC address begins with / and has no spaces. It was left as it is.`);
            }}
            className={`${boxClass} w-52 font-mono`}
          />
          {t`with`}
          <input
            aria-label={t`First value; empty: any`}
            key={`value ${when.value}`}
            defaultValue={when.value}
            maxLength={80}
            placeholder={t`any value`}
            onBlur={({ target }) =>
              target.value.trim() !== when.value && onChange({ ...when, value: target.value.trim() })
            }
            className={`${boxClass} w-28`}
          />
        </>
      );
  }
}
