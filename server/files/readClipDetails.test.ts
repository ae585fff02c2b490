import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { LONGEST_ELEMENT, MOST_ELEMENTS } from "../../core/clips/clip.ts";
import { readClipDetails } from "./readClipDetails.ts";

const read = (text: string | Uint8Array) =>
  readClipDetails({ bytes: typeof text === "string" ? new TextEncoder().encode(text) : text });

describe("what the file beside a clip says", () => {
  test("elements and attributes by their paths; those of one path are joined", () => {
    const bytes = readFileSync("demo/clips/lanterns-rise.xml");
    expect(read(bytes)).toEqual({
      elements: {
        "film/@id": "MQ-033",
        "film/heading": "Lanterns rise over Ropewalk",
        "film/maker/name": "Ines Falk",
        "film/maker/town": "Kiln Lane",
        "film/year": "2025",
      },
    });
    expect(read("<c><by>Ana</by><by>Ida</by></c>")).toEqual({ elements: { "c/by": "Ana, Ida" } });
  });

  test("any script, in the encoding that it says", () => {
    expect(read("<клип><имя>Ночь в гавани</имя></клип>")).toEqual({
      elements: { "клип/имя": "Ночь в гавани" },
    });
    const latin = Buffer.from(`<?xml version="1.0" encoding="ISO-8859-1"?><a><b>Fähre</b></a>`, "latin1");
    expect(read(latin)).toEqual({ elements: { "a/b": "Fähre" } });
    const wide = Buffer.from("\ufeff<a><b>灯火</b></a>", "utf16le");
    expect(read(wide)).toEqual({ elements: { "a/b": "灯火" } });
  });

  test("what is written with marks is words", () => {
    expect(read("<a><b>Salt &amp; rope</b><c><![CDATA[1 < 2]]></c></a>")).toEqual({
      elements: { "a/b": "Salt & rope", "a/c": "1 < 2" },
    });
  });

  test.each([
    ["<a><b>never closed</a>", /not whole XML/],
    ["no XML at all", /not whole XML/],
    ["", /not whole XML/],
    ["<a><b/></a>", /nothing is written/],
    [`<!DOCTYPE l [<!ENTITY a "ha"><!ENTITY b "&a;&a;">]><l><x>&b;</x></l>`, /document type/],
    [`<!doctype l SYSTEM "file:///etc/passwd"><l>x</l>`, /document type/],
    [`${"<a>".repeat(5_000)}x${"</a>".repeat(5_000)}`, /deep|not whole/],
  ])("is told why it is not read: %#", (text, why) => {
    const answer = read(text);
    expect("problem" in answer ? answer.problem : answer).toMatch(why);
  });

  test("is bounded, and makes no names that stand for something else", () => {
    const many = `<a>${Array.from({ length: 500 }, (_, i) => `<e${i}>${"x".repeat(2_000)}</e${i}>`).join("")}</a>`;
    const answer = read(many);
    const elements = "elements" in answer ? answer.elements : {};
    expect(Object.keys(elements)).toHaveLength(MOST_ELEMENTS);
    expect(elements["a/e0"]).toHaveLength(LONGEST_ELEMENT);
    expect(read("<a><__proto__>x</__proto__></a>")).toHaveProperty("problem");
  });
});
