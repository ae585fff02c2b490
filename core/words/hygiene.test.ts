import { describe, expect, test } from "vitest";
import { cleanPasted, describeCleaning } from "./hygiene.ts";

const clean = (text: string) => cleanPasted(text).text;

describe("what a paste is cleaned of", () => {
  test.each([
    ['He said "light it" and went', "He said “light it” and went"],
    ["it's the boats' hour, 'tis late", "it’s the boats’ hour, ’tis late"],
    ["('we light it')", "(‘we light it’)"],
    ["rock 'n' roll", "rock ’n’ roll"],
    ["a mast 6' tall", "a mast 6' tall"],
  ])("straight quotes: %s", (typed, expected) => expect(clean(typed)).toBe(expected));

  test.each([
    ["one -- and then another", "one – and then another"],
    ["one - another", "one – another"],
    ["Gannet-Steps stay", "Gannet-Steps stay"],
    ["wait...", "wait…"],
  ])("dashes and dots: %s", (typed, expected) => expect(clean(typed)).toBe(expected));

  test("stray spaces, tabs and invisible characters", () => {
    expect(clean("  carry \t the   lamp , down\u200b\ufeff \r\nlow\u00ad\u00a0 ")).toBe(
      "carry the lamp, down\nlow",
    );
    expect(clean("Où est la lampe ?")).toBe("Où est la lampe ?");
  });

  test("a text all in capitals is written as sentences; labels and a shouted word stay", () => {
    expect(clean("VERSE 1\nCARRY THE LAMP DOWN,\nAND I WILL FOLLOW. WE GO.")).toBe(
      "VERSE 1\nCarry the lamp down,\nAnd I will follow. We go.",
    );
    expect(clean("Carry the LAMP down")).toBe("Carry the LAMP down");
    expect(clean("SOS")).toBe("SOS");
  });

  test("lines of chords go, unless they are kept", () => {
    const text = "G  D  Em\nCarry the lamp down\nA\nlone letter";
    expect(clean(text)).toBe("Carry the lamp down\nA\nlone letter");
    expect(cleanPasted(text, ["chords", "spaces"]).text).toBe(text);
  });

  test("it says what it did, and that it did nothing", () => {
    expect(describeCleaning(cleanPasted('"a" "b"\nG D\nx  y'))).toBe(
      "Cleaned: 1 line with stray spaces, 4 straight quotes, 1 line of chords",
    );
    expect(cleanPasted("Harbour kind, harbour wide,\nhold the ones").done).toEqual([]);
  });

  test("what is clean is left to the letter, in any script", () => {
    for (const text of [
      "धन्यवाद, क्षितिज",
      "مرحبا بالعالم",
      "שלום",
      "“done” – well…",
      "नमस्ते\u200dदुनिया",
      "한국어 가사",
    ])
      expect(clean(text)).toBe(text.normalize("NFC"));
  });
});
