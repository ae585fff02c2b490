import { readFileSync } from "node:fs";
import { t } from "../../core/language/t.ts";
import { isChordPro, readChordPro, splitChordPro } from "../../core/words/chordPro.ts";
import { keepSong } from "../../core/words/reader/keepSong.ts";
import { offersFor } from "../../core/words/reader/offers.ts";
import { readSong } from "../../core/words/reader/readSong.ts";
import { parseSong, SONG_MAX_LINES, type SongProblem } from "../../core/words/song.ts";
import { type SongFields, songSchema } from "../../core/words/songFields.ts";
import { decodeText } from "./decodeText.ts";
import { FileProblem } from "./scriptureFile.ts";
import { unzipFiles } from "./unzip.ts";

const SONG_FILE = /\.(txt|cho|crd|chopro|chordpro|pro|text)$/i;
const LARGEST_SONG_BYTES = 400_000;
/** A longer text is no pasted song, and is not sent back to be looked at. */
const LONGEST_LOOK = 20_000;

/** A song of a file, and whether it was read without doubt. */
export interface ReadFileSong {
  readonly song: SongFields;
  /** The text as it stands in the file, where a person should look at how it was read; null otherwise. */
  readonly doubtful: string | null;
}

export type ReadSongs =
  | {
      readonly songs: readonly ReadFileSong[];
      /** Files that are not songs, each with why. */
      readonly left: readonly string[];
      /** What was guessed of a file: its encoding. */
      readonly notes: readonly string[];
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
  const songs: ReadFileSong[] = [];
  const left: string[] = [];
  const notes: string[] = [];
  for (const [name, data] of files) {
    const called = (name.split("/").at(-1) ?? name).replace(/\.[^.]+$/, "");
    if (data.length > LARGEST_SONG_BYTES) {
      left.push(t`${called}: ${Math.round(data.length / 1024)} KB is too long for a song`);
      continue;
    }
    const { text, guessed } = decodeText(data);
    if (guessed !== null) notes.push(t`${called} was read as ${guessed}`);
    for (const part of isChordPro(text) ? splitChordPro(text) : [text]) {
      const read = isChordPro(part) ? readChordProSong(part, called) : readPlainSong(part, called);
      if ("problem" in read) left.push(`${called}: ${whyLeft(read.problem)}`);
      else songs.push(read);
    }
  }
  return { songs, left, notes };
}

function whyLeft(problem: SongProblem): string {
  switch (problem.kind) {
    case "empty":
      return t`it has no words`;
    case "tooManyLines":
      return t`more than ${SONG_MAX_LINES} lines`;
    case "lineTooLong":
      return t`line ${problem.line} is too long`;
  }
}

/** A ChordPro song says itself what its lines are. */
function readChordProSong(text: string, called: string): ReadFileSong | { readonly problem: SongProblem } {
  const song = readChordPro(text, called);
  const parsed = parseSong(song.text, song.title);
  if ("problem" in parsed) return parsed;
  return {
    song: songSchema.parse({ ...song, title: (song.title || parsed.song.title || called).slice(0, 200) }),
    doubtful: null,
  };
}

function readPlainSong(text: string, called: string): ReadFileSong | { readonly problem: SongProblem } {
  const read = readSong(text);
  if ("problem" in read) return read;
  const { reading } = read;
  const kept = keepSong(text, reading);
  // A file is named by its title as a rule; where the text has none of its own, the name is better than a first line.
  const hasTitle = reading.lines.some(({ kind }) => kind === "title");
  const title = hasTitle ? kept.title : called;
  const isDoubtful = reading.doubtful > 0 || offersFor(text, reading).length > 0;
  return {
    song: songSchema.parse({ ...kept, title: title.slice(0, 200) }),
    doubtful: isDoubtful && text.length <= LONGEST_LOOK ? text : null,
  };
}
