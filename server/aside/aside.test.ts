import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, afterEach, beforeAll, describe, expect, test, vi } from "vitest";
import { createAside, INLINE_ASIDE } from "./aside.ts";
import { createKeptThread } from "./keptThread.ts";

/** Does what its input says: answers, hangs, breaks, or eats memory. */
const WORKER = new URL(
  `data:text/javascript,${encodeURIComponent(`
import { parentPort, threadId } from "node:worker_threads";
parentPort.on("message", ({ input }) => {
  switch (input.name) {
    case "hang": setInterval(() => {}, 1000); return;
    case "which": parentPort.postMessage({ result: String(threadId) }); return;
    case "end": process.exit(3);
    case "break": throw new Error("no luck");
    case "eat": { const all = []; for (;;) all.push(new Array(1e5).fill(1)); }
    default: parentPort.postMessage({ result: input.name });
  }
});`)}`,
);

const folder = mkdtempSync(join(tmpdir(), "vesko-aside-"));
afterAll(() => rmSync(folder, { recursive: true }));
beforeAll(() => void vi.spyOn(console, "error").mockImplementation(() => {}));
const run = (name: string, deadlineMs = 20_000, signal?: AbortSignal) =>
  createAside(WORKER, deadlineMs).run("checkFont", { path: "", name }, signal);

describe("work done aside", () => {
  test("answers, and tells in a sentence why it cannot", async () => {
    expect(await run("fine")).toBe("fine");
    await expect(run("hang", 200)).rejects.toThrow(/took too long and was given up.*Nothing was brought in/);
    await expect(run("break")).rejects.toThrow(/fault of ours/);
  });

  test("eats no more memory than it may", { timeout: 120_000 }, async () => {
    await expect(run("eat", 100_000)).rejects.toThrow(/more memory than may be used/);
  });

  test("ends when nobody waits for it any more", async () => {
    const asked = new AbortController();
    const work = run("hang", 20_000, asked.signal);
    asked.abort();
    await expect(work).rejects.toThrow(/called off/);
    await expect(run("fine", 20_000, asked.signal)).rejects.toThrow(/called off/);
  });

  test("two at once, the others in their turn", async () => {
    const aside = createAside(WORKER);
    const names = ["a", "b", "c", "d", "e"];
    const answers = await Promise.all(names.map((name) => aside.run("checkFont", { path: "", name })));
    expect(answers).toEqual(names);
  });

  test("a ZIP that is no ZIP is a problem with a sentence, not a failure", async () => {
    const path = join(folder, "songs.zip");
    writeFileSync(path, "PK\u0003\u0004 and nothing more");
    expect(await INLINE_ASIDE.run("readSongFile", { path, fileName: "songs.zip" })).toEqual({
      problem: expect.stringMatching(/not a whole ZIP file/),
    });
  });
});

describe("a thread that is kept", () => {
  const ask = (thread: ReturnType<typeof createKeptThread>, name: string) =>
    thread.run("checkFont", { path: "", name }) as Promise<unknown>;
  /** A job that was asked for is given to the thread a turn later. */
  const begun = () => new Promise((resolve) => setImmediate(resolve));
  const DEADLINE_MS = 20_000;
  afterEach(() => void vi.useRealTimers());

  test("does job after job in turn, in one thread; one that goes wrong costs that thread and no other job", async () => {
    // Only the one that hangs comes to its deadline, however slow the machine.
    vi.useFakeTimers({ toFake: ["setInterval", "clearInterval"] });
    const thread = createKeptThread(WORKER, DEADLINE_MS);
    const first = await ask(thread, "which");
    expect(await Promise.all([ask(thread, "a"), ask(thread, "b"), ask(thread, "which")])).toEqual([
      "a",
      "b",
      first,
    ]);
    for (const [name, why] of [
      ["hang", /took too long/],
      ["break", /fault of ours/],
      ["end", /fault of ours/],
    ] as const) {
      const wrong = ask(thread, name);
      const after = ask(thread, "after");
      if (name === "hang") await begun().then(() => vi.advanceTimersByTime(DEADLINE_MS));
      await expect(wrong).rejects.toThrow(why);
      expect(await after).toBe("after");
    }
    expect(await ask(thread, "which")).not.toBe(first);
    thread.close();
    await expect(ask(thread, "a")).rejects.toThrow(/called off/);
  });

  test("is closed in the midst of a job", async () => {
    const thread = createKeptThread(WORKER, DEADLINE_MS);
    const work = ask(thread, "hang");
    await begun();
    thread.close();
    await expect(work).rejects.toThrow(/called off/);
  });
});
