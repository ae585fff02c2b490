import type { z } from "zod";

/** The largest body an action reads: a song of the longest kind, twice. */
const LARGEST_BODY = 512 * 1024;

/** A request's JSON body by its schema, or a sentence that says what is wrong with it. */
export async function readJsonBody<T>(
  request: Request,
  schema: z.ZodType<T>,
): Promise<{ readonly value: T } | { readonly problem: string }> {
  const text = await request.text();
  if (text.length > LARGEST_BODY)
    return {
      problem: `That is ${Math.round(text.length / 1024)} KB of text; at most ${LARGEST_BODY / 1024} KB can be saved at once. Nothing was changed; paste less.`,
    };
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
