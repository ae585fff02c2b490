import { t } from "../../../core/language/t.ts";
import { READY_SHADOWS } from "../../../designs/readyShadows.ts";
import { boxClass } from "./properties/styles.ts";

/** Shadows that are made already, in one choice; what was set by hand says so and stays until something is chosen. */
export function ReadyShadows({
  value,
  onChange,
}: {
  value: unknown;
  onChange: (shadows: readonly unknown[]) => void;
}) {
  const now = JSON.stringify(value);
  const isNone = Array.isArray(value) && value.length === 0;
  const chosen = READY_SHADOWS.find(({ shadows }) => JSON.stringify(shadows) === now)?.name;
  return (
    <label className="grid grid-cols-[5fr_6fr] items-center gap-2 text-[14px] text-second">
      {t`Readable on any picture`}
      <select
        value={isNone ? "none" : (chosen ?? "own")}
        onChange={({ target }) =>
          target.value !== "own" &&
          onChange(READY_SHADOWS.find(({ name }) => name === target.value)?.shadows ?? [])
        }
        className={boxClass}
      >
        <option value="none">{t`no shadow`}</option>
        {READY_SHADOWS.map(({ name }) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
        {!isNone && !chosen && <option value="own">{t`as set below`}</option>}
      </select>
    </label>
  );
}
