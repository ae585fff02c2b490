import {
  commentSettingsSchema,
  PICKED_COLUMNS,
  PICKED_DOC,
  PICKED_FEED_ID,
} from "../core/comments/comment.ts";
import { type Binding, bindingSchema } from "../core/feeds/binding.ts";
import { feedDocSchema } from "../core/feeds/feed.ts";
import { type CueDoc, pageCue } from "../core/rundown/cueDoc.ts";
import type { SeedFeed } from "../designs/seed.ts";
import { CLOCK_AT_EDGE, letBe } from "./letBe.ts";

const watched = (id: string, name: string, file: string, format: object, more: object = {}): SeedFeed => ({
  id,
  doc: feedDocSchema.parse({ name, source: { kind: "watched", path: file }, format, ...more }),
  rows: { file: `demo/feeds/${file}` },
});

/** Files that something else writes; the demo's server watches copies of them. */
export const DEMO_FEEDS: readonly SeedFeed[] = [
  watched(
    "demo-lanterns",
    "Lanterns by street",
    "lanterns.csv",
    { kind: "csv" },
    {
      keyColumn: "street",
      rules: { lanterns: { kind: "number", from: 0, to: 5_000 } },
    },
  ),
  watched(
    "demo-race",
    "Race round the breakwater",
    "race.json",
    { kind: "json", path: "/boats" },
    {
      keyColumn: "boat",
    },
  ),
  watched(
    "demo-names",
    "Names for the boat",
    "boat-names.csv",
    { kind: "csv" },
    {
      keyColumn: "name",
      orderColumn: "order",
    },
  ),
  watched("demo-raised", "Raised for the new boat", "raised.json", { kind: "json" }),
  watched("demo-notices", "Notices", "notices.txt", { kind: "text" }),
  watched(
    "demo-comments",
    "Comments from the quay",
    "comments.json",
    { kind: "json", path: "/comments" },
    { keyColumn: "id" },
  ),
  {
    id: PICKED_FEED_ID,
    doc: PICKED_DOC,
    rows: { table: { columns: [...PICKED_COLUMNS], rows: [] } },
  },
  {
    id: "demo-running",
    doc: feedDocSchema.parse({
      ...{ name: "Now and next", source: { kind: "running" }, format: { kind: "csv" }, keyColumn: "when" },
    }),
    // What is on is known once the evening runs.
    rows: { table: { columns: ["when", "title"], rows: [] } },
  },
  {
    id: "demo-quiz",
    doc: feedDocSchema.parse({
      ...{ name: "Quiz of the lofts", source: { kind: "table" }, format: { kind: "csv" }, keyColumn: "loft" },
      rules: { points: { kind: "number", from: 0 }, lamp: { oneOf: ["lit", "out"] } },
    }),
    rows: {
      table: {
        columns: ["loft", "points", "lamp"],
        rows: [
          ["Net Loft", "18", "lit"],
          ["Sail Loft", "15", "lit"],
          ["Rope Loft", "12", "out"],
          ["Boat school", "9", "out"],
        ],
      },
    },
  },
];

/** What people write comes from there; what nobody is to read on a wall is struck out. */
export const DEMO_COMMENTS = commentSettingsSchema.parse({
  source: { feedId: "demo-comments", name: "name", words: "words", picture: "picture" },
  hiddenWords: ["barnacle*", "bilge", "lubber*"],
});

const cell = (feedId: string, text: string, row: object, more: object = {}): Binding =>
  bindingSchema.parse({ kind: "cell", feedId, text, row, ...more });
const rows = (feedId: string, columns: string[], more: object = {}): Binding =>
  bindingSchema.parse({ kind: "rows", feedId, columns, ...more });
const filled = (
  fieldSet: string,
  values: Record<string, string>,
  bindings: Record<string, Binding>,
): CueDoc => pageCue({ fieldSet, values, bindings });

/** Pages that are filled from them. */
export const FED_PAGES: readonly CueDoc[] = [
  filled(
    "bars",
    { heading: "Lanterns lit, as they are counted" },
    { rows: rows("demo-lanterns", ["street", "lanterns"], { sortBy: { column: "lanterns", down: true } }) },
  ),
  filled(
    "standings",
    { heading: "Round the breakwater" },
    { rows: rows("demo-race", ["boat", "marks"], { sortBy: { column: "marks", down: true } }) },
  ),
  filled(
    "bigNumber",
    { number: "0", words: "lanterns on Ropewalk", note: "" },
    {
      number: cell("demo-lanterns", "{lanterns}", { by: "key", key: "Ropewalk" }),
      note: cell("demo-lanterns", "The first was lit at {since}", { by: "key", key: "Ropewalk" }),
    },
  ),
  filled(
    "name",
    { name: "To be announced", role: "the new boat" },
    {
      name: cell("demo-names", "{name}", { by: "pick" }),
      role: cell("demo-names", "the new boat, as {proposed by} proposed", { by: "pick" }),
    },
  ),
  filled(
    "comment",
    { comment: "Write to us from the quay", from: "" },
    {
      comment: cell(PICKED_FEED_ID, "{words}", { by: "pick" }),
      from: cell(PICKED_FEED_ID, "{name}", { by: "pick" }),
      picture: cell(PICKED_FEED_ID, "{picture}", { by: "pick" }),
    },
  ),
  letBe(
    filled("crawl", { items: "Notices follow" }, { items: rows("demo-notices", ["text"]) }),
    CLOCK_AT_EDGE,
  ),
  filled(
    "bars",
    { heading: "Votes for the boat's name" },
    { rows: rows("demo-names", ["name", "votes"], { sortBy: { column: "votes", down: true } }) },
  ),
  filled(
    "bigNumber",
    { number: "0", words: "crowns for the new boat", note: "" },
    {
      number: cell(
        "demo-raised",
        "{raised}",
        { by: "number", number: 1 },
        { formats: { raised: { kind: "number" } } },
      ),
      note: cell(
        "demo-raised",
        "{of} are wanted",
        { by: "number", number: 1 },
        { formats: { of: { kind: "number" } } },
      ),
    },
  ),
];

const running = (row: string, text: string, more: object = {}): Binding =>
  cell("demo-running", text, { by: "key", key: row }, more);

/** Pages that say what runs. */
export const RUNNING_PAGES: readonly CueDoc[] = [
  filled(
    "name",
    { name: "A film", role: "" },
    { name: running("now", "{title}"), role: running("now", "{by}, {year}") },
  ),
  filled(
    "nowNext",
    { now: "", next: "", later: "" },
    {
      now: running("now", "{title}"),
      next: running("next", "{title}"),
      later: running("later", "{title}"),
    },
  ),
];
