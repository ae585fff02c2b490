import { z } from "zod";
import { nameSchema } from "../names/name.ts";

/** Who asked: a desk, or the clock. */
export const actorSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("desk"),
    id: nameSchema(60),
    /** What the desk was called then. */
    name: z.string().max(40).optional(),
  }),
  z.strictObject({ kind: z.literal("timer") }),
]);
export type Actor = z.infer<typeof actorSchema>;

/** Whether two acts are of the same hand. */
export const sameActor = (a: Actor | null, b: Actor | null): boolean =>
  a === b ||
  (a !== null &&
    b !== null &&
    a.kind === b.kind &&
    (a.kind !== "desk" || (b.kind === "desk" && a.id === b.id)));
