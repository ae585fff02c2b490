import { z } from "zod";
import { colorRefSchema } from "./houseStyle.ts";
import type { Unit } from "./properties.ts";

/** What a word of a template names elsewhere. */
export type Reference = "field" | "object" | "color" | "measure" | "shadow" | "typeface" | "media";

/** How a value of the format is set by a person, read from its schema: whoever shows properties needs nothing else. */
export type Shape =
  | {
      readonly kind: "number";
      readonly min: number | null;
      readonly max: number | null;
      /** It must be more than the least. */
      readonly isAbove: boolean;
      readonly isWhole: boolean;
    }
  /** A number, or one of the house style by its name. */
  | { readonly kind: "measure"; readonly number: Extract<Shape, { kind: "number" }>; readonly named: Shape }
  | { readonly kind: "choice"; readonly values: readonly string[] }
  | { readonly kind: "switch" }
  | { readonly kind: "words"; readonly mayBeEmpty: boolean; readonly longest: number | null }
  | { readonly kind: "reference"; readonly to: Reference }
  | { readonly kind: "color" }
  | { readonly kind: "fixed"; readonly value: string | number | boolean }
  | { readonly kind: "nothingOr"; readonly shape: Shape }
  | { readonly kind: "record"; readonly entries: readonly Entry[] }
  | { readonly kind: "list"; readonly item: Shape; readonly least: number; readonly most: number | null }
  | { readonly kind: "tuple"; readonly items: readonly Shape[] }
  /** One of several, told apart by what they say they are. */
  | { readonly kind: "oneOf"; readonly options: readonly { readonly name: string; readonly shape: Shape }[] }
  /** Written in one way or another. */
  | { readonly kind: "either"; readonly options: readonly Shape[] };

export interface Entry {
  readonly name: string;
  readonly title: string;
  readonly unit: Unit | null;
  readonly shape: Shape;
  /** It may be left unsaid. */
  readonly isOptional: boolean;
  /** What it is then; undefined where it must be said. */
  readonly usual: unknown;
}

/** Names in the format that are names of something else. */
const REFERENCES: Readonly<Record<string, Reference>> = {
  field: "field",
  object: "object",
  token: "color",
  measure: "measure",
  shadow: "shadow",
  font: "typeface",
  hash: "media",
};

const known = new WeakMap<z.ZodType, Shape>();

/** @param name what the value is called in what it stands in. @throws where a schema is of a kind that nobody can set */
export function shapeOf(schema: z.ZodType, name = ""): Shape {
  const held = known.get(schema);
  if (held) return held;
  const shape = read(schema, name);
  // A plain word means what its name says, so it cannot be kept by its schema alone.
  if (shape.kind !== "reference" && shape.kind !== "words") known.set(schema, shape);
  return shape;
}

function read(schema: z.ZodType, name: string): Shape {
  if (isColor(schema)) return { kind: "color" };
  if (schema instanceof z.ZodDefault) return shapeOf(schema.unwrap() as z.ZodType, name);
  if (schema instanceof z.ZodOptional) return shapeOf(schema.unwrap() as z.ZodType, name);
  if (schema instanceof z.ZodNullable)
    return { kind: "nothingOr", shape: shapeOf(schema.unwrap() as z.ZodType, name) };
  if (schema instanceof z.ZodPipe) return shapeOf(schema.in as z.ZodType, name);
  if (schema instanceof z.ZodLazy) return shapeOf(schema.unwrap() as z.ZodType, name);
  if (schema instanceof z.ZodNumber) return numberShape(schema);
  if (schema instanceof z.ZodBoolean) return { kind: "switch" };
  if (schema instanceof z.ZodEnum) return { kind: "choice", values: schema.options.map(String) };
  if (schema instanceof z.ZodLiteral) return { kind: "fixed", value: schema.value as string };
  if (schema instanceof z.ZodString) {
    const to = Object.hasOwn(REFERENCES, name) ? REFERENCES[name] : undefined;
    return to
      ? { kind: "reference", to }
      : { kind: "words", mayBeEmpty: (schema.minLength ?? 0) === 0, longest: schema.maxLength };
  }
  if (schema instanceof z.ZodObject) return { kind: "record", entries: entriesOf(schema) };
  if (schema instanceof z.ZodArray) {
    const { minimum, maximum } = lengthsOf(schema);
    return { kind: "list", item: shapeOf(schema.element as z.ZodType, name), least: minimum, most: maximum };
  }
  if (schema instanceof z.ZodTuple)
    return { kind: "tuple", items: schema.def.items.map((item) => shapeOf(item as z.ZodType, name)) };
  if (schema instanceof z.ZodUnion) return unionShape(schema.options as readonly z.ZodType[], name);
  throw new Error(`Nobody can set “${name}”: a ${schema.def.type} is not known here`);
}

interface Check {
  readonly check: string;
  readonly inclusive?: boolean;
  readonly minimum?: number;
  readonly maximum?: number;
}
/** What a schema checks besides its type, as Zod writes it down. */
const checksOf = (schema: z.ZodNumber | z.ZodArray): readonly Check[] =>
  (schema.def.checks ?? []).map(({ _zod }) => _zod.def as unknown as Check);

const numberShape = (schema: z.ZodNumber): Extract<Shape, { kind: "number" }> => ({
  kind: "number",
  min: finite(schema.minValue),
  max: finite(schema.maxValue),
  isAbove: checksOf(schema).some(({ check, inclusive }) => check === "greater_than" && inclusive === false),
  isWhole: schema.format === "safeint",
});
const finite = (value: number | null): number | null =>
  value === null || Math.abs(value) >= Number.MAX_SAFE_INTEGER ? null : value;

