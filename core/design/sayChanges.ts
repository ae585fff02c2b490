import { t } from "../language/t.ts";
import type { Change } from "./changes.ts";

/** Changes by the thing that they are of: the first so many names of their paths. */
export function byThing(changes: readonly Change[], depth: number): ReadonlyMap<string, readonly Change[]> {
  const found = new Map<string, Change[]>();
  for (const change of changes) {
    const key = change.path.slice(0, depth).join("/");
    found.set(key, [...(found.get(key) ?? []), change]);
  }
  return found;
}

export const isAdded = ({ before, after }: Change): boolean => before === undefined && after !== undefined;
export const isGone = ({ before, after }: Change): boolean => before !== undefined && after === undefined;

/** Several names in a sentence, each once. */
export function listed(names: readonly string[]): string {
  const each = [...new Set(names)];
  return each.length < 2 ? (each[0] ?? "") : t`${each.slice(0, -1).join(", ")} and ${each.at(-1)}`;
}

/** A short value as it is written; nothing for what is too long to read. */
export const shown = (value: unknown): string =>
  typeof value === "string" || typeof value === "number" || typeof value === "boolean"
    ? `“${String(value).slice(0, 60)}”`
    : "another";

/** “from so to so” where both can be read. */
export const fromTo = ({ before, after }: Change): string =>
  before === undefined ? t`is ${shown(after)}` : t`is ${shown(after)}, was ${shown(before)}`;
