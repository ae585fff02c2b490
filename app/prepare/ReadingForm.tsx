import type { Anchor } from "../../core/rundown/anchor.ts";
import type { ReadingDoc, ReferencePlace } from "../../core/rundown/cueDoc.ts";
import { REFERENCE_PLACES } from "../../core/rundown/cueDoc.ts";
import { LEAVE_ANCHOR, stepsOf } from "../../core/rundown/steps.ts";
import { cutAt, withCut } from "../../core/words/cuts.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { useDeskData } from "../desk/useDeskData.ts";
import { BracketColumns, LINE_PX, type OnCut } from "./Brackets.tsx";
import { groupAlike } from "./bracketGroups.ts";
import { editorId } from "./editorId.ts";
import { fieldClass, Labelled } from "./Labelled.tsx";
import { OtherReadings } from "./OtherReadings.tsx";

const PLACE_NAMES: Readonly<Record<ReferencePlace, string>> = {
  each: "on each slide",
  first: "on the first slide",
  last: "on the last slide",
  none: "nowhere",
};

/** A reading: its reference, the text or two texts it is read from, and what stands around the words. */
export function ReadingForm({
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
  const { texts } = useDeskData();
  const id = editorId(cue.view.cueId);
  const flow = cue.ready?.content.flow;
  const groups = groupAlike(outfits, (outfit) => {
    const divisions = flow?.divisions[outfit.id];
    return divisions && JSON.stringify(divisions);
  });
  const offered = texts.some(({ code }) => code === doc.text)
    ? texts
    : [...texts, { code: doc.text, name: `${doc.text} (not here)`, language: "" }];
  const cutIn =
    (key: string, units: readonly { readonly text: string }[]): OnCut =>
    (kind, unit, group) =>
      onType({
        ...doc,
        cuts: withCut(
          doc.cuts,
          cutAt(
            kind,
            key,
            units,
            unit,
            group.outfits.map((outfit) => outfit.id),
          ),
        ),
      });
  return (
    <>
      <div className="flex gap-3">
        <Labelled id={id} label="Reference">
          <input
            id={id}
            value={doc.reference}
            placeholder="Ps 107:23-30; Jn 1:1-5"
            maxLength={200}
            spellCheck={false}
            onChange={(event) => onType({ ...doc, reference: event.target.value })}
            className={`${fieldClass} font-words text-[20px]`}
          />
        </Labelled>
        <Labelled id={`${id}-text`} label="Text">
          <select
            id={`${id}-text`}
            value={doc.text}
            onChange={(event) => onType({ ...doc, text: event.target.value })}
            className={`${fieldClass} h-11.5 text-[16px]`}
          >
            {offered.map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </Labelled>
      </div>
      <OtherReadings
        reference={doc.reference}
        text={doc.text}
        onChoose={(reference) => onType({ ...doc, reference })}
      />
      <div className="flex flex-wrap gap-3">
        <Labelled id={`${id}-second`} label="Second text">
          <select
            id={`${id}-second`}
            value={doc.second?.text ?? ""}
            onChange={(event) =>
              onType({
                ...doc,
                second:
                  event.target.value === ""
                    ? null
                    : { text: event.target.value, how: doc.second?.how ?? "beside" },
              })
            }
            className={`${fieldClass} text-[16px]`}
          >
            <option value="">none</option>
            {texts.map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </Labelled>
        {doc.second && (
          <Labelled id={`${id}-how`} label="It stands">
            <select
              id={`${id}-how`}
              value={doc.second.how}
              onChange={(event) =>
                onType({
                  ...doc,
                  second: doc.second && {
                    ...doc.second,
                    how: event.target.value === "after" ? "after" : "beside",
                  },
                })
              }
              className={`${fieldClass} text-[16px]`}
            >
              <option value="beside">beside the first</option>
              <option value="after">after each passage</option>
            </select>
          </Labelled>
        )}
        <Labelled id={`${id}-reference-at`} label="Reference shown">
          <select
            id={`${id}-reference-at`}
            value={doc.referenceAt}
            onChange={(event) => onType({ ...doc, referenceAt: event.target.value as ReferencePlace })}
            className={`${fieldClass} text-[16px]`}
          >
            {REFERENCE_PLACES.map((place) => (
              <option key={place} value={place}>
                {PLACE_NAMES[place]}
              </option>
            ))}
          </select>
        </Labelled>
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <Check
          label="Verse numbers"
          value={doc.numbers}
          onChange={(numbers) => onType({ ...doc, numbers })}
        />
        <Check label="Lines of poetry" value={doc.poetry} onChange={(poetry) => onType({ ...doc, poetry })} />
        <Check
          label="Name of the text"
          value={doc.translation}
          onChange={(translation) => onType({ ...doc, translation })}
        />
        <Check
          label="Rights, at the end"
          value={doc.rights}
          onChange={(rights) => onType({ ...doc, rights })}
        />
        {doc.cuts.length > 0 && (
          <button
            type="button"
            onClick={() => onType({ ...doc, cuts: [] })}
            className="min-h-8 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge"
          >
            Undo what was parted by hand
          </button>
        )}
      </div>
      {flow?.occurrences.map((occurrence, index) => (
        <div key={occurrence.key} className="flex">
          <BracketColumns
            groups={groups}
            divisions={groups.map(({ id: outfitId }) => flow.divisions[outfitId]?.[index] ?? [])}
            lineOfUnit={occurrence.units.map((_, unit) => unit)}
            onCut={cutIn(occurrence.key, occurrence.units)}
          />
          <ol className="min-w-0 flex-1" lang={occurrence.language}>
            {occurrence.units.map((unit, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a unit is its place, and the same words may come twice
              <li key={`${at}-${unit.text}`} style={{ height: LINE_PX }} className="flex items-center gap-2">
                <button
                  type="button"
                  onClick={() => onAnchor({ occurrence: occurrence.key, unit: at })}
                  onKeyDown={(event) => {
                    if (event.key !== "Enter" || !event.altKey || at === 0) return;
                    event.preventDefault();
                    const begins = groups.some((group) => flow.divisions[group.id]?.[index]?.includes(at));
                    cutIn(occurrence.key, occurrence.units)(begins ? "join" : "split", at, {
                      id: "",
                      name: "",
                      outfits,
                    });
                  }}
                  className="font-words min-w-0 truncate text-left text-[18px] hover:text-act"
                  title={`${unit.text}\nAlt+Enter parts or joins slides before it`}
                >
                  <span className="mr-2 inline-block w-7 text-right font-mono text-[14px] text-second">
                    {occurrence.units[at - 1]?.verse?.verse === unit.verse?.verse ? "" : unit.verse?.verse}
                  </span>
                  {unit.text.replaceAll("\n", " / ")}
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
          steps · {offered.find(({ code }) => code === doc.text)?.name}
        </p>
      )}
    </>
  );
}

function Check({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <label className="flex min-h-8 items-center gap-2.5 text-[15px]">
      <input
        type="checkbox"
        checked={value}
        onChange={(event) => onChange(event.target.checked)}
        className="size-5 accent-act"
      />
      {label}
    </label>
  );
}
