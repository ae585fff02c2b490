import type { z } from "zod";
import { t } from "../../core/language/t.ts";
import type { SetAsideRow } from "../../core/report/health.ts";
import { type ReadStored, readStored, type StoredKind } from "../../core/stored/storedKind.ts";
import { log } from "../log/log.ts";

/** Rows named at most; the log has all. */
const MOST_NAMED = 200;

/** Reads stored rows; those that cannot be read are left out, kept as they are, and named. */
export class SetAside {
  readonly #rows = new Map<string, SetAsideRow>();
  readonly #listeners = new Set<() => void>();

  get rows(): readonly SetAsideRow[] {
    return [...this.#rows.values()];
  }

  onChange(listener: () => void): void {
    this.#listeners.add(listener);
  }

  /** @param id names the row in its table. @returns undefined when it cannot be read */
  read<T>(kind: StoredKind<T>, id: string, text: string): T | undefined {
    return this.take(kind.name, id, text, readStored(kind, text));
  }

  /** A value without a version, beside others in a row; `usual` stands in for what cannot be read. */
  readValue<T>(what: string, id: string, schema: z.ZodType<T>, text: string, usual: T): T {
    let value: unknown;
    try {
      value = JSON.parse(text);
    } catch {
      value = undefined;
    }
    const read = schema.safeParse(value);
    if (read.success) return read.data;
    this.leaveOut(what, id, text, t`${read.error.issues[0]?.message}; the usual is in its place`);
    return usual;
  }

  /** The same, for what was read otherwise. */
  take<T>(what: string, id: string, text: string, read: ReadStored<T>): T | undefined {
    if ("value" in read) return read.value;
    this.leaveOut(what, id, text, read.problem);
    return undefined;
  }

  leaveOut(what: string, id: string, text: string, why: string): void {
    const key = `${what}/${id}`;
    if (this.#rows.has(key)) return;
    const name = nameIn(text) ?? id;
    log.warn(`The ${what} “${name}” (${id}) cannot be read and is left out: ${why}`);
    if (this.#rows.size < MOST_NAMED) this.#rows.set(key, { what, name, why });
    for (const listener of this.#listeners) listener();
  }
}

/** What a person would call it: the first of these that is there. */
const NAMING = ["title", "name", "reference", "text", "kind"];

function nameIn(text: string): string | undefined {
  try {
    const document: unknown = JSON.parse(text);
    if (typeof document !== "object" || document === null) return undefined;
    const values = "values" in document && typeof document.values === "object" ? document.values : null;
    const named: Record<string, unknown> = { ...values, ...document };
    const found = NAMING.map((key) => named[key]).find(
      (value): value is string => typeof value === "string" && value.trim() !== "",
    );
    return found?.trim().split("\n")[0]?.slice(0, 80);
  } catch {
    return undefined;
  }
}
