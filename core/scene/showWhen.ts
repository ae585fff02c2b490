import { z } from "zod";
import { parseNumber } from "../figures/number.ts";
import { nameSchema } from "../names/name.ts";

const fieldName = nameSchema(40);
const objectId = nameSchema(60);

const conditionSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("empty"), field: fieldName }),
  z.strictObject({ kind: z.literal("notEmpty"), field: fieldName }),
  z.strictObject({ kind: z.literal("equals"), field: fieldName, text: z.string().max(400) }),
  z.strictObject({ kind: z.literal("contains"), field: fieldName, text: z.string().min(1).max(400) }),
  z.strictObject({ kind: z.literal("longerThan"), field: fieldName, characters: z.number().int().min(0) }),
  z.strictObject({
    kind: z.literal("number"),
    field: fieldName,
    is: z.enum(["below", "atMost", "equal", "atLeast", "above"]),
    than: z.number(),
  }),
  /** Whether another object of the template is drawn. */
  z.strictObject({ kind: z.literal("drawn"), object: objectId }),
  z.strictObject({ kind: z.literal("notDrawn"), object: objectId }),
]);
export type Condition = z.infer<typeof conditionSchema>;

const groupOf = <T extends z.ZodType>(member: T) =>
  z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("all"), of: z.array(member).min(1).max(12) }),
    z.strictObject({ kind: z.literal("any"), of: z.array(member).min(1).max(12) }),
  ]);
const innerSchema = groupOf(conditionSchema);

/** When an object is drawn: always, on one condition, or on all or any of several, nested one level. */
export const showWhenSchema = z.union([
  z.strictObject({ kind: z.literal("always") }),
  conditionSchema,
  groupOf(z.union([conditionSchema, innerSchema])),
]);
export type ShowWhen = z.infer<typeof showWhenSchema>;

interface Ruled {
  readonly id: string;
  readonly showWhen: ShowWhen;
}

/**
 * The objects of a template that are drawn with these values.
 * @param objects all of them, groups' members included; references must not go in circles (see findCircle)
 * @param parents object → the group it lies in: what lies in an undrawn group is not drawn
 * @param blank objects that there is nothing of to see: a text with no words counts as not drawn
 * @param unruled objects that are shown whatever their own rule says
 */
export function drawnObjects(
  objects: readonly Ruled[],
  values: Readonly<Record<string, string>>,
  parents: ReadonlyMap<string, string>,
  blank: ReadonlySet<string> = new Set(),
  unruled: ReadonlySet<string> = new Set(),
): Set<string> {
  const rules = new Map(objects.map((object) => [object.id, object.showWhen]));
  const known = new Map<string, boolean>();
  const isDrawn = (id: string): boolean => {
    const settled = known.get(id);
    if (settled !== undefined) return settled;
    // Stands while its own rule is looked at; a circle, which reading refuses, would see it as not drawn.
    known.set(id, false);
    const rule = rules.get(id);
    const parent = parents.get(id);
    const drawn =
      rule !== undefined &&
      !blank.has(id) &&
      (parent === undefined || isDrawn(parent)) &&
      (unruled.has(id) || holds(rule));
    known.set(id, drawn);
    return drawn;
  };
  const holds = (rule: ShowWhen | Condition): boolean => {
    switch (rule.kind) {
      case "always":
        return true;
      case "all":
        return rule.of.every(holds);
      case "any":
        return rule.of.some(holds);
      case "drawn":
        return isDrawn(rule.object);
      case "notDrawn":
        return !isDrawn(rule.object);
      default:
        return meets(rule, (values[rule.field] ?? "").trim());
    }
  };
  return new Set(objects.filter(({ id }) => isDrawn(id)).map(({ id }) => id));
}

function meets(condition: Exclude<Condition, { kind: "drawn" | "notDrawn" }>, value: string): boolean {
  switch (condition.kind) {
    case "empty":
      return value === "";
    case "notEmpty":
      return value !== "";
    case "equals":
      return fold(value) === fold(condition.text);
    case "contains":
      return fold(value).includes(fold(condition.text));
    case "longerThan":
      return [...value].length > condition.characters;
    case "number": {
      const number = parseNumber(value)?.value;
      if (number === undefined) return false;
      const { than } = condition;
      return {
        below: number < than,
        atMost: number <= than,
        equal: number === than,
        atLeast: number >= than,
        above: number > than,
      }[condition.is];
    }
  }
}

/** Case is not a difference that people mean. */
const fold = (text: string) => text.trim().toLocaleLowerCase("en");

/** The first circle of references between objects, by name and in order ("a", "b", "a"); undefined when there is none. */
export function findCircle(
  objects: readonly Ruled[],
  parents: ReadonlyMap<string, string>,
): string[] | undefined {
  const refers = new Map(
    objects.map(({ id, showWhen }) => {
      const parent = parents.get(id);
      return [id, [...referencesOf(showWhen), ...(parent === undefined ? [] : [parent])]];
    }),
  );
  const done = new Set<string>();
  const walk = (id: string, path: readonly string[]): string[] | undefined => {
    const at = path.indexOf(id);
    if (at >= 0) return [...path.slice(at), id];
    if (done.has(id)) return undefined;
    for (const other of refers.get(id) ?? []) {
      const circle = walk(other, [...path, id]);
      if (circle) return circle;
    }
    done.add(id);
    return undefined;
  };
  for (const { id } of objects) {
    const circle = walk(id, []);
    if (circle) return circle;
  }
  return undefined;
}

/** The objects that a rule names. */
export function referencesOf(rule: ShowWhen | Condition): string[] {
  switch (rule.kind) {
    case "all":
    case "any":
      return rule.of.flatMap(referencesOf);
    case "drawn":
    case "notDrawn":
      return [rule.object];
    default:
      return [];
  }
}
