import { expect, test } from "vitest";
import { templateOf } from "../../../test-support/pages.ts";
import { type LeafKindName, OBJECT_KINDS } from "../../scene/objectKinds.ts";
import { newObject } from "./newObject.ts";

test.each(Object.keys(OBJECT_KINDS) as LeafKindName[])("a new %s is one that the format knows", (kind) => {
  const object = newObject(templateOf(), kind);
  expect(OBJECT_KINDS[kind].schema.parse(object)).toEqual(object);
  const { width, height } = object.box as { width: number; height: number };
  expect(Math.min(width, height)).toBeGreaterThan(5);
});
