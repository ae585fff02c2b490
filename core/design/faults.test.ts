import { describe, expect, test } from "vitest";
import { box, rectangle, solid } from "../../test-support/designs.ts";
import { templateOf } from "../../test-support/pages.ts";
import type { Template } from "../scene/template.ts";
import { changed, changesOf } from "./designKinds.ts";

const shape = (id: string, more: object = {}) =>
  rectangle(id, box(0, 0, 200, 200), solid("accent"), more as never);
const made = (before: Template, wanted: Template) =>
  changed("template", before, changesOf("template", before, wanted));
const shownWith = (object: string) => ({ showWhen: { kind: "drawn", object } });

describe("what is done to a template", () => {
  const plain = templateOf(shape("a"), shape("b", shownWith("a")));

  test("may not let rules, or ties, go in a circle", () => {
    expect(
      made(plain, { ...plain, objects: [shape("a", shownWith("b")), shape("b", shownWith("a"))] }),
    ).toEqual({
      problem: expect.stringMatching(/^the show-when rules go in a circle \(.*→.*\)$/),
    });
    expect(made(plain, { ...plain, objects: [shape("a", shownWith("a"))] })).toHaveProperty("problem");
  });

  test("two changes that are right by themselves may not make a circle together", () => {
    const free = templateOf(shape("a"), shape("b"));
    const first = made(free, { ...free, objects: [shape("a", shownWith("b")), shape("b")] });
    if (!("doc" in first)) throw new Error("the first is right");
    // Thought of before the first was written, at another place.
    const second = changesOf("template", free, {
      ...free,
      objects: [shape("a"), shape("b", shownWith("a"))],
    });
    expect(changed("template", first.doc, second)).toHaveProperty("problem");
  });
});
