import { Link } from "react-router";
import type { CheckFinding } from "../../../core/check/gather.ts";
import { FindingMark } from "./FindingMark.tsx";

/** One finding beside what it is about, and the way to where it can be mended. */
export function FindingLine({
  finding: { id, severity },
  sentence,
}: {
  finding: Pick<CheckFinding, "id" | "severity">;
  sentence: string;
}) {
  return (
    <Link
      to={`/check?finding=${encodeURIComponent(id)}`}
      className="mt-1.5 flex items-start gap-2 rounded text-[14px] text-paper hover:underline"
    >
      <FindingMark severity={severity} className="mt-0.5 size-4" />
      {sentence}
    </Link>
  );
}
