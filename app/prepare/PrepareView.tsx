import { useCallback, useEffect, useMemo, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { t } from "../../core/language/t.ts";
import type { Anchor } from "../../core/rundown/anchor.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useActor } from "../desk/useActor.ts";
import { useAirActs } from "../desk/useAirActs.ts";
import { useAirKeys } from "../desk/useAirKeys.ts";
import { useDropped } from "../desk/useDropped.ts";
import { CuePictures } from "../pictures/CuePictures.tsx";
import { editorId } from "./forms/editorId.ts";
import { KeysLine } from "./KeysLine.tsx";
import { CueList } from "./list/CueList.tsx";
import { useCueClipboard } from "./list/useCueClipboard.ts";
import { AddBox } from "./panels/AddBox.tsx";
import { BinPanel } from "./panels/BinPanel.tsx";
import { CreditsPanel } from "./panels/CreditsPanel.tsx";
import { EditTools, type PanelName } from "./panels/EditTools.tsx";
import { ReplacePanel } from "./panels/ReplacePanel.tsx";
import { RundownReview } from "./rundownText/RundownReview.tsx";
import { isRundownFile, readRundownFile } from "./rundownText/readRundownFile.ts";
import { SlidesLine } from "./slides/SlidesLine.tsx";
import { useSlides } from "./slides/useSlides.ts";
import { usePrepareKeys } from "./usePrepareKeys.ts";
import { useRundownActs } from "./useRundownActs.ts";

/** Where the rundown is made: the same script, with editing opened up. */
export function PrepareView() {
  const desk = useDesk("cues", "chosenId", "mode", "venue");
  const store = useDeskStore();
  const { cues } = desk;
  const navigate = useNavigate();
  const selectedId = desk.chosenId;
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const clearAnchor = useCallback(() => setAnchor(null), []);
  const actor = useActor(store.windowId);
  const [parameters, setParameters] = useSearchParams();
  const panel = parameters.get("panel");
  const index = cues.findIndex(({ view }) => view.cueId === selectedId);
  const selected = cues[index];

  const { add, addAll, edit, act, marked, setMarked, mark, together, deleteTogether, select } =
    useRundownActs(selectedId, clearAnchor);
  const slides = useSlides(addAll);
  /** A rundown that somebody wrote, before its lines are cues. */
  const [written, setWritten] = useState<{ readonly name: string; readonly text: string } | null>(null);
  /** What a file is taken for follows from what it is: a rundown in text, or else slides. */
  const bringFiles = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    return isRundownFile(file.name) ? readRundown(file) : slides.bring(files);
  };
  const readRundown = async (file: File) => {
    const read = await readRundownFile(file);
    if ("problem" in read) store.say("trouble", read.problem);
    else setWritten({ name: file.name, text: read.text });
  };
  useDropped("slides", (files) => void slides.bring(files));
  useDropped("rundown", ([file]) => file && void readRundown(file));
  const togglePanel = (name: PanelName) =>
    setParameters(panel === name ? {} : { panel: name }, { replace: true });
  usePrepareKeys({ ...act, replace: () => togglePanel("replace") });
  useCueClipboard({
    copied: () => together.map(({ view }) => view.doc),
    paste: addAll,
    cut: async () => void (await deleteTogether()),
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
      <main aria-label={t`Rundown`} className="relative flex min-h-0 flex-col">
        {written && (
          <RundownReview key={written.name} {...written} onAdd={addAll} onClose={() => setWritten(null)} />
        )}
        {slides.coming && <SlidesLine coming={slides.coming} onStop={slides.stop} />}
        <div className="max-h-[78%] shrink-0 overflow-y-auto border-b border-edge bg-raised px-4 pt-3 pb-2">
          <AddBox
            onAdd={add}
            onAddAll={addAll}
            onFiles={(files) => void bringFiles(files)}
            tools={
              <EditTools act={act} hasChosen={selected !== undefined} panel={panel} onPanel={togglePanel} />
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
        <KeysLine />
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Pictures`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="min-h-0 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-4 py-3"
      >
        {selected ? (
          <CuePictures cue={selected} anchor={anchor} onAnchor={setAnchor} />
        ) : (
          <p className="text-[15px] text-second">{t`Choose a cue to see it on every screen.`}</p>
        )}
      </aside>
    </div>
  );
}
