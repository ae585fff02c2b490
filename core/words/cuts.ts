import { z } from "zod";
import type { FlowUnit } from "./flow.ts";
import { foldWords } from "./foldWords.ts";

/**
 * A slide parted or joined by hand. It is held by the words on either side of it, not by a number, so that it
 * stays where it was put while other words are edited.
 */
export const cutSchema = z.strictObject({
  kind: z.enum(["split", "join"]),
  /** Key of a section, or of a passage. */
  section: z.string().max(80),
  /** Folded end of the words before it, and start of those after it. */
  before: z.string().max(60),
  after: z.string().max(60),
  /** Which unit began there when it was made: tells places apart that have the same words. */
  unit: z.number().int().min(1).max(10_000),
  /** Outfits it is for. */
  outfits: z.array(z.string().max(60)).min(1).max(40),
});
export type Cut = z.infer<typeof cutSchema>;
export const MOST_CUTS = 1_000;

const KEPT_LETTERS = 60;
const endOf = (text: string) => foldWords(text).slice(-KEPT_LETTERS);
const startOf = (text: string) => foldWords(text).slice(0, KEPT_LETTERS);

type Words = readonly Pick<FlowUnit, "text">[];

/** The cut before a unit, remembered by its words. */
export function cutAt(
  kind: Cut["kind"],
  section: string,
  units: Words,
  unit: number,
  outfits: readonly string[],
): Cut {
  const before = units[unit - 1];
  const after = units[unit];
  if (!before || !after) throw new Error(`No slide can begin at unit ${unit} of ${units.length}`);
  return {
    kind,
    section,
    before: endOf(before.text),
    after: startOf(after.text),
    unit,
    outfits: [...outfits],
  };
}

/**
 * Where a cut is now: the place with its words on both sides, edited or not, else on one; the nearest to where it was.
 * @returns the unit that begins there; undefined when its words are gone
 */
export function findCut(cut: Cut, units: Words): number | undefined {
  let best: number | undefined;
  let bestScore = 0;
  for (let unit = 1; unit < units.length; unit++) {
    const fit = fitOf(cut, units, unit);
    if (fit === 0) continue;
    const score = fit * 100_000 - Math.abs(unit - cut.unit);
    if (best === undefined || score > bestScore) {
      best = unit;
      bestScore = score;
    }
  }
  return best;
}

/** How alike the words on one side of a cut are to those that stood there: 1 the same, 0.5 and more edited. */
function likeSide(kept: string, now: string): number {
  if (kept === now) return 1;
  const words = kept.split(" ");
  const others = new Set(now.split(" "));
  const common = words.filter((word) => others.has(word)).length;
  const share = (2 * common) / (words.length + others.size);
  return share >= 0.5 ? share * 0.9 : 0;
}

/** How well a cut fits before a unit: by its words on both sides, edited or not; 0: not at all. */
function fitOf(cut: Cut, units: Words, unit: number): number {
  return (
    likeSide(cut.before, endOf((units[unit - 1] as FlowUnit).text)) +
    likeSide(cut.after, startOf((units[unit] as FlowUnit).text))
  );
}

export interface PlacedCuts {
  /** Each under the section that it is in now. */
  readonly cuts: readonly Cut[];
  /** Those whose words are gone on both sides. */
  readonly lost: readonly Cut[];
}

/**
 * Cuts where they are now: in their own section, else in the one that has their words, as when a section gets another
 * name or its words go to another.
 */
export function placeCuts(cuts: readonly Cut[], sections: ReadonlyMap<string, Words>): PlacedCuts {
  const placed: Cut[] = [];
  const lost: Cut[] = [];
  for (const cut of cuts) {
    const own = sections.get(cut.section);
    if (own && findCut(cut, own) !== undefined) {
      placed.push(cut);
      continue;
    }
    const best = [...sections]
      .flatMap(([section, units]) => {
        const unit = findCut(cut, units);
        return unit === undefined ? [] : [{ section, unit, fit: fitOf(cut, units, unit) }];
      })
      .sort((a, b) => b.fit - a.fit)[0];
    if (best && best.fit >= 1) placed.push({ ...cut, section: best.section, unit: best.unit });
    else lost.push(cut);
  }
  return { cuts: placed, lost };
}

/** A division with the cuts of one section for one outfit applied, in the order they were made. */
export function applyCuts(
  starts: readonly number[],
  cuts: readonly Cut[],
  section: string,
  outfitId: string,
  units: Words,
): number[] {
  const begins = new Set(starts);
  for (const cut of cuts) {
    if (cut.section !== section || !cut.outfits.includes(outfitId)) continue;
    const unit = findCut(cut, units);
    if (unit === undefined) continue;
    if (cut.kind === "split") begins.add(unit);
    else begins.delete(unit);
  }
  return [...begins].sort((a, b) => a - b);
}

/** The cuts with one more, which takes the place of what stood there for the same outfits. */
export function withCut(cuts: readonly Cut[], cut: Cut): Cut[] {
  const others = cuts.flatMap((other) => {
    const same =
      other.section === cut.section &&
      other.before === cut.before &&
      other.after === cut.after &&
      other.unit === cut.unit;
    if (!same) return [other];
    const outfits = other.outfits.filter((id) => !cut.outfits.includes(id));
    return outfits.length > 0 ? [{ ...other, outfits }] : [];
  });
  return [...others, cut].slice(-MOST_CUTS);
}
