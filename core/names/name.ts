import { z } from "zod";
import { t } from "../language/t.ts";

/**
 * Whether something may be looked up under this name. What every object of the language has by itself ("constructor",
 * "__proto__") would be found where nothing was put.
 */
const isFree = (name: string): boolean => !(name in Object.prototype);
const TAKEN = { message: t`this name cannot be used` };

/** What a thing is known by among others of its kind: outputs, plans, layers, cues, objects, fields. */
export const nameSchema = (longest: number, shortest = 1) =>
  z.string().min(shortest).max(longest).refine(isFree, TAKEN);

/** Things by their names, as they are stored and sent. */
export const byNameSchema = <T extends z.ZodType>(thing: T, longest = 80) =>
  z.record(z.string().max(longest).refine(isFree, TAKEN), thing);
