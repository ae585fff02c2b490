import { t } from "../../core/language/t.ts";
import type { DraftSaver } from "../api/draftSaver.ts";

/** Whether what was typed is on the disk; when somebody else changed it too, whose words stay. */
export function SaveLine<T>({ saver }: { saver: DraftSaver<T> }) {
  const { status } = saver;
  switch (status.kind) {
    case "saved":
      return <p className="text-[14px] text-act">{t`saved`}</p>;
    case "typing":
    case "saving":
      return <p className="text-[14px] text-second">{t`saving…`}</p>;
    case "failed":
      return (
        <p role="alert" className="text-[14px] text-attention">
          {status.sentence}
        </p>
      );
    case "conflict":
      return (
        <div
          role="alert"
          className="flex flex-wrap items-center gap-3 rounded-lg bg-attention-ground px-4 py-3 text-[15px]"
        >
          <span className="min-w-0 flex-1">{status.sentence}</span>
          <button
            type="button"
            className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() => saver.settle("theirs")}
          >
            {status.by === "other" ? t`Take theirs` : t`Take what is saved`}
          </button>
          <button
            type="button"
            className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() => saver.settle("mine")}
          >
            {t`Keep mine`}
          </button>
        </div>
      );
  }
}
