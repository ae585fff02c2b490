import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";

/** Clips of a venue's list. */
export const MOST_CLIPS = 200;
/** Elements of one file of details that are kept. */
export const MOST_ELEMENTS = 60;
export const LONGEST_ELEMENT = 400;
/** What a clip does when it has come to its end. */
export const CLIP_ENDS = ["hold", "loop", "next"] as const;
export type ClipEnd = (typeof CLIP_ENDS)[number];

/** A clip of the list: the order of the list is the order in which they play. */
export const clipSchema = z.strictObject({
  id: nameSchema(60),
  /** As people call it; a mapping may give it another title. */
  name: z.string().trim().min(1).max(120),
  /** A clip of the library. */
  mediaId: nameSchema(60),
  atEnd: z.enum(CLIP_ENDS).default("hold"),
  /** What the file beside it says: the path of an element or attribute → its words. */
  elements: byNameSchema(z.string().max(LONGEST_ELEMENT), 200).default({}),
  /** The mapping that makes fields of its elements; empty: none. */
  mappingId: z.union([nameSchema(60), z.literal("")]).default(""),
});
export type Clip = z.infer<typeof clipSchema>;
