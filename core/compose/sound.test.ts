import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, group, make, move } from "../../test-support/designs.ts";
import { arrivingAt0 } from "../../test-support/moments.ts";
import { HD, lay, partOf, templateOf } from "../../test-support/pages.ts";
import { NO_ADJUSTMENT } from "../scene/adjustment.ts";
import type { MediaInfo } from "../scene/media.ts";
import type { SceneObject } from "../scene/objectKinds.ts";
import { composeSlot } from "./compose.ts";
import { type Placement, placementsAt } from "./placements.ts";
import { stillUntil } from "./stillUntil.ts";

const bench = prepareBench();
const BELL: MediaInfo = {
  ...{
    kind: "media",
    name: "bell.wav",
    type: "sound",
    mime: "audio/wav",
    file: "e".repeat(64),
    poster: null,
  },
  ...{ widthPx: 0, heightPx: 0, hasAlpha: false, durationMs: 3_000, hasSound: true, key: null },
};
const bell = (more = {}) =>
  make("sound", {
    id: "bell",
    box: box(0, 0, 0, 0),
    source: { kind: "field", field: "sound" },
    level: 0.8,
    ...more,
  });
const page = (objects: SceneObject[], more = {}) =>
  lay(templateOf(...objects), { sound: "e".repeat(64) }, bench.shaper, { media: () => BELL, ...more });
const heard = (objects: SceneObject[], ms: number, more = {}) => {
  const laidOut = page(objects, more);
  const pieces = composeSlot([arrivingAt0], "words", () => ({ templateHash: "one", laidOut }));
  const find = (all: readonly Placement[]): Placement | undefined =>
    all.map((one) => (one.kind === "group" ? find(one.children) : one)).find((one) => one?.kind === "sound");
  const found = find(placementsAt({ pieces }, ms, HD));
  return found?.kind === "sound" ? found : undefined;
};

describe("a sound of a page", () => {
  test("plays by the page's clock and is gone at its end, or begins again", () => {
    expect(heard([bell()], 1_200)).toMatchObject({
      positionMs: 1_200,
      isPlaying: true,
      gain: 1,
      sound: { level: 0.8 },
    });
    expect(heard([bell()], 3_001)).toBeUndefined();
    expect(heard([bell({ atEnd: "loop" })], 7_500)).toMatchObject({ positionMs: 1_500, isPlaying: true });
  });

  test("fades by its own track and with its group", () => {
    const enter = [move("opacity", 0, 1, 1_000, 0, "linear")];
    expect(heard([bell({ motion: { enter } })], 250)?.gain).toBeCloseTo(0.25, 6);
    expect(heard([group("g", box(0, 0, 9, 9), [bell()], { motion: { enter } })], 250)?.gain).toBeCloseTo(
      0.25,
      6,
    );
  });

  test("a page decides how loud it is and whether it begins again", () => {
    const adjust = { sound: { ...NO_ADJUSTMENT, level: 0.3, isLooped: true } };
    const { content } = partOf(page([bell()], { adjust }).parts, "bell");
    expect(content).toMatchObject({ kind: "sound", level: 0.3, atEnd: "loop" });
  });

  test("nothing is drawn for it, and it is looked after from time to time", () => {
    const laidOut = page([bell()]);
    const pieces = composeSlot([arrivingAt0], "words", () => ({ templateHash: "one", laidOut }));
    expect(stillUntil({ pieces }, 1_000)).toBe(1_500);
  });

  test("a picture or nothing in its place is told, or silent", () => {
    const picture = { ...BELL, type: "picture", durationMs: null } as MediaInfo;
    expect(page([bell()], { media: () => picture }).findings.map(({ code }) => code)).toEqual(["wrongMedia"]);
    expect(lay(templateOf(bell()), { sound: "" }, bench.shaper).findings).toEqual([]);
  });
});
