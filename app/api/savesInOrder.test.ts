import { describe, expect, test } from "vitest";
import { SavesInOrder } from "./savesInOrder.ts";

interface Doc {
  readonly a: number;
  readonly b: number;
}

/** A server that answers when it is told to. */
function slowServer(answers: boolean[]) {
  const asked: [Doc, number][] = [];
  const waiting: ((done: boolean) => void)[] = [];
  return {
    asked,
    save: (doc: Doc, baseRevision: number) => {
      asked.push([doc, baseRevision]);
      return new Promise<boolean>((resolve) => waiting.push(resolve));
    },
    answer: async () => {
      waiting.shift()?.(answers.shift() ?? true);
      await new Promise((resolve) => setImmediate(resolve));
    },
  };
}

describe("changes that come quicker than they are saved", () => {
  test("each is built on the one before, though the server has not told of it yet", async () => {
    const server = slowServer([true, true]);
    const saves = new SavesInOrder<Doc>({ revision: 3, doc: { a: 1, b: 1 } }, server.save, () => {});
    saves.change({ a: 2 });
    saves.change({ b: 2 });
    expect(server.asked).toEqual([[{ a: 2, b: 1 }, 3]]);
    await server.answer();
    expect(server.asked[1]).toEqual([{ a: 2, b: 2 }, 4]);
    // What it tells late does not undo what was done since.
    saves.hear({ revision: 4, doc: { a: 2, b: 1 } });
    await server.answer();
    expect(saves.doc).toEqual({ a: 2, b: 2 });
    saves.hear({ revision: 5, doc: { a: 2, b: 2 } });
    saves.hear({ revision: 6, doc: { a: 7, b: 2 } });
    expect(saves.doc).toEqual({ a: 7, b: 2 });
  });

  test("what is refused goes back to how the server has it", async () => {
    const server = slowServer([false]);
    const saves = new SavesInOrder<Doc>({ revision: 3, doc: { a: 1, b: 1 } }, server.save, () => {});
    saves.change({ a: 2 });
    saves.hear({ revision: 4, doc: { a: 9, b: 9 } });
    expect(saves.doc).toEqual({ a: 2, b: 1 });
    await server.answer();
    expect(saves.doc).toEqual({ a: 9, b: 9 });
    saves.change({ b: 3 });
    expect(server.asked[1]).toEqual([{ a: 9, b: 3 }, 4]);
  });
});
