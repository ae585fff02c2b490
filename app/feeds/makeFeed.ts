import { type FeedDoc, feedDocSchema, formatOfName } from "../../core/feeds/feed.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { sendFile } from "../api/sendFile.ts";

/** A table begins with a column that names its rows. */
const FIRST_COLUMN = "name";
const RUNNING_COLUMN = "when";

/** Without its ending, with spaces: what a person would call it. */
const nameFrom = (path: string): string =>
  (path.split("/").at(-1) ?? path)
    .replace(/\.[^.]+$/, "")
    .replace(/[-_]+/g, " ")
    .trim()
    .replace(/^./, (letter) => letter.toUpperCase());

/** Where the rows of a new feed come from. */
export type NewSource =
  | { readonly kind: "table" }
  | { readonly kind: "running" }
  | { readonly kind: "watched"; readonly path: string }
  | { readonly kind: "address"; readonly url: string; readonly everyMs: number }
  | { readonly kind: "upload"; readonly fileName: string };

export const uploadOf = (file: File): NewSource => ({ kind: "upload", fileName: file.name.slice(0, 200) });

/**
 * Makes a feed; what its columns are is found from its rows.
 * @param from a path, address or name that tells what it is called and how it is written
 * @param file with its rows, where they are brought once
 * @returns its id where there is one now, and what went wrong, in a sentence
 */
export async function makeFeed(
  name: string,
  source: NewSource,
  from: string,
  file?: File,
): Promise<{ readonly id?: string; readonly problem?: string }> {
  const { kind } = source;
  const read = feedDocSchema.safeParse({
    name: name.trim() || nameFrom(from) || t`Feed`,
    source,
    format: { kind: formatOfName(from) ?? (kind === "address" ? "json" : "csv") },
    keyColumn: kind === "table" ? FIRST_COLUMN : kind === "running" ? RUNNING_COLUMN : "",
  } satisfies Record<keyof Pick<FeedDoc, "name" | "source" | "format" | "keyColumn">, unknown>);
  if (!read.success)
    return { problem: t`That is no address that can be asked. It begins with http:// or https://.` };
  const id = newId();
  const made = await call("/feeds-edit", { kind: "save", id, baseRevision: 0, doc: read.data });
  if ("problem" in made) return { problem: made.problem.sentence };
  if (!file) return { id };
  const sent = await sendFile("/files/feed", { id, fileName: file.name.slice(0, 200) }, file).answer;
  if (sent && "value" in sent) return { id };
  return {
    id,
    problem: sent?.problem.sentence ?? t`The file could not be sent. Nothing was brought in; try again.`,
  };
}
