import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Change, inverseOf } from "../../core/design/changes.ts";
import { changesOf } from "../../core/design/designKinds.ts";
import type { Template } from "../../core/scene/template.ts";
import { BEFORE_DESIGNS } from "../../test-support/olderShow.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import type { DesignStore } from "./designStore.ts";
import { docOf } from "./designStore.ts";
import { wardrobesOf } from "./wardrobes.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-designs-"));
const file = join(folder, "show.db");
const ONE = "person-one";
const TWO = "person-two";
let show: OpenShow;
let nowMs = 0;

beforeAll(async () => {
  show = await openShow(file);
});
afterAll(async () => {
  await show.close();
  rmSync(folder, { recursive: true });
});

const STRAP = { kind: "template", id: "full-name" } as const;
const designs = (): DesignStore => show.services.designs;
const strap = () => {
  const design = designs().find("template", STRAP.id);
  if (!design) throw new Error("there is no strap");
  return design;
};
const draft = (): Template => docOf(strap());
const named = (name: string): Change[] => changesOf("template", draft(), { ...draft(), name });
const moved = (at: number, x: number): Change[] => {
  const objects = draft().objects.map((object, i) =>
    i === at && "box" in object ? { ...object, box: { ...object.box, x } } : object,
  );
  return changesOf("template", draft(), { ...draft(), objects });
};
const later = (ms: number): number => {
  nowMs += ms;
  return nowMs;
};
const change = async (changes: readonly Change[], actor = ONE, label = "Move", joins = false) => {
  const result = await designs().change(STRAP, changes, { actor, label, atMs: later(10_000), joins });
  return "problem" in result ? result.problem : undefined;
};
const step = async (actor: string, direction: "undo" | "redo") => {
  const result = await designs().step(STRAP, actor, direction);
  return "problem" in result ? result.problem : result.label;
};

/** What outfits wear, by hash. */
const wornIn = (store: DesignStore) =>
  wardrobesOf(store).map(({ templates, ...outfit }) => ({
    ...outfit,
    templates: [...templates].map(([set, offered]) => [set, offered.map(({ hash }) => hash)]).sort(),
  }));

describe("things made in Design", () => {
  test("a draft is worn by nobody until it is published, and then has another version beside those before", async () => {
    const before = strap().published;
    const worn = wornIn(designs());
    expect(await change(named("Strap, broader"), ONE, "Rename")).toBeUndefined();
    expect(draft().name).toBe("Strap, broader");
    expect(wornIn(designs())).toEqual(worn);
    const published = await designs().publish(STRAP, { actor: ONE, atMs: later(1), note: "Broader" });
    expect(published.published?.number).toBe(2);
    expect(published.published?.hash).not.toBe(before?.hash);
    expect(wornIn(designs())).not.toEqual(worn);
    expect((await designs().versions(STRAP)).map(({ number, note }) => [number, note])).toEqual([
      [2, "Broader"],
      [1, ""],
    ]);
    expect(await designs().version(STRAP, 1)).toEqual(before?.doc);
  });

  test("each person goes back over the own steps alone, and forward again, over a restart", async () => {
    const start = draft();
    await change(moved(0, 111), ONE, "Move the bar");
    await change(moved(1, 222), TWO, "Move the name");
    await change(named("Third"), ONE, "Rename");
    await show.close();
    show = await openShow(file);
    expect(await designs().steps(STRAP, ONE)).toEqual({ undo: "Rename", redo: null });
    expect(await step(ONE, "undo")).toBe("Rename");
    expect(await step(ONE, "undo")).toBe("Move the bar");
    const box = (at: number) => (draft().objects[at] as { box: { x: number } }).box.x;
    expect([box(0), box(1)]).toEqual([(start.objects[0] as { box: { x: number } }).box.x, 222]);
    expect(await step(ONE, "redo")).toBe("Move the bar");
    expect(box(0)).toBe(111);
    // A change of the own ends what could be done again.
    await change(moved(0, 112));
    expect((await designs().steps(STRAP, ONE)).redo).toBeNull();
    await step(ONE, "undo");
    expect(box(0)).toBe(111);
    await step(ONE, "undo");
    expect(await step(TWO, "undo")).toBe("Move the name");
    expect(draft()).toEqual(start);
    expect(strap().draft).toBeNull();
  });

  test("what somebody else changed since is not stepped over, and not written over", async () => {
    const seen = moved(0, 301);
    await change(moved(0, 300), TWO);
    expect(await change(seen)).toMatch(/Somebody else changed the same place meanwhile/);
    await change(moved(0, 305), ONE);
    expect(await step(TWO, "undo")).toMatch(/“Move” cannot be undone: somebody else has changed/);
    expect(await step(ONE, "undo")).toBe("Move");
    expect(await step(TWO, "undo")).toBe("Move");
  });

  test("dragging is one step back", async () => {
    const start = draft();
    for (const x of [1, 2, 3]) {
      const how = { actor: ONE, label: "Drag", atMs: later(100), joins: true };
      await designs().change(STRAP, moved(0, x), how);
    }
    expect(await step(ONE, "undo")).toBe("Drag");
    expect(draft()).toEqual(start);
  });

  test("what would be no template any more is refused in a sentence", async () => {
    const start = draft();
    const [first] = moved(0, 10) as [Change];
    const broken = { ...first, after: "wide" };
    expect(await change([broken])).toMatch(/cannot be done: .*Nothing was changed/);
    expect(await change(inverseOf([{ path: ["canvas"], after: { widthPx: 1920, heightPx: 1080 } }]))).toMatch(
      /cannot be done/,
    );
    expect(draft()).toEqual(start);
  });

  test("what is taken away can be put back", async () => {
    expect(await designs().remove([STRAP], nowMs)).toBe(true);
    expect(designs().find("template", STRAP.id)).toBeUndefined();
    expect(await change([])).toMatch(/deleted meanwhile/);
    expect(await designs().putBack(STRAP)).toBe(true);
    expect(strap().published?.number).toBe(2);
  });
});

