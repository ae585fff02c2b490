import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { FieldSet } from "../scene/fieldSet.ts";
import type { HouseStyle } from "../scene/houseStyle.ts";
import type { FallbackFonts } from "../scene/layOut.ts";
import { measureRequest } from "../scene/layOutWords.ts";
import { allObjects, findTextOf, type Template } from "../scene/template.ts";
import type { FontChoice } from "../text/fontChoice.ts";
import { linesOf } from "../text/lines.ts";
import { prepareText } from "../text/prepare.ts";
import type { Shaper } from "../text/shaper.ts";
import { nameForReference } from "../words/books.ts";
import { divideByFit, divideByLines } from "../words/divide.ts";
import { type FlowUnit, joinUnits } from "../words/flow.ts";
import { fillOfRoom, type MeasuredUnits, type Room } from "../words/measure.ts";
import type { Passage } from "../words/passage.ts";
import { formatPassage, type ReferenceProblem } from "../words/reference.ts";
import { halveUnit, verseUnits } from "../words/sense.ts";
import { parseSong, type Song, type SongProblem } from "../words/song.ts";
import type { Hash, Occurrence, PageContent } from "./content.ts";
import type { CueDoc, PageDoc, ReadingDoc, SongDoc } from "./cueDoc.ts";

/** An outfit with what it wears looked up. */
export interface Wardrobe {
  readonly outfitId: string;
  readonly linesPerSlide: number;
  /** Field set id → the template it wears, and after it those that a page may choose. */
  readonly templates: ReadonlyMap<string, readonly { readonly hash: Hash; readonly template: Template }[]>;
}

/** One verse of a passage, or a gap that this text leaves out. */
export interface Verse {
  readonly chapter: number;
  readonly verse: number;
  readonly text: string;
}

export interface CompileContext {
  readonly fieldSets: ReadonlyMap<string, FieldSet>;
  readonly wardrobes: readonly Wardrobe[];
  readonly style: { readonly hash: Hash; readonly style: HouseStyle };
  readonly fallbackFonts: FallbackFonts;
  readonly shaper: Shaper;
  /** A picture or clip of the library, by its id there: the hash of what is known of it. */
  readonly findMedia: (id: string) => Hash | undefined;
  /** Reads a reference against a text that ships; problems come back as a sentence. */
  readonly read: (
    textCode: string,
    reference: string,
  ) =>
    | {
        readonly passages: readonly { readonly passage: Passage; readonly verses: readonly Verse[] }[];
        readonly textName: string;
      }
    | { readonly problem: string; readonly why: ReferenceProblem["kind"] | "noText" };
}

/** A content, or the sentence that says why there is none yet. */
export type Compiled = { readonly content: PageContent } | { readonly problem: string };

/** Turns what was typed into what can be taken. Pure, and the same for the same input. */
export function compileCue(doc: CueDoc, context: CompileContext): Compiled {
  switch (doc.kind) {
    case "page":
      return compilePage(doc, context);
    case "song":
      return compileSong(doc, context);
    case "reading":
      return compileReading(doc, context);
  }
}

function compilePage(doc: PageDoc, context: CompileContext): Compiled {
  const fieldSet = context.fieldSets.get(doc.fieldSet);
  if (!fieldSet)
    return { problem: `No template offers the fields “${doc.fieldSet}”. Choose another kind of page.` };
  const values: Record<string, string> = {};
  for (const field of fieldSet.fields) values[field.name] = (doc.values[field.name] ?? "").trim();
  const first = fieldSet.fields[0];
  if (first && !first.optional && values[first.name] === "")
    return { problem: `The ${first.label.toLowerCase()} is empty. Fill it in and the page can be taken.` };
  const media: Hash[] = [];
  for (const { name, kind } of fieldSet.fields) {
    const hash = kind === "media" ? context.findMedia(values[name] ?? "") : undefined;
    if (!hash) continue;
    values[name] = hash;
    media.push(hash);
  }
  return {
    content: {
      ...emptyContent(context, fieldSet, doc.look),
      cueKind: "page",
      title: pageTitle(fieldSet, doc),
      values,
      media,
      points: fieldSet.stepsBy === null ? null : pointCounts(doc.values[fieldSet.stepsBy] ?? ""),
      stayMs: doc.stayMs,
    },
  };
}

/** What the script calls a page: its first words. */
function pageTitle(fieldSet: FieldSet, doc: PageDoc): string {
  const named = linesOf(doc.values[fieldSet.titledBy ?? ""] ?? "")[0];
  if (named) return named.slice(0, 200);
  for (const { name, kind } of fieldSet.fields) {
    const line = kind === "media" || kind === "color" ? undefined : linesOf(doc.values[name] ?? "")[0];
    if (line) return line.slice(0, 200);
  }
  return fieldSet.name;
}

