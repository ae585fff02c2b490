import type { z } from "zod";

/** Things that were copied as JSON, told apart from all else that may be on a clipboard. @returns undefined when the text is something else */
export function readCopied<T>(text: string, schema: z.ZodType<T>): T | undefined {
  if (!text.startsWith("{")) return undefined;
  try {
    return schema.safeParse(JSON.parse(text)).data;
  } catch {
    return undefined;
  }
}
