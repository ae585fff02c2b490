import { expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, STARTER_OUTFITS, text } from "../../test-support/designs.ts";
import { lay, partOf, templateOf } from "../../test-support/pages.ts";
import { compileCue } from "./compile.ts";
import { pageCue } from "./cueDoc.ts";
import { stepsOf, valuesAt } from "./steps.ts";

const bench = prepareBench();

test("any field may come step by step: a text shows all of it, what has come so far, or what its step brings", () => {
  const fieldSet = {
    kind: "fieldSet" as const,
    ...{ id: "name", name: "Verses", layerId: "words", titledBy: null, stepsBy: "verses" },
    fields: [{ name: "verses", label: "Verses", hint: "", maxLength: 400, kind: "lines" as const }],
  };
  const context = { ...bench.context, fieldSets: new Map([["name", fieldSet]]) };
  const compiled = compileCue(pageCue({ fieldSet: "name", values: { verses: "one\ntwo\nthree" } }), context);
  if (!("content" in compiled)) throw new Error("not compiled");
  const { content } = compiled;
  const [outfit] = STARTER_OUTFITS;
  const anchor = stepsOf(content)[1]?.anchor;
  const values = anchor && outfit && valuesAt(content, outfit.id, anchor);
  expect(values).toMatchObject({ "verses/soFar": "one\ntwo", "verses/ofStep": "two", shown: "2" });
  const at = box(0, 0, 900, 300);
  const sizes = { min: 20, max: 60 };
  const shows = (lines: "all" | "soFar" | "ofStep") =>
    text(lines, "verses", at, sizes, { words: { kind: "field", field: "verses", lines }, revealBy: "line" });
  const { parts } = lay(
    templateOf(shows("all"), shows("soFar"), shows("ofStep")),
    { ...values },
    bench.shaper,
  );
  const linesOf = (id: string) => {
    const { content: drawn } = partOf(parts, id);
    return drawn.kind === "cells" ? drawn.cells.length : 0;
  };
  expect(["all", "soFar", "ofStep"].map(linesOf)).toEqual([3, 2, 1]);
});
