import { expect, test } from "vitest";
import { feedDocSchema } from "../../core/feeds/feed.ts";
import { readTable } from "../../server/files/tables/readTable.ts";
import { mulberry } from "../../test-support/random.ts";
import { commentsOf } from "./comments.ts";
import { csvOf, jsonOf, moved, raisedOf, START, type Town, textOf, votesOf, xmlOf } from "./town.ts";

const read = async (text: string, format: object) => {
  const settings = feedDocSchema.parse({ name: "f", source: { kind: "upload", fileName: "" }, format });
  const accepted = await readTable({ bytes: new TextEncoder().encode(text), settings, before: null });
  if ("fault" in accepted) throw new Error(accepted.fault.says);
  return accepted.table.rows;
};

test("seed 1605: an evening goes forward, is the same for the same seed, and every way of writing it says the same", async () => {
  const evening = (seed: number) => {
    const random = mulberry(seed);
    const towns: Town[] = [START];
    for (let i = 0; i < 200; i++) towns.push(moved(towns.at(-1) as Town, random));
    return towns;
  };
  const towns = evening(1605);
  expect(evening(1605)).toEqual(towns);
  for (const [i, { lanterns, raised, boats }] of towns.entries()) {
    const before = towns[i - 1] ?? START;
    expect(raised).toBeGreaterThanOrEqual(before.raised);
    expect(lanterns.every((row, at) => row.lanterns >= (before.lanterns[at]?.lanterns ?? 0))).toBe(true);
    expect(boats.every((row, at) => row.marks - (before.boats[at]?.marks ?? 0) <= 1)).toBe(true);
  }
  const last = towns.at(-1) as Town;
  // Who is ahead has changed on the way: that is what the bars are for.
  const ahead = ({ lanterns }: Town) =>
    [...lanterns].sort((a, b) => b.lanterns - a.lanterns).map(({ street }) => street);
  expect(new Set(towns.map((town) => ahead(town).join())).size).toBeGreaterThan(1);
  expect(await read(csvOf(last.lanterns), { kind: "csv" })).toEqual(
    last.lanterns.map(({ street, lanterns, since }) => [street, String(lanterns), since]),
  );
  const boats = last.boats.map(({ boat, school, marks, time }) => [boat, school, String(marks), time]);
  expect(await read(jsonOf(last), { kind: "json", path: "/boats" })).toEqual(boats);
  expect(await read(xmlOf(last), { kind: "xml" })).toEqual(boats);
  const said = last.comments.map(({ id, name, words, picture }) => [id, name, words, picture]);
  expect(await read(commentsOf(last), { kind: "json", path: "/comments" })).toEqual(said);
  // Few write, then many at once; each comment has an id of its own.
  const ids = towns.flatMap(({ comments }) => comments.map(({ id }) => id));
  expect(new Set(ids).size).toBe(Number(last.comments.at(-1)?.id.slice(1)));
  const written = towns.map(({ comments }) => Number(comments.at(-1)?.id.slice(1)));
  const grown = written.map((count, i) => count - (written[i - 1] ?? count));
  expect(Math.max(...grown)).toBeGreaterThan(3);
  expect(grown.filter((count) => count === 0).length).toBeGreaterThan(40);
  const votes = last.names.map(({ name, by, votes }, at) => [`${at + 1}`, name, by, `${votes}`]);
  expect(await read(votesOf(last.names), { kind: "csv" })).toEqual(votes);
  expect(votes.map(([, , , count]) => count)).not.toEqual(START.names.map((each) => `${each.votes}`));
  expect(await read(raisedOf(last), { kind: "json" })).toEqual([
    ["For the new boat", `${last.raised}`, "20000"],
  ]);
  expect(await read(textOf(last.notices), { kind: "text" })).toEqual(last.notices.map((notice) => [notice]));
});
