import { expect, test } from "vitest";
import { type RundownLine, rundownMarkdown } from "./rundownFile.ts";

const line = (number: number, title: string, more: Partial<RundownLine> = {}): RundownLine => ({
  ...{
    number,
    title,
    at: "",
    kind: "Song",
    lengthMs: null,
    byItself: "",
    note: "",
    isOff: false,
    isHeading: false,
  },
  ...more,
});

test("parts of the evening are headings with a table each, and no title breaks out of its cell", () => {
  const text = rundownMarkdown("Lantern | Evening", "2026-12-01", [
    line(1, "Welcome", { isHeading: true }),
    line(2, "Nine Bells | No Wind", { at: "19:05", lengthMs: 185_000, note: "two\nlines" }),
    line(3, "*Left* out", { isOff: true }),
  ]);
  expect(text).toBe(`# Lantern \\| Evening

2026-12-01

## Welcome

| No. | At | Cue | Kind | Length | Note |
| ---: | :--- | :--- | :--- | ---: | :--- |
| 2 | 19:05 | Nine Bells \\| No Wind | Song | 3:05 | two · lines |
| 3 |  | ~~\\*Left\\* out~~ | Song |  |  |
`);
});
