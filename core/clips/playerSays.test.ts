import { expect, test } from "vitest";
import { clipSchema } from "./clip.ts";
import { hearPlayer, type PlayerSaid, playOfPlayer } from "./playerSays.ts";
import type { ReadyClip } from "./readyClip.ts";

const ADDRESSES = { oscClip: "/player/clip", oscPlace: "/player/place" };
type Args = Parameters<typeof hearPlayer>[2];
const hear = (said: PlayerSaid | null, address: string, args: Args, atMs = 1_000) =>
  hearPlayer(said, address, args, ADDRESSES, atMs);
const playing = hear(null, "/player/clip", ["Lanterns rise.mov", 24]) as PlayerSaid;

test("a clip, its place, and its end", () => {
  expect(playing).toEqual({
    name: "Lanterns rise.mov",
    lengthMs: 24_000,
    placeMs: 0,
    isRunning: true,
    atMs: 1_000,
  });
  expect(hear(playing, "/player/clip", ["Lanterns rise.mov", 24])).toBe(playing);
  expect(hear(playing, "/player/place", [6.5, 0], 9_000)).toMatchObject({
    placeMs: 6_500,
    isRunning: false,
    atMs: 9_000,
  });
  expect(hear(playing, "/player/clip", ["", 0])).toBeNull();
});

test("what is not understood changes nothing", () => {
  for (const [address, args] of [
    ["/player/clip", [7, 24]],
    ["/player/clip", ["x", "24"]],
    ["/player/clip", ["x", -1]],
    ["/player/clip", ["x", Number.NaN]],
    ["/player/clip", []],
    ["/player/place", ["six"]],
    ["/player/place", [-3]],
    ["/elsewhere", [1]],
  ] as const)
    expect(hear(playing, address, args)).toBe(playing);
  expect(hear(null, "/player/place", [3])).toBeNull();
});

test("it is the clip of the list that is called so, however it is written; one that is not there has its own name", () => {
  const media = (durationMs: number) => ({ durationMs }) as ReadyClip["media"];
  const clip = clipSchema.parse({ id: "a", name: "LANTERNS RISE", mediaId: "m" });
  const ready = { clip, title: "Lanterns", details: {}, media: media(24_040) };
  expect(playOfPlayer(playing, [ready])).toMatchObject({
    ...{ clipId: "a", title: "Lanterns", by: "player", media: ready.media },
  });
  // The library has another cut of it.
  expect(playOfPlayer(playing, [{ ...ready, media: media(30_000) }]).media).toBeNull();
  expect(playOfPlayer(playing, [])).toMatchObject({
    ...{ title: "Lanterns rise.mov", isPaused: false, begunAtMs: 1_000, media: null },
  });
});
