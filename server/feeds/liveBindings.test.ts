import { afterAll, beforeAll, beforeEach, describe, expect, test } from "vitest";
import { type Bindings, bindingSchema, type Picks } from "../../core/feeds/binding.ts";
import { feedDocSchema } from "../../core/feeds/feed.ts";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { PAGE_ANCHOR } from "../../core/rundown/steps.ts";
import { pageTable } from "../../core/values/liveChain.ts";
import { DESK } from "../../test-support/contents.ts";
import { eventually } from "../../test-support/eventually.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";

let show: OpenShow;
/** Each test has a feed and cues of its own in the one show. */
let count = 0;
let [FEED, CUE, OTHER] = ["", "", ""];

const csv = (ropewalk: string, kiln = "97") =>
  new TextEncoder().encode(
    `street,lanterns,flag\nRopewalk,${ropewalk},Lantern mark\nKiln Lane,${kiln},nowhere\n`,
  );
const bring = (...cells: Parameters<typeof csv>) =>
  show.services.feeds.upload(FEED, "lit.csv", csv(...cells));
const binding = (text: string, row: object = { by: "key", key: "Ropewalk" }) =>
  bindingSchema.parse({ kind: "cell", feedId: FEED, text, row });

/** Adds a page at the end of the script. */
async function addPage(
  cueId: string,
  bindings: Bindings,
  picks: Picks = {},
  fieldSet = "name",
): Promise<void> {
  const { rundown } = show.services;
  const values = fieldSet === "name" ? { name: "To be announced", role: "" } : { picture: "", caption: "x" };
  const doc = pageCue({ fieldSet, values, bindings, picks });
  const afterId = rundown.views().at(-1)?.cueId ?? null;
  await rundown.edit("p", { kind: "addCue", cueId, afterId, doc }, 0);
}
const readyOf = (cueId: string) => {
  const ready = show.services.rundown.ready().find((cue) => cue.cueId === cueId);
  if (!ready) throw new Error(`${cueId} cannot be taken`);
  return ready;
};
const valuesOf = (cueId: string) =>
  show.services.values.values.tables[pageTable({ cueId, content: readyOf(cueId).hash })];
let takes = 0;
async function take(cueId: string): Promise<void> {
  const { host } = show.services;
  const target = { cueId, content: readyOf(cueId).hash, step: PAGE_ANCHOR };
  const { sentence } = await host.submit(
    { kind: "take", id: `take-number-${++takes}`, target, how: "cut", builtOn: host.state.airRevision },
    DESK,
  );
  expect(sentence).toBeNull();
}

beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

beforeEach(async () => {
  count++;
  [FEED, CUE, OTHER] = [`lit-${count}`, `cue-under-test-${count}`, `cue-besides-${count}`];
  const doc = feedDocSchema.parse({
    ...{ name: "Lit", keyColumn: "street", format: { kind: "csv" } },
    source: { kind: "upload", fileName: "" },
  });
  await show.services.feeds.save(FEED, 0, doc);
  expect(await bring("142")).toBeUndefined();
});

describe("pages that are filled from a feed", () => {
  test("have their values as soon as they can be taken, and others whenever the feed has others", async () => {
    await addPage(CUE, { name: binding("{lanterns} lit in {street}") });
    expect(valuesOf(CUE)).toEqual({ name: "142 lit in Ropewalk" });
    await bring("150");
    expect(valuesOf(CUE)).toEqual({ name: "150 lit in Ropewalk" });
    const { seq } = show.services.values.values;
    // A change that is none of theirs says nothing.
    await bring("150", "98");
    expect(show.services.values.values.seq).toBe(seq);
  });

  test("keep what they show when their row is gone, and say why; a removed feed too", async () => {
    await addPage(CUE, { name: binding("{lanterns}", { by: "key", key: "Kiln Lane" }) });
    await show.services.feeds.upload(
      FEED,
      "lit.csv",
      new TextEncoder().encode("street,lanterns,flag\nRopewalk,1,\n"),
    );
    expect(valuesOf(CUE)).toEqual({ name: "97" });
    expect(show.services.bindings.problems()).toMatchObject({ [CUE]: "“Lit” has no row “Kiln Lane”." });
    await bring("142", "99");
    expect(valuesOf(CUE)).toEqual({ name: "99" });
    expect(show.services.bindings.problems()[CUE]).toBeUndefined();
    await show.services.feeds.remove(FEED);
    expect(valuesOf(CUE)).toEqual({ name: "99" });
    expect(show.services.bindings.problems()[CUE]).toBe("Its feed was removed.");
  });

  test("wait for a pick with their own words; frozen ones stay as they are until they go on", async () => {
    await addPage(CUE, { name: binding("{street}", { by: "pick" }) });
    expect(valuesOf(CUE)).toEqual({ name: "To be announced" });
    await addPage(OTHER, { name: binding("{lanterns}", { by: "pick" }) }, { [FEED]: "Ropewalk" });
    expect(valuesOf(OTHER)).toEqual({ name: "142" });
    expect(show.services.bindings.freeze(OTHER, true, 5)).toBeUndefined();
    await bring("143");
    expect(valuesOf(OTHER)).toEqual({ name: "142" });
    show.services.bindings.freeze(OTHER, false, 6);
    expect(valuesOf(OTHER)).toEqual({ name: "143" });
  });

  test("a row is used once its page is on air, not before; it can be put back", async () => {
    await addPage(CUE, { name: binding("{street}", { by: "pick" }) }, { [FEED]: "Kiln Lane" });
    expect([...show.services.bindings.used(FEED)]).toEqual([]);
    await take(CUE);
    expect([...show.services.bindings.used(FEED)]).toEqual(["=Kiln Lane"]);
    show.services.bindings.use(FEED, "Kiln Lane", false);
    expect([...show.services.bindings.used(FEED)]).toEqual([]);
  });

  test("an edit of a binding moves nothing on air: what is there goes on by the binding that it was taken with", async () => {
    await addPage(CUE, { name: binding("{lanterns}") });
    await take(CUE);
    const taken = pageTable({ cueId: CUE, content: readyOf(CUE).hash });
    const { doc } = readyOf(CUE);
    const revision = show.services.rundown.views().find((view) => view.cueId === CUE)?.revision ?? 0;
    const other = { ...doc, bindings: { name: binding("{street}") } } as typeof doc;
    await show.services.rundown.edit(
      "p",
      { kind: "changeCue", cueId: CUE, doc: other, baseRevision: revision },
      0,
    );
    expect(valuesOf(CUE)).toEqual({ name: "Ropewalk" });
    await bring("160");
    expect(show.services.values.values.tables[taken]).toEqual({ name: "160" });
  });

  test("values that only a start before this one knew are let go; those of now are kept in the log", async () => {
    await addPage(CUE, { name: binding("{lanterns}") });
    const table = pageTable({ cueId: CUE, content: readyOf(CUE).hash });
    await show.services.rundown.edit("p", { kind: "deleteCue", cueId: CUE }, 0);
    expect(show.services.values.values.tables[table]).toBeUndefined();
    await addPage(OTHER, { name: binding("{lanterns}") });
    await show.services.values.flush();
    const rows = await show.db.selectFrom("value_change").select("doc").execute();
    expect(rows.some(({ doc }) => doc.includes('"kind":"feed"') && doc.includes("142"))).toBe(true);
  });
});

