import type { PastedSong } from "./pasted.ts";

/** A pasted song in one row: what it is called here, the text, and what it must become. */
export type SongRow = readonly [
  name: string,
  text: string,
  title: string,
  order: string,
  words: Readonly<Record<string, string>>,
];

export const fromRows = (rows: readonly SongRow[]): PastedSong[] =>
  rows.map(([name, text, title, order, words]) => ({ name, text, title, order, words }));
