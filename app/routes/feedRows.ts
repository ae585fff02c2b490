import { z } from "zod";
import { feedIdSchema } from "../../core/feeds/feed.ts";
import { nextRow, rowsInTurn, searchRows } from "../../core/feeds/pickRows.ts";
import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/feedRows.ts";

export const middleware = [only("desk")];

const MOST_FOUND = 500;
/** Whoever edits a table has all of it. */
const MOST_TOLD = 5_000;
const wantedSchema = z.strictObject({
  id: feedIdSchema,
  /** Beginnings of words; empty: all rows. */
  words: z.string().max(200).default(""),
  from: z.coerce.number().int().min(0).default(0),
  most: z.coerce.number().int().min(1).max(MOST_TOLD).default(50),
  /** The row after which the next is looked for. */
  after: z.string().max(2_000).optional(),
  /** As they stand in the feed, in place of the order in which they are taken. */
  asRead: z.literal("yes").optional(),
});

/** Rows of a feed: those that have some words, in turn. */
export function loader({ request, context }: Route.LoaderArgs) {
  const wanted = wantedSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wanted.success) return refuse(t`That was not understood. Load the page again.`, "notUnderstood");
  const { id, words, from, most, after, asRead } = wanted.data;
  const { feeds, bindings } = getServices(context);
  const feed = asRead ? feeds.findWholeTable(id) : feeds.findTable(id);
  const { doc, version = 0 } = feeds.find(id) ?? {};
  if (!feed || !doc) return tell("/feed-rows", { version, columns: [], rows: [], of: 0, next: null });
  const inTurn = rowsInTurn(feed, asRead ? "" : doc.orderColumn, bindings.used(id));
  const found = words.trim() === "" ? inTurn : searchRows(inTurn, words, MOST_FOUND);
  return tell("/feed-rows", {
    version,
    columns: feed.table.columns,
    rows: found.slice(from, from + most),
    of: found.length,
    next: nextRow(inTurn, after ?? null, true)?.key ?? null,
  });
}
