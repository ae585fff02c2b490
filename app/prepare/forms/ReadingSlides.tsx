import { t } from "../../../core/language/t.ts";
import type { Anchor } from "../../../core/rundown/anchor.ts";
import type { Flow } from "../../../core/rundown/content.ts";
import type { ReadingDoc } from "../../../core/rundown/cueDoc.ts";
import type { DeskOutfit } from "../../../core/wire/deskDesigns.ts";
import { breakAt, withBreak } from "../../../core/words/manualBreaks.ts";
import { groupAlike } from "../../pictures/bracketGroups.ts";
import { BracketColumns, LINE_PX, type OnBreak } from "../list/Brackets.tsx";

/** The words of a reading as each outfit divides them, parted and joined by hand. */
export function ReadingSlides({
  doc,
  flow,
  outfits,
  onType,
  onAnchor,
}: {
  doc: ReadingDoc;
  flow: Flow;
  outfits: readonly DeskOutfit[];
  onType: (doc: ReadingDoc) => void;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const groups = groupAlike(outfits, (outfit) => {
    const divisions = flow.divisions[outfit.id];
    return divisions && JSON.stringify(divisions);
  });
  const breakIn =
    (key: string, units: readonly { readonly text: string }[]): OnBreak =>
    (kind, unit, group) =>
      onType({
        ...doc,
        breaks: withBreak(
          doc.breaks,
          breakAt(
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
      {flow.occurrences.map((occurrence, index) => (
        <div key={occurrence.key} className="flex">
          <BracketColumns
            groups={groups}
            divisions={groups.map(({ id: outfitId }) => flow.divisions[outfitId]?.[index] ?? [])}
            lineOfUnit={occurrence.units.map((_, unit) => unit)}
            onBreak={breakIn(occurrence.key, occurrence.units)}
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
                    breakIn(occurrence.key, occurrence.units)(begins ? "join" : "split", at, {
                      id: "",
                      name: "",
                      outfits,
                    });
                  }}
                  className="font-words min-w-0 truncate text-left text-[18px] hover:text-act"
                  title={t`${unit.text}\nAlt+Enter parts or joins slides before it`}
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
    </>
  );
}
