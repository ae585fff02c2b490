import { createHash, randomUUID } from "node:crypto";
import { t } from "../../core/language/t.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import type { SongFields } from "../../core/words/songFields.ts";
import type { ReadSongs } from "../files/readSongFile.ts";
import type { SongStore } from "../store/songStore.ts";

export interface SongsBroughtIn {
  readonly added: readonly { readonly id: string; readonly title: string }[];
  /** Files that are not songs, each with why. */
  readonly left: readonly string[];
  readonly notes: readonly string[];
  /** Those that a person should look at before they are added; the rest are in the library. */
  readonly doubtful: readonly { readonly text: string; readonly title: string }[];
}

/** So many are looked at one by one; more go in as they were read. */
const MOST_LOOKED_AT = 200;

/** Brings songs into the library; one that is there already, word for word, is left. */
export async function bringSongsIn(
  store: SongStore,
  read: Exclude<ReadSongs, { readonly problem: string }>,
  actor: string,
  atMs: number,
): Promise<SongsBroughtIn> {
  const { songs, notes } = read;
  const doubtful: { text: string; title: string }[] = [];
  const left = [...read.left];
  const known = new Set<string>();
  for await (const { song } of store.all()) known.add(fingerprint(song));
  const fresh: { id: string; song: SongFields }[] = [];
  for (const { song, doubtful: text } of songs) {
    const print = fingerprint(song);
    if (known.has(print)) left.push(t`${song.title}: it is in the library already`);
    else if (text !== null && doubtful.length < MOST_LOOKED_AT) {
      known.add(print);
      doubtful.push({ text, title: song.title });
    } else {
      known.add(print);
      fresh.push({ id: randomUUID(), song });
    }
  }
  const refused = await store.addAll(fresh, actor, atMs);
  if (refused !== undefined) return { added: [], left: [refused, ...left], notes, doubtful };
  return { added: fresh.map(({ id, song }) => ({ id, title: song.title })), left, notes, doubtful };
}

const fingerprint = (song: SongFields) =>
  createHash("sha256")
    .update(`${foldWords(song.title)}|${foldWords(song.version)}|${foldWords(song.text)}`)
    .digest("base64");

/** All songs of the library. */
export async function allSongs(store: SongStore): Promise<SongFields[]> {
  const songs: SongFields[] = [];
  for await (const { song } of store.all()) songs.push(song);
  return songs;
}
