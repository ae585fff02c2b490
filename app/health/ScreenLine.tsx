import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useHealthFacts } from "../desk/useHealthFacts.ts";

/** How many windows a screen has, and what was measured and chosen there. */
export function ScreenLine({ output, windows }: { output: Output; windows: number }) {
  const { lines } = useHealthFacts(output);
  return (
    <li>
      <p className="flex justify-between gap-4">
        <span>{output.name}</span>
        <span className={windows === 0 ? "text-attention" : "font-mono"}>
          {windows === 0 ? t`none` : windows}
        </span>
      </p>
      {windows > 0 && <p className="text-[14px] text-second">{lines.join(" · ")}</p>}
    </li>
  );
}
