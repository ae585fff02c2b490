import { Link } from "react-router";
import { t } from "../../../core/language/t.ts";
import { FindingMark } from "./FindingMark.tsx";
import { useCheck } from "./useCheck.ts";

/** On how many cues the check finds something on a screen, and the way there; how the screen itself does stands beside. */
export function ScreenFindings({ outputId }: { outputId: string }) {
  const findings = useCheck((state) => state.findings);
  const here = findings.filter(
    ({ cueId, outputIds, waived, severity }) =>
      cueId !== null && waived === null && severity !== "note" && outputIds.includes(outputId),
  );
  const count = new Set(here.map(({ cueId }) => cueId)).size;
  if (count === 0) return null;
  return (
    <Link
      to={`/check?screen=${encodeURIComponent(outputId)}`}
      className="mt-1.5 flex items-center gap-2 rounded text-[14px] text-attention hover:underline"
    >
      <FindingMark
        severity={here.some(({ severity }) => severity === "fault") ? "fault" : "warning"}
        className="size-4"
      />
      {count === 1 ? t`1 cue has a finding here` : t`${count} cues have findings here`}
    </Link>
  );
}
