import { expect, test } from "vitest";
import { oncePer } from "./oncePer.ts";

test("each object once, one that makes nothing too, and never another's", () => {
  const asked: string[] = [];
  const upperCase = oncePer((of: { readonly name: string }) => {
    asked.push(of.name);
    return of.name === "" ? undefined : of.name.toUpperCase();
  });
  const [bell, none] = [{ name: "bell" }, { name: "" }];
  expect([bell, none, bell, none, { name: "bell" }].map(upperCase)).toEqual([
    "BELL",
    undefined,
    "BELL",
    undefined,
    "BELL",
  ]);
  expect(asked).toEqual(["bell", "", "bell"]);
});
