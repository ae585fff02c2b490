import { t } from "../../core/language/t.ts";
import { BUS_WORDS, busOfScreen } from "../../core/venue/source.ts";
import { useDesk } from "../desk/deskContext.ts";

/** Whether the mixer has a screen of this show on program or preview; nothing where it does not go into one. */
export function TallyMark({ outputId, className }: { outputId: string; className: string }) {
  const { sources, state } = useDesk("sources", "state");
  const bus = busOfScreen(sources, state.sources, outputId);
  if (bus === null) return null;
  return (
    <span
      title={t`The mixer has this screen on ${BUS_WORDS[bus]}`}
      className={`pointer-events-none rounded px-1.5 text-[13px] font-bold tracking-wide ${bus === "program" ? "bg-air text-on-bright" : "border-2 border-dashed border-next bg-ground text-next"} ${className}`}
    >
      {BUS_WORDS[bus].toUpperCase()}
    </span>
  );
}
