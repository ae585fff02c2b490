import { z } from "zod";
import { type CueDoc, cueDocSchema } from "../../../core/rundown/cueDoc.ts";

/** Cues as they are copied: text, so that they can be pasted into another event, or sent to somebody. */
const copiedSchema = z.strictObject({
  format: z.literal("vesko cues 1"),
  cues: z.array(cueDocSchema).min(1).max(500),
});

export const copyOf = (cues: readonly CueDoc[]): string =>
  JSON.stringify({ format: "vesko cues 1", cues }, null, 1);

/** @returns undefined when the text is something else */
export function readCopied(text: string): CueDoc[] | undefined {
  if (!text.startsWith("{")) return undefined;
  try {
    const parsed = copiedSchema.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data.cues : undefined;
  } catch {
    return undefined;
  }
}
