import { chordLineStrength } from "../chords.ts";
import { findLabel, findMisspelt, type Label } from "./label.ts";
import { readNumber } from "./numerals.ts";
import type { TypedLine } from "./typedLine.ts";

/** A line where it stands: what every weigher may know of it. */
export interface PlacedLine extends TypedLine {
  /** Among the lines that are not blank, from 0. */
  readonly index: number;
  readonly blankBefore: boolean;
  readonly blankAfter: boolean;
  /** Lines of the stanza it stands in, and its place there from 0. */
  readonly stanzaLength: number;
  readonly placeInStanza: number;
  readonly stanza: number;
  readonly label: Label | undefined;
  /** The number at its head, where it counts verses. */
  readonly verse: NumberedHead | undefined;
}

export interface NumberedHead {
  readonly number: number;
  /** Words behind it; empty when it stands alone. */
  readonly behind: string;
  /** A full stop, bracket or the like stands after it. */
  readonly marked: boolean;
}

/** What is true of the whole text. */
export interface SongFacts {
  readonly lines: readonly PlacedLine[];
  readonly stanzas: number;
  /** Lines that name a section beyond doubt. */
  readonly surelyLabelled: number;
  /** Single letters that name sections: "V1", "C:", or alone. */
  readonly shortLabels: number;
  /** Those of them with a number. */
  readonly numberedLetters: number;
  /** The title as it was typed elsewhere. */
  readonly givenTitle: string;
  readonly isShouted: boolean;
  /** Every line has a number or a bullet of its own. */
  readonly isListed: boolean;
  /** Its sections are called A, B and so on. */
  readonly isLettered: boolean;
  /** The line that parts the signature of a mail. */
  readonly signatureAt: number | undefined;
}

/** The mark of a mail's signature: RFC 3676, 4.3. */
export const SIGNATURE = /^--\s?$/;

/** A letter that a section is called by, where sections have no other names. */
export const SECTION_LETTER_NAME = /^[A-H]\d?['’]?$/;

const HEAD_NUMBER =
  /^(?:\(?(\d{1,2})\)|\[(\d{1,2})\]|(\d{1,2})(?:\s?[.:)、．]|\/(?=\s))|(\d{1,2})(?=\s)|([ivx]{1,5})\s?[.)]|([\u2460-\u2473])|([\u0660-\u0669]{1,2})\s?[.)-]?|(\d{1,2})(?=\p{Script=Han}|\p{Script=Hangul}))\s*(.*)$/iu;
const ALONE_NUMBER =
  /^[([]?\s*(\d{1,2}|[ivx]{1,4}|[\u2460-\u2473]|[\u0660-\u0669]{1,2}|[一二三四五六七八九十]{1,2})\s*[.:)\]、]?$/iu;

function headOf(text: string): NumberedHead | undefined {
  const alone = ALONE_NUMBER.exec(text);
  if (alone) {
    const number = readNumber(alone[1] as string);
    return number === undefined
      ? undefined
      : { number, behind: "", marked: /[.:)\]]/.test(text) || /[^\d\w]/.test(text) };
  }
  const match = HEAD_NUMBER.exec(text);
  if (!match) return undefined;
  const written = match.slice(1, 9).find((part) => part !== undefined);
  const number = written === undefined ? undefined : readNumber(written);
  const behind = match[9] ?? "";
  if (number === undefined || number === 0 || !/\p{L}/u.test(behind)) return undefined;
  return { number, behind, marked: match[4] === undefined && match[8] === undefined };
}

interface Head {
  readonly index: number;
  readonly head: NumberedHead;
  /** It begins a stanza. */
  readonly opens: boolean;
}

/** The heads that count verses: 1, 2, 3 at the beginnings of stanzas, or after one another anywhere in the text. */
function versesAmong(heads: readonly Head[]): Set<number> {
  const runs: number[][] = [];
  for (const { index, head, opens } of heads) {
    const run = runs.at(-1);
    const last = run && heads.find((each) => each.index === run.at(-1))?.head.number;
    if (run && last !== undefined && head.number === last + 1 && (opens || head.marked)) run.push(index);
    else if (head.number === 1 && (opens || head.marked)) runs.push([index]);
    // A verse may be left out, or a refrain typed between them: "1. … 3. …".
    else if (
      run &&
      last !== undefined &&
      head.number > last &&
      head.number <= last + 3 &&
      opens &&
      head.marked
    )
      run.push(index);
  }
  const isKept = (run: readonly number[]) => {
    const first = heads.find((each) => each.index === run[0]);
    return run.length > 1 || (first?.opens && first.head.marked);
  };
  return new Set(runs.filter(isKept).flat());
}

