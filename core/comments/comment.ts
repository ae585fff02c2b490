import { z } from "zod";
import { feedDocSchema, feedIdSchema } from "../feeds/feed.ts";
import { columnNameSchema } from "../feeds/table.ts";
import { t } from "../language/t.ts";

export const LONGEST_COMMENT = 1_000;
export const LONGEST_AUTHOR = 120;

/** What somebody in the room or elsewhere wrote, as it came. */
export const commentSchema = z.strictObject({
  name: z.string().max(LONGEST_AUTHOR),
  words: z.string().max(LONGEST_COMMENT),
  /** The name of a picture of the library, or the address of one; empty: none. */
  picture: z.string().max(200).default(""),
  /** Not to be shown: a person said so. */
  isHeldBack: z.boolean().default(false),
  isMarked: z.boolean().default(false),
  /** The number under which it was picked last; null: it never was. */
  pickedAs: z.string().max(20).nullable().default(null),
});
export type Comment = z.infer<typeof commentSchema>;

/** Where comments come from, and what of them is struck out. */
export const commentSettingsSchema = z.strictObject({
  /** Null: only what is pasted. */
  source: z
    .strictObject({
      feedId: feedIdSchema,
      name: columnNameSchema,
      words: columnNameSchema,
      picture: z.union([columnNameSchema, z.literal("")]).default(""),
    })
    .nullable()
    .default(null),
  hiddenWords: z.array(z.string().trim().min(1).max(60)).max(1_000).default([]),
  hidesLinks: z.boolean().default(true),
});
export type CommentSettings = z.infer<typeof commentSettingsSchema>;

/** The table of the venue that has what was picked: pages take their rows from there, and from nowhere else. */
export const PICKED_FEED_ID = "picked-comments";
export const PICKED_COLUMNS = ["no", "name", "words", "picture"] as const;
export const PICKED_DOC = feedDocSchema.parse({
  ...{ name: t`Picked comments`, source: { kind: "table" }, format: { kind: "csv" }, keyColumn: "no" },
});

/** A comment as desks see it. */
export interface CommentTold extends Comment {
  readonly id: string;
  readonly atMs: number;
  /** It is among those that were picked now. */
  readonly isPicked: boolean;
}
