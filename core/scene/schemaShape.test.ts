import { expect, test } from "vitest";
import { z } from "zod";
import { groupShape } from "./kinds/group.ts";
import { OBJECT_KINDS } from "./objectKinds.ts";
import { type Shape, shapeOf } from "./schemaShape.ts";

const KINDS = {
  ...Object.fromEntries(
    Object.entries(OBJECT_KINDS).map(([name, { schema }]) => [name, schema as unknown as z.ZodObject]),
  ),
  group: z.strictObject(groupShape),
};

test.each(Object.keys(KINDS))("a person can set everything that the format says of a %s", (kind) => {
  const seen = new Set<Shape>();
  const walk = (shape: Shape, where: string): void => {
    if (seen.has(shape)) return;
    seen.add(shape);
    switch (shape.kind) {
      case "record":
        for (const { name, title, shape: inner } of shape.entries) {
          expect(title, where).toMatch(/^[A-Z]/);
          walk(inner, `${where}.${name}`);
        }
        break;
      case "list":
        walk(shape.item, `${where}[]`);
        break;
      case "tuple":
        for (const item of shape.items) walk(item, where);
        break;
      case "nothingOr":
        walk(shape.shape, where);
        break;
      case "measure":
        walk(shape.named, where);
        break;
      case "oneOf":
        for (const option of shape.options) walk(option.shape, `${where}/${option.name}`);
        break;
      case "either":
        for (const option of shape.options) walk(option, where);
        break;
    }
  };
  walk(shapeOf(KINDS[kind as keyof typeof KINDS] as z.ZodType), kind);
  expect(seen.size).toBeGreaterThan(10);
});
