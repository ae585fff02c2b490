import { expect, test } from "vitest";
import { Throttle } from "./throttle.ts";

test("each address has a share of its own, which grows again with time and not beyond", () => {
  let atMs = 0;
  const throttle = new Throttle(10, 2, () => atMs);
  const takeAll = (address: string) =>
    Array.from({ length: 30 }, () => throttle.take(address)).filter(Boolean);
  expect(takeAll("10.0.0.1")).toHaveLength(10);
  expect(takeAll("10.0.0.2")).toHaveLength(10);
  atMs += 2_500;
  expect(takeAll("10.0.0.1")).toHaveLength(5);
  atMs += 3_600_000;
  expect(takeAll("10.0.0.1")).toHaveLength(10);
  for (let i = 0; i < 20_000; i++) throttle.take(`10.1.${i >> 8}.${i & 255}`);
  expect(takeAll("10.0.0.1")).toHaveLength(10);
});
