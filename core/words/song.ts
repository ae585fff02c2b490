import { type ReadAs, readSong, type Song, type SongProblem } from "./reader/readSong.ts";

export { SONG_MAX_LINE_LENGTH, SONG_MAX_LINES, type Song, type SongProblem } from "./reader/readSong.ts";
export type { SongSection } from "./reader/sections.ts";

/**
 * The song that a text is: sections, the order they are sung in, credits.
 * @param title as typed in a form; empty: the text says it, or its first line does
 */
export function parseSong(
  text: string,
  title = "",
  as: Omit<ReadAs, "title"> = {},
): { readonly song: Song } | { readonly problem: SongProblem } {
  const read = readSong(text, { ...as, title });
  return "problem" in read ? read : { song: read.reading.song };
}
