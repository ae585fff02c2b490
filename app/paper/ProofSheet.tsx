import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDesk } from "../desk/deskContext.ts";
import { stillAddress } from "../pictures/stillAddress.ts";
import type { PaperCue } from "./paperCue.ts";
import { proofPages } from "./proofPages.ts";
import { TickBox } from "./TickBox.tsx";

const STILL_PX = 640;

/** Every step as it looks on the screens, each with a box to tick. A picture is of its page alone, as the server paints it. */
export function ProofSheet({ cues, outputs }: { cues: readonly PaperCue[]; outputs: readonly Output[] }) {
  const { state } = useDesk("state");
  return (
    <ol className="grid grid-cols-3 gap-x-[6mm] gap-y-[5mm]">
      {proofPages(cues, outputs, state.plan).map(({ key, page, output, outfitId, index, title, label }) => (
        <li key={key} className="break-inside-avoid text-[12px]">
          <img
            src={stillAddress(page, output, STILL_PX, { outfitId })}
            alt={t`${title} on ${output.name}`}
            className="w-full border border-edge bg-[#2c2724]"
            style={{ aspectRatio: `${output.widthPx} / ${output.heightPx}` }}
          />
          <p className="mt-1 flex items-start gap-1.5">
            <TickBox />
            <span>
              <strong>{index + 1}</strong> {title}
              {label && ` · ${label}`}
              <span className="block">{output.name}</span>
            </span>
          </p>
        </li>
      ))}
    </ol>
  );
}
