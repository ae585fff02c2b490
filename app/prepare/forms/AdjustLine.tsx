import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import type { Adjustments } from "../../../core/scene/adjustment.ts";
import { fieldLabel } from "./fieldLabel.ts";
import { describeAdjustment } from "./nudges.ts";

/** What was nudged, sized or hidden on this page alone, each with its way back; and the keys for it. */
export function AdjustLine({ doc, onChange }: { doc: CueDoc; onChange: (adjust: Adjustments) => void }) {
  const { adjust } = doc;
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px] leading-8 text-second">
      <span>
        In a field <kbd>Alt</kbd> and the arrows nudge its words on the screens, with <kbd>Shift</kbd> by ten;{" "}
        <kbd>Alt +</kbd> <kbd>Alt −</kbd> size them, <kbd>Alt H</kbd> hides, <kbd>Alt 0</kbd> puts back.
      </span>
      {Object.entries(adjust).map(([field, adjustment]) => (
        <span key={field} className="flex items-center gap-2 text-paper">
          {fieldLabel(doc, field)}: {describeAdjustment(adjustment)}
          <button
            type="button"
            onClick={() => {
              const { [field]: _, ...others } = adjust;
              onChange(others);
            }}
            className="min-h-8 rounded-md bg-lifted px-2 hover:bg-edge"
          >
            put back
          </button>
        </span>
      ))}
    </p>
  );
}
