import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { type LiveValues, NO_VALUES, type ValueChange } from "../../core/values/values.ts";
import { openShow, TestWindow } from "../../test-support/openShow.ts";
import { ValueHost } from "./valueHost.ts";

const ENTRY = { kind: "entry", id: "entry-under-test" } as const;

describe("values that change often", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  test("are told together, and are on the disk within a second, in few rows", async () => {
    const written: ValueChange[][] = [];
    const told: (readonly ValueChange[])[] = [];
    const host = new ValueHost(
      NO_VALUES,
      { append: async (changes) => void written.push([...changes]) },
      Date.now,
    );
    host.onChange((changes) => told.push(changes));
    for (let i = 0; i < 200; i++) {
      host.set("quiz", { ropewalk: String(i) }, ENTRY);
      await vi.advanceTimersByTimeAsync(5);
    }
    expect(told.length).toBeLessThanOrEqual(26);
    expect(written.flat().length).toBeLessThanOrEqual(4);
    const fromMs = Date.now();
    host.set("quiz", { kiln: "9" }, ENTRY);
    while (!written.flat().some(({ cells }) => cells.kiln === "9")) await vi.advanceTimersByTimeAsync(10);
    expect(Date.now() - fromMs).toBeLessThanOrEqual(1_000);
    await host.close();
  });

  test("what the disk does not take is kept in order and written later", async () => {
    let isFull = true;
    const written: ValueChange[] = [];
    const append = async (changes: readonly ValueChange[]) => {
      if (isFull) throw Object.assign(new Error("full"), { code: "SQLITE_FULL" });
      written.push(...changes);
    };
    const host = new ValueHost(NO_VALUES, { append }, Date.now);
    host.set("quiz", { a: "1" }, ENTRY);
    await vi.advanceTimersByTimeAsync(800);
    host.set("guests", { next: "Noor" }, ENTRY);
    host.set("quiz", { a: "2" }, ENTRY);
    isFull = false;
    await vi.advanceTimersByTimeAsync(3_000);
    expect(written.map(({ tableId, cells }) => [tableId, cells])).toEqual([
      ["quiz", { a: "1" }],
      ["guests", { next: "Noor" }],
      ["quiz", { a: "2" }],
    ]);
    await host.close();
  });
});

test("there is an end to how many there may be", () => {
  const host = new ValueHost(NO_VALUES, { append: async () => undefined }, Date.now);
  const cells = Object.fromEntries(Array.from({ length: 2_000 }, (_, i) => [`cell-${i}`, "1"]));
  expect(host.set("quiz", cells, ENTRY)).toBeUndefined();
  expect(host.set("quiz", { "cell-0": "2" }, ENTRY)).toBeUndefined();
  const before = host.values;
  expect(host.set("quiz", { more: "1" }, ENTRY)).toMatch(/2000 cells/);
  for (let i = 1; i < 1_000; i++) expect(host.set(`table-${i}`, { a: "1" }, ENTRY)).toBeUndefined();
  expect(host.set("one-more", { a: "1" }, ENTRY)).toMatch(/1000 tables/);
  expect(host.values.tables.quiz).toBe(before.tables.quiz);
});

test("a take does not wait for values: while one is being written it is decided and told", async () => {
  const show = await openShow(":memory:");
  const { host } = show.services;
  let release = () => {};
  const isWriting = new Promise<void>((resolve) => {
    release = resolve;
  });
  const values = new ValueHost(NO_VALUES, { append: () => isWriting }, Date.now);
  values.set("quiz", { a: "1" }, ENTRY);
  const flushed = values.flush();
  const answer = await host.submit({ kind: "clear", id: "while-values-write", how: "cut" }, ENTRY);
  expect(answer.refused).toBe("nothingThere");
  release();
  await flushed;
  await values.close();
  await show.close();
});

test("windows have them when they come and as they change; a restart has them all; who may not score does not", async () => {
  const file = join(mkdtempSync(join(tmpdir(), "vesko-values-")), "show.db");
  const show = await openShow(file);
  const { links, values } = show.services;
  const desk = new TestWindow(show.port);
  await desk.join(links.hereToken);
  const output = new TestWindow(show.port);
  await output.join(links.tokenOfOutput("wall"), "output-under-test");
  expect((await output.until("allValues")).values.tables).toEqual({});
  desk.send({ kind: "values", tableId: "quiz", cells: { ropewalk: "142", kiln: "118" } });
  const heard = await desk.until("values", ({ changes }) =>
    changes.some(({ tableId }) => tableId === "quiz"),
  );
  // The demo's own feeds may be told in the same message.
  expect(heard.changes.filter(({ tableId }) => tableId === "quiz")).toMatchObject([
    { tableId: "quiz", cells: { ropewalk: "142", kiln: "118" }, actor: { kind: "desk" } },
  ]);
  output.send({ kind: "values", tableId: "quiz", cells: { ropewalk: "0" } });
  expect((await output.until("fault")).sentence).toMatch(/can only show/);
  // An output hears of what fills its pages, and of no other table.
  expect(
    output.heard.some((m) => m.kind === "values" && m.changes.some(({ tableId }) => tableId === "quiz")),
  ).toBe(false);
  // Many, so that they are folded.
  for (let i = 0; i < 1_200; i++) {
    values.set(i % 2 === 0 ? "quiz" : "guests", { [`row-${i % 40}`]: String(i) }, ENTRY);
    if (i % 3 === 0) await values.flush();
  }
  desk.socket.close();
  output.socket.close();
  await show.close();
  const before: LiveValues = values.values;
  const again = await openShow(file);
  expect(again.services.values.values).toEqual(before);
  expect(before.tables.quiz).toMatchObject({ ropewalk: "142" });
  await again.close();
}, 60_000);

test("once it is closed nothing is written any more, and nothing is tried again", async () => {
  vi.useFakeTimers();
  try {
    const append = vi.fn(async () => {
      throw new Error("no disk");
    });
    const host = new ValueHost(NO_VALUES, { append }, Date.now);
    host.set("quiz", { a: "1" }, ENTRY);
    await host.close();
    host.set("quiz", { a: "2" }, ENTRY);
    await vi.advanceTimersByTimeAsync(60_000);
    expect(append).toHaveBeenCalledTimes(1);
  } finally {
    vi.useRealTimers();
  }
});
