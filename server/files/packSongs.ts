import { zipSync } from "fflate";
import { writeChordPro } from "../../core/words/chordPro.ts";
import type { SongFields } from "../../core/words/songFields.ts";

/** Songs as a ZIP of ChordPro files. */
export async function packSongs(songs: readonly SongFields[]): Promise<Uint8Array> {
  const files = new Map<string, Uint8Array>();
  const encoder = new TextEncoder();
  for (const song of songs) {
    const name = fileNameOf(song);
    let free = `${name}.cho`;
    for (let n = 2; files.has(free); n++) free = `${name} ${n}.cho`;
    files.set(free, encoder.encode(writeChordPro(song)));
  }
  return zipSync(Object.fromEntries(files), { level: 6 });
}

export const fileNameOf = ({ title, version }: SongFields): string =>
  `${title}${version ? ` (${version})` : ""}`
    .normalize("NFC")
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, " ")
    .replace(/\s+/g, " ")
    .trim()
    .slice(0, 120) || "Song";
