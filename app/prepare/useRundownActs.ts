import { useCallback, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { Edit } from "../../core/rundown/edits.ts";
import { newId } from "../api/newId.ts";
import { saveEdit } from "../api/saveEdit.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { useActor } from "../desk/useActor.ts";
import { editorId } from "./forms/editorId.ts";

/**
 * What Prepare does to the rundown: cues added, chosen, marked, moved, doubled, deleted, and undone.
 * @param onSelect is told when another cue is chosen
 */
export function useRundownActs(selectedId: string | null, onSelect: () => void) {
  const store = useDeskStore();
  const { cues } = useDesk("cues");
  const actor = useActor(store.windowId);
  const index = cues.findIndex(({ view }) => view.cueId === selectedId);
  const selected = cues[index];

  const select = useCallback(
    (cueId: string | null) => {
      store.choose(cueId);
      onSelect();
    },
    [store, onSelect],
  );

  const edit = useCallback(
    async (wanted: Edit) => {
      const outcome = await saveEdit(actor, wanted);
      if (outcome.kind !== "saved") store.say("trouble", outcome.sentence);
      return outcome;
    },
    [actor, store],
  );

  const add = useCallback(
    async (doc: CueDoc) => {
      const cueId = newId();
      const outcome = await edit({
        kind: "addCue",
        cueId,
        doc,
        afterId: selectedId ?? cues.at(-1)?.view.cueId ?? null,
      });
      if (outcome.kind === "saved") select(cueId);
      return outcome.kind === "saved";
    },
    [edit, selectedId, cues, select],
  );

  const addAll = useCallback(
    async (docs: readonly CueDoc[]) => {
      const added = docs.map((doc) => ({ cueId: newId(), doc }));
      const outcome = await edit({
        kind: "addCues",
        cues: added,
        afterId: selectedId ?? cues.at(-1)?.view.cueId ?? null,
      });
      if (outcome.kind !== "saved") return false;
      select(added[0]?.cueId ?? null);
      store.say(
        "word",
        t`${added.length} ${added.length === 1 ? t`cue is` : t`cues are`} in the rundown; Ctrl+Z takes ${added.length === 1 ? t`it` : t`them`} back.`,
      );
      return true;
    },
    [edit, selectedId, cues, select, store],
  );

  /** Cues marked besides the chosen one: copied, cut, moved and deleted together, in the order of the rundown. */
  const [marked, setMarked] = useState<ReadonlySet<string>>(new Set());
  const together = cues.filter(
    ({ view }) => view.cueId === selectedId || (marked.size > 0 && marked.has(view.cueId)),
  );
  const togetherIds = together.map(({ view }) => view.cueId);
  const mark = (cueId: string) => {
    const from = selectedId ?? cueId;
    const [a, b] = [from, cueId].map((id) => cues.findIndex(({ view }) => view.cueId === id));
    const [first, last] = [Math.min(a as number, b as number), Math.max(a as number, b as number)];
    setMarked(new Set([...marked, ...cues.slice(first, last + 1).map(({ view }) => view.cueId)]));
  };
  /** @returns whether they are deleted; the first that is left is chosen then */
  const deleteTogether = async (): Promise<boolean> => {
    const outcome = await edit({ kind: "deleteCues", cueIds: togetherIds });
    if (outcome.kind !== "saved") return false;
    setMarked(new Set());
    select(cues.find(({ view }) => !togetherIds.includes(view.cueId))?.view.cueId ?? null);
    return true;
  };

  const act = {
    select: (by: 1 | -1) => {
      setMarked(new Set());
      const target = cues[index < 0 ? 0 : Math.max(0, Math.min(cues.length - 1, index + by))];
      if (target) select(target.view.cueId);
    },
    mark: (by: 1 | -1) => {
      const target = cues[Math.max(0, Math.min(cues.length - 1, index + by))];
      if (!target) return;
      setMarked(new Set([...marked, ...(selectedId ? [selectedId] : []), target.view.cueId]));
      select(target.view.cueId);
    },
    move: (by: 1 | -1) => {
      if (together.length > 1) {
        const edge = by === 1 ? together.at(-1) : together[0];
        const at = cues.findIndex(({ view }) => view.cueId === edge?.view.cueId) + by;
        if (at < 0 || at >= cues.length) return;
        const after = by === 1 ? cues[at] : cues[at - 1];
        void edit({ kind: "moveCues", cueIds: togetherIds, afterId: after?.view.cueId ?? null });
        return;
      }
      const to = index + by;
      if (!selected || to < 0 || to >= cues.length) return;
      const after = by === 1 ? cues[to] : cues[to - 1];
      void edit({ kind: "moveCue", cueId: selected.view.cueId, afterId: after?.view.cueId ?? null });
    },
    duplicate: async () => {
      if (!selected) return;
      const id = newId();
      const outcome = await edit({ kind: "duplicateCue", cueId: selected.view.cueId, newId: id });
      if (outcome.kind === "saved") select(id);
    },
    remove: async () => {
      if (!selected) return;
      if (together.length > 1) {
        if (!(await deleteTogether())) return;
        store.say(
          "word",
          t`${together.length} cues are deleted; Ctrl+Z brings them back, and the bin keeps them.`,
        );
        return;
      }
      const name = selected.ready?.content.title ?? t`The cue`;
      const neighbour = cues[index + 1] ?? cues[index - 1];
      const outcome = await edit({ kind: "deleteCue", cueId: selected.view.cueId });
      if (outcome.kind !== "saved") return;
      select(neighbour?.view.cueId ?? null);
      store.say(
        "word",
        t`“${name}” is deleted; Ctrl+Z brings it back. If it is on air, it stays there until it is taken out.`,
      );
    },
    step: async (kind: "undo" | "redo") => {
      const outcome = await edit({ kind });
      if (outcome.kind !== "saved") return;
      store.say("word", `${outcome.label}.`);
      if (outcome.cueId) select(outcome.cueId);
    },
    open: () => selectedId && document.getElementById(editorId(selectedId))?.focus(),
    add: () => document.getElementById("add-box")?.focus(),
  };
  return { add, addAll, edit, act, marked, setMarked, mark, together, deleteTogether, select };
}
