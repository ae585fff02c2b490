import { useEffect, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import { useDeskStore } from "../desk/deskContext.ts";

/** One line to those on the stage: typed, sent with Enter, taken away by sending nothing. */
export function StageNote({ onClose }: { onClose: () => void }) {
  const store = useDeskStore();
  const [text, setText] = useState("");
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => box.current?.focus(), []);
  return (
    <form
      aria-label={t`Note to the stage`}
      className="flex items-center gap-2.5 border-t border-edge bg-raised px-4 py-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        store.air.press({ kind: "stageNote", text });
        onClose();
      }}
    >
      <label htmlFor="stage-note" className="text-[15px] text-second">
        {t`Note to the stage`}
      </label>
      <input
        id="stage-note"
        ref={box}
        value={text}
        maxLength={200}
        placeholder={t`empty takes it away`}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === "Escape" && onClose()}
        className="min-h-10 min-w-0 flex-1 rounded-md border border-edge-strong bg-ground px-3 text-[17px] placeholder:text-quiet"
      />
      <button type="submit" className="min-h-10 rounded-md bg-act px-4 font-semibold text-on-bright">
        {t`Send`} <kbd className="border-on-bright/40! bg-transparent! text-on-bright!">Enter</kbd>
      </button>
    </form>
  );
}
