import { afterAll, beforeAll, beforeEach, describe, expect, test } from "vitest";
import { bindingSchema } from "../../core/feeds/binding.ts";
import { feedDocSchema } from "../../core/feeds/feed.ts";
import type { RowEdit, TableEdit } from "../../core/feeds/tableEdit.ts";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { pageTable } from "../../core/values/liveChain.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { findEntry } from "../access/entry.ts";
import { judge } from "../access/rights.ts";
import { editByLink, tableOfLink } from "./entryDesk.ts";

const QUIZ = feedDocSchema.parse({
  ...{ name: "Quiz", source: { kind: "table" }, format: { kind: "csv" }, keyColumn: "name" },
  rules: { number: { kind: "number", from: 0 } },
});
const ONE = { id: "one", name: "Desk 1" };
const TWO = { id: "two", name: "Desk 2" };

let show: OpenShow;
let count = 0;
/** Each test has a table of its own in the one show. */
let TABLE = "";
const rows = () => show.services.feeds.findTable(TABLE)?.table.rows.map((row) => row.join("|"));
const edit = (what: TableEdit, by = ONE, editId = `edit-${++count}`) =>
  show.services.tables.edit(TABLE, what, by, editId);
const undo = (by = ONE) => show.services.tables.undo(TABLE, by, `edit-${++count}`);
const set = (row: string, was: string, to: string): RowEdit => ({
  ...{ kind: "setNamed", row, column: "number", was, to },
});
const DONE = { kind: "done", version: expect.any(Number) };

beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());
beforeEach(async () => {
  TABLE = `quiz-${++count}`;
  expect(await show.services.feeds.save(TABLE, 0, QUIZ)).toBeUndefined();
  const given = [
    ["Ropewalk", "12"],
    ["Kiln Lane", "9"],
  ];
  expect(await edit({ kind: "addRows", at: 0, rows: given })).toEqual(DONE);
});

