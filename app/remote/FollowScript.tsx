import { useEffect, useRef } from "react";
import { t } from "../../core/language/t.ts";
import type { RemoteView } from "../../core/remote/remoteView.ts";

/** All words of the cue on air: what is sung or read now stays at the same height, and passes by itself. */
export function FollowScript({ view: { now, next, script } }: { view: RemoteView }) {
  const current = useRef<HTMLLIElement>(null);
  const at = script.findIndex(({ is }) => is === "now");
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever another step is on air
  useEffect(() => {
    current.current?.scrollIntoView({ block: "center", behavior: "smooth" });
  }, [at, now?.content]);
  return (
    <section aria-label={t`The words`} className="min-h-0 flex-1 overflow-y-auto rounded-lg bg-raised px-4">
      {!now && <p className="py-6 text-[20px] text-second">{t`Nothing was taken yet.`}</p>}
      {now && <h2 className="sticky top-0 bg-raised py-2 text-[17px] font-bold">{now.title}</h2>}
      <ol className="flex flex-col gap-4 py-[20dvh]">
        {script.map(({ label, words, is }, index) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: steps have no names of their own
            key={index}
            ref={is === "now" ? current : undefined}
            aria-current={is === "now" || undefined}
            className={`border-l-8 pl-3 ${is === "now" ? "border-air text-paper" : is === "next" ? "border-dashed border-next text-paper" : "border-transparent text-second"}`}
          >
            {label !== "" && <span className="block text-[14px] text-second">{label}</span>}
            <span
              className={`block font-words text-[clamp(1.25rem,5.4vw,2rem)] leading-snug whitespace-pre-line ${is === "now" ? "font-semibold" : ""}`}
            >
              {words}
            </span>
          </li>
        ))}
        {next && next.cueId !== now?.cueId && (
          <li className="border-l-8 border-dashed border-next pl-3 text-[18px]">
            <span className="block text-[14px] font-bold text-next">{t`THEN`}</span>
            {next.title}
          </li>
        )}
      </ol>
    </section>
  );
}
