import { useId } from "react";
import { t } from "../../../../core/language/t.ts";
import { useKnown } from "./known.ts";
import { boxClass } from "./styles.ts";

type Ref =
  | string
  | { readonly token: string; readonly alpha?: number }
  | { readonly field: string; readonly or: { readonly token: string } };

/** A colour: one of the house style, one of its own, or what a field says. */
export function ColorField({
  title,
  value,
  onChange,
}: {
  title: string;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  const { colors, color, field, makeField } = useKnown();
  const id = useId();
  const ref = (value ?? { token: "paper" }) as Ref;
  const isOwn = typeof ref === "string";
  const fieldName = !isOwn && "field" in ref ? ref.field : null;
  const token = isOwn ? null : "token" in ref ? ref.token : ref.or.token;
  const alpha = isOwn
    ? Number.parseInt(ref.slice(7) || "ff", 16) / 255
    : "token" in ref
      ? (ref.alpha ?? 1)
      : 1;
  const shown = isOwn ? ref.slice(0, 7) : (colors[token ?? ""] ?? "#888888").slice(0, 7);
  const now = isOwn ? "own" : fieldName !== null ? `field:${fieldName}` : `token:${token}`;
  const choose = (wanted: string) => {
    if (wanted === "own") onChange(shown);
    else if (wanted.startsWith("field:"))
      onChange({
        field: wanted === "field:" && makeField ? makeField("color", shown) : wanted.slice(6),
        or: { token: token ?? color[0]?.name ?? "paper" },
      });
    else onChange({ token: wanted.slice(6), ...(alpha < 1 && { alpha }) });
  };
  const setAlpha = (share: number) => {
    const kept = Math.min(1, Math.max(0, share));
    if (isOwn)
      onChange(
        `${shown}${
          kept < 1
            ? Math.round(kept * 255)
                .toString(16)
                .padStart(2, "0")
            : ""
        }`,
      );
    else if (token !== null && fieldName === null) onChange({ token, ...(kept < 1 && { alpha: kept }) });
  };
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] items-center gap-x-2 gap-y-1">
      <label htmlFor={id} className="min-w-0 text-[14px] leading-tight text-second">
        {title}
      </label>
      <span className="flex min-w-0 items-center gap-1">
        {isOwn ? (
          <input
            type="color"
            aria-label={t`${title}: own colour`}
            value={shown}
            onChange={({ target }) => onChange(`${target.value}${ref.slice(7)}`)}
            className="h-8 w-9 shrink-0 rounded-md border border-edge-strong bg-transparent"
          />
        ) : (
          <span
            aria-hidden="true"
            className="size-7 shrink-0 rounded-md border border-edge-strong"
            style={{ background: shown }}
          />
        )}
        <select id={id} value={now} onChange={({ target }) => choose(target.value)} className={boxClass}>
          <optgroup label={t`House style`}>
            {color.map(({ name, title: words }) => (
              <option key={name} value={`token:${name}`}>
                {words}
              </option>
            ))}
            {token !== null && fieldName === null && !color.some(({ name }) => name === token) && (
              <option value={`token:${token}`}>{t`${token} (not in this style)`}</option>
            )}
          </optgroup>
          <option value="own">{t`a colour of its own`}</option>
          {(field.length > 0 || makeField) && (
            <optgroup label={t`What a field says`}>
              {field.map(({ name, title: words }) => (
                <option key={name} value={`field:${name}`}>
                  {words}
                </option>
              ))}
              {makeField && <option value="field:">{t`a new field…`}</option>}
            </optgroup>
          )}
        </select>
      </span>
      {fieldName === null && (
        <label className="col-start-2 flex items-center gap-2 text-[14px] text-second">
          <input
            type="range"
            aria-label={t`${title}: how solid`}
            min={0}
            max={100}
            value={Math.round(alpha * 100)}
            onChange={({ target }) => setAlpha(Number(target.value) / 100)}
            className="min-w-0 flex-1 accent-act"
          />
          <span className="w-12 shrink-0 text-right font-mono whitespace-nowrap">
            {Math.round(alpha * 100)} %
          </span>
        </label>
      )}
    </div>
  );
}
