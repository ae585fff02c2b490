import { describe, expect, test } from "vitest";
import { clipPlay, film, readyClip } from "../../test-support/clips.ts";
import { clipAhead } from "./clipAhead.ts";

const [one, two, three] = ["0", "1", "2"].map((id) =>
  readyClip(id, "hold", 6_000, { media: film(6_000, id) }),
);
if (!one || !two || !three) throw new Error("three clips");
const LIST = [one, two, three];

describe("the clip that comes next", () => {
  test("is the one after that which plays, and the first before any plays", () => {
    expect(clipAhead(null, LIST)).toBe(one.media);
    expect(clipAhead(clipPlay(one, 0), LIST)).toBe(two.media);
    expect(clipAhead(clipPlay(two, 0), LIST)).toBe(three.media);
  });

  test("is none after the last, in an empty list, after one that was taken out, and beside another player", () => {
    expect(clipAhead(clipPlay(three, 0), LIST)).toBeNull();
    expect(clipAhead(null, [])).toBeNull();
    expect(clipAhead(clipPlay(readyClip("gone"), 0), LIST)).toBeNull();
    expect(clipAhead(clipPlay(one, 0, "player"), LIST)).toBeNull();
  });

  test("is none where its file is not in the library any more", () => {
    expect(clipAhead(null, [{ ...one, media: null }])).toBeNull();
  });
});
