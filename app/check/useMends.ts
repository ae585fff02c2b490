import type { CheckFinding } from "../../core/check/gather.ts";
import type { Mend } from "../../core/check/mend.ts";
import { t } from "../../core/language/t.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { Edit } from "../../core/rundown/edits.ts";
import { saveEdit } from "../api/saveEdit.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useActor } from "../desk/useActor.ts";

/** What is done about findings: mended, or let be. All of it is undone as any other edit. */
export function useMends() {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const edit = async (wanted: Edit, done: string) => {
    const outcome = await saveEdit(actor, wanted);
    if (outcome.kind !== "saved") return store.say("trouble", outcome.sentence);
    store.say("word", done, {
      label: t`Undo`,
      act: () =>
        void saveEdit(actor, { kind: "undo" }).then((undone) => {
          if (undone.kind !== "saved") store.say("trouble", undone.sentence);
        }),
    });
  };
  const change = (cueId: string, doc: CueDoc, baseRevision: number, done: string) =>
    edit({ kind: "changeCue", cueId, doc, baseRevision }, done);
  /** What is let be is said in the cue as it is now. */
  const waive = (cueId: string | null, waivedOf: (doc: CueDoc) => CueDoc["waived"], done: string) => {
    const view = store.getSnapshot().cues.find((cue) => cue.view.cueId === cueId)?.view;
    if (!view) return store.say("trouble", t`That cue is not in the rundown any more. Nothing was changed.`);
    return change(view.cueId, { ...view.doc, waived: waivedOf(view.doc) }, view.revision, done);
  };
  return {
    mend: (mend: Mend) =>
      mend.kind === "changeCue"
        ? change(
            mend.cueId,
            mend.doc,
            mend.revision,
            t`Done: ${mend.label.charAt(0).toLowerCase()}${mend.label.slice(1)}.`,
          )
        : edit(
            {
              ...{ kind: "replaceWords", find: mend.find, by: mend.by },
              ...{ matchCase: true, wholeWords: true, cueIds: null },
            },
            t`“${mend.find}” is “${mend.by}” now, wherever it stood.`,
          ),
    letBe: ({ cueId, code, place }: CheckFinding, reason: string) =>
      waive(
        cueId,
        ({ waived }) => [...waived, { code, place: place ?? "", reason }],
        t`It is let be, and the reason is kept.`,
      ),
    takeUp: ({ cueId, code, place }: CheckFinding) =>
      waive(
        cueId,
        ({ waived }) => waived.filter((each) => each.code !== code || each.place !== (place ?? "")),
        t`It is in the list again.`,
      ),
  };
}
