import { Snowflake } from "lucide-react";
import { t } from "../../../../core/language/t.ts";
import { call } from "../../../api/call.ts";
import { useDeskStore } from "../../../desk/deskContext.ts";
import { useIsFrozen } from "../../../desk/useLiveValues.ts";

/** Has a page stand still, whatever its feeds say, or go on with what they say now. On air too, at once. */
export function FreezeButton({ cueId, isSmall = false }: { cueId: string; isSmall?: boolean }) {
  const store = useDeskStore();
  const isFrozen = useIsFrozen(cueId);
  const toggle = async () => {
    const answer = await call("/feeds-edit", { kind: "freeze", cueId, isFrozen: !isFrozen });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  return (
    <button
      type="button"
      aria-pressed={isFrozen}
      title={
        isFrozen
          ? t`It goes on with what its feeds say now`
          : t`It keeps what it shows now, whatever its feeds say`
      }
      onClick={() => void toggle()}
      className={`flex shrink-0 items-center gap-1.5 rounded-md hover:bg-edge aria-pressed:bg-paper aria-pressed:text-ground ${isSmall ? "size-7 justify-center" : "min-h-9 bg-lifted px-3 text-[15px]"}`}
    >
      <Snowflake aria-hidden="true" className="size-4" />
      {isSmall ? <span className="sr-only">{t`Freeze`}</span> : t`Freeze`}
    </button>
  );
}
