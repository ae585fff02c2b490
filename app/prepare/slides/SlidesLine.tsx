import { t } from "../../../core/language/t.ts";
import type { SlidesComing } from "./useSlides.ts";

/** How far it is with bringing slides in. */
export function SlidesLine({
  coming: { name, done, count },
  onStop,
}: {
  coming: SlidesComing;
  onStop: () => void;
}) {
  return (
    <div
      role="status"
      className="flex items-center gap-4 border-b border-edge bg-raised px-4 py-2 text-[15px]"
    >
      <span className="min-w-0 flex-1 truncate">
        {count === 0 ? t`Opening ${name}…` : t`Bringing in ${name}: slide ${done + 1} of ${count}`}
      </span>
      <progress
        aria-label={t`Progress`}
        className="h-2 w-48 accent-act"
        value={count === 0 ? undefined : done / count}
      />
      <button type="button" onClick={onStop} className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge">
        {t`Call it off`}
      </button>
    </div>
  );
}
