import { expect, test } from "vitest";
import { boundPages } from "./boundPages.ts";
import { pageCue } from "./cueDoc.ts";

const feed = {
  ...{ feedId: "crew", columns: ["who", "does", "boat"], keyColumn: "who" },
  rows: [
    ["Ilse Tarrow", "net mender", "Wren"],
    ["", "lamp keeper", "Gull"],
  ],
};
const docs = feed.rows.map(([name = ""]) => pageCue({ fieldSet: "name", values: { name } }));

test("each page is bound to its row by name, or by its place where it has none; columns of one field are joined", () => {
  const pages = boundPages(docs, feed, ["name", "role", "role"]);
  expect(pages.map(({ bindings }) => bindings)).toMatchObject([
    {
      name: { feedId: "crew", text: "{who}", row: { by: "key", key: "Ilse Tarrow" } },
      role: { text: "{does}, {boat}", row: { by: "key", key: "Ilse Tarrow" } },
    },
    { name: { row: { by: "number", number: 2 } }, role: { text: "{does}, {boat}" } },
  ]);
  // What stands there now is what the page has if the feed goes.
  expect(pages[0]?.values).toEqual({ name: "Ilse Tarrow" });
});

test("columns that fill nothing bind nothing", () => {
  expect(boundPages(docs, feed, [null, "name", null])[0]?.bindings).toMatchObject({
    name: { text: "{does}" },
  });
  expect(Object.keys(boundPages(docs, feed, [null, null, null])[0]?.bindings ?? {})).toEqual([]);
});
