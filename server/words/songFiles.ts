import { createHash, randomUUID } from "node:crypto";
import { zipSync } from "fflate";
import { isChordPro, readChordPro, writeChordPro } from "../../core/words/chordPro.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { parseSong, SONG_MAX_LINES } from "../../core/words/song.ts";
import { type SongFields, songOf, songSchema } from "../../core/words/songFields.ts";
import { unzipFiles } from "../files/unzip.ts";
import type { SongStore } from "../store/songStore.ts";

const SONG_FILE = /\.(txt|cho|crd|chopro|chordpro|pro|text)$/i;
const LARGEST_SONG_BYTES = 400_000;

export interface SongsBroughtIn {
  readonly added: readonly { readonly id: string; readonly title: string }[];
  /** Files that are not songs, each with why. */
  readonly left: readonly string[];
}

/**
 * Songs from a file: one text or ChordPro song, or a ZIP of such files.
 * @throws FileProblem when an archive is broken or unsafe
 */
export function readSongFiles(fileName: string, bytes: Uint8Array): { songs: SongFields[]; left: string[] } {
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

/** Brings songs into the library; one that is there already, word for word, is left. */
export async function bringSongsIn(
  store: SongStore,
  fileName: string,
  bytes: Uint8Array,
  actor: string,
  atMs: number,
): Promise<SongsBroughtIn> {
  const { songs, left } = readSongFiles(fileName, bytes);
  const known = new Set<string>();
  for await (const { song } of store.all()) known.add(fingerprint(song));
  const fresh: { id: string; song: SongFields }[] = [];
  for (const song of songs) {
    const print = fingerprint(song);
    if (known.has(print)) left.push(`${song.title}: it is in the library already`);
    else {
      known.add(print);
      fresh.push({ id: randomUUID(), song });
    }
  }
  const refused = await store.addAll(fresh, actor, atMs);
  if (refused !== undefined) return { added: [], left: [refused, ...left] };
  return { added: fresh.map(({ id, song }) => ({ id, title: song.title })), left };
}

const fingerprint = (song: SongFields) =>
  createHash("sha256")
    .update(`${foldWords(song.title)}|${foldWords(song.version)}|${foldWords(song.text)}`)
    .digest("base64");

/** All songs as a ZIP of ChordPro files. */
export async function zipSongs(store: SongStore): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  const encoder = new TextEncoder();
  for await (const { song } of store.all()) {
    const name = fileNameOf(song);
    let free = `${name}.cho`;
    for (let n = 2; free in files; n++) free = `${name} ${n}.cho`;
    files[free] = encoder.encode(writeChordPro(song));
  }
  return zipSync(files, { level: 6 });
}

export const fileNameOf = ({ title, version }: SongFields): string =>
  `${title}${version ? ` (${version})` : ""}`
    .normalize("NFC")
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, " ")
    .replace(/\s+/g, " ")
    .trim()
    .slice(0, 120) || "Song";
