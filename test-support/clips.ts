import { type ClipEnd, clipSchema } from "../core/clips/clip.ts";
import type { ClipPlay } from "../core/clips/clipPlay.ts";
import type { ReadyClip } from "../core/clips/readyClip.ts";
import { type MediaInfo, mediaInfoSchema } from "../core/scene/media.ts";

/** A film of the library. @param hash the first letters of its file's name */
export const film = (durationMs: number, hash = "ab"): MediaInfo =>
  mediaInfoSchema.parse({
    ...{ kind: "media", name: "clip.webm", type: "video", mime: "video/webm", file: hash.padEnd(64, "0") },
    ...{ poster: null, widthPx: 640, heightPx: 360, hasAlpha: false, durationMs, hasSound: false, key: null },
  });

/** A clip of the list, called "Film" and its id. */
export const readyClip = (
  id: string,
  atEnd: ClipEnd = "hold",
  durationMs = 60_000,
  more: Partial<ReadyClip> = {},
): ReadyClip => ({
  clip: clipSchema.parse({ id, name: id, mediaId: id, atEnd }),
  ...{ title: `Film ${id}`, details: {}, media: film(durationMs) },
  ...more,
});

/** It, begun at a server time. */
export const clipPlay = (of: ReadyClip, atMs: number, by: ClipPlay["by"] = "here"): ClipPlay => ({
  ...{ clipId: of.clip.id, title: of.title, media: of.media, lengthMs: of.media?.durationMs ?? 1 },
  ...{ atEnd: of.clip.atEnd, by, begunAtMs: atMs, atMs, fromMs: 0, isPaused: false, isOver: false },
});
