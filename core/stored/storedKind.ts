import type { z } from "zod";

/** A document of a version before, as it was written down; a step makes the next version of it. */
export type Step = (document: Readonly<Record<string, unknown>>) => Record<string, unknown>;

/** A kind of document that is kept on the disk: its shape now, and the way to it from every shape that it had before. */
export interface StoredKind<T> {
  /** What a document of this kind is called when it cannot be read. */
  readonly name: string;
  readonly schema: z.ZodType<T>;
  /** The first reads version 1 forward to version 2, and so on. A step that has landed is never changed. */
  readonly steps: readonly Step[];
}

export type ReadStored<T> = { readonly value: T } | { readonly problem: string };

/** Stands in every stored document; one without it is of version 1. */
const VERSION = "formatVersion";

export const versionOf = ({ steps }: Pick<StoredKind<unknown>, "steps">): number => steps.length + 1;

/** A document as it is written down, with its version. @throws when it is not what its schema says */
export function writeStored<T>(kind: StoredKind<T>, value: T): string {
  return JSON.stringify(toStored(kind, value));
}

/** The same, to stand in a larger document. */
export function toStored<T>(kind: StoredKind<T>, value: T): Record<string, unknown> {
  // What cannot be read back is never written.
  return withVersion(kind, kind.schema.parse(value));
}

/** The same for a draft, which may be what its schema refuses. */
export const withVersion = <T>(kind: StoredKind<T>, value: T): Record<string, unknown> => ({
  [VERSION]: versionOf(kind),
  ...value,
});

/** Reads a document of any version up to this one. @returns why it cannot be read, in words */
export function readStored<T>(kind: StoredKind<T>, text: string): ReadStored<T> {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    return { problem: "it is not whole" };
  }
  return fromStored(kind, document);
}

/** The same, for one that stood in a larger document. */
export function fromStored<T>(kind: StoredKind<T>, stored: unknown): ReadStored<T> {
  const forward = readForward(kind, stored);
  if ("problem" in forward) return forward;
  const parsed = kind.schema.safeParse(forward.document);
  if (parsed.success) return { value: parsed.data };
  const [issue] = parsed.error.issues;
  return { problem: `${issue?.path.join(".") || "it"}: ${issue?.message ?? "is not as it should be"}` };
}

/** A document of any version up to this one as one of this version; whether it is whole is not asked. */
export function readForward(
  kind: Pick<StoredKind<unknown>, "steps">,
  stored: unknown,
): { readonly document: Readonly<Record<string, unknown>> } | { readonly problem: string } {
  if (typeof stored !== "object" || stored === null || Array.isArray(stored))
    return { problem: "it is not a document" };
  const { [VERSION]: version = 1, ...document } = stored as Record<string, unknown>;
  const now = versionOf(kind);
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { problem: `it says “${String(version).slice(0, 40)}” as its version` };
  if (version > now) return { problem: `it is of version ${version}, and this program reads up to ${now}` };
  try {
    return { document: kind.steps.slice(version - 1).reduce((read, step) => step(read), document) };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : String(error) };
  }
}
