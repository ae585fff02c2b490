import { z } from "zod";
import { plannedTimeSchema } from "../time/timeOfDay.ts";

/** What is said of an evening besides its cues. */
export const eveningFieldsSchema = z.strictObject({
  name: z.string().trim().min(1).max(120),
  /** YYYY-MM-DD; empty when not said. */
  day: z.union([z.literal(""), z.iso.date()]),
  /** HH:MM in the show's time zone; empty when not said. */
  startsAt: plannedTimeSchema,
  /** When it must be over, HH:MM; empty when not said. */
  endsAt: plannedTimeSchema,
});
export type EveningFields = z.infer<typeof eveningFieldsSchema>;

/** The evening that is open: its cues are the rundown. */
export const openEveningSchema = eveningFieldsSchema.extend({
  id: z.string(),
  /** Where it was copied: how many cues came with it. Those not changed since have no later revision. */
  copiedCues: z.number().int().min(0),
});
export type OpenEvening = z.infer<typeof openEveningSchema>;

/** An evening in the list of all. */
export interface ListedEvening extends OpenEvening {
  readonly cues: number;
  readonly isDeleted: boolean;
}

export const eveningEditSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("create"), fields: eveningFieldsSchema }),
  /** The cues of an evening once more for another day; of some of them only what is not of the day. */
  z.strictObject({
    kind: z.literal("duplicate"),
    eveningId: z.string().max(80),
    fields: eveningFieldsSchema,
    emptied: z.array(z.string().max(60)).max(4_000),
  }),
  z.strictObject({
    kind: z.literal("change"),
    eveningId: z.string().max(80),
    fields: eveningFieldsSchema,
  }),
  z.strictObject({ kind: z.literal("open"), eveningId: z.string().max(80) }),
  z.strictObject({ kind: z.literal("remove"), eveningId: z.string().max(80) }),
  z.strictObject({ kind: z.literal("restore"), eveningId: z.string().max(80) }),
]);
export type EveningEdit = z.infer<typeof eveningEditSchema>;
