import { readFileSync } from "node:fs";
import { isChordPro, readChordPro } from "../../core/words/chordPro.ts";
import { parseSong, SONG_MAX_LINES } from "../../core/words/song.ts";
import { type SongFields, songOf, songSchema } from "../../core/words/songFields.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import { unzipFiles } from "../files/unzip.ts";

const SONG_FILE = /\.(txt|cho|crd|chopro|chordpro|pro|text)$/i;
const LARGEST_SONG_BYTES = 400_000;

export type ReadSongs =
  | {
      readonly songs: readonly SongFields[];
      /** Files that are not songs, each with why. */
      readonly left: readonly string[];
    }
  | { readonly problem: string };

/** Songs from a file: one text or ChordPro song, or a ZIP of such files. */
export async function readSongFile({
  path,
  fileName,
}: {
  readonly path: string;
  readonly fileName: string;
}): Promise<ReadSongs> {
  try {
    return readSongs(fileName, readFileSync(path));
  } catch (error) {
    if (error instanceof FileProblem) return { problem: error.message };
    throw error;
  }
}

/** @throws FileProblem when an archive is broken or unsafe */
function readSongs(fileName: string, bytes: Uint8Array): ReadSongs {
  const files =
    bytes[0] === 0x50 && bytes[1] === 0x4b
      ? [...unzipFiles(bytes, (name) => SONG_FILE.test(name))]
      : ([[fileName, bytes]] as const);
  const songs: SongFields[] = [];
  const left: string[] = [];
  for (const [name, data] of files) {
    const called = (name.split("/").at(-1) ?? name).replace(/\.[^.]+$/, "");
    if (data.length > LARGEST_SONG_BYTES) {
      left.push(`${called}: ${Math.round(data.length / 1024)} KB is too long for a song`);
      continue;
    }
    const text = new TextDecoder("utf-8").decode(data);
    const song = isChordPro(text) ? readChordPro(text, called) : songOf("", text);
    const parsed = parseSong(song.text, song.title);
    if ("problem" in parsed) {
      const { problem } = parsed;
      left.push(
        `${called}: ${problem.kind === "empty" ? "it has no words" : problem.kind === "tooManyLines" ? `more than ${SONG_MAX_LINES} lines` : `line ${problem.line} is too long`}`,
      );
      continue;
    }
    const title = song.title || (parsed.song.title === "" ? called : parsed.song.title);
    songs.push(songSchema.parse({ ...song, title: title.slice(0, 200) }));
  }
  return { songs, left };
}
