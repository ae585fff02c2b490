import { z } from "zod";
import { LONGEST_MOTION_MS } from "../motion/track.ts";
import { nameSchema } from "../names/name.ts";
import { anchorSchema } from "../rundown/anchor.ts";
import { hashSchema } from "../rundown/content.ts";

/** A pinned page at one of its steps. */
export const slotPageSchema = z.strictObject({
  cueId: nameSchema(60),
  content: hashSchema,
  step: anchorSchema,
});
export type SlotPage = z.infer<typeof slotPageSchema>;

/** A page with what fills it from feeds at that moment, over its own values. */
export interface ShownPage extends SlotPage {
  readonly live?: Readonly<Record<string, string>>;
}

export const momentSchema = z.strictObject({
  /** Server time at which it begins. */
  startAtMs: z.number(),
  /** When the cue it shows came onto the layer, however many steps ago. */
  sinceMs: z.number(),
  /** What is on the layer from then on; null: nothing. */
  page: slotPageSchema.nullable(),
  /** Settled: it began so long ago that how it came no longer shows. */
  how: z.enum(["animated", "dissolve", "cut", "settled"]),
  /** When it leaves by itself. */
  endsAtMs: z.number().nullable(),
  /** For how long after its beginning the picture may hang on how it came, ms. */
  lastsMs: z.number().min(0),
  /** How long its page takes to arrive, and the rest of its motions in proportion; null: as the template has it. */
  effectMs: z.number().positive().nullable().default(null),
  /** It was put back by undo: it goes on as if it had never left, clips and crawls where they would be by now. */
  resumes: z.boolean().optional(),
  /** When its countdown stood still; the last, without an end, while it does. */
  paused: z
    .array(z.strictObject({ fromMs: z.number(), untilMs: z.number().nullable() }))
    .max(60)
    .optional(),
  /** While it does: what is left of its stay, ms. */
  leftMs: z.number().min(0).nullable().optional(),
});
export type Moment = z.infer<typeof momentSchema>;

/**
 * The place of one page on a layer: the last moment is what is there, those before it are still leaving.
 * From this alone the picture of any instant follows.
 */
export const slotSchema = z.array(momentSchema).max(16);
export type Slot = z.infer<typeof slotSchema>;

export const EMPTY_SLOT: Slot = [];

/** More takes than this within one motion's length: the oldest are cut short. */
const MOST_MOMENTS = 8;

/** The page on the layer at a time; a page whose stay is over is gone. */
export function pageAt(slot: Slot, atMs: number): SlotPage | null {
  const last = slot.at(-1);
  if (!last || (last.endsAtMs !== null && last.endsAtMs <= atMs)) return null;
  return last.page;
}

/** A moment to be added: how long its cue has been there follows from what it comes after, unless it resumes. */
export type NewMoment = Omit<Moment, "sinceMs"> & Partial<Pick<Moment, "sinceMs">>;

/** A page that comes by its own motion and stays; null: nothing from then on. */
export const plainMoment = (startAtMs: number, page: SlotPage | null): NewMoment => ({
  startAtMs,
  page,
  how: "animated",
  endsAtMs: null,
  lastsMs: LONGEST_MOTION_MS,
  effectMs: null,
});

/** A moment that comes back at a time as if it had never left; one whose stay would be over by then is gone. */
export const resumedMoment = (was: Moment, atMs: number): NewMoment =>
  was.endsAtMs !== null && was.endsAtMs <= atMs
    ? plainMoment(atMs, null)
    : {
        ...was,
        startAtMs: atMs,
        how: "animated",
        lastsMs: Math.max(was.lastsMs, LONGEST_MOTION_MS),
        resumes: true,
      };

/** Adds a moment and forgets those whose motion is over. */
export function addMoment(slot: Slot, moment: NewMoment): Slot {
  const before = slot.at(-1);
  const startAtMs = Math.max(moment.startAtMs, before?.startAtMs ?? 0);
  const goesOn = before && moment.page !== null && pageAt(slot, startAtMs)?.cueId === moment.page.cueId;
  const sinceMs = moment.sinceMs ?? (goesOn ? before.sinceMs : startAtMs);
  // The next step of what is there goes on with its countdown as it is.
  const goingOn = goesOn && before.paused ? { paused: before.paused } : {};
  const chain: Moment[] = [...slot, { ...goingOn, ...moment, startAtMs, sinceMs }];
  // The page before the one that still moves must stay: it is what leaves or changes.
  let base = 0;
  while (base + 1 < chain.length - 1 && isOver(chain[base + 1] as Moment, startAtMs)) base++;
  base = Math.max(base, chain.length - MOST_MOMENTS);
  const first = chain[base] as Moment;
  const kept = chain.slice(base);
  if (base > 0 || (kept.length > 1 && isOver(first, startAtMs))) kept[0] = { ...first, how: "settled" };
  return kept;
}

const isOver = ({ startAtMs, lastsMs }: Moment, atMs: number) => startAtMs + lastsMs <= atMs;
