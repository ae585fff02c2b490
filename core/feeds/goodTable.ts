import { z } from "zod";
import { byNameSchema } from "../names/name.ts";
import { COLUMN_KIND_NAMES } from "./columnKinds.ts";
import { tableSchema } from "./table.ts";

/** The last table of a feed that was as it should be: what pages show. */
export const goodTableSchema = z.strictObject({
  table: tableSchema,
  /** The kind of every column. */
  kinds: byNameSchema(z.enum(COLUMN_KIND_NAMES)),
  /** Server time at which it was first read, ms. */
  atMs: z.number(),
  /** The text that it was read from ended with the end of a line: one that does not has broken off. */
  endsWithLine: z.boolean().default(false),
});
export type GoodTable = z.infer<typeof goodTableSchema>;
