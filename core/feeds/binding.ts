import { z } from "zod";
import { byNameSchema } from "../names/name.ts";
import { feedIdSchema } from "./feed.ts";
import { cellFormatSchema } from "./formatCell.ts";
import { columnNameSchema } from "./table.ts";

/** Most rows that one page takes of a table. */
const MOST_SHOWN = 200;

/** Which row of a feed a field takes. */
export const rowChoiceSchema = z.discriminatedUnion("by", [
  /** As it stands in the feed, from 1. */
  z.strictObject({ by: z.literal("number"), number: z.number().int().min(1).max(20_000) }),
  /** The row of that name. */
  z.strictObject({ by: z.literal("key"), key: z.string().min(1).max(2_000) }),
  /** The first, second, … when rows are in the order of a column. */
  z.strictObject({
    by: z.literal("rank"),
    column: columnNameSchema,
    down: z.boolean(),
    rank: z.number().int().min(1).max(20_000),
  }),
  /** The one that a person picked for the page. */
  z.strictObject({ by: z.literal("pick") }),
]);
export type RowChoice = z.infer<typeof rowChoiceSchema>;

const common = {
  feedId: feedIdSchema,
  /** By column: how its values are written; as they stand where nothing is said. */
  formats: byNameSchema(cellFormatSchema).default({}),
  /** What stands in the place of a value that is empty. */
  empty: z.string().max(200).default(""),
};

/** What fills a field of a page from a feed. */
export const bindingSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("cell"),
    ...common,
    row: rowChoiceSchema,
    /** Columns in braces, with words around them: "{lanterns} lit in {street}". */
    text: z.string().min(1).max(400),
  }),
  /** Rows of a table, a bar chart, or lines: cells of these columns, parted by tabs. */
  z.strictObject({
    kind: z.literal("rows"),
    ...common,
    columns: z.array(columnNameSchema).min(1).max(20),
    mostRows: z.number().int().min(1).max(MOST_SHOWN).default(20),
    sortBy: z.strictObject({ column: columnNameSchema, down: z.boolean() }).nullable().default(null),
  }),
]);
export type Binding = z.infer<typeof bindingSchema>;

/** Fields of a page that are filled from feeds. */
export const bindingsSchema = byNameSchema(bindingSchema, 40);
export type Bindings = z.infer<typeof bindingsSchema>;

/** By feed: the name of the row that a person picked for the page. */
export const picksSchema = byNameSchema(z.string().min(1).max(2_000), 60);
export type Picks = z.infer<typeof picksSchema>;

/** What of a page comes from feeds. */
export const liveFieldsSchema = z.strictObject({ bindings: bindingsSchema, picks: picksSchema });
export type LiveFields = z.infer<typeof liveFieldsSchema>;

/** The feeds that fill something of a page, each once. */
export const feedsIn = (bindings: Bindings): string[] => [
  ...new Set(Object.values(bindings).map(({ feedId }) => feedId)),
];

/** The feeds of which a row is picked for the page. */
export const pickedFeeds = (bindings: Bindings): string[] => [
  ...new Set(
    Object.values(bindings).flatMap((binding) =>
      binding.kind === "cell" && binding.row.by === "pick" ? [binding.feedId] : [],
    ),
  ),
];
