import { t } from "../../../core/language/t.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { boxClass } from "../../ui/Labelled.tsx";
import { SecondsBox } from "../../ui/SecondsBox.tsx";

/** The source that a cue comes and leaves with. Nothing where the venue has no sources. */
export function ComesWithLine({
  comesWith,
  onChange,
}: {
  comesWith: CueDoc["comesWith"];
  onChange: (comesWith: CueDoc["comesWith"]) => void;
}) {
  const { sources } = useDesk("sources");
  if (sources.length === 0 && comesWith === null) return null;
  const isGone = comesWith !== null && !sources.some(({ id }) => id === comesWith.sourceId);
  return (
    <p className="flex flex-wrap items-center gap-2.5">
      {t`Comes and leaves with`}
      <select
        aria-label={t`Source it comes with`}
        value={comesWith?.sourceId ?? ""}
        onChange={({ target }) =>
          onChange(
            target.value === "" ? null : { delayMs: 0, stays: false, ...comesWith, sourceId: target.value },
          )
        }
        className={boxClass}
      >
        <option value="">{t`no source`}</option>
        {isGone && <option value={comesWith.sourceId}>{t`a source that is gone`}</option>}
        {sources.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {comesWith && (
        <>
          <span className="flex items-center gap-2">
            {t`after`}
            <SecondsBox
              label={t`Seconds after its source comes`}
              ms={comesWith.delayMs}
              min={0}
              max={600}
              step={0.1}
              onSave={(ms) => onChange({ ...comesWith, delayMs: ms })}
            />
            {t`s`}
          </span>
          <select
            aria-label={t`How long it stays`}
            value={comesWith.stays ? "source" : "cue"}
            onChange={({ target }) => onChange({ ...comesWith, stays: target.value === "source" })}
            className={boxClass}
          >
            <option value="cue">{t`its own stay at most`}</option>
            <option value="source">{t`as long as its source`}</option>
          </select>
        </>
      )}
    </p>
  );
}
