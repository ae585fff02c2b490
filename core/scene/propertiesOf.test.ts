import { expect, test } from "vitest";
import { OBJECT_KINDS } from "./objectKinds.ts";
import { PROPERTY_GROUPS } from "./properties.ts";
import { propertiesOf } from "./propertiesOf.ts";

const KINDS = [...Object.keys(OBJECT_KINDS), "group"] as (keyof typeof OBJECT_KINDS | "group")[];

test.each(KINDS)(
  "every property of a %s has a name, a group and a way to be set; names are told apart",
  (kind) => {
    const properties = propertiesOf(kind);
    expect(properties.length).toBeGreaterThan(8);
    for (const { title, group } of properties) {
      expect(title).toMatch(/^[A-Z]/);
      expect(PROPERTY_GROUPS).toContain(group);
    }
    const titles = properties.map(({ title, group }) => `${group}/${title}`);
    expect(new Set(titles).size).toBe(titles.length);
  },
);

test("ranges, units, choices and what is usual come from the schema itself", () => {
  const of = (kind: keyof typeof OBJECT_KINDS, name: string) =>
    propertiesOf(kind).find((one) => one.name === name);
  expect(of("text", "maxSizePx")).toMatchObject({
    title: "Size",
    unit: "px",
    control: { kind: "number", min: 4, max: 2_000, mayBeMeasure: true },
    usual: undefined,
  });
  expect(of("text", "mode")).toMatchObject({
    control: { kind: "choice", values: ["fit", "wrap", "condense", "clip"] },
    usual: "fit",
  });
  expect(of("rectangle", "opacity")).toMatchObject({
    control: { kind: "number", min: 0, max: 1, mayBeMeasure: false },
    usual: 1,
  });
  expect(of("crawl", "passes")).toMatchObject({ isNullable: true, usual: null });
  expect(of("bars", "sorted")).toMatchObject({ control: { kind: "switch" }, usual: false });
});
