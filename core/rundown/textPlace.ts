import { z } from "zod";
import { oncePer } from "../memo/oncePer.ts";
import { foldWords } from "../words/foldWords.ts";
import type { Anchor } from "./anchor.ts";
import type { PageContent } from "./content.ts";
import { findStepIndex, stepsOf } from "./steps.ts";

const MOST_LETTERS = 60;
const BEFORE = 6;
const SHOWN = 24;
const AFTER = 6;
const lineSchema = z.string().max(MOST_LETTERS);

/**
 * A place in running words, held by the words: those of the step that is on air, and what stood about them. Edits that
 * move, part or rename what is about it leave it where it is.
 */
export const textPlaceSchema = z.strictObject({
  before: z.array(lineSchema).max(BEFORE),
  shown: z.array(lineSchema).min(1).max(SHOWN),
  after: z.array(lineSchema).max(AFTER),
});
export type TextPlace = z.infer<typeof textPlaceSchema>;

/** One smallest piece of the words where it is sung. */
interface Piece {
  readonly occurrence: string;
  readonly unit: number;
  readonly folded: string;
}

/** All pieces in the order they are sung; a blank step is an empty one. */
const piecesOf = oncePer((content: PageContent): readonly Piece[] =>
  (content.flow?.occurrences ?? []).flatMap(({ key, units }) =>
    units.map(({ text }, unit) => ({
      occurrence: key,
      unit,
      folded: foldWords(text).slice(0, MOST_LETTERS),
    })),
  ),
);

/** Pieces [from, to) of the step that begins at an anchor; undefined where no running words are. */
function stretchOf(content: PageContent, anchor: Anchor): readonly [from: number, to: number] | undefined {
  const pieces = piecesOf(content);
  const steps = stepsOf(content);
  const at = findStepIndex(content, anchor);
  const step = steps[at];
  if (!step || (step.kind !== "words" && step.kind !== "blank")) return undefined;
  const indexOf = ({ occurrence, unit }: Anchor) =>
    pieces.findIndex((piece) => piece.occurrence === occurrence && piece.unit === unit);
  const from = indexOf(anchor.from === undefined ? step.anchor : anchor);
  const next = steps[at + 1];
  const end = next && (next.kind === "words" || next.kind === "blank") ? indexOf(next.anchor) : pieces.length;
  return from < 0 || end < 0 ? undefined : [from, end];
}

/** The words of a step and those about it; null where no running words are. */
export function textPlaceOf(content: PageContent, anchor: Anchor): TextPlace | null {
  const stretch = stretchOf(content, anchor);
  if (!stretch) return null;
  const [from, to] = stretch;
  const said = piecesOf(content).map(({ folded }) => folded);
  return {
    before: said.slice(Math.max(0, from - BEFORE), from),
    // The end of a long step is what the next one follows.
    shown: said.slice(from, to).slice(-SHOWN),
    after: said.slice(to, to + AFTER),
  };
}

/** Where a place is in words that were edited since. */
export interface FoundPlace {
  /** The step that the words on air stand in now: the one with the last of them. */
  readonly at: Anchor;
  /** What comes after them; null: nothing more of the words. */
  readonly next: Anchor | null;
  /** None of the words on air is there any more. */
  readonly isGone: boolean;
}

/**
 * The step of the words as they are now that a step on air is.
 * @param before the content on air, where it is another
 * @returns undefined when its words are not there any more
 */
export function stepNow(
  before: PageContent | undefined,
  now: PageContent,
  anchor: Anchor,
): Anchor | undefined {
  const words = before && before !== now ? textPlaceOf(before, anchor) : null;
  if (!words) return stepsOf(now)[findStepIndex(now, anchor)]?.anchor;
  const place = findPlace(now, words, anchor);
  return place && !place.isGone ? place.at : undefined;
}

const MATCH = 4;
/** A piece of which some words were changed. */
const ALIKE = 2;
const SKIP = -1;

/**
 * Finds a place by its words: the stretch of the new words that is most like what was on air and stood about it (local
 * alignment after Smith and Waterman), so that the same chorus sung twice is told apart by what stands before and after.
 * @returns undefined where nothing of it is there
 */