test("a show of before keeps what its outfits wear, under the same hashes, and what is on air", async () => {
  const before = join(folder, "before.db");
  const first = await openShow(before);
  const { host, rundown } = first.services;
  const [cue] = rundown.ready();
  if (!cue) throw new Error("nothing can be taken");
  const target = { cueId: cue.cueId, content: cue.hash, step: { occurrence: "page", unit: 0 } };
  const by = { kind: "desk", id: "desk-under-test" } as const;
  await host.submit(
    { kind: "take", id: "take-of-before", how: "cut", builtOn: host.state.airRevision, target },
    by,
  );
  const wornBefore = wornIn(first.services.designs);
  const hashes = rundown.ready().map(({ hash }) => hash);
  const { style } = first.services.house;
  await first.close();
  const database = new SQLite(before);
  database.exec(BEFORE_DESIGNS);
  database.close();
  const again = await openShow(before);
  expect(wornIn(again.services.designs)).toEqual(wornBefore);
  expect(again.services.rundown.ready().map(({ hash }) => hash)).toEqual(hashes);
  expect(again.services.host.state.slots).toEqual(host.state.slots);
  expect(again.services.house.style).toEqual(style);
  expect(again.services.designs.find("style", again.services.house.styleId)?.published?.doc).toEqual(style);
  const names = again.services.designs.list("style").map(({ published }) => published?.doc.name);
  expect(new Set(names).size).toBe(names.length);
  expect(again.services.designs.list("fieldSet").length).toBeGreaterThan(10);
  await again.close();
});

test("a start that ends while it adds what ships leaves all or nothing of it; the next goes on", async () => {
  const file = join(folder, "ended.db");
  await (await openShow(file)).close();
  const inFile = (sql: string) => {
    const database = new SQLite(file);
    database.exec(sql);
    const { n } = database.prepare("select count(*) n from design where kind = 'fieldSet'").get() as {
      n: number;
    };
    database.close();
    return n;
  };
  const whole = inFile("");
  inFile(`delete from design where kind = 'fieldSet';
    create trigger ends before insert on design when new.id = 'words' begin select raise(abort, 'ended here'); end`);
  await expect(openShow(file)).rejects.toThrow("ended here");
  expect(inFile("drop trigger ends")).toBe(0);
  await (await openShow(file)).close();
  expect(inFile("")).toBe(whole);
  // What an older version left of it in part.
  inFile("delete from design where kind = 'fieldSet' and id in ('words', 'name')");
  await (await openShow(file)).close();
  expect(inFile("")).toBe(whole);
});
