import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { joinOrders } from "./joinOrders.ts";
import {
  type Branch,
  isBranch,
  isOrder,
  isSame,
  type Json,
  type Path,
  valueAt,
  withValueAt,
} from "./tree.ts";

const MOST_CHANGES = 4_000;
const DEEPEST = 24;

const jsonSchema: z.ZodType<Json> = z.json();

/** One place of a document, and what it is changed from and to; without the one it is new, without the other it is gone. */
const changeSchema = z.strictObject({
  path: z.array(nameSchema(200)).min(1).max(DEEPEST),
  before: jsonSchema.optional(),
  after: jsonSchema.optional(),
});
export const changesSchema = z.array(changeSchema).max(MOST_CHANGES);
export interface Change {
  readonly path: Path;
  readonly before?: Json | undefined;
  readonly after?: Json | undefined;
}

const change = (path: Path, before: Json | undefined, after: Json | undefined): Change => ({
  path,
  ...(before !== undefined && { before }),
  ...(after !== undefined && { after }),
});

/** What has to be changed to make one of two trees the other: the fewest places, each as deep as it goes. */
export function changesBetween(before: Branch, after: Branch, path: Path = []): Change[] {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...names].flatMap((name): Change[] => {
    const was = Object.hasOwn(before, name) ? before[name] : undefined;
    const is = Object.hasOwn(after, name) ? after[name] : undefined;
    if (isSame(was, is)) return [];
    const here = [...path, name];
    return isBranch(was) && isBranch(is) ? changesBetween(was, is, here) : [change(here, was, is)];
  });
}

/** The way back. */
export const inverseOf = (changes: readonly Change[]): Change[] =>
  [...changes].reverse().map(({ path, before, after }) => change(path, after, before));

/**
 * Two lists of changes, one made after the other, as one.
 * @returns undefined when one of them is of a place within a place of the other
 */
export function joinedChanges(older: readonly Change[], newer: readonly Change[]): Change[] | undefined {
  const all = new Map(older.map((each) => [JSON.stringify(each.path), each]));
  for (const { path, before, after } of newer) {
    const key = JSON.stringify(path);
    const known = all.get(key);
    if (!known && older.some((each) => isWithin(each.path, path) || isWithin(path, each.path)))
      return undefined;
    all.set(key, change(path, known ? known.before : before, after));
  }
  return [...all.values()].filter(({ before, after }) => !isSame(before, after));
}

const isWithin = (outer: Path, inner: Path): boolean =>
  outer.length < inner.length && outer.every((name, i) => name === inner[i]);

/**
 * Makes changes in a tree that may have been changed elsewhere since they were thought of. What stands as it stood, or stands
 * already as it shall, is no clash; orders are joined.
 * @returns the changed tree, or the places where somebody else's change stands
 */
export function applyChanges(
  tree: Branch,
  changes: readonly Change[],
): { readonly tree: Branch } | { readonly clashes: readonly Path[] } {
  const clashes: Path[] = [];
  let now = tree;
  for (const { path, before, after } of changes) {
    const present = valueAt(now, path);
    if (isSame(present, after)) continue;
    const wanted = isSame(present, before) ? { value: after } : joined(present, before, after);
    const changed = wanted && withValueAt(now, path, wanted.value);
    if (changed) now = changed;
    else clashes.push(path);
  }
  return clashes.length > 0 ? { clashes } : { tree: now };
}

function joined(
  present: Json | undefined,
  before: Json | undefined,
  after: Json | undefined,
): { readonly value: Json } | undefined {
  if (!isOrder(present) || !isOrder(before) || !isOrder(after)) return undefined;
  const order = joinOrders(before, after, present);
  return order && { value: order };
}
