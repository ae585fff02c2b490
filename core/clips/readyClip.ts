import type { MediaInfo } from "../scene/media.ts";
import type { Clip } from "./clip.ts";

/** A clip of the list with what can be played of it. */
export interface ReadyClip {
  readonly clip: Clip;
  /** What it is called on air. */
  readonly title: string;
  /** Field → words, by its mapping. */
  readonly details: Readonly<Record<string, string>>;
  /** Null: it is not in the library any more. */
  readonly media: MediaInfo | null;
}
