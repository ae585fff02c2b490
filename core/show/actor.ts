import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";

const named = {
  id: nameSchema(60),
  /** What it was called then. */
  name: z.string().max(40).optional(),
};

/** Who acts on the air: a desk, a remote in a hand, or one of those that act by themselves. */
export const actorSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("desk"), ...named }),
  /** A phone, a pad of keys, a device that presses for a person. */
  z.strictObject({ kind: z.literal("remote"), ...named }),
  /** What another device, a camera or a clip set off. */
  z.strictObject({ kind: z.literal("trigger"), ...named }),
  /** A table, a file or an address that is followed. */
  z.strictObject({ kind: z.literal("feed"), ...named }),
  /** A page on which somebody enters one table. */
  z.strictObject({ kind: z.literal("entry"), ...named }),
  /** Another device that says how it is, such as a mixer. */
  z.strictObject({ kind: z.literal("device"), ...named }),
  /** A time that has come. */
  z.strictObject({ kind: z.literal("timer") }),
]);
export type Actor = z.infer<typeof actorSchema>;

/** Whether two acts are of the same hand. */
export const sameActor = (a: Actor | null, b: Actor | null): boolean =>
  a === b || (a !== null && b !== null && a.kind === b.kind && idOf(a) === idOf(b));

/** Whether a person's hand did it, just then: what came by itself surprises nobody's press. */
export const isHand = (actor: Actor | null | undefined): boolean =>
  actor?.kind === "desk" || actor?.kind === "remote";

export const idOf = (actor: Actor): string | null => (actor.kind === "timer" ? null : actor.id);

/** Who it was, in words, for those who have to be told: "Desk 2", "the trigger Camera 1". */
export function actorName(actor: Actor): string {
  switch (actor.kind) {
    case "desk":
      return actor.name ?? t`another desk`;
    case "remote":
      return actor.name ?? "a remote";
    case "trigger":
      return actor.name ? t`the trigger “${actor.name}”` : "a trigger";
    case "feed":
      return actor.name ? t`the table “${actor.name}”` : "a table";
    case "entry":
      return actor.name ? t`the entry of “${actor.name}”` : t`an entry`;
    case "device":
      return actor.name ?? t`another device`;
    case "timer":
      return t`a cue that came by itself`;
  }
}
