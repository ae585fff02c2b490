import { describe, expect, test } from "vitest";
import { z } from "zod";
import { lanternEvening } from "../../test-support/demo.ts";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { outputSchema, screenPlanSchema } from "../venue/plan.ts";
import { readChordPro } from "../words/chordPro.ts";
import { nameForReference } from "../words/reference/books.ts";
import { cueDocSchema, pageCue } from "./cueDoc.ts";

/** What every object has, whatever was put into it. */
const EVERYBODYS = Object.getOwnPropertyNames(Object.prototype);

describe("names are data", () => {
  test.each(EVERYBODYS)("“%s” names no output, plan, cue or field", (name) => {
    expect(nameSchema(60).safeParse(name).success).toBe(false);
    const stored = byNameSchema(z.number()).safeParse(JSON.parse(`{"${name}": 1}`));
    expect(Object.hasOwn(stored.data ?? {}, name)).toBe(false);
    const [output] = lanternEvening().show.outputs;
    expect(outputSchema.safeParse({ ...output, id: name }).success).toBe(false);
    expect(screenPlanSchema.safeParse({ id: name, name: "Plan", outputs: {} }).success).toBe(false);
    const cue = { ...pageCue({ fieldSet: "name", values: {} }), values: JSON.parse(`{"${name}": "x"}`) };
    const read = cueDocSchema.safeParse(cue);
    if (read.success) expect(Object.keys((read.data as { values: object }).values)).toEqual([]);
  });

  test("and what people call their things may be anything", () => {
    const [output] = lanternEvening().show.outputs;
    for (const name of EVERYBODYS) expect(outputSchema.safeParse({ ...output, name }).success).toBe(true);
  });

  test.each(EVERYBODYS)("a song with “%s” as a directive, or as its language, is read", (name) => {
    const song = readChordPro(
      `{title: Names}\n{${name}: x}\n{language: ${name}}\n{meta: ${name} y}\none line`,
    );
    expect(song.title).toBe("Names");
    expect(song.text.trim()).toBe("one line");
    expect(nameForReference("Ps", name)).toBe("Psalm");
  });
});
