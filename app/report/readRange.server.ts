import { z } from "zod";
import type { Range } from "../../core/report/report.ts";

const timeSchema = z.coerce.number().min(0).max(8_640_000_000_000);
const rangeSchema = z
  .strictObject({ from: timeSchema, until: timeSchema })
  .refine(({ from, until }) => from <= until);

/** The stretch of time that an address asks for; undefined: it names none. */
export function readRange(request: Request): Range | undefined {
  const read = rangeSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  return read.success ? { fromMs: read.data.from, untilMs: read.data.until } : undefined;
}
