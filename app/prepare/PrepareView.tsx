import { ArchiveRestore, Copy, Copyright, Redo2, Replace, Trash2, Undo2 } from "lucide-react";
import { useCallback, useEffect, useMemo, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import type { Anchor } from "../../core/rundown/anchor.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { Edit } from "../../core/rundown/edits.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import type { DeskOutfit } from "../desk/outfit.ts";
import { useActor } from "../desk/useActor.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { useAirActs } from "../run/useAirActs.ts";
import { useAirKeys } from "../run/useAirKeys.ts";
import { newId } from "../ui/newId.ts";
import { AddBox } from "./AddBox.tsx";
import { BinPanel } from "./BinPanel.tsx";
import { CreditsPanel } from "./CreditsPanel.tsx";
import { CueList } from "./CueList.tsx";
import { CuePictures } from "./CuePictures.tsx";
import { editorId } from "./editorId.ts";
import { missingOf } from "./missingCredits.ts";
import { ReplacePanel } from "./ReplacePanel.tsx";
import { saveEdit } from "./saveEdit.ts";
import { useCueClipboard } from "./useCueClipboard.ts";
import { usePrepareKeys } from "./usePrepareKeys.ts";

/** Where the rundown is made: the same script, with editing opened up. */
export function PrepareView({ outfits }: { outfits: readonly DeskOutfit[] }) {
  const desk = useDesk();
  const store = useDeskStore();
  const { cues } = desk;
  const navigate = useNavigate();
  const selectedId = desk.chosenId;
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const actor = useActor(store.windowId);
  const { licence } = useDeskData();
  const [parameters, setParameters] = useSearchParams();
  const panel = parameters.get("panel");
  const index = cues.findIndex(({ view }) => view.cueId === selectedId);
  const selected = cues[index];

  const select = useCallback(
    (cueId: string | null) => {
      store.choose(cueId);
      setAnchor(null);
    },
    [store],
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
        `${added.length} ${added.length === 1 ? "cue is" : "cues are"} in the rundown; Ctrl+Z takes ${added.length === 1 ? "it" : "them"} back.`,
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
  const deleteTogether = () => edit({ kind: "deleteCues", cueIds: togetherIds });

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
        const outcome = await deleteTogether();
        if (outcome.kind !== "saved") return;
        setMarked(new Set());
        select(cues.find(({ view }) => !togetherIds.includes(view.cueId))?.view.cueId ?? null);
        store.say(
          "word",
          `${together.length} cues are deleted; Ctrl+Z brings them back, and the bin keeps them.`,
        );
        return;
      }
      const name = selected.ready?.content.title ?? "The cue";
      const neighbour = cues[index + 1] ?? cues[index - 1];
      const outcome = await edit({ kind: "deleteCue", cueId: selected.view.cueId });
      if (outcome.kind !== "saved") return;
      select(neighbour?.view.cueId ?? null);
      store.say(
        "word",
        `“${name}” is deleted; Ctrl+Z brings it back. If it is on air, it stays there until it is taken out.`,
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
  const togglePanel = (name: "replace" | "credits" | "bin") =>
    setParameters(panel === name ? {} : { panel: name }, { replace: true });
  const incomplete = useMemo(() => missingOf(cues, licence).length, [cues, licence]);
  usePrepareKeys({ ...act, replace: () => togglePanel("replace") });
  useCueClipboard({
    copied: () => together.map(({ view }) => view.doc),
    paste: addAll,
    cut: async () => {
      if ((await deleteTogether()).kind !== "saved") return;
      setMarked(new Set());
      select(cues.find(({ view }) => !togetherIds.includes(view.cueId))?.view.cueId ?? null);
    },
    say: (sentence) => store.say("word", sentence),
  });

  // From the run view: the cue on air, its words ready to be mended.
  const wanted = parameters.get("edit");
  useEffect(() => {
    if (!wanted || wanted !== selectedId) return;
    document.getElementById(editorId(wanted))?.focus();
    setParameters({}, { replace: true });
  }, [wanted, selectedId, setParameters]);

  // A cue that was deleted elsewhere cannot stay open.
  useEffect(() => {
    if (selectedId && index < 0 && cues.length > 0 && !cues.some(({ view }) => view.cueId === selectedId)) {
      const timer = setTimeout(() => store.choose(cues[0]?.view.cueId ?? null), 400);
      return () => clearTimeout(timer);
    }
    return undefined;
  }, [selectedId, index, cues, store]);

  // The air goes on while words are made: its keys work here as chords.
  const { mode, venue } = desk;
  const own = useMemo(
    () => ({
      lock: () => store.setMode(store.getSnapshot().mode === "locked" ? "free" : "locked"),
      stageNote: () => void navigate("/run"),
      edit: () => undefined,
    }),
    [store, navigate],
  );
  useAirKeys(venue.keys, useAirActs(store, mode, own), true);

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_420px] min-[1600px]:grid-cols-[minmax(0,1fr)_44vw] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main aria-label="Rundown" className="relative flex min-h-0 flex-col">
        <div className="max-h-[78%] shrink-0 overflow-y-auto border-b border-edge bg-raised px-4 pt-3 pb-2">
          <AddBox
            onAdd={add}
            onAddAll={addAll}
            tools={
              <div className="flex gap-1.5" role="toolbar" aria-label="Edit">
                <Tool
                  label="Undo"
                  keys="Ctrl+Z"
                  onPress={() => act.step("undo")}
                  icon={<Undo2 aria-hidden="true" className="size-4.5" />}
                />
                <Tool
                  label="Redo"
                  keys="Ctrl+Shift+Z"
                  onPress={() => act.step("redo")}
                  icon={<Redo2 aria-hidden="true" className="size-4.5" />}
                />
                <Tool
                  label="Duplicate"
                  keys="D"
                  disabled={!selected}
                  onPress={act.duplicate}
                  icon={<Copy aria-hidden="true" className="size-4.5" />}
                />
                <Tool
                  label="Delete"
                  keys="Del"
                  disabled={!selected}
                  onPress={act.remove}
                  icon={<Trash2 aria-hidden="true" className="size-4.5" />}
                />
                <Tool
                  label="Bin: cues that were deleted"
                  isOn={panel === "bin"}
                  onPress={() => togglePanel("bin")}
                  icon={<ArchiveRestore aria-hidden="true" className="size-4.5" />}
                />
                <Tool
                  label="Find and replace"
                  keys="R"
                  isOn={panel === "replace"}
                  onPress={() => togglePanel("replace")}
                  icon={<Replace aria-hidden="true" className="size-4.5" />}
                />
                <Tool
                  label={incomplete === 0 ? "Credits" : `Credits: ${incomplete} incomplete`}
                  isOn={panel === "credits"}
                  onPress={() => togglePanel("credits")}
                  icon={
                    <span className="relative">
                      <Copyright aria-hidden="true" className="size-4.5" />
                      {incomplete > 0 && (
                        <span className="absolute -top-3 -right-4 rounded-full bg-attention px-1.5 text-[13px] font-bold text-on-bright">
                          {incomplete}
                        </span>
                      )}
                    </span>
                  }
                />
              </div>
            }
          />
        </div>
        {panel === "replace" && (
          <ReplacePanel cues={cues} edit={edit} onChoose={select} onClose={() => togglePanel("replace")} />
        )}
        {panel === "bin" && (
          <BinPanel
            revision={cues.map(({ view }) => view.cueId).join()}
            onAdd={add}
            onClose={() => togglePanel("bin")}
          />
        )}
        {panel === "credits" && (
          <CreditsPanel cues={cues} onChoose={select} onClose={() => togglePanel("credits")} />
        )}
        <CueList
          desk={desk}
          outfits={outfits}
          selectedId={selectedId}
          actor={actor}
          marked={marked}
          onSelect={(cueId, isMore) => {
            if (isMore && cueId !== null) mark(cueId);
            else {
              setMarked(new Set());
              select(cueId);
            }
          }}
          onMove={(cueId, afterId) => edit({ kind: "moveCue", cueId, afterId })}
          onAnchor={setAnchor}
        />
        <p className="flex shrink-0 flex-wrap items-center gap-x-2.5 gap-y-1 border-t border-edge bg-raised px-4 py-2 text-[14px] text-second">
          <Key name="↑ ↓">choose</Key>
          <Key name="Enter">edit</Key>
          <Key name="Alt+↑ ↓">move</Key>
          <Key name="D">duplicate</Key>
          <Key name="Del">delete</Key>
          <Key name="N">add</Key>
          <Key name="Ctrl+Z">undo</Key>
          <Key name="R">replace</Key>
          <Key name="F">find</Key>
          <span className="basis-full" />
          <Key name="Ctrl+Enter">take</Key>
          <Key name="Ctrl+Shift+O">out</Key>
          <Key name="Ctrl+Shift+K">black (hold)</Key>
          <Key name="Ctrl+Shift+U">undo on air</Key>
        </p>
        <NoticeBar />
      </main>
      <aside
        aria-label="Pictures"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="min-h-0 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-4 py-3"
      >
        {selected ? (
          <CuePictures desk={desk} cue={selected} anchor={anchor} onAnchor={setAnchor} outfits={outfits} />
        ) : (
          <p className="text-[15px] text-second">Choose a cue to see it on every screen.</p>
        )}
      </aside>
    </div>
  );
}

function Tool({
  label,
  keys,
  icon,
  disabled = false,
  isOn = false,
  onPress,
}: {
  label: string;
  keys?: string;
  icon: React.ReactNode;
  disabled?: boolean;
  /** Its panel is open. */
  isOn?: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={isOn || undefined}
      title={keys ? `${label} (${keys})` : label}
      disabled={disabled}
      onClick={onPress}
      className={`grid size-9 place-content-center rounded-lg hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted ${isOn ? "bg-act-ground text-act" : "bg-lifted"}`}
    >
      {icon}
    </button>
  );
}

function Key({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <kbd>{name}</kbd> {children}
    </span>
  );
}
