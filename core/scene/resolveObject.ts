import type { z } from "zod";
import { objectSubject } from "../findings/finding.ts";
import { unknownToken } from "../findings/kinds/unknownToken.ts";
import { unreadableObject } from "../findings/kinds/unreadableObject.ts";
import { t } from "../language/t.ts";
import { isMeasure, type Resolved } from "../names/measure.ts";
import type { Lookup } from "./lookup.ts";
import type { ObjectContext } from "./objectContext.ts";
import type { CommonSpec } from "./properties.ts";

/** What an object names of the house style: measures, and shadows. */
interface Named {
  readonly measures: readonly string[];
  readonly shadows: readonly string[];
}

const namedIn = new WeakMap<object, Named>();
const resolvedOf = new WeakMap<
  object,
  Map<string, { readonly object: unknown } | { readonly why: string }>
>();

/**
 * An object with every measure and shadow of the house style in its place. The same object for the same style, so that what was
 * laid out of it holds. What a style lacks is told; `or` stands in for a measure, nothing for shadows.
 * @param schema its kind's: what a style makes of it must be within the limits of the format
 * @returns undefined where it is not; that is reported
 */
export function resolveObject<S extends z.ZodType<CommonSpec>>(
  object: z.infer<S>,
  schema: S,
  context: Pick<ObjectContext, "lookup" | "report">,
): Resolved<z.infer<S>> | undefined {
  const names = findNamed(object);
  if (names.measures.length === 0 && names.shadows.length === 0) return object as Resolved<z.infer<S>>;
  const { lookup, report } = context;
  const subject = objectSubject(object.id);
  for (const name of names.measures)
    if (lookup.measure(name) === undefined) report(unknownToken(subject, { what: "measure", name }));
  for (const name of names.shadows)
    if (!lookup.shadows(name)) report(unknownToken(subject, { what: "shadow", name }));
  const key = JSON.stringify([
    names.measures.map((name) => lookup.measure(name) ?? null),
    names.shadows.map((name) => lookup.shadows(name) ?? null),
  ]);
  const known = resolvedOf.get(object) ?? new Map();
  resolvedOf.set(object, known);
  let made = known.get(key);
  if (!made) {
    const read = schema.safeParse(replaced(object, lookup));
    const [issue] = read.success ? [] : read.error.issues;
    made = read.success
      ? { object: read.data }
      : { why: t`${issue?.path.join(".")}: ${issue?.message.toLowerCase()} in this house style` };
    known.set(key, made);
  }
  if ("why" in made) {
    report(unreadableObject(subject, { why: made.why }));
    return undefined;
  }
  return made.object as Resolved<z.infer<S>>;
}

function findNamed(object: object): Named {
  let named = namedIn.get(object);
  if (!named) {
    const measures = new Set<string>();
    const shadows = new Set<string>();
    walk(object, (part) => {
      if (isMeasure(part)) measures.add(part.measure);
      else if ("shadow" in part && typeof part.shadow === "string") shadows.add(part.shadow);
    });
    named = { measures: [...measures], shadows: [...shadows] };
    namedIn.set(object, named);
  }
  return named;
}

/** Every object within one; members of a group are objects for themselves. */
export function walk(value: unknown, visit: (part: object) => void): void {
  if (Array.isArray(value)) for (const one of value) walk(one, visit);
  else if (typeof value === "object" && value !== null) {
    visit(value);
    for (const [key, inner] of Object.entries(value)) if (key !== "objects") walk(inner, visit);
  }
}

function replaced(value: unknown, lookup: Lookup): unknown {
  if (Array.isArray(value))
    return value.flatMap((one) => {
      if (typeof one === "object" && one !== null && "shadow" in one && typeof one.shadow === "string")
        return (lookup.shadows(one.shadow) ?? []).map((shadow) => replaced(shadow, lookup));
      return [replaced(one, lookup)];
    });
  if (typeof value !== "object" || value === null) return value;
  if (isMeasure(value)) return (lookup.measure(value.measure) ?? value.or ?? 0) * (value.times ?? 1);
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [key, key === "objects" ? inner : replaced(inner, lookup)]),
  );
}
