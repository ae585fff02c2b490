import { t } from "../../core/language/t.ts";
import type { CleanedPaste } from "./useCleanPaste.ts";

/** Says what a paste was cleaned of, with one press back to the text as it was. */
export function CleanedLine({ cleaned }: { cleaned: CleanedPaste | null }) {
  if (!cleaned) return null;
  return (
    <p role="status" className="flex flex-wrap items-center gap-3 text-[14px] text-act">
      {cleaned.sentence}
      <button
        type="button"
        onClick={cleaned.putBack}
        className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
      >
        {t`Put it back as pasted`}
      </button>
      <button
        type="button"
        onClick={cleaned.dismiss}
        className="min-h-8 rounded-md px-2 text-second hover:text-paper"
      >
        {t`Fine`}
      </button>
    </p>
  );
}
