import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { pageCue } from "../../core/rundown/kinds/page/doc.ts";
import { dropKeptDraft, findKeptDraft, keepDraft, keptDraftIds, openDraft } from "./keptDrafts.ts";

const entries = new Map<string, string>();
beforeEach(() => {
  entries.clear();
  const storage = {
    getItem: (key: string) => entries.get(key) ?? null,
    setItem: (key: string, value: string) => {
      entries.set(key, value);
      Object.assign(storage, { [key]: value });
    },
    removeItem: (key: string) => {
      entries.delete(key);
      delete (storage as Record<string, unknown>)[key];
    },
  };
  vi.stubGlobal("localStorage", storage);
});
afterEach(() => vi.unstubAllGlobals());

const key = { kind: "cue", id: "c1" } as const;
const doc = pageCue({ fieldSet: "name", values: { name: "Ilse Tarrow" }, template: "Small" });

test("what was kept is found until it is dropped, and listed while it is not open", () => {
  keepDraft(key, { doc, revision: 7 });
  expect(findKeptDraft(key)).toEqual({ doc, revision: 7 });
  expect(keptDraftIds("cue")).toEqual(["c1"]);
  expect(keptDraftIds("song")).toEqual([]);
  const close = openDraft(key);
  expect(keptDraftIds("cue")).toEqual([]);
  close();
  dropKeptDraft(key);
  expect(findKeptDraft(key)).toBeUndefined();
  expect(keptDraftIds("cue")).toEqual([]);
});

test("what a version before this one kept is read as it is called now", () => {
  const { template, ...others } = doc as typeof doc & { template: string };
  entries.set("vesko-kept-draft/cue/c1", JSON.stringify({ doc: { ...others, look: template }, revision: 3 }));
  expect(findKeptDraft(key)).toEqual({ doc, revision: 3 });
});

test("what a version before this one did not know stands at what is usual", () => {
  const { layerId: _, ...others } = doc as typeof doc & { layerId: null };
  entries.set(
    "vesko-kept-draft/cue/c1",
    JSON.stringify({ doc: { ...others, formatVersion: 2 }, revision: 3 }),
  );
  expect(findKeptDraft(key)).toEqual({ doc, revision: 3 });
});

test("what the server refuses is kept as it was typed", () => {
  const long = { ...doc, note: "x".repeat(50_000) };
  keepDraft(key, { doc: long, revision: 1 });
  expect(findKeptDraft(key)?.doc.note).toHaveLength(50_000);
});

test.each(["{", "null", `{"doc":[],"revision":1}`, `{"doc":{"formatVersion":99},"revision":1}`])(
  "what nobody can read is not taken for a draft: %s",
  (text) => {
    entries.set("vesko-kept-draft/cue/c1", text);
    expect(findKeptDraft(key)).toBeUndefined();
  },
);