/** How many points stand after each step: one more each time, or the next group where blank lines part groups. */
export function pointCounts(typed: string): number[] {
  const groups = typed
    .trim()
    .split(/(?:\r\n|\r|\n)[^\S\n]*(?:\r\n|\r|\n)\s*/)
    .map((group) => linesOf(group).length)
    .filter((count) => count > 0);
  const steps = groups.length > 1 ? groups : Array.from({ length: groups[0] ?? 0 }, () => 1);
  let sum = 0;
  return steps.map((count) => {
    sum += count;
    return sum;
  });
}

/** New text of a crawl joins what still passes: as long as that may take, the air remembers it. */
const CRAWL_LASTS_MS = 900_000;

function emptyContent(
  context: CompileContext,
  fieldSet: FieldSet,
  look: string | null = null,
): Omit<PageContent, "cueKind" | "title" | "values"> {
  const wardrobe: PageContent["wardrobe"] = {};
  let lastsMs = LONGEST_MOTION_MS;
  for (const { outfitId, templates } of context.wardrobes) {
    const offered = templates.get(fieldSet.id) ?? [];
    const worn = offered.find(({ template }) => template.name === look) ?? offered[0];
    if (!worn) continue;
    wardrobe[outfitId] = { template: worn.hash, style: context.style.hash };
    if (allObjects(worn.template).some(({ object }) => object.kind === "crawl")) lastsMs = CRAWL_LASTS_MS;
  }
  return {
    kind: "page",
    fieldSet: fieldSet.id,
    layerId: fieldSet.layerId,
    flow: null,
    points: null,
    media: [],
    wardrobe,
    stayMs: null,
    lastsMs,
  };
}

function getFieldSet(context: CompileContext, id: string): FieldSet {
  const found = context.fieldSets.get(id);
  if (!found) throw new Error(`The field set "${id}" is built in and must exist`);
  return found;
}

function compileSong(doc: SongDoc, context: CompileContext): Compiled {
  const parsed = parseSong(doc.text, doc.title.trim());
  if ("problem" in parsed) return { problem: explainSongProblem(parsed.problem) };
  const { song } = parsed;
  const occurrences = singInOrder(song);
  const base = emptyContent(context, getFieldSet(context, "words"));
  const divisions: Record<string, number[][]> = {};
  for (const { outfitId, linesPerSlide } of context.wardrobes) {
    const lines = doc.lines[outfitId] ?? linesPerSlide;
    divisions[outfitId] = occurrences.map(({ units }) => divideByLines(units, lines));
  }
  return {
    content: {
      ...base,
      cueKind: "song",
      title: song.title,
      values: { credit: doc.credit.trim() || song.credit },
      flow: { field: "words", numbers: false, occurrences, divisions },
    },
  };
}

/** The units of each section as they are sung, one after another. */
export function singInOrder(song: Song): Occurrence[] {
  const sections = new Map(song.sections.map((section) => [section.key, section]));
  const sung = new Map<string, number>();
  return song.order.map((key) => {
    const section = sections.get(key);
    if (!section) throw new Error(`The order names section "${key}", which does not exist`);
    const times = (sung.get(key) ?? 0) + 1;
    sung.set(key, times);
    const units = section.stanzas.flatMap((lines, stanza) =>
      lines.map(
        (text, line): FlowUnit => ({
          text,
          join: "line",
          mustBegin: stanza > 0 && line === 0,
          endRank: "line",
          verse: null,
        }),
      ),
    );
    return { key: times === 1 ? key : `${key}#${times}`, label: section.label, book: null, units };
  });
}

export function explainSongProblem(problem: SongProblem): string {
  switch (problem.kind) {
    case "empty":
      return "This song has no words yet. Paste or type them; everything else is as it was.";
    case "tooManyLines":
      return `The text has ${problem.lines.toLocaleString("en")} lines; a song may have 1,000. Nothing was changed on air. Paste one song at a time.`;
    case "lineTooLong":
      return `Line ${problem.line} has ${problem.length.toLocaleString("en")} characters; a line may have 400. Part it with line breaks.`;
  }
}

