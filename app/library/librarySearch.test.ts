import { describe, expect, test } from "vitest";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { LibraryItem } from "../api/loaded.ts";
import { EVERYTHING, foldersOf, isLookedFor, tagsOf } from "./librarySearch.ts";

const info: MediaInfo = {
  kind: "media",
  name: "Étoile d’hiver.png",
  type: "picture",
  mime: "image/png",
  file: "a".repeat(64),
  poster: null,
  widthPx: 1,
  heightPx: 1,
  hasAlpha: true,
  durationMs: null,
  hasSound: false,
  key: null,
};
const item: LibraryItem = { id: "star", info, folder: "Advent/Stars", tags: ["night"], uses: [] };

describe("the library is searched", () => {
  test("by words of name, folder and tags, whatever their case and accents", () => {
    for (const typed of ["", "etoile", "HIVER star", "night advent", "Étoile"])
      expect(isLookedFor(item, { ...EVERYTHING, typed })).toBe(true);
    expect(isLookedFor(item, { ...EVERYTHING, typed: "etoile summer" })).toBe(false);
  });
  test("by kind, folder with what is within it, tag, and use", () => {
    const found = (search: object) => isLookedFor(item, { ...EVERYTHING, ...search });
    expect([found({ type: "picture" }), found({ type: "video" })]).toEqual([true, false]);
    expect(["Advent", "Advent/Stars", "Adv", "Stars"].map((folder) => found({ folder }))).toEqual([
      true,
      true,
      false,
      false,
    ]);
    expect([found({ tag: "night" }), found({ tag: "day" })]).toEqual([true, false]);
    const used = { ...item, uses: [{ kind: "cue", cueId: "c", title: "T" }] as const };
    expect(isLookedFor(used, { ...EVERYTHING, isUnusedOnly: true })).toBe(false);
  });
  test("folders around folders are offered, and tags by how often they are used", () => {
    expect(foldersOf([item, { folder: "" }, { folder: "Beds" }])).toEqual(["Advent", "Advent/Stars", "Beds"]);
    expect(tagsOf([item, { tags: ["day"] }, { tags: ["day", "noon"] }])).toEqual(["day", "night", "noon"]);
  });
});
