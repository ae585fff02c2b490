import { expect, test } from "vitest";
import { STARTER_OUTFITS } from "../../test-support/designs.ts";
import type { SceneObject } from "./objectKinds.ts";
import { readTemplate } from "./readTemplate.ts";
import type { Template } from "./template.ts";
import { findTooLarge, TEMPLATE_LIMITS } from "./templateLimits.ts";

const [shipped] = STARTER_OUTFITS.flatMap(({ templates }) => templates) as [Template];
const rectangle = shipped.objects.find(({ kind }) => kind === "rectangle") as SceneObject & { box: object };
const small = (id: string) => ({ ...rectangle, id, box: { ...rectangle.box, width: 10, height: 10 } });
const some = (count: number, prefix: string) =>
  Array.from({ length: count }, (_, i) => small(`${prefix}-${i}`));
const group = (id: string, objects: readonly unknown[]) => ({
  ...small(id),
  kind: "group",
  blend: "normal",
  clip: { kind: "none" },
  objects,
});
const templateOf = (objects: readonly unknown[]): Template => ({ ...shipped, objects }) as Template;

test("as many objects as may be are read and offered, one more is refused by the number", () => {
  const most = templateOf(some(TEMPLATE_LIMITS.objects, "box"));
  expect(findTooLarge(most)).toBeUndefined();
  expect(readTemplate(JSON.stringify(most))).toMatchObject({ problems: [] });
  const more = templateOf(some(TEMPLATE_LIMITS.objects + 1, "box"));
  expect(findTooLarge(more)).toMatch(/has 201 objects.*at most 200/);
  expect(readTemplate(JSON.stringify(more))).toMatchObject({ problem: expect.stringMatching(/201 objects/) });
});

test("members of groups count: what is many inside is many", () => {
  const {
    fill: _,
    border: __,
    ...bare
  } = group("group", some(TEMPLATE_LIMITS.objects, "in")) as Record<string, unknown>;
  expect(findTooLarge(templateOf([bare]))).toMatch(/has 201 objects/);
});

test("a file of the largest size is read, a longer one says the same limit", () => {
  const padded = (bytes: number) => JSON.stringify(shipped).padEnd(bytes, " ");
  expect(readTemplate(padded(TEMPLATE_LIMITS.bytes))).toMatchObject({ problems: [] });
  expect(readTemplate(padded(TEMPLATE_LIMITS.bytes + 1))).toMatchObject({
    problem: expect.stringMatching(/larger than 1 MB/),
  });
  // Bytes are counted, not letters.
  expect(
    readTemplate(JSON.stringify({ ...shipped, note: "灯".repeat(TEMPLATE_LIMITS.bytes / 3) })),
  ).toMatchObject({
    problem: expect.stringMatching(/larger than 1 MB/),
  });
});
