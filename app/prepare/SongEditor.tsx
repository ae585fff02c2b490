import { useMemo } from "react";
import { singInOrder } from "../../core/rundown/compile.ts";
import type { Occurrence } from "../../core/rundown/content.ts";
import type { SongDoc } from "../../core/rundown/cueDoc.ts";
import type { Anchor } from "../../core/rundown/steps.ts";
import { divideByLines } from "../../core/words/divide.ts";
import { parseSong, type SongSection } from "../../core/words/song.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { BracketColumns, LINE_PX } from "./Brackets.tsx";
import { type BracketGroup, groupAlike } from "./bracketGroups.ts";
import { editorId } from "./editorId.ts";
import { guardPaste } from "./guardPaste.ts";
import { fieldClass, Labelled } from "./Labelled.tsx";

const PADDING_PX = 8;
const MOST_LINES_PER_SLIDE = 20;

/** This song's own number of lines, else the outfit's. */
const linesOf = (doc: SongDoc, outfit: DeskOutfit) => doc.lines[outfit.id] ?? outfit.linesPerSlide;

/** A song as plain text, with brackets beside the lines that show how each outfit divides them. */
export function SongEditor({
  cueId,
  doc,
  outfits,
  onType,
  onAnchor,
}: {
  cueId: string;
  doc: SongDoc;
  outfits: readonly DeskOutfit[];
  onType: (doc: SongDoc) => void;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const id = editorId(cueId);
  const store = useDeskStore();
  const groups = useMemo(() => groupAlike(outfits, (outfit) => String(linesOf(doc, outfit))), [doc, outfits]);
  const { sections, sung, divided } = useMemo(() => divide(doc, groups), [doc, groups]);
  const lineCount = doc.text.split("\n").length;

  const follow = (element: HTMLTextAreaElement) => {
    const line = element.value.slice(0, element.selectionStart).split("\n").length - 1;
    for (const section of sections) {
      const unit = section.sourceLines.indexOf(line);
      if (unit >= 0) onAnchor({ occurrence: section.key, unit });
    }
  };

  return (
    <>
      <div className="flex gap-3">
        <Labelled id={`${id}-title`} label="Title">
          <input
            id={`${id}-title`}
            value={doc.title}
            maxLength={200}
            placeholder="from the first line"
            onChange={(event) => onType({ ...doc, title: event.target.value })}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        <Labelled id={`${id}-credit`} label="Credit, with the last words">
          <input
            id={`${id}-credit`}
            value={doc.credit}
            maxLength={500}
            placeholder="from a last line such as “Words: …”"
            onChange={(event) => onType({ ...doc, credit: event.target.value })}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
      </div>
      {sung.length > 0 && (
        <p className="flex flex-wrap items-center gap-1.5 text-[14px] text-second">
          Order
          {sung.map(({ key, label }) => (
            <span
              key={key}
              className="rounded bg-lifted px-2 py-0.5 font-mono font-semibold text-paper"
              title={label}
            >
              {key.split("#")[0]}
            </span>
          ))}
        </p>
      )}
      <p className="flex flex-wrap items-center gap-x-4 gap-y-2 text-[14px] text-second">
        Lines on a slide
        {outfits.map((outfit) => (
          <label key={outfit.id} className="flex items-center gap-2">
            {outfit.name}
            <input
              type="number"
              min={1}
              max={MOST_LINES_PER_SLIDE}
              value={linesOf(doc, outfit)}
              onChange={(event) => {
                const count = Math.round(event.target.valueAsNumber);
                if (count >= 1 && count <= MOST_LINES_PER_SLIDE)
                  onType({ ...doc, lines: { ...doc.lines, [outfit.id]: count } });
              }}
              className={`${fieldClass} w-16! text-center font-mono`}
            />
          </label>
        ))}
      </p>
      <div className="flex">
        <div className="relative">
          {divided.map(({ section, divisions }) => (
            <div key={section.key} className="absolute inset-y-0 left-0">
              <BracketColumns
                outfits={groups}
                divisions={divisions}
                lineOfUnit={section.sourceLines}
                offsetPx={PADDING_PX}
              />
            </div>
          ))}
          <div style={{ width: groups.length * 18 + 10 }} />
        </div>
        <textarea
          id={id}
          aria-label="Words"
          dir="auto"
          value={doc.text}
          rows={Math.max(6, lineCount)}
          wrap="off"
          spellCheck
          placeholder={
            "Verse 1\nPaste or type the words here.\nA blank line parts stanzas;\nlabels such as Chorus or [Bridge] name them."
          }
          onChange={(event) => {
            onType({ ...doc, text: event.target.value });
            follow(event.currentTarget);
          }}
          onPaste={(event) => guardPaste(event, (sentence) => store.say("trouble", sentence))}
          onSelect={(event) => follow(event.currentTarget)}
          className="font-words min-w-0 flex-1 resize-none overflow-x-auto overflow-y-hidden rounded-md border border-edge-strong bg-ground px-3 text-[18px] whitespace-pre placeholder:text-quiet"
          style={{ lineHeight: `${LINE_PX}px`, paddingBlock: PADDING_PX - 1 }}
        />
      </div>
    </>
  );
}

interface Divided {
  readonly sections: readonly SongSection[];
  readonly sung: readonly Occurrence[];
  readonly divided: readonly { readonly section: SongSection; readonly divisions: readonly number[][] }[];
}

/** How the words divide as they are typed, before they are saved. */
function divide(doc: SongDoc, groups: readonly BracketGroup[]): Divided {
  const parsed = parseSong(doc.text, doc.title.trim());
  if ("problem" in parsed) return { sections: [], sung: [], divided: [] };
  const { sections } = parsed.song;
  const occurrences = singInOrder(parsed.song);
  return {
    sections,
    sung: occurrences,
    divided: sections.flatMap((section) => {
      const occurrence = occurrences.find(({ key }) => key === section.key);
      if (!occurrence) return [];
      const divisions = groups.map(({ outfits }) =>
        divideByLines(occurrence.units, linesOf(doc, outfits[0] as DeskOutfit)),
      );
      return [{ section, divisions }];
    }),
  };
}
