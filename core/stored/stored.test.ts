import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { z } from "zod";
import { STORED_KINDS } from "./kinds.ts";
import { fromStored, readStored, type StoredKind, toStored, versionOf, writeStored } from "./storedKind.ts";

const SAMPLES = join(import.meta.dirname, "samples");
const sampleName = (name: string, version: number) => join(SAMPLES, `${name}.v${version}.json`);
const kinds = Object.entries(STORED_KINDS) as unknown as [string, StoredKind<unknown>][];
const versions = kinds.flatMap(([name, kind]) =>
  Array.from({ length: versionOf(kind) }, (_, i) => ({ name, version: i + 1, kind })),
);

test.each(versions)(
  "$name of version $version, as it was written then, is read today",
  ({ name, version, kind }) => {
    const sample = sampleName(name, version);
    expect(existsSync(sample), `a kept sample ${sample}`).toBe(true);
    const text = readFileSync(sample, "utf8");
    expect((JSON.parse(text) as { formatVersion?: number }).formatVersion ?? 1).toBe(version);
    const read = readStored(kind, text);
    if ("problem" in read) throw new Error(read.problem);
    expect(readStored(kind, writeStored(kind, read.value))).toEqual({ value: read.value });
  },
);

test("every sample belongs to a version that is read", () => {
  const wanted = versions.map(({ name, version }) => `${name}.v${version}.json`);
  expect(readdirSync(SAMPLES).sort()).toEqual(wanted.sort());
});

test("an undone take of before is an undone act; the place in the script is the line", () => {
  const read = (name: keyof typeof STORED_KINDS, version: number) =>
    readStored<unknown>(
      STORED_KINDS[name] as StoredKind<unknown>,
      readFileSync(sampleName(name, version), "utf8"),
    );
  expect(read("airEvent", 1)).toEqual({ value: { kind: "undone", actId: "an-old-take", startAtMs: 5 } });
  const then = read("showState", 1) as { value: { line: unknown; acts: unknown[] } };
  const now = read("showState", 2) as { value: { line: { at: unknown } } };
  expect(then.value.line).toEqual({ at: now.value.line.at, asides: [] });
  expect(then.value.acts).toEqual([]);
});

test("what a cue and a song called look and cuts before is read as template and breaks", () => {
  const page = fromStored(STORED_KINDS.cue, {
    kind: "page",
    fieldSet: "name",
    values: {},
    look: "Small",
    stayMs: null,
  });
  expect(page).toMatchObject({ value: { kind: "page", template: "Small" } });
  for (const name of ["cue", "song"] as const) {
    const old = JSON.parse(readFileSync(sampleName(name, 1), "utf8")) as { cuts: unknown[] };
    expect(old.cuts).toHaveLength(1);
    expect(fromStored(STORED_KINDS[name] as StoredKind<unknown>, old)).toMatchObject({
      value: { breaks: old.cuts },
    });
  }
});

const kind: StoredKind<{ name: string; sizePx: number }> = {
  name: "box",
  schema: z.strictObject({ name: z.string(), sizePx: z.number() }),
  steps: [
    ({ title, ...others }) => ({ ...others, name: title }),
    (box) => ({ ...box, sizePx: Number(box.sizePx) * 10 }),
  ],
};

test("each version goes through the steps that it has not been through", () => {
  expect(fromStored(kind, { title: "A", sizePx: 2 })).toEqual({ value: { name: "A", sizePx: 20 } });
  expect(fromStored(kind, { formatVersion: 2, name: "A", sizePx: 2 })).toEqual({
    value: { name: "A", sizePx: 20 },
  });
  expect(fromStored(kind, { formatVersion: 3, name: "A", sizePx: 2 })).toEqual({
    value: { name: "A", sizePx: 2 },
  });
  expect(toStored(kind, { name: "A", sizePx: 2 })).toEqual({ formatVersion: 3, name: "A", sizePx: 2 });
});

test.each([
  ["{", "it is not whole"],
  ["[]", "it is not a document"],
  [`{"formatVersion":4,"name":"A","sizePx":1}`, "it is of version 4, and this program reads up to 3"],
  [`{"formatVersion":"x"}`, "it says “x” as its version"],
  [`{"formatVersion":3,"name":"A"}`, /^sizePx: /],
])("what cannot be read says why: %s", (text, why) => {
  const read = readStored(kind, text);
  expect("problem" in read && read.problem).toMatch(why);
});

test("what could not be read back is not written", () => {
  expect(() => writeStored(kind, { name: "A" } as never)).toThrow();
});