export function findPlace(content: PageContent, words: TextPlace, anchor: Anchor): FoundPlace | undefined {
  const pieces = piecesOf(content);
  if (pieces.length === 0) return undefined;
  const known = [...words.before, ...words.shown, ...words.after];
  const shownFrom = words.before.length;
  const shownTo = shownFrom + words.shown.length;
  const images = align(known, pieces, words, anchor);
  const last = lastImage(images, shownFrom, shownTo);
  const isGone = last === undefined;
  const before = last ?? lastImage(images, 0, shownFrom);
  const first = firstImage(images, shownTo, known.length);
  if (before === undefined && first === undefined) return undefined;
  const boundary = before === undefined ? (first as number) : before + 1;
  const holder = pieces[before ?? boundary] as Piece;
  return { at: stepHolding(content, holder), next: nextFrom(content, pieces, boundary), isGone };
}

/** The step that begins at a piece, or in the midst of which it stands: then only from there on. */
function nextFrom(content: PageContent, pieces: readonly Piece[], boundary: number): Anchor | null {
  const piece = pieces[boundary];
  if (!piece) return null;
  const { occurrence, unit } = piece;
  const begins = stepsOf(content).some(
    ({ anchor }) => anchor.occurrence === occurrence && anchor.unit === unit,
  );
  return begins ? { occurrence, unit } : { occurrence, unit, from: unit };
}

function stepHolding(content: PageContent, { occurrence, unit }: Piece): Anchor {
  const step = stepsOf(content).findLast(
    ({ anchor }) => anchor.occurrence === occurrence && anchor.unit <= unit,
  );
  if (!step) throw new Error(`No step of “${content.title}” holds piece ${unit} of ${occurrence}`);
  return step.anchor;
}

function lastImage(images: readonly (number | undefined)[], from: number, to: number): number | undefined {
  for (let i = to - 1; i >= from; i--) if (images[i] !== undefined) return images[i];
  return undefined;
}

const firstImage = (images: readonly (number | undefined)[], from: number, to: number) =>
  images.slice(from, to).find((image) => image !== undefined);

/** For each known piece, which of the new ones it is. What was on air counts twice what stood about it. */
function align(
  known: readonly string[],
  pieces: readonly Piece[],
  words: TextPlace,
  anchor: Anchor,
): (number | undefined)[] {
  const rows = known.length;
  const columns = pieces.length;
  const score = Array.from({ length: rows + 1 }, () => new Float64Array(columns + 1));
  const came = Array.from({ length: rows + 1 }, () => new Uint8Array(columns + 1));
  let best = 0;
  let end: readonly [number, number] = [0, 0];
  for (let i = 1; i <= rows; i++) {
    const isShown = i > words.before.length && i <= words.before.length + words.shown.length;
    for (let j = 1; j <= columns; j++) {
      const piece = pieces[j - 1] as Piece;
      const alike = likeness(known[i - 1] as string, piece.folded);
      // The same words twice: rather the ones that were sung as often before.
      const near = piece.occurrence === anchor.occurrence ? 0.01 : 0;
      const own = alike === 1 ? MATCH : alike >= 0.5 ? ALIKE : -3;
      const along = (score[i - 1]?.[j - 1] as number) + own * (isShown ? 2 : 1) + (own > 0 ? near : 0);
      const skipKnown = (score[i - 1]?.[j] as number) + SKIP;
      const skipNew = (score[i]?.[j - 1] as number) + SKIP * 0.5;
      const most = Math.max(0, along, skipKnown, skipNew);
      (score[i] as Float64Array)[j] = most;
      (came[i] as Uint8Array)[j] = most === 0 ? 0 : most === along ? 1 : most === skipKnown ? 2 : 3;
      if (most > best) {
        best = most;
        end = [i, j];
      }
    }
  }
  const images: (number | undefined)[] = Array(rows).fill(undefined);
  let [i, j] = end;
  while (i > 0 && j > 0) {
    const from = came[i]?.[j];
    if (from === 0) break;
    if (from === 1) {
      if (likeness(known[i - 1] as string, (pieces[j - 1] as Piece).folded) >= 0.5) images[i - 1] = j - 1;
      i--;
      j--;
    } else if (from === 2) i--;
    else j--;
  }
  return images;
}

/** Share of words in common, in any order; two empty pieces are the same. */
function likeness(a: string, b: string): number {
  if (a === b) return 1;
  if (a === "" || b === "") return 0;
  const own = a.split(" ");
  const others = new Set(b.split(" "));
  const common = own.filter((word) => others.has(word)).length;
  return (2 * common) / (own.length + b.split(" ").length) >= 1
    ? 0.99
    : (2 * common) / (own.length + b.split(" ").length);
}
