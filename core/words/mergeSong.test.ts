import { describe, expect, test } from "vitest";
import { mergeSongs } from "./mergeSong.ts";
import { songOf } from "./songFields.ts";

const THEN = songOf("Lamp", "Verse 1\nwhen the lamps are low\nand the tide is in\n\nChorus\ncarry it home");

describe("two changes of one song", () => {
  test("of different lines and fields are both kept, and nothing is asked", () => {
    const theirs = { ...THEN, text: THEN.text.replace("tide is in", "tide is out"), order: "V1 C C" };
    const ours = {
      ...THEN,
      text: THEN.text.replace("carry it home", "carry it home again"),
      title: "Lamp on the Quay",
    };
    const merged = mergeSongs(THEN, theirs, ours);
    expect(merged.conflicts).toEqual([]);
    expect(merged.changed).toEqual({ theirs: ["text", "order"], ours: ["title", "text"] });
    expect(merged.settle(() => "ours")).toMatchObject({
      title: "Lamp on the Quay",
      order: "V1 C C",
      text: "Verse 1\nwhen the lamps are low\nand the tide is out\n\nChorus\ncarry it home again",
    });
  });

  test("of the same line are asked, with what it was", () => {
    const theirs = { ...THEN, text: THEN.text.replace("low", "lit") };
    const ours = { ...THEN, text: THEN.text.replace("low", "high") };
    const merged = mergeSongs(THEN, theirs, ours);
    expect(merged.conflicts).toEqual([
      {
        field: "text",
        before: "when the lamps are low",
        theirs: "when the lamps are lit",
        ours: "when the lamps are high",
      },
    ]);
    expect(merged.settle(() => "theirs").text).toBe(theirs.text);
    expect(merged.settle(() => "ours").text).toBe(ours.text);
  });

  test("alike are one change", () => {
    const both = { ...THEN, text: THEN.text.replace("low", "lit") };
    expect(mergeSongs(THEN, both, both).conflicts).toEqual([]);
    expect(mergeSongs(THEN, both, both).settle(() => "ours").text).toBe(both.text);
  });

  test("of one side alone are that side’s", () => {
    const theirs = { ...THEN, credits: { ...THEN.credits, year: "1998" } };
    expect(mergeSongs(THEN, theirs, THEN).settle(() => "ours").credits.year).toBe("1998");
  });
});
