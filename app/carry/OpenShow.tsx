import { useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useDropped } from "../desk/useDropped.ts";
import { buttonClass } from "./buttons.ts";
import { ShareBar } from "./ShareBar.tsx";
import { sendShowFile } from "./sendShowFile.ts";

/** A show file is chosen or dropped, sent, and looked at: nothing of the show changes by that. */
export function OpenShow({ onSent }: { onSent: (sentId: string, fileName: string) => void }) {
  const store = useDeskStore();
  const input = useRef<HTMLInputElement>(null);
  const stop = useRef<AbortController>(undefined);
  const [sending, setSending] = useState<{ readonly name: string; readonly share: number } | null>(null);
  const send = async (file: File | undefined) => {
    if (!file) return;
    stop.current = new AbortController();
    const onShare = (share: number) => setSending({ name: file.name, share });
    onShare(0);
    const sent = await sendShowFile(file, onShare, stop.current.signal);
    setSending(null);
    if ("problem" in sent) store.say("trouble", sent.problem.sentence);
    else onSent(sent.value.id, file.name);
  };
  useDropped("show", ([file]) => void send(file));
  return (
    <section
      aria-label={t`Open a show file`}
      className="mt-8 max-w-3xl rounded-lg border border-dashed border-edge-strong px-5 py-4"
    >
      <h2 className="mb-1 text-[17px] font-semibold">{t`Open a show file`}</h2>
      <p className="mb-3 text-[15px] text-second">
        {t`Drop it here or choose it. It is looked at first: you see what is new and what clashes with what is here, and nothing changes until you say so.`}
      </p>
      {sending ? (
        <div className="flex items-center gap-3">
          <ShareBar label={t`Sending ${sending.name}`} share={sending.share} />
          <button type="button" onClick={() => stop.current?.abort()} className={buttonClass}>
            {t`Cancel`}
          </button>
        </div>
      ) : (
        <button type="button" onClick={() => input.current?.click()} className={buttonClass}>
          {t`Choose a file…`}
        </button>
      )}
      <input
        ref={input}
        type="file"
        accept=".zip"
        aria-label={t`Show file`}
        tabIndex={-1}
        className="sr-only"
        onChange={({ target }) => {
          void send(target.files?.[0]);
          target.value = "";
        }}
      />
    </section>
  );
}
