import { foldWords } from "../foldWords.ts";
import type { Block, SungLine } from "./blocks.ts";
import type { Label } from "./label.ts";
import { type SectionLetter, sectionName } from "./labelWords.ts";
import { likeness, wordsApart } from "./sungWords.ts";

/** A named piece of a song, once, however often it is sung. */
export interface SongSection {
  /** Stable within the song: the kind's letter and a number, such as "V1" or "C". */
  readonly key: string;
  readonly label: string;
  /** Stanzas of lines; a new stanza always begins a new slide. */
  readonly stanzas: readonly (readonly string[])[];
  /** For each line, stanzas joined: which line of the typed text it is, from 0. */
  readonly sourceLines: readonly number[];
}

/** A section that says nearly the same as another. */
export interface Variant {
  readonly key: string;
  readonly of: string;
  /** How many words are others. */
  readonly words: number;
}

export interface Sections {
  readonly sections: readonly SongSection[];
  readonly order: readonly string[];
  readonly variants: readonly Variant[];
  /** For each block, the section that it is, or that it sings again. */
  readonly keyOfBlock: ReadonlyMap<Block, string>;
  /** A refrain that stands once, after the first of several verses: "R". */
  readonly refrainOnce: string | undefined;
}

/** Stanzas this alike are one in other words. */
const ALIKE = 0.72;
/** Where no label says that they are one, their first lines are alike as well: verses may end in the same words. */
const isSameUnlabelled = (a: Block, b: Block) => {
  const [first, other] = [textsOf(a.lines), textsOf(b.lines)];
  return likeness(first, other) >= 0.8 && likeness(first.slice(0, 1), other.slice(0, 1)) >= 0.5;
};

/** "Chorus (after each verse)" */
const AFTER_EACH =
  /^(?:sung |sing |repeat )?(?:after|between) (?:each|every|all)(?: the)? verses?|nach jeder strophe|después de cada estrofa|após cada estrofe|après chaque (?:couplet|strophe)|dopo ogni strofa|na elk couplet/i;

interface OpenSection {
  readonly letter: SectionLetter;
  readonly number: string;
  readonly ownName: string;
  readonly stanzas: SungLine[][];
  folded: string;
}

const foldLines = (lines: readonly SungLine[]) => lines.map(({ text }) => foldWords(text)).join("\n");
const textsOf = (lines: readonly SungLine[]) => lines.map(({ text }) => text);

/** What each unlabelled block of the text is, seen from all of them: the chorus that comes back, a refrain between verses. */
type Role = "chorus" | "refrain" | "verse" | "opens" | "goesOn";

function rolesOf(blocks: readonly Block[]): Map<Block, Role> {
  const roles = new Map<Block, Role>();
  const plain = blocks.filter(({ label, repeat }) => !label && !repeat);
  const labelled = blocks.filter(({ label }) => label);
  const hasChorus = labelled.some(({ label }) => label && "CR".includes(label.letter));
  const verses = labelled.filter(({ label, lines }) => label?.letter === "V" && lines.length > 0);
  const comesBack = (block: Block) =>
    plain.some((other) => other !== block && isSameUnlabelled(other, block));
  if (labelled.length === 0) {
    for (const block of plain) roles.set(block, comesBack(block) ? "chorus" : "verse");
    return roles;
  }
  const isSungAgain = ({ letter, number }: Label) =>
    labelled.some(
      ({ label, lines }) => lines.length === 0 && label?.letter === letter && label.number === number,
    );
  /** The people answer with it, again and again. */
  const isAnswered = ({ letter }: Label) =>
    blocks.filter(({ repeat }) => repeat?.kind === "section" && repeat.label.letter === letter).length > 1;
  const followed = verses.filter((verse) => {
    const next = blocks[blocks.indexOf(verse) + 1];
    return next !== undefined && !next.label && !next.repeat;
  });
  for (const block of plain) {
    const before = blocks[blocks.indexOf(block) - 1];
    const afterVerse = before !== undefined && verses.includes(before);
    if (!hasChorus && verses.length > 1 && comesBack(block)) roles.set(block, "refrain");
    else if (!hasChorus && verses.length > 1 && afterVerse && before === verses[0] && followed.length === 1)
      roles.set(block, "refrain");
    // Only the first verse is labelled: what follows a chorus that is sung again by its name is the next.
    else if (
      verses.length === 1 &&
      before?.label &&
      "CR".includes(before.label.letter) &&
      isSungAgain(before.label)
    )
      roles.set(block, "verse");
    // Only choruses are labelled: what stands between them are the verses.
    else if (verses.length === 0 && blocks[0] && (!blocks[0].label || isAnswered(blocks[0].label)))
      roles.set(block, "verse");
    else if (!before)
      roles.set(
        block,
        verses.some(({ label }) => label?.number === "1") ? (hasChorus ? "opens" : "refrain") : "verse",
      );
    else roles.set(block, "goesOn");
  }
  // Words before the first numbered verse are the refrain only where nothing else is.
  return roles;
}

