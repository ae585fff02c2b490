import type { z } from "zod";
import { t } from "../../core/language/t.ts";
import { BODY_LIMITS, BodyTooLarge } from "../../server/http/bodies.ts";

/** A request's JSON body by its schema, or a sentence that says what is wrong with it. */
export async function readJsonBody<T>(
  request: Request,
  schema: z.ZodType<T>,
): Promise<{ readonly value: T } | { readonly problem: string }> {
  const read = await readBodyText(request);
  if ("problem" in read) return read;
  let value: unknown;
  try {
    value = JSON.parse(read.text);
  } catch {
    return { problem: t`That was not understood, so nothing was changed. Load the page again.` };
  }
  const parsed = schema.safeParse(value);
  if (parsed.success) return { value: parsed.data };
  const [issue] = parsed.error.issues;
  return {
    problem: t`That cannot be saved (${issue?.path.join(".")}: ${issue?.message}). Nothing was changed; shorten or correct it.`,
  };
}

/** The body as it comes, or a sentence as soon as it is more than may be. */
async function readBodyText(
  request: Request,
): Promise<{ readonly text: string } | { readonly problem: string }> {
  const reader = request.body?.getReader();
  if (!reader) return { text: "" };
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return { text: Buffer.concat(parts).toString("utf8") };
    bytes += value.length;
    if (bytes > BODY_LIMITS.action) {
      await reader.cancel();
      return { problem: new BodyTooLarge("action").message };
    }
    parts.push(value);
  }
}
