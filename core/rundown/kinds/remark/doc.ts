import { z } from "zod";
import { onAnyCue } from "../onAnyCue.ts";

/** Words for those who run the evening; nothing is taken. */
export const remarkDocSchema = z.strictObject({
  kind: z.literal("remark"),
  text: z.string().max(2_000),
  /** It heads a part of the evening. */
  isHeading: z.boolean().default(false),
  ...onAnyCue,
});

export type RemarkDoc = z.infer<typeof remarkDocSchema>;

export const remarkCue = (fields: Partial<RemarkDoc>): RemarkDoc =>
  remarkDocSchema.parse({ text: "", ...fields, kind: "remark" });