function compileReading(doc: ReadingDoc, context: CompileContext): Compiled {
  const found = context.read(doc.text, doc.reference);
  if ("problem" in found) return { problem: found.problem };
  const base = emptyContent(context, getFieldSet(context, "reading"));
  const rooms = readingRooms(context);
  const occurrences: Occurrence[] = [];
  const divisions: Record<string, number[][]> = Object.fromEntries([...rooms.keys()].map((id) => [id, []]));
  const segmentsOf = createSegmenter(context.shaper);
  for (const [index, { passage, verses }] of found.passages.entries()) {
    const units = verses.flatMap(({ text, chapter, verse }) => verseUnits(text, { chapter, verse }));
    if (units.length === 0) continue;
    const fitting = halveWhatNeverFits(units, rooms, segmentsOf);
    occurrences.push({
      key: `p${index + 1}`,
      label: formatPassage(passage),
      book: passage.from.book,
      units: fitting,
    });
    for (const [outfitId, { room, fonts, hangs }] of rooms) {
      // A number that does not hang takes room in its line; measured at full size, it is never too little.
      const inLine = doc.numbers && !hangs;
      const measured = fitting.map((unit, i) => ({
        unit,
        segments: segmentsOf(
          inLine ? joinUnits(fitting, i, i + 1, true).replaceAll("^", "") : unit.text,
          fonts,
        ),
      }));
      divisions[outfitId]?.push(divideByFit(fitting, (from, to) => fillOfRoom(measured, room, from, to)));
    }
  }
  const [first] = found.passages;
  if (!first || occurrences.length === 0)
    return { problem: `${found.textName} leaves these verses out. Choose other verses or another text.` };
  return {
    content: {
      ...base,
      cueKind: "reading",
      title: found.passages
        .map(({ passage }, i) => shortTitle(passage, i > 0 ? found.passages[i - 1]?.passage : undefined))
        .join("; "),
      values: { reference: "", translation: found.textName },
      flow: { field: "words", numbers: doc.numbers, occurrences, divisions },
    },
  };
}

function shortTitle(passage: Passage, before: Passage | undefined): string {
  const full = formatPassage(passage);
  if (before?.from.book !== passage.from.book) return full;
  return full.slice(nameForReference(passage.from.book).length + 1);
}

interface ReadingRoom {
  readonly room: Room;
  readonly fonts: FontChoice;
  /** Verse numbers stand in the margin. */
  readonly hangs: boolean;
}

/** The words box of each outfit's reading template, at the size that can be read from the last row. */
function readingRooms(context: CompileContext): Map<string, ReadingRoom> {
  const rooms = new Map<string, ReadingRoom>();
  for (const { outfitId, templates } of context.wardrobes) {
    const template = templates.get("reading")?.[0]?.template;
    const object = template && findTextOf(template, "words");
    if (!object) continue;
    const request = measureRequest(object, context.style.style, context.fallbackFonts, context.shaper);
    const fonts = request.fonts as FontChoice;
    const { ascentEm, descentEm } = context.shaper.metrics(fonts.regular[0] as string);
    const heightEm = object.box.height / object.readableSizePx;
    rooms.set(outfitId, {
      fonts,
      hangs: object.hangNumbers,
      room: {
        // Half a hundredth is left for kerning that changes where a line ends.
        widthEm: (object.box.width / object.readableSizePx) * 0.995,
        maxLines: Math.max(1, Math.floor((heightEm - (ascentEm + descentEm)) / request.leading + 1)),
      },
    });
  }
  return rooms;
}

type Segmenter = (text: string, fonts: FontChoice) => Segments;
type Segments = MeasuredUnits[number]["segments"];

/** Shapes each piece of text once per font stack. */
function createSegmenter(shaper: Shaper): Segmenter {
  const known = new Map<string, Segments>();
  return (text, fonts) => {
    const key = `${fonts.regular.join()}|${text}`;
    let segments = known.get(key);
    if (!segments) {
      segments = prepareText(text, fonts, shaper)[0]?.segments ?? [];
      known.set(key, segments);
    }
    return segments;
  };
}

/** Halves the units that not every outfit's slide could hold alone, until they all can (or are one word). */
function halveWhatNeverFits(
  units: readonly FlowUnit[],
  rooms: ReadonlyMap<string, ReadingRoom>,
  segmentsOf: Segmenter,
): FlowUnit[] {
  const fitting: FlowUnit[] = [];
  const waiting = [...units].reverse();
  for (let unit = waiting.pop(); unit; unit = waiting.pop()) {
    const { text } = unit;
    const candidate = unit;
    const fitsAll = [...rooms.values()].every(
      ({ room, fonts }) =>
        fillOfRoom([{ unit: candidate, segments: segmentsOf(text, fonts) }], room, 0, 1) !== undefined,
    );
    const halves = fitsAll ? undefined : halveUnit(unit);
    if (halves) waiting.push(halves[1], halves[0]);
    else fitting.push(unit);
  }
  return fitting;
}
