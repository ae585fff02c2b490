import { keepSong } from "../words/reader/keepSong.ts";
import { readSong } from "../words/reader/readSong.ts";
import { looksLikeReference } from "../words/reference/reference.ts";
import type { Scripture } from "../words/scripture.ts";
import type { SongFields } from "../words/songFields.ts";
import { type CueDoc, pageCue, remarkCue, songCue } from "./cueDoc.ts";
import { looksLikeName, readNameAndRole } from "./nameAndRole.ts";
import type { RundownEntry } from "./rundownText.ts";
import { isManyLines, readAsReference, understand } from "./understand.ts";

/** What a line of somebody's rundown can be taken for. */
export const TAKEN_FOR = ["heading", "song", "reading", "strap", "title", "remark"] as const;
export type TakenFor = (typeof TAKEN_FOR)[number];

/** A line with what it was taken for, and the cue that it would be as each thing that it can be. */
export interface TakenLine {
  readonly text: string;
  readonly takenFor: TakenFor;
  readonly docs: Partial<Readonly<Record<TakenFor, CueDoc>>>;
}

export interface KnownSong {
  readonly id: string;
  readonly revision: number;
  readonly song: SongFields;
}

interface TakeContext {
  readonly scripture: Scripture;
  /** Codes of the texts there are, those in use first. */
  readonly texts: readonly string[];
  /** The song of the library that is called so. */
  readonly song: KnownSong | undefined;
}

/** What people write before the name of a thing. */
const SAYS = {
  song: /^(?:song|hymn|chorus|anthem|lied|canci[oó]n|canto|chant)\s*(?:\d{1,4})?\s*[:–—-]\s*/i,
  reading: /^(?:reading|lesson|scripture|bible|gospel|lesung|lectura|lecture)\s*(?:\d{1,2})?\s*[:–—-]\s*/i,
};

/** What a line would be asked for as the title of a song. */
export const songTitleOf = (text: string): string =>
  text
    .replace(SAYS.song, "")
    .replace(/^["“„«]|["”“»]$/g, "")
    .trim();

/** Makes cues of one thing of a rundown, and says which of them was meant. */
export function takeEntry(entry: RundownEntry, { scripture, texts, song }: TakeContext): TakenLine {
  const { text, plannedAt, plannedMs, note } = entry;
  const common = { plannedAt, plannedMs, note: note.slice(0, 2_000) };
  const first = (text.split("\n")[0] ?? "").trim();
  const docs: Partial<Record<TakenFor, CueDoc>> = {
    heading: remarkCue({ text: first.slice(0, 400), isHeading: true, ...common }),
    remark: remarkCue({ text: text.slice(0, 2_000), ...common }),
  };
  if (entry.kind === "song") {
    const doc = songOf(text, scripture);
    if (doc) docs.song = { ...doc, ...common };
    return { text: first, takenFor: doc ? "song" : "remark", docs };
  }
  docs.title = pageCue({ fieldSet: "title", values: { title: first.slice(0, 160) }, ...common });
  const { name, role } = readNameAndRole(text);
  docs.strap = pageCue({
    fieldSet: "name",
    values: { name: name.slice(0, 120), role: role.slice(0, 160) },
    ...common,
  });
  if (song)
    docs.song = songCue({ ...song.song, source: { songId: song.id, revision: song.revision }, ...common });
  const asked = text.replace(SAYS.reading, "");
  const reading = looksLikeReference(asked) ? readAsReference(asked, scripture, texts) : undefined;
  if (reading && "doc" in reading) docs.reading = { ...reading.doc, ...common };
  return { text, takenFor: meantBy(entry, docs, { name, role }), docs };
}

function meantBy(
  { kind, text }: RundownEntry,
  docs: TakenLine["docs"],
  { name, role }: { readonly name: string; readonly role: string },
): TakenFor {
  if (kind === "heading") return "heading";
  if (docs.song) return "song";
  if (docs.reading) return "reading";
  return role !== "" && looksLikeName(name) && !SAYS.song.test(text) ? "strap" : "remark";
}

/** The words of a song, with its title over them or without. */
function songOf(text: string, scripture: Scripture): CueDoc | undefined {
  if (!isManyLines(text)) return undefined;
  const understood = understand(text, scripture);
  if (understood && "doc" in understood && understood.doc.kind === "song") return understood.doc;
  const read = readSong(text, {});
  return "problem" in read ? undefined : songCue(keepSong(text, read.reading, []));
}