describe("a table that is edited here", () => {
  test("takes what is allowed and says why it takes nothing else; who changed what is told", async () => {
    expect(await edit(set("Ropewalk", "12", "-1"))).toEqual({
      kind: "refused",
      sentence: "“number” has “-1” in row 1, and 0 is the least allowed. Nothing was changed.",
    });
    const twice: TableEdit = { kind: "addRows", at: 0, rows: [["Ropewalk", "1"]] };
    expect(await edit(twice)).toMatchObject({ sentence: expect.stringMatching(/both called “Ropewalk”/) });
    expect(await edit(set("Ropewalk", "11", "14"), TWO)).toMatchObject({ kind: "clash", now: "12" });
    expect(rows()).toEqual(["Ropewalk|12", "Kiln Lane|9"]);
    await edit(set("Ropewalk", "12", "14"), TWO);
    expect(await show.services.tables.changesOf(TABLE, 10)).toMatchObject([
      { by: "Desk 2", what: "Ropewalk, number: 12 → 14" },
      { by: "Desk 1", what: "2 rows were added" },
    ]);
  });

  test("what was done to any table is told in order, with whose hand it was and which table", async () => {
    await edit(set("Ropewalk", "12", "14"), TWO);
    expect((await show.services.tables.story(2)).map(({ what, words, who }) => [what, words, who])).toEqual([
      ["Quiz", "2 rows were added", expect.objectContaining({ name: "Desk 1" })],
      ["Quiz", "Ropewalk, number: 12 → 14", expect.objectContaining({ name: "Desk 2" })],
    ]);
  });

  test("fills pages, on air too, without the rows that are only begun", async () => {
    const { rundown, feeds, values } = show.services;
    const cell = bindingSchema.parse({
      kind: "cell",
      feedId: TABLE,
      text: "{number}",
      row: { by: "number", number: 2 },
    });
    const cueId = `cue-of-${TABLE}`;
    const doc = pageCue({ fieldSet: "name", values: { name: "", role: "" }, bindings: { name: cell } });
    const afterId = rundown.views().at(-1)?.cueId ?? null;
    await rundown.edit("p", { kind: "addCue", cueId, afterId, doc }, 0);
    const shown = () => {
      const content = rundown.ready().find((cue) => cue.cueId === cueId)?.hash ?? "";
      return values.values.tables[pageTable({ cueId, content })]?.name;
    };
    expect(shown()).toBe("9");
    await edit({ kind: "addNamed", row: "Kiln Lane", column: "number", by: 5 });
    expect(shown()).toBe("14");
    await edit({ kind: "addRows", at: 1, rows: [[]] });
    expect([shown(), feeds.findTable(TABLE)?.table.rows.length]).toEqual(["14", 2]);
    await undo();
    await undo();
    expect(shown()).toBe("9");
  });

  test("what is sent again, because no answer came, is done once", async () => {
    const more: TableEdit = { kind: "addNamed", row: "Ropewalk", column: "number", by: 1 };
    const answers = await Promise.all([1, 2, 3].map(() => edit(more, ONE, "the-same")));
    expect(answers).toEqual([DONE, DONE, DONE]);
    expect(rows()).toContain("Ropewalk|13");
  });

  test("each hand takes back its own newest edit, and nobody else's", async () => {
    await edit({ kind: "moveRow", from: 1, to: 0, was: ["Kiln Lane", "9"] }, TWO);
    expect(await undo()).toMatchObject({
      kind: "refused",
      sentence: expect.stringMatching(/Somebody else changed this table/),
    });
    expect(await undo(TWO)).toEqual(DONE);
    expect(rows()).toEqual(["Ropewalk|12", "Kiln Lane|9"]);
    expect(await undo()).toEqual(DONE);
    expect([rows(), await undo()]).toEqual([
      [],
      expect.objectContaining({ sentence: expect.stringMatching(/nothing to undo/) }),
    ]);
  });

  test("what is allowed in a column goes with it to another name, and comes back with it", async () => {
    const { feeds } = show.services;
    await edit({ kind: "renameColumn", from: "number", to: "points" });
    await edit({ kind: "renameColumn", from: "name", to: "team" });
    expect(feeds.find(TABLE)?.doc).toMatchObject({
      keyColumn: "team",
      rules: { points: { kind: "number" } },
    });
    const wrong: RowEdit = { kind: "setNamed", row: "Ropewalk", column: "points", was: "12", to: "many" };
    expect(await edit(wrong)).toMatchObject({ sentence: expect.stringMatching(/“points” has “many”/) });
    for (let i = 0; i < 2; i++) await undo();
    expect(feeds.find(TABLE)?.doc).toMatchObject({
      keyColumn: "name",
      rules: { number: { kind: "number" } },
    });
  });

  test("what is to be allowed has to be so already; a change elsewhere is not saved over", async () => {
    const { feeds } = show.services;
    const narrow = { ...QUIZ, rules: { number: { ...QUIZ.rules.number, to: 10 } } } as typeof QUIZ;
    expect(await feeds.save(TABLE, 1, narrow)).toMatch(/10 is the most allowed.* Nothing was saved/);
    expect(await feeds.save(TABLE, 0, QUIZ)).toMatch(/changed on another desk/);
    expect(await feeds.save(TABLE, 1, { ...QUIZ, name: "Quiz of lamps" })).toBeUndefined();
    expect(rows()).toHaveLength(2);
  });

  test("is on the disk once it is done; a feed that is read is no table", async () => {
    await edit(set("Ropewalk", "12", "14"));
    const row = await show.db.selectFrom("feed").select("good").where("id", "=", TABLE).executeTakeFirst();
    expect(JSON.parse(row?.good ?? "")).toMatchObject({
      table: {
        rows: [
          ["Ropewalk", "14"],
          ["Kiln Lane", "9"],
        ],
      },
    });
    const [read] = show.services.feeds.views().filter(({ doc }) => doc.source.kind === "watched");
    const more: TableEdit = { kind: "addColumn", name: "more" };
    expect(await show.services.tables.edit(read?.id ?? "none", more, ONE, "x")).toMatchObject({
      sentence: expect.stringMatching(/not there any more/),
    });
  });
});

