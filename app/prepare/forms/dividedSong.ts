import type { PageContent } from "../../../core/rundown/content.ts";
import type { SongDoc } from "../../../core/rundown/cueDoc.ts";
import { sectionOf, sectionUnits } from "../../../core/rundown/kinds/song/compile.ts";
import type { DeskOutfit } from "../../../core/wire/deskDesigns.ts";
import { divideTogether } from "../../../core/words/divide.ts";
import type { FlowUnit } from "../../../core/words/flow.ts";
import { applyBreaks, type ManualBreak, placeBreaks } from "../../../core/words/manualBreaks.ts";
import { parseSong, type Song, type SongSection } from "../../../core/words/song.ts";
import { orderOf, type SongOrder } from "../../../core/words/songOrder.ts";
import { type BracketGroup, groupAlike } from "../../pictures/bracketGroups.ts";

/** This song's own number of lines, else the outfit's. */
export const linesPerSlide = (doc: SongDoc, outfit: DeskOutfit) =>
  doc.lines[outfit.id] ?? outfit.linesPerSlide;

export interface DividedSection {
  readonly section: SongSection;
  readonly units: readonly FlowUnit[];
  /** For each unit, the line of the typed text it stands on. */
  readonly lineOfUnit: readonly number[];
  /** For each group of outfits, the units its slides begin with. */
  readonly divisions: readonly (readonly number[])[];
}

export interface DividedSong {
  readonly song: Song;
  readonly order: SongOrder;
  readonly groups: readonly BracketGroup[];
  /** Parts by hand whose words are gone. */
  readonly lostBreaks: readonly ManualBreak[];
  readonly sections: readonly DividedSection[];
}

/**
 * How a song divides for each outfit: as the server compiled it where that is of these very words, else by lines and
 * hand alone, which a long line may change once it is saved.
 */
export function divideSong(
  doc: SongDoc,
  outfits: readonly DeskOutfit[],
  compiled: PageContent | undefined,
  language: string,
): DividedSong | undefined {
  const parsed = parseSong(doc.text, doc.title.trim(), { told: doc.told, language });
  if ("problem" in parsed) return undefined;
  const { song } = parsed;
  const estimates = sectionUnits(song);
  const { breaks, lost } = placeBreaks(doc.breaks, estimates);
  const sections = song.sections.map((section) => {
    const at = compiled?.flow?.occurrences.findIndex(({ key }) => sectionOf(key) === section.key) ?? -1;
    const occurrence = compiled?.flow?.occurrences[at];
    const units = occurrence?.units ?? estimates.get(section.key) ?? [];
    const together = divideTogether(
      units,
      outfits.map((outfit) => ({ maxLines: linesPerSlide(doc, outfit), fillOf: () => 1 })),
    );
    const startsOf = (outfit: DeskOutfit) =>
      (occurrence && compiled?.flow?.divisions[outfit.id]?.[at]) ??
      applyBreaks(together[outfits.indexOf(outfit)] ?? [0], breaks, section.key, outfit.id, units);
    return { section, units, startsOf, lineOfUnit: linesOf(units, section) };
  });
  const groups = groupAlike(outfits, (outfit) =>
    outfit.templates.words ? JSON.stringify(sections.map(({ startsOf }) => startsOf(outfit))) : undefined,
  );
  return {
    song,
    order: orderOf(doc.order, song),
    lostBreaks: lost,
    groups,
    sections: sections.map(({ section, units, startsOf, lineOfUnit }) => ({
      section,
      units,
      lineOfUnit,
      divisions: groups.map(({ outfits: [first] }) => (first ? startsOf(first) : [])),
    })),
  };
}

/** The pieces of a line that was too long stand on the same line. */
function linesOf(units: readonly FlowUnit[], section: SongSection): number[] {
  let line = -1;
  return units.map((unit) => {
    if (unit.join === "line" || line < 0) line++;
    return section.sourceLines[line] ?? 0;
  });
}