describe("what windows are told", () => {
  const outputToken = () => show.services.links.tokenOfOutput("wall");

  test("an output knows the values of what is on air or next, before it knows that they are, and of nothing else", async () => {
    // In the midst of the script, where it is neither next nor the one after.
    const doc = pageCue({ fieldSet: "name", values: { name: "x" }, bindings: { name: binding("{street}") } });
    await show.services.rundown.edit("p", { kind: "addCue", cueId: OTHER, afterId: "cue-0010", doc }, 0);
    await addPage(CUE, { name: binding("{lanterns}") });
    const secret = pageTable({ cueId: OTHER, content: readyOf(OTHER).hash });
    const shown = pageTable({ cueId: CUE, content: readyOf(CUE).hash });
    const output = new TestWindow(show.port);
    await output.join(outputToken());
    await output.until("welcome");
    await take(CUE);
    await output.until("event");
    const at = output.heard.findIndex(({ kind }) => kind === "event");
    const known = output.heard.slice(0, at).findLast((message) => message.kind === "allValues");
    expect(known?.kind === "allValues" && known.values.tables[shown]).toEqual({ name: "142" });
    await bring("151");
    const told = await output.until("values", ({ changes }) =>
      changes.some(({ cells }) => cells.name === "151"),
    );
    expect(told.changes.every(({ tableId }) => tableId !== secret)).toBe(true);
    for (const message of output.heard)
      if (message.kind === "allValues") expect(message.values.tables[secret]).toBeUndefined();
    output.socket.close();
  });

  test("pictures that values name come before them, by the names of the library; what the library lacks stays named", async () => {
    const bindings = {
      picture: binding("{flag}"),
      caption: binding("{flag}", { by: "key", key: "Kiln Lane" }),
    };
    await addPage(CUE, bindings, {}, "picture");
    const mark = show.services.media.list().find(({ info }) => info.name === "Lantern mark");
    expect(valuesOf(CUE)).toEqual({ picture: mark?.hash, caption: "nowhere" });
    const output = new TestWindow(show.port);
    await output.join(outputToken());
    await output.until("welcome");
    await take(CUE);
    await output.until("event");
    const at = output.heard.findIndex(
      (message) => message.kind === "allValues" && mark && JSON.stringify(message).includes(mark.hash),
    );
    const before = output.heard.slice(0, at).filter((message) => message.kind === "documents");
    expect(at).toBeGreaterThan(0);
    expect(
      before.some((message) => message.kind === "documents" && mark && mark.hash in message.documents),
    ).toBe(true);
    output.socket.close();
  });

  test("desks are told how feeds do, and what is broken in one sentence", async () => {
    const desk = new TestWindow(show.port);
    await desk.join(show.services.links.deskToken);
    const first = await desk.until("feeds");
    expect(first.feeds.find(({ id }) => id === FEED)).toMatchObject({ rows: 2, fault: null });
    expect(await bring("many")).toMatch(/“lanterns” has “many” in row 1/);
    const told = await desk.until("feeds", ({ feeds }) =>
      feeds.some(({ id, fault }) => id === FEED && fault !== null),
    );
    expect(told.feeds.find(({ id }) => id === FEED)?.fault).toMatchObject({
      row: 1,
      column: "lanterns",
      value: "many",
    });
    const news = await desk.until("news", ({ sentence }) => sentence.includes("many"));
    expect(news.sentence).toBe(
      "“Lit”: “lanterns” has “many” in row 1, where a number belongs. Pages keep the last good values.",
    );
    await eventually(() => expect(desk.closedWith).toBeUndefined());
    desk.socket.close();
  });
});
