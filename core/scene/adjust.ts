import type { Adjustment, Adjustments } from "./adjustment.ts";
import { kindOf, type LeafObject, type LeafSpec, type ReadableObject } from "./objectKinds.ts";

/** Under which name a page adjusts an object: the field it shows, else its own. */
export function adjustedAs(object: ReadableObject): string {
  const field = object.kind === "group" ? null : kindOf(object).fieldOf(object as never);
  return field ?? `#${object.id}`;
}

export const findAdjustment = (
  object: ReadableObject,
  adjustments: Adjustments | undefined,
): Adjustment | undefined => adjustments?.[adjustedAs(object)];

const made = new WeakMap<object, Map<string, object>>();

/** The same change of the same object is the same object, so that what was laid out of it holds. */
export function changedOnce<T extends object>(object: T, key: string, change: (object: T) => T): T {
  const known = made.get(object) ?? new Map<string, object>();
  made.set(object, known);
  let result = known.get(key);
  if (!result) {
    result = change(object);
    known.set(key, result);
  }
  return result as T;
}

/** An object as a page wants it. */
export const adjusted = (object: LeafObject, adjustment: Adjustment): LeafObject =>
  changedOnce(object, `adjusted ${JSON.stringify(adjustment)}`, () =>
    kindOf(object as unknown as LeafSpec).adjust(object as never, adjustment),
  ) as LeafObject;
