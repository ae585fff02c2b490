import { describe, expect, test, vi } from "vitest";
import type { LoggedEvent } from "../../core/show/events.ts";
import type { ShowState } from "../../core/show/state.ts";
import { eventually } from "../../test-support/eventually.ts";
import { KeptJournal } from "./journal.ts";

const event = (seq: number) => ({ seq }) as LoggedEvent;
const state = (seq: number) => ({ seq }) as ShowState;
const full = Object.assign(new Error("database or disk is full"), { code: "SQLITE_FULL" });

function rig() {
  const written: number[] = [];
  const referred: string[] = [];
  let trouble: Error | undefined;
  const journal = new KeptJournal(
    {
      append: async (events, refersTo) => {
        if (trouble) throw trouble;
        written.push(...events.map(({ seq }) => seq));
        referred.push(...refersTo);
      },
    },
    () => 1_000,
  );
  return { journal, written, referred, fail: (error?: Error) => (trouble = error) };
}

describe("the air while the disk cannot be written", () => {
  test("goes on in memory, says so, and is written in order when there is room", async () => {
    const { journal, written, referred, fail } = rig();
    const told = vi.fn();
    journal.onChange(told);
    await journal.append([event(1)], ["a"], state(1));
    fail(full);
    await journal.append([event(2), event(3)], ["b"], state(3));
    await journal.append([event(4)], ["c"], state(4));
    expect(journal.unwritten).toEqual({ events: 3, sinceMs: 1_000 });
    expect(await journal.flush()).toBe(false);
    expect(written).toEqual([1]);
    fail();
    expect(await journal.flush()).toBe(true);
    expect(written).toEqual([1, 2, 3, 4]);
    expect(referred).toEqual(["a", "b", "c"]);
    expect(told.mock.calls.map(([unwritten]) => unwritten?.events ?? 0)).toEqual([2, 3, 0]);
    await journal.append([event(5)], [], state(5));
    expect(written).toEqual([1, 2, 3, 4, 5]);
    journal.close();
  });

  test("tries again by itself, at once where another program only has the file for a moment", async () => {
    const { journal, written, fail } = rig();
    fail(Object.assign(new Error("database is locked"), { code: "SQLITE_BUSY" }));
    await journal.append([event(1)], [], state(1));
    fail();
    await eventually(() => expect(written).toEqual([1]));
    expect(journal.unwritten).toBeNull();
  });

  test("a fault of ours is no fault of the disk: nothing is taken for done", async () => {
    const { journal, fail } = rig();
    fail(new Error("a broken invariant"));
    await expect(journal.append([event(1)], [], state(1))).rejects.toThrow("invariant");
    expect(journal.unwritten).toBeNull();
  });
});
