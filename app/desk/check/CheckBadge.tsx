import { Check } from "lucide-react";
import { t } from "../../../core/language/t.ts";
import { FindingMark } from "./FindingMark.tsx";
import { useCheck } from "./useCheck.ts";

/** On the tab of the check: how many things are to be mended, or that all was looked at and is well. */
export function CheckBadge() {
  const told = useCheck(({ status, findings }) => {
    const open = findings.filter(({ waived, severity }) => waived === null && severity !== "note");
    const faults = open.filter(({ severity }) => severity === "fault").length;
    return `${status}/${open.length}/${faults}`;
  });
  const [status, count, faults] = told.split("/");
  if (status === "off") return null;
  if (count === "0")
    return status === "done" ? (
      <Check role="img" aria-label={t`ready`} strokeWidth={3} className="size-4 text-act" />
    ) : (
      <span aria-hidden="true" className="w-4 text-center text-quiet">
        ·
      </span>
    );
  return (
    <span className="inline-flex items-center gap-1 text-[14px] font-semibold text-attention tabular-nums">
      <FindingMark severity={faults === "0" ? "warning" : "fault"} className="size-3.5" />
      <span className="max-lg:sr-only">{count}</span>
    </span>
  );
}
