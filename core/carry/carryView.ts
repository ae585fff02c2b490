import { z } from "zod";
import type { Met } from "./compare.ts";
import { CHOICES } from "./merge.ts";
import { type Held, heldSchema } from "./showFile.ts";

/** A file of which pieces come: by the sum of what its machine says of it, so that it is the same when it comes again. */
export const sentIdSchema = z.string().regex(/^[0-9a-f]{64}$/);
const jobId = z.string().min(8).max(60);

/** Something that is begun with show files and copies. */
export const carryWantedSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("save"), holds: heldSchema }),
  /** A show file that was sent. */
  z.strictObject({ kind: z.literal("look"), sentId: sentIdSchema, fileName: z.string().min(1).max(200) }),
  z.strictObject({ kind: z.literal("lookAtCopy"), copy: z.string().min(1).max(120) }),
]);
export type CarryWanted = z.infer<typeof carryWantedSchema>;

/** What a desk asks for. */
export const carryEditSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("start"), wanted: carryWantedSchema }),
  /** Of what was looked at, what is chosen comes beside what is here. */
  z.strictObject({
    kind: z.literal("bring"),
    id: jobId,
    choices: z.record(z.string().max(120), z.enum(CHOICES)),
    actor: z.string().min(1).max(80),
  }),
  /** It takes the place of the whole show. */
  z.strictObject({ kind: z.literal("open"), id: jobId, actor: z.string().min(1).max(80) }),
  z.strictObject({ kind: z.literal("cancel"), id: jobId }),
  z.strictObject({ kind: z.literal("forget"), id: jobId }),
]);
export type CarryEdit = z.infer<typeof carryEditSchema>;

/** A show file, or a copy, that was looked at, as the thread that did it says it. */
export interface Looked {
  readonly name: string;
  /** The version that wrote it; empty for a copy. */
  readonly program: string;
  readonly holds: Held;
  /** Server time of the machine it is from, ms. */
  readonly madeAtMs: number;
  readonly met: readonly Met[];
  /** Files that nobody has: a stand-in will be shown for them. */
  readonly missing: number;
}

export interface Saved {
  readonly bytes: number;
  /** Files that the library names and that are gone from the disk. */
  readonly missing: number;
  /** Things that could not be read. */
  readonly leftOut: number;
}

/** Something that is done with show files, as every desk sees it. */
export interface CarryJobView {
  readonly id: string;
  readonly kind: CarryWanted["kind"] | "bring" | "open";
  /** What it is about, in a few words. */
  readonly title: string;
  readonly state:
    | { readonly kind: "running"; readonly share: number }
    | { readonly kind: "failed"; readonly sentence: string }
    | { readonly kind: "cancelled" }
    | { readonly kind: "saved"; readonly saved: Saved; readonly fileName: string }
    | { readonly kind: "looked" }
    | { readonly kind: "brought"; readonly things: number }
    | { readonly kind: "opened" };
}

/** What was looked at, for the person who chooses of it: what is the same here is only counted. */
export interface LookedView extends Omit<Looked, "met"> {
  readonly met: readonly Met[];
  readonly same: number;
  readonly isCopy: boolean;
}

/** What a copy holds, without looking closely; what cannot be told is not said. */
export interface CopyCounts {
  readonly name: string;
  readonly evenings?: number;
  readonly cues?: number;
  readonly songs?: number;
  readonly media?: number;
  /** The evening that was open. */
  readonly open?: string;
}

/** A copy of the show that the server made by itself. */
export interface CopyView extends CopyCounts {
  readonly atMs: number;
  readonly bytes: number;
  /** Made before a newer version changed the show. */
  readonly isBeforeUpdate: boolean;
}
