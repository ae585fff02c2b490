import { describe, expect, test } from "vitest";
import { creditLine, findMissingCredits, joinCredits, NO_CREDITS, nameMissing } from "./credits.ts";
import { readCredits } from "./reader/creditLine.ts";

describe("credits", () => {
  test("are read from the lines at the end of a text", () => {
    expect(readCredits(["Words and music: Ilse Tarrow", "© 1998 Net Loft Press", "Song no. 40118"])).toEqual({
      writers: "Words and music: Ilse Tarrow",
      publisher: "Net Loft Press",
      year: "1998",
      number: "40118",
      publicDomain: false,
    });
    expect(readCredits(["Tune: traditional. Public domain."])).toMatchObject({
      writers: "Tune: traditional",
      publicDomain: true,
    });
  });

  test("what was typed goes before what the text says", () => {
    const read = readCredits(["Words: A", "© 1998 B"]);
    expect(joinCredits({ ...NO_CREDITS, writers: "C" }, read)).toMatchObject({
      writers: "C",
      publisher: "B",
      year: "1998",
    });
  });

  test("make one line, with the venue's licence where one is needed", () => {
    const credits = { ...NO_CREDITS, writers: "Words: A", publisher: "B", year: "1998" };
    expect(creditLine(credits, "40118")).toBe("Words: A · © 1998 B · Licence 40118");
    expect(creditLine({ ...credits, number: "77" }, "40118")).toBe(
      "Words: A · © 1998 B · Song no. 77 · Licence 40118",
    );
    expect(creditLine({ ...credits, publicDomain: true }, "40118")).toBe("Words: A · Public domain");
    expect(creditLine(NO_CREDITS, "")).toBe("");
  });

  test("what is missing is listed; a song in the public domain needs its writers only", () => {
    expect(findMissingCredits(NO_CREDITS, "").map(({ place }) => place)).toEqual([
      "writers",
      "publisher",
      "year",
      "number",
      "licence",
    ]);
    expect(findMissingCredits({ ...NO_CREDITS, publicDomain: true, writers: "A" }, "")).toEqual([]);
    expect(
      nameMissing(
        findMissingCredits(NO_CREDITS, "").filter(({ place }) => place === "year" || place === "licence"),
      ),
    ).toBe("the year, the venue’s licence number");
  });
});
