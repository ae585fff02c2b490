import { describe, expect, test } from "vitest";
import { findLoneLabel } from "./label.ts";
import { namingLanguage, sectionName } from "./labelWords.ts";

describe("labels", () => {
  test.each([
    ["Verse 1", "V", "1"],
    ["[Bridge]", "B", ""],
    ["CHORUS:", "C", ""],
    ["(Pre-Chorus 2)", "P", "2"],
    ["V2", "V", "2"],
    ["{Tag}", "T", ""],
    ["Chorus x2", "C", ""],
    ["Estrofa 1", "V", "1"],
    ["Coro:", "C", ""],
    ["[Puente]", "B", ""],
    ["Estribillo", "R", ""],
    ["Strophe 3", "V", "3"],
    ["Refrão", "C", ""],
    ["Couplet 2", "V", "2"],
    ["Brücke", "B", ""],
    ["Zwrotka 1", "V", "1"],
    ["Verse #4", "V", "4"],
  ])("%s is a label", (line, letter, number) => {
    const label = findLoneLabel(line);
    expect(label?.letter).toBe(letter);
    expect(label?.number).toBe(number);
  });

  test.each([
    "Carry the lamp down",
    "C",
    "Verse by verse we climb the hill",
    "and one for every ship.",
    "End of the line, we sing",
    "fin",
    "end",
    "coro de voces en el mar",
  ])("%s is sung", (line) => expect(findLoneLabel(line)).toBeUndefined());

  test("how often it is sung is read", () => {
    expect(findLoneLabel("Chorus (x3)")?.times).toBe(3);
    expect(findLoneLabel("Chorus x0")?.times).toBe(1);
  });
});

describe("names of sections", () => {
  test("are in the venue's language, in English where it has none here", () => {
    expect(sectionName("V", "2", "de-DE")).toBe("Strophe 2");
    expect(sectionName("V", "2", "ko-KR")).toBe("2절");
    expect(sectionName("C", "", "es-419")).toBe("Coro");
    expect(sectionName("C", "", "sw-KE")).toBe("Chorus");
    expect(namingLanguage("sw-KE")).toBe(namingLanguage("en-GB"));
  });
});
