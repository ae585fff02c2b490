import { describe, expect, test } from "vitest";
import { findHelp } from "./findHelp.ts";
import { GUIDES, guideOfLink, pictureOf, SECTIONS } from "./guides.ts";
import { HELP_OF_VIEWS, helpAt } from "./helpOfViews.ts";
import { idOfHeading, sectionsOf } from "./sections.ts";

describe("the help", () => {
  test("each view is helped at a section that is there", () => {
    for (const [view, { guide, section }] of Object.entries(HELP_OF_VIEWS)) {
      const known = SECTIONS.filter((each) => each.guide === guide).map(({ id }) => id);
      expect(["", ...known], view).toContain(section);
    }
    expect(helpAt("/design/template/words")).toEqual(HELP_OF_VIEWS.design);
    expect(helpAt("/nowhere").guide).toBe("first-evening");
  });

  test("no two sections of a guide have one address, links lead to guides and pictures are there", () => {
    for (const guide of GUIDES) {
      const ids = sectionsOf(guide).map(({ id }) => id);
      expect(new Set(ids).size, guide.id).toBe(ids.length);
      for (const [, href = ""] of guide.text.matchAll(/(?<!!)\[[^\]]*\]\(([^)]*)\)/g))
        expect(guideOfLink(href), `${guide.id}: ${href}`).toBeDefined();
      for (const [, source = ""] of guide.text.matchAll(/!\[[^\]]*\]\(([^)]*)\)/g))
        expect(pictureOf(source), `${guide.id}: ${source}`).toBeDefined();
    }
  });

  test("a heading's address is made of its letters and digits, in any script", () => {
    expect(idOfHeading("What it is, and what it is not")).toBe("what-it-is-and-what-it-is-not");
    expect(idOfHeading("¿Qué más?")).toBe("qué-más");
  });

  test("is found by what a hurried person types", () => {
    const titles = (query: string) => findHelp(query, SECTIONS).map(({ section }) => section.title);
    expect(titles("how do i restore")).toContain("Getting something back");
    expect(titles("disk full")).toContain("The disk");
    expect(titles("camera")[0]).toBe("Cameras");
    expect(titles("second machine")[0]).toBe("A second machine");
    expect(titles("black")).toContain("A screen");
    expect(titles("projector kiosk").length).toBe(0);
    expect(titles("ps")).toEqual([]);
    const [found] = findHelp("restore", SECTIONS);
    expect(found?.words).toMatch(/restore/i);
  });
});
