import type { Met } from "../../core/carry/compare.ts";
import type { Choice } from "../../core/carry/merge.ts";
import { t } from "../../core/language/t.ts";

const NEW_CHOICES = [
  ["take", t`Bring in`],
  ["keep", t`Leave`],
] as const;
const CLASH_CHOICES = [
  ["keep", t`Keep mine`],
  ["replace", t`Replace`],
  ["both", t`Both`],
] as const;

/** One thing that is new here, or says something else than the one here, with what becomes of it. */
export function MetRow({
  met: { name, about, state, here, differences, canBeBoth },
  choice,
  onChoose,
}: {
  met: Met;
  choice: Choice;
  onChoose: (choice: Choice) => void;
}) {
  const offered: readonly (readonly [Choice, string])[] =
    state === "new" ? NEW_CHOICES : CLASH_CHOICES.filter(([value]) => value !== "both" || canBeBoth);
  return (
    <li
      aria-label={name}
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-edge py-2 text-[15px]"
    >
      <div className="min-w-56 flex-1">
        <p className="min-w-0">
          <strong className="break-words">{name}</strong>
          {about !== "" && <span className="ml-3 text-second">{about}</span>}
        </p>
        {here && (
          <p className="text-second">
            {here.name === name && here.about === about
              ? t`Here under the same name`
              : t`Here: ${here.name}, ${here.about}`}
            {differences.length > 0 && (
              <span className="text-attention">
                {" "}
                · {differences.slice(0, 4).join("; ")}
                {differences.length > 4 ? t`; and more` : ""}
              </span>
            )}
          </p>
        )}
      </div>
      <fieldset aria-label={t`What becomes of ${name}`} className="flex rounded-lg bg-lifted p-0.5">
        {offered.map(([value, word]) => (
          <button
            key={value}
            type="button"
            aria-pressed={choice === value}
            onClick={() => onChoose(value)}
            className="min-h-9 rounded-md px-3 text-[15px] text-second aria-pressed:bg-edge-strong aria-pressed:font-semibold aria-pressed:text-paper"
          >
            {word}
          </button>
        ))}
      </fieldset>
    </li>
  );
}
