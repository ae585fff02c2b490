import { readFileSync } from "node:fs";
import { type ProbedPicture, probePicture } from "./probePicture.ts";
import { type ProbedSound, probeSound, soundMimeOf } from "./probeSound.ts";
import { type ProbedVideo, probeVideo } from "./probeVideo.ts";

const SOUND_NAME = /\.(mp3|wav|ogg|oga|flac|m4a|aac)$/i;

type Found<T> = Exclude<T, { readonly problem: string }>;

export type ProbedMedia =
  | ({ readonly type: "picture" } & Found<ProbedPicture>)
  | ({ readonly type: "video"; readonly hasPoster: boolean } & Found<ProbedVideo>)
  | ({ readonly type: "sound" } & Found<ProbedSound>)
  | { readonly problem: string };

/** Looks a file of the library through: what it is, whether it is whole, and whether its still is a picture. */
export async function probeMedia({
  path,
  name,
  poster,
}: {
  readonly path: string;
  /** As the person's file is called. */
  readonly name: string;
  readonly poster: Uint8Array;
}): Promise<ProbedMedia> {
  const bytes = readFileSync(path);
  const video = await probeVideo(bytes);
  if (!("problem" in video)) {
    const hasPoster = poster.length > 0 && !("problem" in (await probePicture(poster)));
    return { type: "video", hasPoster, ...video };
  }
  if (soundMimeOf(bytes)) {
    const sound = await probeSound(bytes);
    // A clip without a picture may be a sound; a broken clip is told as one.
    if (!("problem" in sound)) return { type: "sound", ...sound };
    if (SOUND_NAME.test(name)) return sound;
  }
  const picture = await probePicture(bytes);
  if ("problem" in picture) return /\.(webm|mp4|mov|mkv)$/i.test(name) ? video : picture;
  return { type: "picture", ...picture };
}
