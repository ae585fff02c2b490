import { z } from "zod";
import { nameSchema } from "./name.ts";

/** A number of the house style by its name, times a factor; `or` where a style has none of that name. */
const measureRefSchema = z.strictObject({
  measure: nameSchema(40),
  times: z.number().min(-100).max(100).optional(),
  or: z.number().min(-20_000).max(20_000).optional(),
});
export type MeasureRef = z.infer<typeof measureRefSchema>;

/** A number within limits, or a measure of the house style that keeps them: lengths, times, factors. */
export const measureSchema = (min: number, max: number) =>
  z.union([z.number().min(min).max(max), measureRefSchema]);
export type Measure = number | MeasureRef;

/** A type with every reference to the house style's measures and shadows in it replaced by what it stands for. */
export type Resolved<T> = T extends { readonly measure: string } | { readonly shadow: string }
  ? never
  : T extends object
    ? { readonly [K in keyof T]: Resolved<T[K]> }
    : T;

export const isMeasure = (value: unknown): value is MeasureRef =>
  typeof value === "object" && value !== null && "measure" in value;
