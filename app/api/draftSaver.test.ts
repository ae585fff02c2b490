import { describe, expect, test } from "vitest";
import { type CueDoc, pageCue } from "../../core/rundown/cueDoc.ts";
import type { CueView, EditOutcome } from "../../core/rundown/edits.ts";
import { DraftSaver } from "./draftSaver.ts";

const doc = (name: string): CueDoc => pageCue({ fieldSet: "name", values: { name } });
const view = (name: string, revision: number): CueView => ({
  cueId: "cue-under-test",
  revision,
  doc: doc(name),
  compiled: { hash: "x" },
});

/** A saver whose timers run when told and whose server answers when told. */
function setUp() {
  const sent: { doc: CueDoc; baseRevision: number; answer: (outcome: EditOutcome) => Promise<void> }[] = [];
  let waiting: (() => void) | undefined;
  const saver = new DraftSaver<CueDoc>(view("a", 1), {
    send: (sending, baseRevision) =>
      new Promise((resolve) => {
        sent.push({
          doc: sending,
          baseRevision,
          answer: async (outcome) => {
            resolve(outcome);
            await Promise.resolve();
            await Promise.resolve();
          },
        });
      }),
    onChange: () => {},
    later: (_ms, work) => {
      waiting = work;
      return () => {
        waiting = undefined;
      };
    },
  });
  return { saver, sent, elapse: () => waiting?.() };
}

const saved = (revision: number): EditOutcome => ({
  kind: "saved",
  revision,
  label: "Change",
  cueId: "cue-under-test",
});

describe("saving as typed", () => {
  test("one save at a time, each on the revision before it, the last words last", async () => {
    const { saver, sent, elapse } = setUp();
    saver.type(doc("ab"));
    saver.type(doc("abc"));
    elapse();
    expect(sent).toHaveLength(1);
    saver.type(doc("abcd"));
    elapse();
    expect(sent).toHaveLength(1);
    await sent[0]?.answer(saved(2));
    expect(sent).toHaveLength(2);
    expect(sent[1]).toMatchObject({ baseRevision: 2, doc: doc("abcd") });
    await sent[1]?.answer(saved(3));
    expect(saver.status).toEqual({ kind: "saved" });
    expect(saver.draft).toEqual(doc("abcd"));
  });

  test("news from elsewhere is taken over when nothing is unsaved, and kept out when something is", () => {
    const { saver } = setUp();
    saver.hear(view("from elsewhere", 5));
    expect(saver.draft).toEqual(doc("from elsewhere"));
    saver.type(doc("mine"));
    saver.hear(view("later still", 6));
    expect(saver.draft).toEqual(doc("mine"));
    saver.hear(view("an old answer", 2));
    expect(saver.draft).toEqual(doc("mine"));
  });

  test("a conflict keeps both until a person chooses", async () => {
    const { saver, sent, elapse } = setUp();
    saver.type(doc("mine"));
    elapse();
    await sent[0]?.answer({ kind: "conflict", by: "other", sentence: "changed", current: view("theirs", 9) });
    expect(saver.status.kind).toBe("conflict");
    saver.type(doc("mine, more"));
    elapse();
    expect(sent).toHaveLength(1);
    saver.settle("mine");
    expect(sent[1]).toMatchObject({ baseRevision: 9, doc: doc("mine, more") });
  });

  test("theirs can be taken instead", async () => {
    const { saver, sent, elapse } = setUp();
    saver.type(doc("mine"));
    elapse();
    await sent[0]?.answer({ kind: "conflict", by: "other", sentence: "changed", current: view("theirs", 9) });
    saver.settle("theirs");
    expect(saver.draft).toEqual(doc("theirs"));
    expect(saver.status.kind).toBe("saved");
  });

  test("a save that fails is told, kept and sent again", async () => {
    const { saver, sent, elapse } = setUp();
    saver.type(doc("mine"));
    elapse();
    await sent[0]?.answer({ kind: "refused", sentence: "no server" });
    expect(saver.status).toEqual({ kind: "failed", sentence: "no server" });
    elapse();
    expect(sent[1]).toMatchObject({ doc: doc("mine"), baseRevision: 1 });
  });
});
