import { expect, test } from "vitest";
import { oncePerText } from "./oncePerText.ts";

test("each text once, one that makes nothing too", () => {
  const asked: string[] = [];
  const upperCase = oncePerText((text) => {
    asked.push(text);
    return text === "" ? undefined : text.toUpperCase();
  });
  expect(["bell", "", "bell", "", `be${"ll"}`].map(upperCase)).toEqual([
    "BELL",
    undefined,
    "BELL",
    undefined,
    "BELL",
  ]);
  expect(asked).toEqual(["bell", ""]);
});
