import { type PlacedLine, SECTION_LETTER_NAME, type SongFacts } from "./facts.ts";
import { namesAndPlays } from "./kinds/chords.ts";
import { ownNameOf } from "./kinds/label.ts";
import { findLabel, type Label } from "./label.ts";
import type { Chosen } from "./likeliest.ts";
import { findRepeat, type Repeat } from "./repeat.ts";
import { speaksInTurns, sungWords } from "./sungWords.ts";

/** A line of words to sing. */
export interface SungLine {
  readonly text: string;
  /** Line of the typed text, from 0. */
  readonly at: number;
}

/** A stretch of the text that is sung as one: a label with what stands under it, a stanza, or what says to sing again. */
export interface Block {
  label: Label | undefined;
  readonly repeat: Repeat | undefined;
  readonly lines: SungLine[];
  /** Index of its first line. */
  readonly index: number;
  /** Only a blank line stood between its label and what follows. */
  readonly isParted: boolean;
  readonly indent: number;
}

const VERSE: Omit<Label, "number"> = {
  letter: "V",
  ownName: "",
  times: 1,
  manner: "",
  behind: "",
  bracketed: null,
  colon: false,
  dash: false,
  short: "number",
};

/** The label that a line is, when it is one. */
function labelOf(line: PlacedLine, song: SongFacts): Label {
  const { label, verse, text } = line;
  if (song.isLettered && SECTION_LETTER_NAME.test(text))
    return { ...VERSE, letter: "S", number: "", ownName: text, short: null };
  if (verse && (label?.behind !== "" || label.short !== null))
    return { ...VERSE, number: String(verse.number), behind: verse.behind };
  if (label) return namesAndPlays(line, song.lines) ? { ...label, behind: "" } : label;
  const own = ownNameOf(text) ?? text.replace(/^[[({]|[\])}:]+$/g, "").trim();
  return { ...VERSE, letter: "S", number: "", ownName: own, short: null };
}

/** "Verse 2 - Ilse" above words says who sings; "Chorus - Hallelujah" with nothing under it sings. */
function whoBehind(label: Label, line: PlacedLine, next: PlacedLine | undefined): Label {
  const isName =
    /^\p{Lu}\p{L}*(?:\s+(?:&|and|\p{Lu}\p{L}*))*$/u.test(label.behind) &&
    label.behind.split(/\s+/).length <= 3;
  const hasWords = next !== undefined && next.stanza === line.stanza && next.label === undefined;
  const isSolo = /^\p{L}[\p{L}\s&,]{0,30}\s(?:solo|only|alone|leads?|sings)$/iu.test(label.behind);
  return label.dash && (isName || isSolo) && hasWords
    ? { ...label, manner: label.behind, behind: "" }
    : label;
}

/**
 * Whether a label with nothing right under it sings what stood under it before: where labels touch their words, one
 * that does not, and has had its words, is no label of what follows.
 */
function isCue({ label }: Block, blocks: readonly Block[]): boolean {
  const sung = blocks.filter((each) => each.label && each.lines.length > 0);
  return (
    sung.some((each) => each.label?.letter === label?.letter && each.label?.number === label?.number) &&
    sung.every((each) => !each.isParted)
  );
}

const RESPONSE = /^(?:R\s?\/\.?|℟\.?|R\.)(?:\s|$)/;
const ANSWER = /(?:\s+(?:R\.|R\/\.?|℟\.?|\(R\.?\)))+$/;

/** Parts the lines that are read into blocks, in the order of the text. */
export function intoBlocks(song: SongFacts, chosen: readonly Chosen[]): Block[] {
  const blocks: Block[] = [];
  let open: Block | undefined;
  let stanza = -1;
  let repeating: SungLine[] | undefined;
  const inTurns = speaksInTurns(song);
  const begin = (label: Label | undefined, repeat: Repeat | undefined, line: PlacedLine): Block => {
    const next = song.lines[line.index + 1];
    const block = {
      label,
      repeat,
      lines: [],
      index: line.index,
      isParted: label !== undefined && next !== undefined && next.stanza !== line.stanza,
      indent: line.indent,
    };
    blocks.push(block);
    return block;
  };
  const isEndOfParted = ({ at, index }: PlacedLine, block: Block) =>
    song.lines[index - 1]?.at === at &&
    song.lines[index + 1]?.at !== at &&
    song.lines[block.index]?.at === at;
  const response = song.lines.find(({ label, text }) => label?.letter === "R" && RESPONSE.test(text))?.label;
  const sing = (line: PlacedLine, words: string) => {
    // "… and the tide is in. R." has the people answer.
    if (response && ANSWER.test(words)) {
      sing(line, words.replace(ANSWER, ""));
      begin(undefined, { kind: "section", label: response, times: 1 }, line);
      open = undefined;
      return;
    }
    const cue = /^(.*\S)\s+([[(][^()[\]]{2,24}[)\]])$/.exec(words);
    const cued = cue && findLabel(cue[2] as string);
    // "… of the sleeping town [Refrain]"
    if (cue && cued?.behind === "" && cued.short === null && "CR".includes(cued.letter)) {
      const isItself = open?.label?.letter === cued.letter;
      sing(line, cue[1] as string);
      if (isItself) return;
      begin(undefined, { kind: "section", label: cued, times: cued.times }, line);
      open = undefined;
      return;
    }
    const said = sungWords(line, song, inTurns ? words.replace(/^[([]?[LAPCVR][)\]]?\s*[:.]\s+/, "") : words);
    const sung = { text: said.text, at: line.at };
    // "Chorus: Carry it down / carry it home (x2)": the count at the end of a line that strokes parted is for all of it.
    if (said.times > 1 && !said.closes && open?.label && isEndOfParted(line, open)) {
      open.label = { ...open.label, times: said.times };
      open.lines.push(sung);
      return;
    }
    if (said.opens && !said.closes) repeating = [];
    if (said.text === "") return;
    if (!open) open = begin(undefined, undefined, line);
    if (repeating && !said.closes) repeating.push(sung);
    open.lines.push(sung);
    if (said.closes && repeating) {
      const again = [...repeating, sung];
      repeating = undefined;
      for (let i = 1; i < said.times; i++) open.lines.push(...again);
    } else for (let i = 1; i < said.times; i++) open.lines.push(sung);
  };
  for (const [i, line] of song.lines.entries()) {
    const { kind } = chosen[i] as Chosen;
    const isNewStanza = line.stanza !== stanza;
    stanza = line.stanza;
    if (isNewStanza && open && (open.lines.length > 0 || !open.label || isCue(open, blocks))) {
      open = undefined;
      repeating = undefined;
    }
    if (kind === "rule") open = open && open.lines.length === 0 ? open : undefined;
    else if (kind === "label") {
      const label = whoBehind(labelOf(line, song), line, song.lines[line.index + 1]);
      open = begin({ ...label, behind: "" }, undefined, line);
      if (label.behind !== "") sing(line, label.behind);
    } else if (kind === "repeat") {
      const repeat = findRepeat(line.text);
      if (repeat?.kind === "line") {
        const last = open?.lines.at(-1);
        for (let i = 1; last && i < repeat.times; i++) open?.lines.push(last);
        continue;
      }
      if (repeat) begin(undefined, repeat, line);
      open = undefined;
    } else if (kind === "words") sing(line, line.text);
  }
  return blocks.filter(({ label, repeat, lines }) => label || repeat || lines.length > 0);
}