export function factsOf(lines: readonly TypedLine[], givenTitle: string): SongFacts {
  const placed: PlacedLine[] = [];
  const stanzas: TypedLine[][] = [];
  let open: TypedLine[] | undefined;
  const where = new Map<TypedLine, { stanza: number; place: number }>();
  for (const line of lines) {
    if (line.text === "") {
      open = undefined;
      continue;
    }
    if (!open) {
      open = [];
      stanzas.push(open);
    }
    where.set(line, { stanza: stanzas.length - 1, place: open.length });
    open.push(line);
  }
  const full = lines.filter((line) => line.text !== "");
  const exact = full.map((line) => findLabel(line.text));
  // Who misspells one label has spelt another right.
  const hasNames = exact.some((label) => label?.behind === "" && label.short === null);
  const labels = full.map(
    (line, i) => exact[i] ?? (hasNames && where.get(line)?.place === 0 ? findMisspelt(line.text) : undefined),
  );
  const heads = full.flatMap((line, index) => {
    const head = headOf(line.text);
    const place = where.get(line)?.place ?? 0;
    const afterLabel = labels[index - 1] !== undefined && labels[index - 1]?.behind === "";
    // Where no blank line parts anything, a capital behind the number has to do.
    const begins = stanzas.length === 1 && /^\p{Lu}/u.test(head?.behind ?? "");
    if (head) return [{ index, head, opens: place === 0 || afterLabel || begins }];
    // A verse that is labelled in words counts with the others.
    const label = labels[index];
    const number = label?.letter === "V" && label.behind === "" ? Number.parseInt(label.number, 10) : 0;
    return number > 0 ? [{ index, head: { number, behind: "", marked: true }, opens: true }] : [];
  });
  const isCounted =
    heads.length > 3 &&
    heads.length >= full.length * 0.75 &&
    heads.every(
      ({ head, index }, i) =>
        i === 0 ||
        (head.number === (heads[i - 1] as Head).head.number + 1 &&
          index === (heads[i - 1] as Head).index + 1),
    );
  const isListed =
    isCounted ||
    (full.length > 3 && heads.length >= full.length * 0.9 && heads.every(({ head }) => head.behind !== ""));
  const verses = isListed ? new Set<number>() : versesAmong(heads);
  for (const [index, line] of full.entries()) {
    const { stanza, place } = where.get(line) as { stanza: number; place: number };
    const own = stanzas[stanza] as TypedLine[];
    placed.push({
      ...line,
      index,
      stanza,
      placeInStanza: place,
      stanzaLength: own.length,
      blankBefore: place === 0,
      blankAfter: place === own.length - 1,
      label: labels[index],
      verse: verses.has(index) ? heads.find((each) => each.index === index)?.head : undefined,
    });
  }
  const sure = placed.filter(
    ({ label }) =>
      label &&
      label.behind === "" &&
      label.short === null &&
      (label.bracketed || label.number !== "" || label.colon),
  );
  const letters = placed.filter(
    ({ label }) => label?.short === "letter" && (label.number !== "" || label.colon || label.behind === ""),
  );
  const inked = full
    .map(({ text }) => text)
    .join("")
    .replace(/[^\p{L}]/gu, "");
  const isShouted =
    inked.length > 12 &&
    inked.replace(/[^\p{Ll}]/gu, "").length < inked.length * 0.08 &&
    /\p{Lu}/u.test(inked);
  return {
    lines: placed,
    stanzas: stanzas.length,
    surelyLabelled: sure.length,
    shortLabels: letters.length,
    numberedLetters: letters.filter(({ label }) => label?.number !== "").length,
    givenTitle,
    isShouted,
    isListed,
    isLettered: sure.length === 0 && isLettered(placed),
    signatureAt: placed.find(({ index, typed }) => SIGNATURE.test(typed) && index > placed.length * 0.5)
      ?.index,
  };
}

/** Whether stanzas begin with letters from A on, alone on their lines, and nothing else there is a chord. */
function isLettered(lines: readonly PlacedLine[]): boolean {
  const names = lines.filter(
    ({ text, placeInStanza }) => placeInStanza === 0 && SECTION_LETTER_NAME.test(text),
  );
  const letters = new Set(names.map(({ text }) => text.charAt(0)));
  return (
    letters.has("A") &&
    letters.has("B") &&
    lines.filter(({ typed }) => chordLineStrength(typed) > 0).length <= names.length
  );
}
