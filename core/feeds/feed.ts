import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { COLUMN_KIND_NAMES } from "./columnKinds.ts";
import { columnNameSchema, MOST_ROWS } from "./table.ts";

/** What may stand in a column. What is not said is not asked. */
export const columnRuleSchema = z.strictObject({
  /** Null: as its values were when they were read first. */
  kind: z.enum(COLUMN_KIND_NAMES).nullable().default(null),
  /** Of numbers: the least and the most. */
  from: z.number().nullable().default(null),
  to: z.number().nullable().default(null),
  /** The only texts; empty: any. */
  oneOf: z.array(z.string().min(1).max(200)).max(100).default([]),
});
export type ColumnRule = z.infer<typeof columnRuleSchema>;

/** Where its rows come from. */
export const feedSourceSchema = z.discriminatedUnion("kind", [
  /** A file that was brought once, and is brought again by hand. */
  z.strictObject({ kind: z.literal("upload"), fileName: z.string().max(200) }),
  /** A file in the folder that the server watches, by its path there. */
  z.strictObject({ kind: z.literal("watched"), path: z.string().min(1).max(400) }),
  /** An address that is asked again and again. */
  z.strictObject({
    kind: z.literal("address"),
    url: z.url({ protocol: /^https?$/ }).max(2_000),
    everyMs: z.number().int().min(100).max(3_600_000),
  }),
  /** Nothing is read: its rows are typed here. */
  z.strictObject({ kind: z.literal("table") }),
  /** Nothing is read: what is on now and what comes next, from the clips and the script. */
  z.strictObject({ kind: z.literal("running") }),
]);
export type FeedSource = z.infer<typeof feedSourceSchema>;

/** How its bytes are read. */
export const feedFormatSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("csv"),
    /** Null: found out. */
    separator: z.enum([",", ";", "\t", "|"]).nullable().default(null),
    firstRowNames: z.boolean().default(true),
  }),
  z.strictObject({
    kind: z.literal("xlsx"),
    /** The name of a sheet or of a range, or a range ("Scores!A1:C9"); empty: the first sheet. */
    range: z.string().max(200).default(""),
    firstRowNames: z.boolean().default(true),
  }),
  /** @see RFC 6901: a JSON Pointer to the list of rows; empty: the whole, or the only list in it. */
  z.strictObject({ kind: z.literal("json"), path: z.string().max(400).default("") }),
  /** Names of elements from the root to the rows, parted by "/"; empty: the elements that come most. */
  z.strictObject({ kind: z.literal("xml"), path: z.string().max(400).default("") }),
  /** A row for each line, or all of it in one. */
  z.strictObject({ kind: z.literal("text"), rows: z.enum(["lines", "whole"]).default("lines") }),
  /** It is a picture: one row with what it is called in the library, whose picture it becomes. */
  z.strictObject({ kind: z.literal("picture") }),
]);
export type FeedFormat = z.infer<typeof feedFormatSchema>;
export type FeedFormatKind = FeedFormat["kind"];

/** Longest time after which a feed may be called stale, ms. */
const LONGEST_FRESH_MS = 86_400_000;

/** A live table: where its rows come from and what is allowed in it. */
export const feedDocSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  source: feedSourceSchema,
  format: feedFormatSchema,
  /** The column whose value names a row; empty: rows have no names. */
  keyColumn: z.union([columnNameSchema, z.literal("")]).default(""),
  /** By the names of columns. */
  rules: byNameSchema(columnRuleSchema).default({}),
  mostRows: z.number().int().min(1).max(MOST_ROWS).default(5_000),
  /** Not changed for so long, it is stale; null: it never is. */
  staleAfterMs: z.number().int().min(1_000).max(LONGEST_FRESH_MS).nullable().default(null),
  /** Its rows are taken one after another in the order of this column; empty: as they stand. */
  orderColumn: z.union([columnNameSchema, z.literal("")]).default(""),
});
export type FeedDoc = z.infer<typeof feedDocSchema>;

export const feedIdSchema = nameSchema(60);

const LONGEST_MEDIA_ID = 60;
/** The thing of the library that the picture of a feed is, by its id there. */
export const pictureOfFeed = (feedId: string): string => `of-${feedId}`.slice(0, LONGEST_MEDIA_ID);

/** The kind of format that a file's name says; undefined where it says none. */
export function formatOfName(fileName: string): FeedFormatKind | undefined {
  const ending = /\.([a-z0-9]+)$/i.exec(fileName)?.[1]?.toLowerCase();
  switch (ending) {
    case "csv":
    case "tsv":
    case "tab":
      return "csv";
    case "xlsx":
    case "xlsm":
      return "xlsx";
    case "json":
      return "json";
    case "xml":
      return "xml";
    case "txt":
    case "md":
      return "text";
    case "png":
    case "jpg":
    case "jpeg":
    case "webp":
    case "avif":
    case "gif":
    // Not taken in, and said so: read as a table they would be rubbish.
    case "svg":
    case "heic":
    case "bmp":
    case "tif":
    case "tiff":
      return "picture";
    default:
      return undefined;
  }
}
