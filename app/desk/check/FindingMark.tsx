import { Circle, CircleDashed, Triangle } from "lucide-react";
import type { Finding } from "../../../core/findings/finding.ts";
import { t } from "../../../core/language/t.ts";

/** What its mark means, in a word. */
export const SEVERITY_WORDS: Readonly<Record<Finding["severity"], string>> = {
  fault: t`must be mended`,
  warning: t`will be seen`,
  note: t`to look at`,
};

/** A triangle for what must be mended, a ring for what will be seen, a broken ring for what is to be looked at. */
export function FindingMark({
  severity,
  className = "size-4.5",
}: {
  severity: Finding["severity"];
  className?: string;
}) {
  const style = `${className} shrink-0 ${severity === "note" ? "text-second" : "text-attention"}`;
  const title = SEVERITY_WORDS[severity];
  switch (severity) {
    case "fault":
      return <Triangle role="img" aria-label={title} className={`${style} fill-current`} />;
    case "warning":
      return <Circle role="img" aria-label={title} strokeWidth={3} className={style} />;
    case "note":
      return <CircleDashed role="img" aria-label={title} className={style} />;
  }
}
