import type { z } from "zod";
import { BODY_LIMITS, BodyTooLarge } from "../../server/http/bodies.ts";

/** A request's JSON body by its schema, or a sentence that says what is wrong with it. */
export async function readJsonBody<T>(
  request: Request,
  schema: z.ZodType<T>,
): Promise<{ readonly value: T } | { readonly problem: string }> {
  const text = await readText(request);
  if (text === undefined) return { problem: new BodyTooLarge("action").message };
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { problem: "That was not understood, so nothing was changed. Load the page again." };
  }
  const parsed = schema.safeParse(value);
  if (parsed.success) return { value: parsed.data };
  const [issue] = parsed.error.issues;
  return {
    problem: `That cannot be saved (${issue?.path.join(".")}: ${issue?.message}). Nothing was changed; shorten or correct it.`,
  };
}

/** The body as it comes; undefined as soon as it is more than may be. */
async function readText(request: Request): Promise<string | undefined> {
  const reader = request.body?.getReader();
  if (!reader) return "";
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return Buffer.concat(parts).toString("utf8");
    bytes += value.length;
    if (bytes > BODY_LIMITS.action) {
      await reader.cancel();
      return undefined;
    }
    parts.push(value);
  }
}
