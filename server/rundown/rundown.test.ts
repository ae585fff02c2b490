import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type CueDoc, pageCue, readingCue, songCue } from "../../core/rundown/cueDoc.ts";
import type { Edit } from "../../core/rundown/edits.ts";
import { eventually } from "../../test-support/eventually.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";

let show: OpenShow;
beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

let atMs = 1_000_000;
const ME = "person-under-test";
const OTHER = "another-person";
const edit = (wanted: Edit, actor = ME) => {
  atMs += 10_000;
  return show.services.rundown.edit(actor, wanted, atMs);
};
const views = () => show.services.rundown.views();
const titles = () =>
  views().map(({ doc }) =>
    doc.kind === "page"
      ? Object.values(doc.values)[0]
      : doc.kind === "song"
        ? doc.title
        : doc.kind === "reading"
          ? doc.reference
          : "",
  );
const name = (value: string): CueDoc => pageCue({ fieldSet: "name", values: { name: value, role: "" } });

describe("the rundown", () => {
  test("adds, changes, moves, duplicates and deletes, and every one of them can be undone and done again", async () => {
    const start = titles();
    const last = views().at(-1)?.cueId ?? null;
    await edit({ kind: "addCue", cueId: "added-cue", doc: name("Added"), afterId: last });
    const { revision } = views().at(-1) ?? { revision: 0 };
    await edit({ kind: "changeCue", cueId: "added-cue", doc: name("Changed"), baseRevision: revision });
    await edit({ kind: "duplicateCue", cueId: "added-cue", newId: "second-cue" });
    await edit({ kind: "moveCue", cueId: "second-cue", afterId: null });
    expect(titles()).toEqual(["Changed", ...start, "Changed"]);
    await edit({ kind: "deleteCue", cueId: "added-cue" });
    const done = titles();
    for (let i = 0; i < 5; i++) expect(await edit({ kind: "undo" })).toMatchObject({ kind: "saved" });
    expect(titles()).toEqual(start);
    expect(await edit({ kind: "undo" })).toMatchObject({
      kind: "refused",
      sentence: expect.stringContaining("nothing to undo"),
    });
    for (let i = 0; i < 5; i++) expect(await edit({ kind: "redo" })).toMatchObject({ kind: "saved" });
    expect(titles()).toEqual(done);
    expect(await edit({ kind: "redo" })).toMatchObject({ kind: "refused" });
    await edit({ kind: "deleteCue", cueId: "second-cue" });
  });

  test("a change built on an older revision is not saved over the newer one", async () => {
    await edit({ kind: "addCue", cueId: "shared-cue", doc: name("one"), afterId: null });
    const base = views()[0]?.revision ?? 0;
    await edit({ kind: "changeCue", cueId: "shared-cue", doc: name("two"), baseRevision: base }, OTHER);
    expect(
      await edit({ kind: "changeCue", cueId: "shared-cue", doc: name("mine"), baseRevision: base }),
    ).toMatchObject({
      kind: "conflict",
      current: { doc: name("two") },
    });
    expect(titles()[0]).toBe("two");
  });

  test("a save whose answer was lost is saved; what one has changed oneself is not told as another's", async () => {
    await edit({ kind: "addCue", cueId: "own-cue", doc: name("one"), afterId: null });
    const base = views()[0]?.revision ?? 0;
    const save = (words: string, actor = ME) =>
      edit({ kind: "changeCue", cueId: "own-cue", doc: name(words), baseRevision: base }, actor);
    const first = await save("two");
    // Sent again after a crash: the very same words.
    expect(await save("two")).toEqual(first);
    expect(await save("three")).toMatchObject({
      kind: "conflict",
      by: "own",
      sentence: expect.stringMatching(/saved from here already.*Your words are still here/),
    });
    expect(await save("of another", OTHER)).toMatchObject({
      by: "other",
      sentence: expect.stringMatching(/somewhere else/),
    });
    await edit({ kind: "undo" });
    expect(await save("typed meanwhile")).toMatchObject({
      by: "ownUndo",
      sentence: expect.stringMatching(/Your own undo/),
    });
    expect(titles()[0]).toBe("one");
  });

  test("undo is one's own, and stops at what somebody else changed since", async () => {
    await edit({ kind: "addCue", cueId: "cue-of-mine", doc: name("mine"), afterId: null });
    const base = views()[0]?.revision ?? 0;
    await edit({ kind: "changeCue", cueId: "cue-of-mine", doc: name("theirs"), baseRevision: base }, OTHER);
    expect(await edit({ kind: "undo" })).toMatchObject({
      kind: "refused",
      sentence: expect.stringContaining("Somebody changed"),
    });
    expect(titles()[0]).toBe("theirs");
    expect(await edit({ kind: "undo" }, OTHER)).toMatchObject({ kind: "saved" });
    expect(titles()[0]).toBe("mine");
  });

  test("typing that goes on is one edit to undo", async () => {
    await edit({ kind: "addCue", cueId: "typed-cue", doc: name("a"), afterId: null }, OTHER);
    for (const words of ["ab", "abc", "abcd"]) {
      const baseRevision = views()[0]?.revision ?? 0;
      atMs += 100;
      await show.services.rundown.edit(
        OTHER,
        { kind: "changeCue", cueId: "typed-cue", doc: name(words), baseRevision },
        atMs,
      );
    }
    await edit({ kind: "undo" }, OTHER);
    expect(titles()[0]).toBe("a");
  });

  test("an edit of a cue on air leaves the air alone", async () => {
    const { host, rundown } = show.services;
    const cue = rundown.ready().find(({ cueId }) => cueId === "typed-cue");
    if (!cue) throw new Error("the cue is not ready");
    const step = { occurrence: "page", unit: 0 };
    await host.submit(
      {
        kind: "take",
        id: "take-the-typed",
        how: "cut",
        builtOn: host.state.airRevision,
        target: { cueId: cue.cueId, content: cue.hash, step },
      },
      { kind: "desk", id: "desk-under-test" },
    );
    const before = host.state;
    await edit({
      kind: "changeCue",
      cueId: "typed-cue",
      doc: name("edited on air"),
      baseRevision: views()[0]?.revision ?? 0,
    });
    await edit({ kind: "deleteCue", cueId: "typed-cue" });
    expect(host.state).toBe(before);
    expect(show.services.contents.find(cue.hash)).toMatchObject({ title: "a" });
  });

  test("a duplicate that is edited or deleted leaves the original's content alone", async () => {
    await edit({ kind: "addCue", cueId: "the-original", doc: name("twice"), afterId: null });
    await edit({ kind: "duplicateCue", cueId: "the-original", newId: "the-duplicate" });
    const hash = () =>
      show.services.rundown.ready().find(({ cueId }) => cueId === "the-original")?.hash ?? "";
    const { revision } = views().find(({ cueId }) => cueId === "the-duplicate") ?? { revision: 0 };
    await edit({ kind: "changeCue", cueId: "the-duplicate", doc: name("once"), baseRevision: revision });
    expect(show.services.contents.find(hash())).toMatchObject({ title: "twice" });
    await edit({ kind: "duplicateCue", cueId: "the-original", newId: "another-duplicate" });
    await edit({ kind: "deleteCue", cueId: "another-duplicate" });
    expect(show.services.contents.find(hash())).toMatchObject({ title: "twice" });
  });

  test("what cannot be compiled stays in the rundown with a sentence and is not taken", async () => {
    const reading = readingCue({ reference: "Ps 151:2", text: "web" });
    await edit({ kind: "addCue", cueId: "bad-reading", doc: reading, afterId: null });
    expect(views()[0]?.compiled).toMatchObject({
      problem: { code: "unreadReference", sentence: "There is no Psalm 151; Psalms has 150 psalms." },
    });
    expect(show.services.rundown.ready().some(({ cueId }) => cueId === "bad-reading")).toBe(false);
    expect(await edit({ kind: "deleteCue", cueId: "never-was-there" })).toMatchObject({ kind: "refused" });
  });

  test("many cues at once come by and by: the server does other things meanwhile, and nothing is lost", async () => {
    const { rundown, host } = show.services;
    const verse = (i: number) =>
      `Verse ${i}\n${"a lantern for the harbour and the long way home again\n".repeat(6)}`;
    const cues = Array.from({ length: 150 }, (_, i) => ({
      cueId: `many-songs-${i}`,
      doc: songCue({ title: `Song ${i}`, text: [i, i + 1, i + 2].map(verse).join("\n") }),
    }));
    const before = rundown.ready().length;
    const tellings: number[] = [];
    rundown.onChange(({ changed }) => {
      tellings.push(changed.filter(({ compiled }) => "hash" in compiled).length);
    });
    expect(await edit({ kind: "addCues", cues, afterId: null })).toMatchObject({ kind: "saved" });
    expect(views().some(({ compiled }) => "pending" in compiled)).toBe(true);
    // A command is answered while they are being made.
    const answer = await host.submit({ kind: "disarm", id: "while-they-come" }, { kind: "timer" });
    expect(answer.refused).toBeNull();
    expect(views().some(({ compiled }) => "pending" in compiled)).toBe(true);
    await eventually(() => expect(views().some(({ compiled }) => "pending" in compiled)).toBe(false));
    expect(rundown.ready()).toHaveLength(before + cues.length);
    expect(tellings.length).toBeGreaterThan(1);
    expect(tellings.reduce((sum, count) => sum + count)).toBeGreaterThanOrEqual(cues.length);
    await edit({ kind: "undo" });
    expect(rundown.ready()).toHaveLength(before);
  });
});
