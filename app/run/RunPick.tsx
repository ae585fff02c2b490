import { pickedFeeds } from "../../core/feeds/binding.ts";
import { type PageDoc, withPick } from "../../core/rundown/cueDoc.ts";
import { saveEdit } from "../api/saveEdit.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import { useActor } from "../desk/useActor.ts";
import { PickBox } from "../prepare/forms/bindings/PickBox.tsx";

/** The rows that are picked for a page, beside it in the script. */
export function RunPick({ cue: { view }, doc }: { cue: DeskCue; doc: PageDoc }) {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const { cueId, revision } = view;
  const pick = async (feedId: string, row: string | undefined) => {
    const outcome = await saveEdit(actor, {
      kind: "changeCue",
      cueId,
      doc: withPick(doc, feedId, row),
      baseRevision: revision,
    });
    if (outcome.kind !== "saved") store.say("trouble", outcome.sentence);
  };
  return (
    <div className="flex flex-col gap-1.5 px-4 pb-2 @2xl:pl-[110px]">
      {pickedFeeds(doc.bindings).map((feedId) => (
        <PickBox
          key={feedId}
          feedId={feedId}
          picked={doc.picks[feedId]}
          onPick={(row) => void pick(feedId, row)}
        />
      ))}
    </div>
  );
}
