import { useEffect, useState } from "react";
import { t } from "../../../core/language/t.ts";
import { call } from "../../api/call.ts";

const ASK_AFTER_MS = 200;

/** What a typed reference could mean as well, each one press away. */
export function OtherReadings({
  reference,
  text,
  onChoose,
}: {
  reference: string;
  /** Code of the scripture text. */
  text: string;
  onChoose: (reference: string) => void;
}) {
  const [known, setKnown] = useState<{ readonly of: string; readonly others: readonly string[] } | null>(
    null,
  );
  useEffect(() => {
    if (reference.trim() === "") return;
    let gone = false;
    const timer = setTimeout(async () => {
      const answer = await call("/understand", { typed: reference, text });
      const others = "value" in answer && "others" in answer.value ? answer.value.others : [];
      if (!gone) setKnown({ of: reference, others });
    }, ASK_AFTER_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [reference, text]);
  if (known?.of !== reference || known.others.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-2 text-[14px] text-attention">
      {t`It could also be`}
      {known.others.map((other) => (
        <button
          key={other}
          type="button"
          onClick={() => onChoose(other)}
          className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
        >
          {other}
        </button>
      ))}
    </p>
  );
}
