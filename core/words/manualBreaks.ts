import { z } from "zod";
import type { FlowUnit } from "./flow.ts";
import { foldWords } from "./foldWords.ts";

/**
 * A slide parted or joined by hand. It is held by the words on either side of it, not by a number, so that it
 * stays where it was put while other words are edited.
 */
export const manualBreakSchema = z.strictObject({
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
export type ManualBreak = z.infer<typeof manualBreakSchema>;
export const MOST_BREAKS = 1_000;

const KEPT_LETTERS = 60;
const endOf = (text: string) => foldWords(text).slice(-KEPT_LETTERS);
const startOf = (text: string) => foldWords(text).slice(0, KEPT_LETTERS);

type Words = readonly Pick<FlowUnit, "text">[];

/** The break before a unit, remembered by its words. */
export function breakAt(
  kind: ManualBreak["kind"],
  section: string,
  units: Words,
  unit: number,
  outfits: readonly string[],
): ManualBreak {
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
 * Where a break is now: the place with its words on both sides, edited or not, else on one; the nearest to where it was.
 * @returns the unit that begins there; undefined when its words are gone
 */
export function findBreak(manual: ManualBreak, units: Words): number | undefined {
  let best: number | undefined;
  let bestScore = 0;
  for (let unit = 1; unit < units.length; unit++) {
    const fit = fitOf(manual, units, unit);
    if (fit === 0) continue;
    const score = fit * 100_000 - Math.abs(unit - manual.unit);
    if (best === undefined || score > bestScore) {
      best = unit;
      bestScore = score;
    }
  }
  return best;
}

/** How alike the words on one side of a break are to those that stood there: 1 the same, 0.5 and more edited. */
function likeSide(kept: string, now: string): number {
  if (kept === now) return 1;
  const words = kept.split(" ");
  const others = new Set(now.split(" "));
  const common = words.filter((word) => others.has(word)).length;
  const share = (2 * common) / (words.length + others.size);
  return share >= 0.5 ? share * 0.9 : 0;
}

/** How well a break fits before a unit: by its words on both sides, edited or not; 0: not at all. */
function fitOf(manual: ManualBreak, units: Words, unit: number): number {
  return (
    likeSide(manual.before, endOf((units[unit - 1] as FlowUnit).text)) +
    likeSide(manual.after, startOf((units[unit] as FlowUnit).text))
  );
}

export interface PlacedBreaks {
  /** Each under the section that it is in now. */
  readonly breaks: readonly ManualBreak[];
  /** Those whose words are gone on both sides. */
  readonly lost: readonly ManualBreak[];
}

/**
 * Breaks where they are now: in their own section, else in the one that has their words, as when a section gets another
 * name or its words go to another.
 */
export function placeBreaks(
  breaks: readonly ManualBreak[],
  sections: ReadonlyMap<string, Words>,
): PlacedBreaks {
  const placed: ManualBreak[] = [];
  const lost: ManualBreak[] = [];
  for (const manual of breaks) {
    const own = sections.get(manual.section);
    if (own && findBreak(manual, own) !== undefined) {
      placed.push(manual);
      continue;
    }
    const best = [...sections]
      .flatMap(([section, units]) => {
        const unit = findBreak(manual, units);
        return unit === undefined ? [] : [{ section, unit, fit: fitOf(manual, units, unit) }];
      })
      .sort((a, b) => b.fit - a.fit)[0];
    if (best && best.fit >= 1) placed.push({ ...manual, section: best.section, unit: best.unit });
    else lost.push(manual);
  }
  return { breaks: placed, lost };
}

/** A division with the breaks of one section for one outfit applied, in the order they were made. */
export function applyBreaks(
  starts: readonly number[],
  breaks: readonly ManualBreak[],
  section: string,
  outfitId: string,
  units: Words,
): number[] {
  const begins = new Set(starts);
  for (const manual of breaks) {
    if (manual.section !== section || !manual.outfits.includes(outfitId)) continue;
    const unit = findBreak(manual, units);
    if (unit === undefined) continue;
    if (manual.kind === "split") begins.add(unit);
    else begins.delete(unit);
  }
  return [...begins].sort((a, b) => a - b);
}

/** The breaks with one more, which takes the place of what stood there for the same outfits. */
export function withBreak(breaks: readonly ManualBreak[], manual: ManualBreak): ManualBreak[] {
  const others = breaks.flatMap((other) => {
    const same =
      other.section === manual.section &&
      other.before === manual.before &&
      other.after === manual.after &&
      other.unit === manual.unit;
    if (!same) return [other];
    const outfits = other.outfits.filter((id) => !manual.outfits.includes(id));
    return outfits.length > 0 ? [{ ...other, outfits }] : [];
  });
  return [...others, manual].slice(-MOST_BREAKS);
}
