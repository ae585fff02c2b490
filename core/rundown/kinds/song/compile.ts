import { unreadSong } from "../../../findings/kinds/unreadSong.ts";
import { languageCode, t } from "../../../language/t.ts";
import { creditLine, joinCredits, licenceLine, publisherLine } from "../../../words/credits.ts";
import { divideByLines, divideTogether } from "../../../words/divide.ts";
import type { FlowUnit } from "../../../words/flow.ts";
import { applyBreaks, placeBreaks } from "../../../words/manualBreaks.ts";
import {
  parseSong,
  SONG_MAX_LINE_LENGTH,
  SONG_MAX_LINES,
  type Song,
  type SongProblem,
} from "../../../words/song.ts";
import { type OrderItem, orderOf } from "../../../words/songOrder.ts";
import { emptyContent, getFieldSet, wardrobeOf, wornBy } from "../../chooseTemplate.ts";
import type { CompileContext, Compiled } from "../../compileContext.ts";
import type { Occurrence } from "../../content.ts";
import { boxesOf, createMeasure, fillIn, halveWhatNeverFits } from "../../textBoxes.ts";
import type { SongDoc } from "./doc.ts";

export function compileSong(doc: SongDoc, context: CompileContext): Compiled {
  const parsed = parseSong(doc.text, doc.title.trim(), { told: doc.told, language: context.language });
  if ("problem" in parsed)
    return {
      problem: unreadSong({ kind: "song", id: doc.title }, { why: explainSongProblem(parsed.problem) }),
    };
  const { song } = parsed;
  const second = doc.second && parseSecond(doc.second.text);
  const worn = wornBy(context, "words", {
    template: doc.template,
    ...(second ? { showing: "second" } : {}),
  });
  const boxes = boxesOf(context, worn);
  const measure = createMeasure(context.shaper);
  const sections = sectionUnits(song, second);
  for (const [key, units] of sections) sections.set(key, halveWhatNeverFits(units, boxes.values(), measure));
  const occurrences = singInOrder(orderOf(doc.order, song).items, song, sections);
  const { breaks } = placeBreaks(doc.breaks, sections);
  // Every outfit that shows the words divides them together with the others; one that shows none goes along.
  const holding = context.wardrobes.map(({ outfitId, linesPerSlide }) => ({
    outfitId,
    maxLines: doc.lines[outfitId] ?? linesPerSlide,
    box: boxes.get(outfitId),
  }));
  const startsOf = new Map<string, readonly number[][]>();
  for (const [section, units] of sections) {
    const shown = holding.filter(({ box }) => box);
    const together = divideTogether(
      units,
      shown.map(({ maxLines, box }) => ({
        maxLines,
        fillOf: box ? fillIn(box, units, measure, false) : () => 1,
      })),
    );
    startsOf.set(
      section,
      holding.map(({ outfitId, maxLines }) => {
        const at = shown.findIndex((each) => each.outfitId === outfitId);
        return applyBreaks(together[at] ?? divideByLines(units, maxLines), breaks, section, outfitId, units);
      }),
    );
  }
  const divisions: Record<string, number[][]> = Object.fromEntries(
    holding.map(({ outfitId }, at) => [
      outfitId,
      occurrences.map(({ key }) => startsOf.get(sectionOf(key))?.[at] ?? [0]),
    ]),
  );
  const credits = joinCredits(doc.credits, song.credits);
  const licence = licenceLine(credits, context.licence);
  const publisher = publisherLine(credits);
  const { writers } = credits;
  return {
    content: {
      ...emptyContent(context, getFieldSet(context, "words"), worn),
      cueKind: "song",
      title: song.title,
      song: { songId: doc.source?.songId ?? null, ...credits },
      values: { credit: creditLine(credits, context.licence), writers, publisher, licence },
      flow: {
        field: "words",
        numbers: false,
        creditAt: doc.creditAt,
        referenceAt: "none",
        language: doc.language,
        occurrences,
        divisions,
      },
      endPage:
        doc.creditAt === "end"
          ? {
              values: { title: song.title, writers, publisher, licence },
              wardrobe: wardrobeOf(context, wornBy(context, "credit")),
            }
          : null,
    },
  };
}

function parseSecond(text: string): Song | null {
  const parsed = parseSong(text, "second");
  return "problem" in parsed ? null : parsed.song;
}

/** The units of each section, with the lines of the second language beside those of the first. */
export function sectionUnits(song: Song, second: Song | null = null): Map<string, FlowUnit[]> {
  const others = new Map(second?.sections.map((section) => [section.key, section]));
  return new Map(
    song.sections.map(({ key, stanzas }) => {
      const beside = second && (others.get(key)?.stanzas.flat() ?? []);
      let at = 0;
      const count = stanzas.reduce((sum, lines) => sum + lines.length, 0);
      const units = stanzas.flatMap((lines, stanza) =>
        lines.map((text, line): FlowUnit => {
          const own = at++;
          // What the second language has more of stands with the last line.
          const said = own === count - 1 ? beside?.slice(own).join(" ") : beside?.[own];
          return {
            text,
            join: "line",
            mustBegin: stanza > 0 && line === 0,
            endRank: "line",
            verse: null,
            second: second ? (said ?? "") : null,
          };
        }),
      );
      return [key, units];
    }),
  );
}

const BLANK_UNIT: FlowUnit = {
  text: "",
  join: "line",
  mustBegin: false,
  endRank: "line",
  verse: null,
  second: null,
};

/** Sections and blanks as they are sung, one after another. */
export function singInOrder(
  items: readonly OrderItem[],
  song: Pick<Song, "sections">,
  units: ReadonlyMap<string, readonly FlowUnit[]>,
): Occurrence[] {
  const labels = new Map(song.sections.map(({ key, label }) => [key, label]));
  const sung = new Map<string, number>();
  return items.map((item) => {
    const key = item.kind === "blank" ? "blank" : item.key;
    const times = (sung.get(key) ?? 0) + 1;
    sung.set(key, times);
    const occurrence = times === 1 ? key : `${key}#${times}`;
    if (item.kind === "blank") return { key: occurrence, label: t`Blank`, book: null, units: [BLANK_UNIT] };
    const own = units.get(item.key);
    if (!own) throw new Error(`The order names section "${item.key}", which does not exist`);
    return { key: occurrence, label: labels.get(item.key) ?? item.key, book: null, units: [...own] };
  });
}

/** The section that an occurrence sings. */
export const sectionOf = (occurrence: string): string => occurrence.split("#")[0] as string;

export function explainSongProblem(problem: SongProblem): string {
  switch (problem.kind) {
    case "empty":
      return t`This song has no words yet. Paste or type them; everything else is as it was.`;
    case "tooManyLines":
      return t`The text has ${problem.lines.toLocaleString(languageCode())} lines; a song may have ${SONG_MAX_LINES.toLocaleString(languageCode())}. Nothing was changed on air. Paste one song at a time.`;
    case "lineTooLong":
      return t`Line ${problem.line} has ${problem.length.toLocaleString(languageCode())} characters; a line may have ${SONG_MAX_LINE_LENGTH}. Part it with line breaks.`;
  }
}
