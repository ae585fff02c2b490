import { expect, test } from "vitest";
import { FIELD_KINDS, fieldKind } from "./fieldKinds.ts";
import { fieldNamesOf } from "./fieldSet.ts";

const takes = (kind: keyof typeof FIELD_KINDS, typed: string) =>
  fieldKind(kind).schema.safeParse(typed).success;

test("every kind takes what it usually holds, and has a name of its own", () => {
  const kinds = Object.entries(FIELD_KINDS);
  for (const [, { schema, usual }] of kinds) expect(schema.safeParse(usual).success).toBe(true);
  expect(new Set(kinds.map(([, { name }]) => name)).size).toBe(kinds.length);
});

test("numbers, times, yes and no: what they take and what they do not", () => {
  expect(["12", "£ 1,250 so far", "-3.5", ""].map((typed) => takes("number", typed))).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect(["twelve", "3 of 4"].map((typed) => takes("number", typed))).toEqual([false, false]);
  expect(["19:00", "25:00", "5", "24 Dec 18:00", ""].map((typed) => takes("time", typed))).toEqual(
    Array(5).fill(true),
  );
  expect(["soon", "31.02. 18:00"].map((typed) => takes("time", typed))).toEqual([false, false]);
  expect([takes("yesNo", "yes"), takes("yesNo", ""), takes("yesNo", "perhaps")]).toEqual([true, true, false]);
});

test("a template may show the fields of its pages, those that songs fill by themselves, and what a step fills", () => {
  const set = {
    kind: "fieldSet" as const,
    id: "s",
    name: "S",
    layerId: "words",
    fields: [],
    titledBy: null,
    stepsBy: null,
    made: ["words"],
  };
  expect(fieldNamesOf(set)).toEqual(["words", "shown", "next"]);
});
