import { useState } from "react";
import { t } from "../../core/language/t.ts";
import { useDesk } from "../desk/deskContext.ts";
import { Screens } from "./Screens.tsx";

/** Where there is no room for all screens: the two pictures of one of them, and the names of the others. */
export function ScreenChooser() {
  const { outputs } = useDesk("outputs");
  const [chosenId, setChosenId] = useState<string | null>(null);
  const chosen = outputs.find(({ id }) => id === chosenId) ?? outputs[0];
  return (
    <aside aria-label={t`Screens`} className="flex shrink-0 flex-col border-t border-edge bg-raised">
      {outputs.length > 1 && (
        <div
          role="toolbar"
          aria-label={t`Which screen`}
          className="relative flex gap-1.5 overflow-x-auto px-4 pt-2"
        >
          {outputs.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={id === chosen?.id}
              onClick={() => setChosenId(id)}
              className="min-h-8 shrink-0 rounded-full border border-edge px-3 text-[14px] text-second aria-pressed:border-act aria-pressed:text-paper"
            >
              {name}
            </button>
          ))}
        </div>
      )}
      <div className="h-[clamp(150px,26dvh,300px)] max-sm:h-[128px]">
        {chosen && <Screens only={chosen.id} />}
      </div>
    </aside>
  );
}
