import { t } from "../../../core/language/t.ts";
import { CUE_TAGS, type CueDoc, type CueStart } from "../../../core/rundown/cueDoc.ts";
import { kindOf } from "../../../core/rundown/kinds.ts";
import { TimeBox } from "../../desk/TimeBox.tsx";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { TAG_ICONS } from "../../ui/CueTagMark.tsx";
import { boxClass } from "../../ui/Labelled.tsx";
import { NumberBox } from "../../ui/NumberBox.tsx";
import { SecondsBox } from "../../ui/SecondsBox.tsx";

import { ComesWithLine } from "./ComesWithLine.tsx";

type Details = Pick<
  CueDoc,
  | "start"
  | "delayMs"
  | "repeatMs"
  | "plannedMs"
  | "plannedAt"
  | "isOff"
  | "tag"
  | "note"
  | "stageNote"
  | "isLive"
  | "isOfTheDay"
  | "opacity"
  | "effectMs"
  | "comesWith"
>;

/** What a cue does by itself, how long it is planned to take, and what is noted to it. */
export function CueDetails({
  id,
  doc,
  onChange,
}: {
  id: string;
  doc: CueDoc;
  onChange: (change: Partial<Details>) => void;
}) {
  const { start, delayMs, repeatMs, plannedMs, plannedAt, isOff, tag, note, stageNote } = doc;
  const { isLive, isOfTheDay, opacity, effectMs, comesWith } = doc;
  const isQuiet =
    start.kind === "hand" &&
    delayMs === 0 &&
    repeatMs === null &&
    !isOff &&
    !isLive &&
    !isOfTheDay &&
    tag === null &&
    comesWith === null &&
    effectMs === null &&
    note === "" &&
    stageNote === "";
  const { isTaken, bringsPage, canRepeat, hasWordsOfTheDay } = kindOf(doc);
  return (
    <details
      className="rounded-lg border border-edge px-3 py-2 text-[15px]"
      open={!isQuiet || plannedMs !== null || plannedAt !== ""}
    >
      <summary className="cursor-pointer text-second">{t`By itself, timing and notes`}</summary>
      <div className="mt-3 flex flex-col gap-3 text-second">
        {isTaken && (
          <p className="flex flex-wrap items-center gap-2.5">
            {t`Starts`}
            <select
              aria-label={t`How it starts`}
              value={start.kind}
              onChange={({ target }) => onChange({ start: startOf(target.value as CueStart["kind"]) })}
              className={boxClass}
            >
              <option value="hand">{t`by hand`}</option>
              <option value="with">{t`with the cue before`}</option>
              <option value="after">{t`after the cue before`}</option>
              <option value="at">{t`at a time of day`}</option>
            </select>
            {start.kind === "after" && (
              <Seconds
                label={t`Seconds after the cue before`}
                ms={start.ms}
                onSave={(ms) => onChange({ start: { kind: "after", ms: ms ?? 0 } })}
              />
            )}
            {start.kind === "at" && (
              <TimeBox
                label={t`Time of day it starts`}
                time={start.time}
                isToTheSecond
                onSave={(time) => onChange({ start: { kind: "at", time } })}
              />
            )}
            <span className="flex items-center gap-2">
              {t`enters later by`}
              <Seconds label={t`Delay`} ms={delayMs} onSave={(ms) => onChange({ delayMs: ms ?? 0 })} />
            </span>
            {canRepeat && (
              <span className="flex items-center gap-2">
                {t`again every`}
                <Seconds
                  label={t`Repeat every`}
                  ms={repeatMs}
                  least={1}
                  onSave={(ms) => onChange({ repeatMs: ms })}
                />
              </span>
            )}
          </p>
        )}
        {isTaken && (
          <ComesWithLine comesWith={comesWith} onChange={(tied) => onChange({ comesWith: tied })} />
        )}
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <span className="flex items-center gap-2">
            {t`Planned`}
            <Seconds label={t`Planned length`} ms={plannedMs} onSave={(ms) => onChange({ plannedMs: ms })} />
            <span>{t`at`}</span>
            <TimeBox
              label={t`Planned to begin at`}
              time={plannedAt}
              onSave={(time) => onChange({ plannedAt: time })}
            />
          </span>
          {bringsPage && (
            <span className="flex items-center gap-2">
              {t`Takes to arrive`}
              <Seconds
                label={t`Time it takes to arrive`}
                ms={effectMs}
                least={0.04}
                most={8}
                step={0.05}
                onSave={(ms) => onChange({ effectMs: ms })}
              />
            </span>
          )}
          {bringsPage && (
            <span className="flex items-center gap-2">
              {t`Opacity`}
              <NumberBox
                label={t`Opacity, %`}
                value={Math.round(opacity * 100)}
                min={5}
                max={100}
                step={5}
                onSave={(percent) => onChange({ opacity: percent / 100 })}
              />
              %
            </span>
          )}
          <fieldset aria-label={t`Mark`} className="flex items-center gap-1">
            {CUE_TAGS.map((name) => {
              const Icon = TAG_ICONS[name];
              return (
                <button
                  key={name}
                  type="button"
                  aria-label={t`Mark with a ${name}`}
                  aria-pressed={tag === name}
                  onClick={() => onChange({ tag: tag === name ? null : name })}
                  className="grid size-9 place-content-center rounded-md bg-lifted hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
                >
                  <Icon aria-hidden="true" className="size-4.5" />
                </button>
              );
            })}
          </fieldset>
          <CheckBox label={t`Left out of the run`} isOn={isOff} onChange={(isOff) => onChange({ isOff })} />
          {bringsPage && (
            <CheckBox
              label={t`Edits go on air as they are saved`}
              isOn={isLive}
              onChange={(isLive) => onChange({ isLive })}
            />
          )}
          {hasWordsOfTheDay && (
            <CheckBox
              label={t`Of this day only`}
              isOn={isOfTheDay}
              onChange={(isOfTheDay) => onChange({ isOfTheDay })}
            />
          )}
        </div>
        {isTaken && (
          <label htmlFor={`${id}-stage-note`} className="flex flex-col gap-1">
            {t`Note to the stage, shown there while this is the cue on air`}
            <input
              id={`${id}-stage-note`}
              value={stageNote}
              maxLength={200}
              onChange={({ target }) => onChange({ stageNote: target.value })}
              className={`${boxClass} w-full px-3`}
            />
          </label>
        )}
        <label htmlFor={`${id}-note`} className="flex flex-col gap-1">
          {t`Note for the operator`}
          <textarea
            id={`${id}-note`}
            value={note}
            rows={Math.min(4, note.split("\n").length)}
            maxLength={2_000}
            onChange={({ target }) => onChange({ note: target.value })}
            className={`${boxClass} w-full px-3 py-2`}
          />
        </label>
      </div>
    </details>
  );
}

const startOf = (kind: CueStart["kind"]): CueStart => {
  switch (kind) {
    case "after":
      return { kind, ms: 5_000 };
    case "at":
      return { kind, time: "19:00:00" };
    default:
      return { kind };
  }
};

function Seconds({
  label,
  ms,
  least = 0,
  most = 86_400,
  step = 0.5,
  onSave,
}: {
  label: string;
  ms: number | null;
  least?: number;
  most?: number;
  step?: number;
  onSave: (ms: number | null) => void;
}) {
  return (
    <>
      <SecondsBox
        label={`${label}, s`}
        ms={ms}
        min={least}
        max={most}
        step={step}
        className="w-16"
        onSave={onSave}
        onClear={() => onSave(null)}
      />
      {t`s`}
    </>
  );
}
