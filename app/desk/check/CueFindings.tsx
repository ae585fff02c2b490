import { Link } from "react-router";
import { t } from "../../../core/language/t.ts";
import { FindingMark } from "./FindingMark.tsx";
import { useCueFindings } from "./useCheck.ts";

/** What the check finds about a cue, small, beside its name: the worst mark, how many, and the way there. Notes stay in the list. */
export function CueFindings({ cueId }: { cueId: string }) {
  const findings = useCueFindings(cueId).filter(
    ({ severity, waived }) => severity !== "note" && waived === null,
  );
  const [worst] = findings;
  if (!worst) return null;
  const label = findings.length === 1 ? t`1 finding` : t`${findings.length} findings`;
  return (
    <Link
      to={`/check?finding=${encodeURIComponent(worst.id)}`}
      title={findings.map(({ sentence }) => sentence).join("\n")}
      onClick={(event) => event.stopPropagation()}
      className="inline-flex min-h-7 items-center gap-1.5 rounded text-[14px] text-attention hover:underline"
    >
      <FindingMark severity={worst.severity} className="size-4" />
      {label}
    </Link>
  );
}
