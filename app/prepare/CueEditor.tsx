import { TriangleAlert } from "lucide-react";
import type { ReadingDoc } from "../../core/rundown/cueDoc.ts";
import { type Anchor, LEAVE_ANCHOR, stepsOf } from "../../core/rundown/steps.ts";
import type { DeskCue } from "../desk/deskStore.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { BracketColumns, LINE_PX } from "./Brackets.tsx";
import { groupAlike } from "./bracketGroups.ts";
import type { CueSaver } from "./cueSaver.ts";
import { editorId } from "./editorId.ts";
import { fieldClass, Labelled } from "./Labelled.tsx";
import { PageForm } from "./PageForm.tsx";
import { SongEditor } from "./SongEditor.tsx";
import { useCueSaver } from "./useCueSaver.ts";

/** The chosen cue, opened: its words are edited where they stand and saved as they are typed. */
export function CueEditor({
  cue,
  outfits,
  actor,
  onAnchor,
}: {
  cue: DeskCue;
  outfits: readonly DeskOutfit[];
  actor: string;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const saver = useCueSaver(cue.view, actor);
  const { draft } = saver;
  const problem = "problem" in cue.view.compiled ? cue.view.compiled.problem : undefined;
  return (
    <div className="flex flex-col gap-3">
      {draft.kind === "page" && (
        <PageForm cueId={cue.view.cueId} doc={draft} outfits={outfits} onType={(doc) => saver.type(doc)} />
      )}
      {draft.kind === "song" && (
        <SongEditor
          cueId={cue.view.cueId}
          doc={draft}
          outfits={outfits}
          onType={(doc) => saver.type(doc)}
          onAnchor={onAnchor}
        />
      )}
      {draft.kind === "reading" && (
        <ReadingForm
          cue={cue}
          doc={draft}
          outfits={outfits}
          onType={(doc) => saver.type(doc)}
          onAnchor={onAnchor}
        />
      )}
      {problem && (
        <p className="flex items-start gap-2.5 text-[15px] text-attention">
          <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
          {problem}
        </p>
      )}
      <SaveLine saver={saver} />
    </div>
  );
}

function ReadingForm({
  cue,
  doc,
  outfits,
  onType,
  onAnchor,
}: {
  cue: DeskCue;
  doc: ReadingDoc;
  outfits: readonly DeskOutfit[];
  onType: (doc: ReadingDoc) => void;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const id = editorId(cue.view.cueId);
  const flow = cue.ready?.content.flow;
  const groups = groupAlike(outfits, (outfit) => {
    const divisions = flow?.divisions[outfit.id];
    return divisions && JSON.stringify(divisions);
  });
  return (
    <>
      <Labelled id={id} label="Reference">
        <input
          id={id}
          value={doc.reference}
          placeholder="Ps 107:23-30"
          maxLength={200}
          spellCheck={false}
          onChange={(event) => onType({ ...doc, reference: event.target.value })}
          className={`${fieldClass} max-w-md font-words text-[20px]`}
        />
      </Labelled>
      <label className="flex items-center gap-2.5 text-[15px]">
        <input
          type="checkbox"
          checked={doc.numbers}
          onChange={(event) => onType({ ...doc, numbers: event.target.checked })}
          className="size-5 accent-act"
        />
        Verse numbers in the words
      </label>
      {flow?.occurrences.map((occurrence, index) => (
        <div key={occurrence.key} className="flex">
          <BracketColumns
            outfits={groups}
            divisions={groups.map(({ id: outfitId }) => flow.divisions[outfitId]?.[index] ?? [])}
            lineOfUnit={occurrence.units.map((_, unit) => unit)}
          />
          <ol className="min-w-0 flex-1">
            {occurrence.units.map((unit, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a unit is its place, and the same words may come twice
              <li key={`${at}-${unit.text}`} style={{ height: LINE_PX }} className="flex items-center gap-2">
                <button
                  type="button"
                  onClick={() => onAnchor({ occurrence: occurrence.key, unit: at })}
                  className="font-words min-w-0 truncate text-left text-[18px] hover:text-act"
                  title={unit.text}
                >
                  <span className="mr-2 inline-block w-7 text-right font-mono text-[14px] text-second">
                    {occurrence.units[at - 1]?.verse?.verse === unit.verse?.verse ? "" : unit.verse?.verse}
                  </span>
                  {unit.text}
                </button>
              </li>
            ))}
          </ol>
        </div>
      ))}
      {cue.ready && (
        <p className="text-[14px] text-second">
          {
            stepsOf(cue.ready.content).filter(({ anchor }) => anchor.occurrence !== LEAVE_ANCHOR.occurrence)
              .length
          }{" "}
          steps · {cue.ready.content.values.translation}
        </p>
      )}
    </>
  );
}

function SaveLine({ saver }: { saver: CueSaver }) {
  const { status } = saver;
  switch (status.kind) {
    case "saved":
      return <p className="text-[14px] text-act">saved</p>;
    case "typing":
    case "saving":
      return <p className="text-[14px] text-second">saving…</p>;
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
            Take theirs
          </button>
          <button
            type="button"
            className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
            onClick={() => saver.settle("mine")}
          >
            Keep mine
          </button>
        </div>
      );
  }
}
