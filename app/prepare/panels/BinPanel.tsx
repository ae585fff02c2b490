import { ArchiveRestore } from "lucide-react";
import { useEffect, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { ask } from "../../api/call.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { useLocale } from "../../desk/useLocale.ts";
import { CloseButton } from "../../ui/CloseButton.tsx";
import { cueKindName, typedTitle } from "../../ui/describeCue.ts";
import { formatTimeOfDay } from "../../ui/format.ts";

interface Deleted {
  readonly cueId: string;
  readonly atMs: number;
  readonly doc: CueDoc;
}

/** What was deleted, by anybody: each can be put back after the chosen cue. */
export function BinPanel({
  revision,
  onAdd,
  onClose,
}: {
  /** Changes when the rundown does: the bin is looked through again. */
  revision: string;
  onAdd: (doc: CueDoc) => Promise<boolean>;
  onClose: () => void;
}) {
  const locale = useLocale();
  const { fieldSets } = useDesk("fieldSets");
  const [deleted, setDeleted] = useState<readonly Deleted[]>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again when the rundown changes
  useEffect(() => {
    let gone = false;
    void ask("/bin").then((answer) => {
      if (!gone) setDeleted("value" in answer ? answer.value.cues : []);
    });
    return () => {
      gone = true;
    };
  }, [revision]);
  return (
    <section aria-label={t`Bin`} className="max-h-64 shrink-0 overflow-y-auto border-b border-edge px-5 py-3">
      <div className="mb-2 flex items-center justify-between">
        <h2 className="text-[16px] font-semibold">{t`Deleted cues`}</h2>
        <CloseButton label={t`Close the bin`} onClose={onClose} />
      </div>
      {deleted?.length === 0 && <p className="text-[15px] text-second">{t`Nothing was deleted.`}</p>}
      <ul className="flex flex-col gap-1">
        {deleted?.map(({ cueId, atMs, doc }) => (
          <li key={cueId} className="flex items-center gap-3 text-[15px]">
            <button
              type="button"
              aria-label={t`Put ${typedTitle(doc, fieldSets)} back`}
              onClick={() => void onAdd(doc)}
              className={toolClass}
            >
              <ArchiveRestore aria-hidden="true" className="size-4.5" />
            </button>
            <span className="min-w-0 truncate font-semibold">{typedTitle(doc, fieldSets)}</span>
            <span className="shrink-0 text-second">{cueKindName(doc, fieldSets)}</span>
            <span className="ml-auto shrink-0 font-mono text-[14px] text-second">
              {formatTimeOfDay(atMs, locale)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const toolClass = "grid size-9 shrink-0 place-content-center rounded-md bg-lifted hover:bg-edge";
