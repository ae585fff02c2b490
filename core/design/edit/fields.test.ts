import { describe, expect, test } from "vitest";
import { box, FIELD_SETS, make } from "../../../test-support/designs.ts";
import { templateOf } from "../../../test-support/pages.ts";
import { FIELD_KINDS, type FieldKindName } from "../../scene/fieldKinds.ts";
import { type FieldSet, fieldSetSchema } from "../../scene/fieldSet.ts";
import {
  addField,
  changeField,
  fieldNameFor,
  missingIn,
  moveField,
  notShown,
  removeField,
  shownBy,
} from "./fields.ts";

const NAME = FIELD_SETS.find(({ id }) => id === "name") as FieldSet;
const names = (set: FieldSet) => set.fields.map(({ name }) => name).join(" ");

describe("fields", () => {
  test.each(Object.keys(FIELD_KINDS) as FieldKindName[])("one of the kind %s is one that is kept", (kind) => {
    const { set, name } = addField(NAME, "Score of the home side", kind);
    expect(name).toBe("scoreOfTheHomeSide");
    expect(fieldSetSchema.parse(set)).toEqual(set);
  });

  test.each([
    ["Name", "name2"],
    ["  ", "field"],
    ["Zahl der Läufe", "zahlDerLaufe"],
    ["constructor", "constructor2"],
    ["next", "next2"],
    ["得点", "得点"],
  ])("“%s” is called %s in the format", (label, name) => {
    expect(fieldNameFor(NAME, label)).toBe(name);
    expect(fieldSetSchema.safeParse(addField(NAME, label.trim() || "Field", "line").set).success).toBe(true);
  });

  test("are changed, moved and taken away, and nothing names what is gone", () => {
    const set = { ...addField(NAME, "From", "line").set, titledBy: "role", stepsBy: "role" };
    expect(names(moveField(set, "from", -1))).toBe("name from role");
    expect(moveField(set, "name", -1)).toBe(set);
    expect(changeField(set, "role", { label: "What they do" }).fields[1]?.label).toBe("What they do");
    expect(removeField(set, "role")).toMatchObject({ titledBy: null, stepsBy: null });
    expect(names(removeField(set, "role"))).toBe("name from");
  });

  test("are found where a template shows them, asks for them or is coloured by them", () => {
    const text = make("text", {
      ...{ id: "who", box: box(0, 0, 400, 80), minSizePx: 20, maxSizePx: 40 },
      words: { kind: "written", text: "{name} of {from}" },
      editing: { name: "Who it is", isLocked: false, note: "" },
    });
    const bar = make("rectangle", {
      ...{ id: "bar", box: box(0, 0, 9, 9) },
      showWhen: { kind: "notEmpty", field: "name" },
    });
    expect(Object.fromEntries(shownBy(templateOf(text, bar)))).toEqual({
      name: ["Who it is", "bar"],
      from: ["Who it is"],
    });
    expect(notShown(templateOf(text, bar), NAME).map(({ name }) => name)).toEqual(["role"]);
  });

  test("what a template does not show is told, but for what only names a page and nothing shows", () => {
    const set = fieldSetSchema.parse({ ...NAME, titledBy: "name" });
    const bare = templateOf(make("rectangle", { id: "bar", box: box(0, 0, 10, 10) }));
    const own = { ...bare, fieldSet: set.id };
    const words = make("text", {
      id: "words",
      box: box(0, 0, 100, 20),
      words: { kind: "field", field: "name" },
      fill: { kind: "none" },
      minSizePx: 10,
      maxSizePx: 20,
    });
    const other = { ...templateOf(words), fieldSet: set.id };
    const told = (all: readonly (typeof own)[]) => missingIn(own, set, all).map(({ name }) => name);
    expect(told([own])).toEqual(["role"]);
    expect(told([own, other])).toEqual(["name", "role"]);
    expect(told([own, { ...other, fieldSet: "title" }])).toEqual(["role"]);
    // Where no field is said to name pages, the first that has words does.
    const plain = { ...set, titledBy: null };
    expect(missingIn(own, plain, [own]).map(({ name }) => name)).toEqual(told([own]));
  });
});
