import { z } from "zod";
import { groupShape } from "./kinds/group.ts";
import { type LeafKindName, OBJECT_KINDS } from "./objectKinds.ts";
import type { PropertyGroup, Unit } from "./properties.ts";

/** How a property is set. What is none of the plain ones has an editor of its own, by its name. */
export type Control =
  | {
      readonly kind: "number";
      readonly min: number | null;
      readonly max: number | null;
      readonly mayBeMeasure: boolean;
    }
  | { readonly kind: "choice"; readonly values: readonly string[] }
  | { readonly kind: "switch" }
  | { readonly kind: "words"; readonly longest: number | null }
  | { readonly kind: "own" };

/** A property of a kind of object, as people are shown it. */
export interface Property {
  readonly name: string;
  readonly title: string;
  readonly group: PropertyGroup;
  readonly unit: Unit | null;
  readonly control: Control;
  /** It may be nothing. */
  readonly isNullable: boolean;
  /** What it is where nothing is said; undefined where it must be said. */
  readonly usual: unknown;
}

/** What every kind has and nobody sets: what it is, and what it is called among the others. */
const NOT_SET = ["kind", "id", "objects"];

/** The properties of a kind of object, read from its schema. @throws where one is not named there */
export function propertiesOf(kind: LeafKindName | "group"): Property[] {
  const shape: Readonly<Record<string, z.ZodType>> =
    kind === "group" ? groupShape : (OBJECT_KINDS[kind].schema as unknown as z.ZodObject).shape;
  return Object.entries(shape).flatMap(([name, schema]) =>
    NOT_SET.includes(name) ? [] : [describe(name, schema, kind)],
  );
}

function describe(name: string, schema: z.ZodType, kind: string): Property {
  const { title, group, unit } = (schema.meta() ?? {}) as {
    title?: string;
    group?: PropertyGroup;
    unit?: Unit;
  };
  if (!title || !group) throw new Error(`The property "${name}" of a ${kind} has no name or group`);
  const usual = schema.safeParse(undefined);
  const { inner, isNullable } = unwrapped(schema);
  return {
    name,
    title,
    group,
    unit: unit ?? null,
    control: controlOf(inner),
    isNullable,
    usual: usual.success ? usual.data : undefined,
  };
}

function unwrapped(schema: z.ZodType): { readonly inner: z.ZodType; readonly isNullable: boolean } {
  if (schema instanceof z.ZodDefault) return unwrapped(schema.unwrap() as z.ZodType);
  if (schema instanceof z.ZodNullable)
    return { inner: unwrapped(schema.unwrap() as z.ZodType).inner, isNullable: true };
  return { inner: schema, isNullable: false };
}

function controlOf(schema: z.ZodType): Control {
  if (schema instanceof z.ZodNumber) return numberControl(schema, false);
  if (schema instanceof z.ZodBoolean) return { kind: "switch" };
  if (schema instanceof z.ZodEnum) return { kind: "choice", values: schema.options.map(String) };
  if (schema instanceof z.ZodString) return { kind: "words", longest: schema.maxLength ?? null };
  // A number, or a measure of the house style.
  if (schema instanceof z.ZodUnion) {
    const [first] = schema.options;
    if (first instanceof z.ZodNumber && schema.options.length === 2) return numberControl(first, true);
  }
  return { kind: "own" };
}

const numberControl = ({ minValue, maxValue }: z.ZodNumber, mayBeMeasure: boolean): Control => ({
  kind: "number",
  min: minValue,
  max: maxValue,
  mayBeMeasure,
});
