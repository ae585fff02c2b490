import type { z } from "zod";

/** A kind of field: what may be typed there, and what the rest of the program may do with it. */
export interface FieldKind {
  /** What a person sees it called when fields are chosen from. */
  readonly name: string;
  readonly schema: z.ZodType<string>;
  /** What it holds before anything was typed. */
  readonly usual: string;
  /** Its words as the script shows them; undefined where it is seen, not read. */
  readonly words: (value: string) => string | undefined;
  /** It belongs to one day: it is emptied where the evening is taken for another. */
  readonly isOfTheDay: boolean;
  /** Words in it may be found and replaced. */
  readonly canBeReplaced: boolean;
  /** A column of a pasted list may fill it. */
  readonly takesColumns: boolean;
  /** What of the library it shows; null: nothing. */
  readonly media: "picture" | "video" | "sound" | null;
}