/**
 * Sections and the order they are sung in, as a person would find them: a label with nothing under it sings that
 * section again, a stanza in the same words is the same section, one in nearly the same words its variant.
 * @param language how sections are named
 */
export function intoSections(blocks: readonly Block[], language: string): Sections {
  const roles = rolesOf(blocks);
  const sections = new Map<string, OpenSection>();
  const variants: Variant[] = [];
  const keyOfBlock = new Map<Block, string>();
  const order: string[] = [];
  let current: string | undefined;
  let isWaiting: Block | undefined;
  const unnumbered = blocks.filter(
    ({ label, lines }) => label?.letter === "V" && label.number === "" && lines.length > 0,
  );
  const numbersVerses = new Set(unnumbered.map(({ lines }) => foldLines(lines))).size > 1;
  const touching = blocks.filter(
    ({ label, lines, isParted }) => label && lines.length > 0 && !isParted,
  ).length;

  const findSame = (folded: string) => [...sections].find(([, section]) => section.folded === folded)?.[0];
  const sing = (key: string, times: number, block: Block) => {
    for (let i = 0; i < times; i++) order.push(key);
    current = key;
    keyOfBlock.set(block, key);
  };
  const keep = (letter: SectionLetter, number: string, block: Block, ownName = "") => {
    const key = freeKey(letter, sections, number);
    sections.set(key, {
      letter,
      number: key.slice(letter.length),
      ownName,
      stanzas: [[...block.lines]],
      folded: foldLines(block.lines),
    });
    return key;
  };
  const noteVariant = (key: string, of: string) => {
    const own = sections.get(key);
    const other = sections.get(of);
    if (own && other)
      variants.push({
        key,
        of,
        words: wordsApart(own.stanzas.flatMap(textsOf), other.stanzas.flatMap(textsOf)),
      });
  };
  const findExact = (letter: string, number: string) => {
    if (sections.has(letter + number)) return letter + number;
    if (number === "" && sections.has(`${letter}1`)) return `${letter}1`;
    return number === "1" && sections.has(letter) ? letter : undefined;
  };
  /** The section that begins as a cut-off line does: "Carry it down …". */
  const findBegun = (lines: readonly SungLine[]) => {
    const only = lines.length === 1 ? lines[0]?.text : undefined;
    if (only === undefined || !/(?:…|\.{2,})["”)]?$|\betc\.?\)?$/i.test(only)) return undefined;
    const begins = foldWords(only.replace(/\betc\.?\)?$/i, ""));
    return begins === ""
      ? undefined
      : [...sections].find(([, { folded }]) => folded.replace(/\n+/g, " ").startsWith(begins))?.[0];
  };
  /** The section a label means: its own, the chorus where there is only a refrain, the only one of its kind. */
  const findNamed = (label: Label): string | undefined => {
    if (label.ownName !== "")
      return [...sections].find(([, { ownName }]) => foldWords(ownName) === foldWords(label.ownName))?.[0];
    const key = findExact(label.letter, label.number);
    if (key !== undefined) return key;
    const other = label.letter === "C" ? "R" : label.letter === "R" ? "C" : undefined;
    if (other && label.number === "")
      return sections.has(other) ? other : sections.has(`${other}1`) ? `${other}1` : undefined;
    return undefined;
  };
  /** Sections that were sung by their names before their words were given. */
  const sungBefore = new Set<Block>();
  /** Sings what is named here and given later: "Refrain" after each verse, and its words at the end. */
  const singLater = (block: Block, { letter, number }: Label, times: number): boolean => {
    const later = blocks
      .slice(blocks.indexOf(block) + 1)
      .find(({ label, lines }) => lines.length > 0 && label?.letter === letter && label.number === number);
    if (!later?.label || letter === "S") return false;
    begin(later, { ...later.label, times });
    sungBefore.add(later);
    return true;
  };
  const again = (block: Block) => {
    const { repeat } = block;
    if (!repeat) return;
    const sung = [...order];
    switch (repeat.kind) {
      // It is in the words already.
      case "line":
        return;
      case "last":
        if (current !== undefined) sing(current, repeat.times - 1, block);
        return;
      case "section": {
        const key = findNamed(repeat.label);
        if (key !== undefined) sing(key, repeat.times, block);
        else singLater(block, repeat.label, repeat.times);
        return;
      }
      case "beginning":
        order.push(...sung);
        return;
      case "sign": {
        const chorus = sung.find((key) => /^[CR]\d*$/.test(key));
        order.push(...(chorus ? [chorus] : sung));
      }
    }
  };
  const begin = (block: Block, label: Label) => {
    const folded = foldLines(block.lines);
    const { letter, times } = label;
    const number =
      letter === "V" && label.number === "" && numbersVerses
        ? String(1 + countLetter(sections, "V"))
        : label.number;
    const same = findSame(folded) ?? findBegun(block.lines);
    const known = label.ownName === "" ? findExact(letter, number) : findNamed(label);
    if (same !== undefined && (same.startsWith(letter) || known === same)) return sing(same, times, block);
    const own = known === undefined ? undefined : sections.get(known);
    if (known !== undefined && own?.folded.startsWith(`${folded}\n\n`)) return sing(known, times, block);
    if (known === undefined || !own) return sing(keep(letter, number, block, label.ownName), times, block);
    const key = keep(letter, freeNumber(letter, sections), block, label.ownName);
    if (likeness(own.stanzas.flatMap(textsOf), textsOf(block.lines)) >= ALIKE) noteVariant(key, known);
    sing(key, times, block);
  };

  for (const block of blocks) {
    const { label, repeat, lines } = block;
    if (repeat) {
      isWaiting = undefined;
      again(block);
      continue;
    }
    if (label && lines.length === 0) {
      isWaiting = undefined;
      const known = findNamed(label);
      const next = blocks[blocks.indexOf(block) + 1];
      if (known !== undefined) sing(known, label.times, block);
      // Its words may follow after a blank line.
      else if (!next?.label || !singLater(block, label, label.times)) isWaiting = block;
      continue;
    }
    if (sungBefore.has(block)) continue;
    if (label) {
      isWaiting = undefined;
      begin(block, label);
      continue;
    }
    if (isWaiting?.label && (isWaiting.isParted || touching === 0)) {
      begin(block, isWaiting.label);
      keyOfBlock.set(isWaiting, keyOfBlock.get(block) ?? "");
      isWaiting = undefined;
      continue;
    }
    isWaiting = undefined;
    const folded = foldLines(lines);
    const same = findSame(folded) ?? findBegun(lines);
    const before = blocks[blocks.indexOf(block) - 1];
    // Its name stood alone above it: it was sung by that.
    if (same !== undefined && before?.label && before.lines.length === 0 && keyOfBlock.get(before) === same) {
      keyOfBlock.set(block, same);
      continue;
    }
    if (same !== undefined) {
      sing(same, 1, block);
      continue;
    }
    const role = roles.get(block);
    const section = current === undefined ? undefined : sections.get(current);
    if (
      role === "goesOn" &&
      section &&
      current !== undefined &&
      order.filter((key) => key === current).length === 1 &&
      order.at(-1) === current
    ) {
      section.stanzas.push([...lines]);
      section.folded += `\n\n${folded}`;
      keyOfBlock.set(block, current);
      continue;
    }
    const letter: SectionLetter =
      role === "chorus" ? "C" : role === "refrain" ? "R" : role === "opens" ? "I" : "V";
    const number = letter === "V" ? String(1 + countLetter(sections, "V")) : "";
    const alike = [...sections].find(
      ([key, other]) =>
        key.startsWith(letter) &&
        letter !== "V" &&
        likeness(other.stanzas.flatMap(textsOf), textsOf(lines)) >= ALIKE,
    );
    const key = keep(letter, alike ? freeNumber(letter, sections) : number, block);
    if (alike) noteVariant(key, alike[0]);
    sing(key, 1, block);
  }
  const every = blocks.find(({ label }) => label && AFTER_EACH.test(label.manner));
  const everyKey = every && keyOfBlock.get(every);
  if (everyKey !== undefined && order.filter((key) => key === everyKey).length === 1) {
    order.splice(order.indexOf(everyKey), 1);
    order.splice(0, order.length, ...order.flatMap((key) => (key.startsWith("V") ? [key, everyKey] : [key])));
  }
  const verses = [...sections.keys()].filter((key) => key.startsWith("V"));
  const refrains = [...sections.keys()].filter((key) => /^[RC]\d*$/.test(key));
  const once =
    refrains.length === 1 && order.filter((key) => key === refrains[0]).length === 1
      ? refrains[0]
      : undefined;
  return {
    sections: [...sections].map(([key, { letter, number, ownName, stanzas }]) => ({
      key,
      label: ownName === "" ? sectionName(letter, number, language) : ownName,
      stanzas: stanzas.map(textsOf),
      sourceLines: stanzas.flat().map(({ at }) => at),
    })),
    order,
    variants,
    keyOfBlock,
    refrainOnce:
      once !== undefined && verses.length > 1 && order.indexOf(once) <= 1 && order.at(-1) !== once
        ? once
        : undefined,
  };
}

const countLetter = (sections: ReadonlyMap<string, OpenSection>, letter: string) =>
  [...sections.values()].filter((section) => section.letter === letter).length;

function freeKey(letter: SectionLetter, taken: ReadonlyMap<string, unknown>, number: string): string {
  if (!taken.has(letter + number)) return letter + number;
  return letter + freeNumber(letter, taken);
}

function freeNumber(letter: SectionLetter, taken: ReadonlyMap<string, unknown>): string {
  for (let n = 2; ; n++) if (!taken.has(`${letter}${n}`)) return String(n);
}