function lengthsOf(schema: z.ZodArray): { readonly minimum: number; readonly maximum: number | null } {
  const checks = checksOf(schema);
  const find = (check: string) => checks.find((each) => each.check === check);
  return { minimum: find("min_length")?.minimum ?? 0, maximum: find("max_length")?.maximum ?? null };
}

function unionShape(options: readonly z.ZodType[], name: string): Shape {
  // Unions in unions are one choice.
  const all = options.flatMap((option): readonly z.ZodType[] =>
    option instanceof z.ZodUnion && !isColor(option) && !isMeasure(option)
      ? (option.options as readonly z.ZodType[])
      : [option],
  );
  const [first, second] = all;
  if (isMeasure({ options: all }) && first && second)
    return { kind: "measure", number: numberShape(first as z.ZodNumber), named: shapeOf(second, name) };
  const kinds = all.map((option) =>
    option instanceof z.ZodObject && option.shape.kind instanceof z.ZodLiteral
      ? String(option.shape.kind.value)
      : undefined,
  );
  if (kinds.every((kind) => kind !== undefined))
    return {
      kind: "oneOf",
      options: all.map((option, i) => ({ name: kinds[i] as string, shape: shapeOf(option, name) })),
    };
  return { kind: "either", options: all.map((option) => shapeOf(option, name)) };
}

/** A colour that was given a name is another schema of the same options. */
const isColor = (schema: z.ZodType): boolean =>
  schema instanceof z.ZodUnion && schema.options[0] === colorRefSchema.options[0];

const isMeasure = ({ options }: { readonly options: readonly unknown[] }): boolean => {
  const [first, second] = options;
  return (
    options.length === 2 &&
    first instanceof z.ZodNumber &&
    second instanceof z.ZodObject &&
    "measure" in second.shape
  );
};

function entriesOf(schema: z.ZodObject): readonly Entry[] {
  return Object.entries(schema.shape as Readonly<Record<string, z.ZodType>>).map(([name, inner]) => {
    const meta = (inner.meta() ?? {}) as { readonly title?: string; readonly unit?: Unit };
    const { words, unit } = inWords(name);
    const usual = inner.safeParse(undefined);
    return {
      name,
      title: meta.title ?? words,
      unit: meta.unit ?? unit,
      shape: shapeOf(inner, name),
      isOptional: inner instanceof z.ZodOptional,
      usual: usual.success ? usual.data : undefined,
    };
  });
}

const UNITS: readonly (readonly [RegExp, Unit])[] = [
  [/Px$/, "px"],
  [/Ms$/, "ms"],
  [/Deg$/, "°"],
  [/Em$/, "em"],
];

/** A name of the format as people read it: "leastWidthPx" is “Least width”, in pixels. */
function inWords(name: string): { readonly words: string; readonly unit: Unit | null } {
  const unit = UNITS.find(([ending]) => ending.test(name));
  const bare = (unit ? name.replace(unit[0], "") : name).replace(/^is(?=[A-Z])/, "");
  const parted = bare.replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase();
  const words = name === "hash" ? "file" : parted.replace(/\bcolor\b/, "colour");
  return { words: words.charAt(0).toUpperCase() + words.slice(1), unit: unit?.[1] ?? null };
}

/** Names that a value begins with where it names something; empty where there is nothing yet. */
export type FirstNames = Partial<Readonly<Record<Reference, string>>>;

/** A value to begin with, as plain as the format allows. */
export function startOf(shape: Shape, names: FirstNames = {}): unknown {
  const begin = (inner: Shape) => startOf(inner, names);
  switch (shape.kind) {
    case "number": {
      const least = shape.isAbove ? (shape.min ?? 0) + 1 : (shape.min ?? 0);
      return Math.min(Math.max(0, least), shape.max ?? Number.POSITIVE_INFINITY);
    }
    case "measure":
      return begin(shape.number);
    case "choice":
      return shape.values[0];
    case "switch":
      return false;
    case "words":
      return shape.mayBeEmpty ? "" : "–";
    case "reference":
      return names[shape.to] ?? "";
    case "color":
      return { token: names.color ?? "words" };
    case "fixed":
      return shape.value;
    case "nothingOr":
      return null;
    case "record":
      return Object.fromEntries(
        shape.entries.flatMap(({ name, isOptional, usual, shape: inner }) =>
          isOptional ? [] : [[name, usual === undefined ? begin(inner) : usual]],
        ),
      );
    case "list":
      return startOfList(Array.from({ length: shape.least }, () => begin(shape.item)));
    case "tuple":
      return shape.items.map(begin);
    case "oneOf":
      return begin(shape.options[0]?.shape as Shape);
    case "either":
      return begin(shape.options[0] as Shape);
  }
}

/** Colours of a gradient begin apart from one another, and the last is seen through: else there would be nothing to see of it. */
function startOfList(items: readonly unknown[]): unknown {
  const isRun = items.length > 1 && items.every((item) => isRecord(item) && "at" in item && "color" in item);
  if (!isRun) return items;
  return (items as readonly Readonly<Record<string, unknown>>[]).map((stop, i) => {
    const isLast = i === items.length - 1;
    const { color } = stop;
    return {
      ...stop,
      at: i / (items.length - 1),
      color: isLast && isRecord(color) ? { ...color, alpha: 0 } : color,
    };
  });
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