describe("a link to a table", () => {
  const doc = {
    ...{ name: "Mara at the door", columns: ["number"], rows: ["Ropewalk"], mayMove: false, untilMs: null },
  };
  const linkOf = async (more: Partial<typeof doc> = {}) => {
    const { links } = show.services;
    const id = `link-${++count}`;
    await links.make("entry", id, { ...doc, feedId: TABLE, ...more });
    const link = links.findMade("entry", id);
    if (!link) throw new Error("no link");
    return link;
  };
  const by = async (what: RowEdit, link: Awaited<ReturnType<typeof linkOf>>) =>
    editByLink(show.services.tables, link, what, `sent-${++count}`);

  test("shows its own columns and rows, and changes nothing else", async () => {
    const link = await linkOf();
    expect(tableOfLink(show.services.feeds, link)).toMatchObject({
      ...{ tableName: "Quiz", columns: ["number"], kinds: { number: "number" } },
      rows: [{ name: "Ropewalk", cells: ["12"] }],
    });
    expect(await by({ kind: "addNamed", row: "Ropewalk", column: "number", by: 1 }, link)).toEqual(DONE);
    for (const [what, says] of [
      [set("Kiln Lane", "9", "0"), /does not show “Kiln Lane”/],
      [{ ...set("Ropewalk", "Ropewalk", "x"), column: "name" }, /may not change “name”/],
      [{ kind: "moveNamed", row: "Ropewalk", after: null }, /may not move rows/],
    ] as const)
      expect(await by(what as RowEdit, link)).toMatchObject({
        kind: "refused",
        sentence: expect.stringMatching(says),
      });
    expect(rows()).toEqual(["Ropewalk|13", "Kiln Lane|9"]);
    expect((await show.services.tables.changesOf(TABLE, 1))[0]?.by).toBe("Mara at the door");
  });

  test("goes along when its row or column is renamed, and back with an undo; what only moves, or is another's name, is not its own", async () => {
    const link = await linkOf({ mayMove: true });
    const now = () => {
      const found = show.services.links.findMade("entry", link.id);
      if (!found) throw new Error("the link ended");
      return found;
    };
    const shown = () => tableOfLink(show.services.feeds, now())?.rows;
    const rename = (was: string, to: string): TableEdit => ({
      ...{ kind: "setCells", row: 0, column: 0 },
      ...{ was: [[was]], cells: [[to]] },
    });
    expect(await edit(rename("Ropewalk", "Rope Loft"))).toEqual(DONE);
    expect(shown()).toEqual([{ name: "Rope Loft", cells: ["12"] }]);
    expect(await edit({ kind: "renameColumn", from: "number", to: "points" })).toEqual(DONE);
    expect(now().doc).toMatchObject({ rows: ["Rope Loft"], columns: ["points"] });
    expect(await undo()).toEqual(DONE);
    expect(await undo()).toEqual(DONE);
    expect(now().doc).toMatchObject({ rows: ["Ropewalk"], columns: ["number"] });
    // As it was stored, too.
    const stored = await show.db.selectFrom("entry_link").select("doc").where("id", "=", link.id).execute();
    expect(JSON.parse(stored[0]?.doc ?? "{}")).toMatchObject({ rows: ["Ropewalk"], columns: ["number"] });
    expect(await edit({ kind: "moveRow", from: 0, to: 1, was: ["Ropewalk", "12"] })).toEqual(DONE);
    expect(now().doc.rows).toEqual(["Ropewalk"]);
    expect(await edit({ kind: "removeRows", at: 1, was: [["Ropewalk", "12"]] })).toEqual(DONE);
    expect([shown(), now().doc.rows]).toEqual([[], ["Ropewalk"]]);
  });

  test("opens no live channel and no still, and nothing at all once it has ended", async () => {
    const { links, sessions } = show.services;
    const link = await linkOf({ mayMove: true });
    const stranger = { kind: "stranger" } as const;
    const judged = () =>
      (["entry", "link", "desk", "output", "watch"] as const).filter(
        (right) => judge(right, stranger, link.token, links).opens,
      );
    expect(judged()).toEqual(["entry"]);
    expect(findEntry(link.token, links, sessions)).toBeUndefined();
    await links.end("entry", link.id);
    expect([judged(), links.find(link.token)]).toEqual([[], undefined]);
  });

  test("a table that is not there any more shows nothing", async () => {
    const link = await linkOf();
    await show.services.feeds.remove(TABLE);
    expect(tableOfLink(show.services.feeds, link)).toBeUndefined();
    expect(await by(set("Ropewalk", "12", "1"), link)).toMatchObject({
      sentence: expect.stringMatching(/not there any more/),
    });
  });
});
