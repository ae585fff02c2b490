import { expect, test } from "vitest";
import { whatItIs } from "./whatItIs.ts";

test.each([
  [["Harbour talk.PDF"], "run", "slides"],
  [["Talk.pptx"], "library", "slides"],
  [["1.png", "2.jpeg"], "run", "slides"],
  [["1.png", "2.jpeg"], "library", "library"],
  [["boats.mp4", "boats.png"], "prepare", "library"],
  [["Lamp.otf"], "design", "library"],
  [["running order.txt"], "run", "rundown"],
  [["ORDER.CSV"], "library", "rundown"],
  [["pictures.zip"], "prepare", "slides"],
  [["pictures.zip"], "carry", "show"],
  [["Lantern Evening.vesko.zip"], "run", "show"],
  [["pictures.zip"], "songs", "songs"],
  [["pictures.zip"], "design", "design"],
  [["Lantern Evening.vesko.zip"], "design", "show"],
  [["order.txt"], "songs", "songs"],
  [["order.txt"], "texts", "scripture"],
  [["John.USFM", "Mark.usfm"], "run", "scripture"],
  [["web.xml"], "texts", "scripture"],
  [["scores.xml"], "run", "feed"],
  [["Race.XLSX"], "prepare", "feed"],
  [["race.csv"], "feeds", "feed"],
  [["race.csv"], "run", "rundown"],
  [["strap.template.json"], "run", "design"],
  [["dusk.style.json"], "feeds", "design"],
  [["scores.json"], "run", "feed"],
  [["scores.json"], "design", "design"],
  [["Lamp.otf"], "songs", "library"],
  [["letter.docx"], "run", undefined],
  [["no ending"], "run", undefined],
  [[], "run", undefined],
])("%j dropped on %s are taken for %s", (names, view, expected) => {
  expect(
    whatItIs(
      names.map((name) => ({ name })),
      view,
    ),
  ).toBe(expected);
});
